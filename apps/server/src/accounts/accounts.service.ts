import { SERVER } from '@even-tally/words';
import { Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import type { Credentials, NewPassword } from './accounts.dto.js';
import { hashPassword, passwordMatches, refuseCommon } from './passwords.js';
import type { Role } from './roles.js';
import type { Visitor } from './session.js';

interface AccountRow {
  id: string;
  email: string | null;
  password_hash: string | null;
}

export type Entry = Pick<Visitor, 'accountId' | 'yardId'>;

export interface YardSaid {
  id: string;
  name: string;
  demo: boolean;
  role: Role;
}

export interface SessionSaid {
  signedIn: boolean;
  email: string | null;
  yard: YardSaid | null;
  /** Every yard the account is in. */
  yards: YardSaid[];
}

/** Accounts under one address: nobody has shown that it is theirs, so that one does not keep another out. */
const MOST_OF_ONE_NAME = 5;

const wrong = (): Refusal => new Refusal(401, { says: SERVER.wrong });

@Injectable()
export class AccountsService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  /** Refuses a password that is soon guessed of whoever chooses it. */
  refuseWeak({ email, password }: Credentials, yard: string): void {
    refuseCommon(password, [email, ...email.split('@'), yard]);
  }

  /**
   * An account, with a yard of its own unless it is opened to join one. An account is an address *and* a password: opening one says
   * the same whether or not somebody has one under that address, and the same two together are the account there is.
   */
  async open(given: Credentials, yard: string | null): Promise<{ accountId: string; yardId: string | null }> {
    const there = await this.matching(given);
    if (there) return { accountId: there.id, yardId: await this.lastYard(there.id) };
    const password_hash = await hashPassword(given.password);
    return this.db.transaction(async (trx) => {
      // One at a time for each address, so that they can be counted.
      await trx.raw('select pg_advisory_xact_lock(hashtextextended(?, 1))', [given.email]);
      const [{ count = 0 } = {}] = await trx('accounts')
        .where({ email: given.email })
        .count<{ count: string }[]>();
      if (Number(count) >= MOST_OF_ONE_NAME)
        throw new Refusal(409, {
          says: SERVER.accountTaken,
        });
      return this.openWith(trx, { email: given.email, password_hash }, yard, false);
    });
  }

  /** A private copy of the demo yard, for one visitor. */
  openDemo(): Promise<Entry> {
    return this.db.transaction(async (trx) => {
      const { accountId, yardId } = await this.openWith(
        trx,
        { email: null, password_hash: null },
        'Demo yard',
        true,
      );
      if (yardId === null) throw new Error('a demo yard was asked for');
      await trx.raw(
        `insert into jobs (yard_id, document, name, walls, bytes)
         select ?, document, document->>'name', jsonb_array_length(document->'walls'), octet_length(document::text)
           from demo_jobs order by place`,
        [yardId],
      );
      return { accountId, yardId };
    });
  }

  async signIn(given: Credentials): Promise<Entry> {
    const account = await this.matching(given);
    if (!account) throw wrong();
    const yardId = await this.lastYard(account.id);
    if (!yardId) throw new Refusal(403, { says: SERVER.noYard });
    return { accountId: account.id, yardId };
  }

  /** Asked again before something that cannot be taken back. */
  async again(accountId: string, password: string): Promise<void> {
    const account = await this.db<AccountRow>('accounts').where({ id: accountId }).first();
    if (!(await passwordMatches(account?.password_hash, password)))
      throw new Refusal(401, { says: SERVER.notPassword });
  }

  /** A new password ends every session; the one it was changed in begins anew. */
  async change({ accountId, email }: Visitor, given: NewPassword): Promise<void> {
    if (email === null) throw new Refusal(403, { says: SERVER.visitorNoPassword });
    await this.again(accountId, given.old);
    refuseCommon(given.password, [email, ...email.split('@')]);
    if (await this.matching({ email, password: given.password }))
      throw new Refusal(400, { says: SERVER.samePassword });
    const password_hash = await hashPassword(given.password);
    await this.db('accounts').where({ id: accountId }).update({ password_hash });
    await this.db('sessions').where({ account_id: accountId }).delete();
  }

  async session(visitor: Entry | null): Promise<SessionSaid> {
    const nobody: SessionSaid = { signedIn: false, email: null, yard: null, yards: [] };
    if (!visitor) return nobody;
    const rows = await this.db('members')
      .join('accounts', 'accounts.id', 'members.account_id')
      .join('yards', 'yards.id', 'members.yard_id')
      .where({ 'members.account_id': visitor.accountId })
      .whereNull('yards.closed_at')
      .orderBy('yards.name')
      .select<(YardSaid & { email: string | null })[]>(
        'accounts.email',
        'yards.id',
        'yards.name',
        'yards.demo',
        'members.role',
      );
    const yards = rows.map(({ email: _, ...yard }) => yard);
    const yard = yards.find((y) => y.id === visitor.yardId);
    return yard ? { signedIn: true, email: rows[0]?.email ?? null, yard, yards } : nobody;
  }

  /** Which yard is in use, among those the account is in. */
  async enterYard(accountId: string, yardId: string): Promise<void> {
    const used = await this.db('members')
      .where({ account_id: accountId, yard_id: yardId })
      .update({ used_at: this.db.fn.now() });
    if (used === 0) throw new Refusal(404, { says: SERVER.noSuchYard });
  }

  /** The account closes for good; what it signed stays signed. A yard it alone was in closes with it. */
  async close(accountId: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const mine = await trx('members')
        .where({ account_id: accountId })
        .select<{ yard_id: string; role: Role }[]>('yard_id', 'role');
      for (const { yard_id, role } of mine) {
        const others = await trx('members')
          .where({ yard_id })
          .whereNot({ account_id: accountId })
          .select<{ role: Role }[]>('role')
          .forUpdate();
        if (others.length === 0)
          await trx('yards').where({ id: yard_id }).update({ closed_at: trx.fn.now() });
        else if (role === 'owns' && !others.some((o) => o.role === 'owns'))
          throw new Refusal(409, {
            says: SERVER.aloneOwn,
          });
      }
      await trx('sessions').where({ account_id: accountId }).delete();
      await trx('members')
        .where({ account_id: accountId })
        .whereNotIn('yard_id', trx('yards').whereNotNull('closed_at').select('id'))
        .delete();
      await trx('accounts')
        .where({ id: accountId })
        .update({ closed_at: trx.fn.now(), email: null, password_hash: null });
    });
  }

  async closeYard(yardId: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      await trx('yards').where({ id: yardId }).update({ closed_at: trx.fn.now() });
      await trx('sessions').where({ yard_id: yardId }).delete();
      await trx('invites').where({ yard_id: yardId }).delete();
    });
  }

  /** The account that an address and a password are, oldest first; as long a look where there is none. */
  private async matching({ email, password }: Credentials): Promise<AccountRow | null> {
    const found = await this.db<AccountRow>('accounts')
      .where({ email })
      .orderBy('created_at')
      .limit(MOST_OF_ONE_NAME);
    if (found.length === 0) await passwordMatches(null, password);
    for (const account of found) if (await passwordMatches(account.password_hash, password)) return account;
    return null;
  }

  private async lastYard(accountId: string): Promise<string | null> {
    const row = await this.db('members')
      .join('yards', 'yards.id', 'members.yard_id')
      .where({ account_id: accountId })
      .whereNull('yards.closed_at')
      .orderBy('members.used_at', 'desc')
      .first<{ yard_id: string } | undefined>('yard_id');
    return row?.yard_id ?? null;
  }

  private async openWith(
    trx: Knex.Transaction,
    account: { email: string | null; password_hash: string | null },
    yard: string | null,
    demo: boolean,
  ): Promise<{ accountId: string; yardId: string | null }> {
    const [a] = await trx('accounts').insert(account).returning<{ id: string }[]>('id');
    if (!a) throw new Error('insert returned no row');
    if (yard === null) return { accountId: a.id, yardId: null };
    const [y] = await trx('yards').insert({ name: yard, demo }).returning<{ id: string }[]>('id');
    if (!y) throw new Error('insert returned no row');
    await trx('members').insert({ account_id: a.id, yard_id: y.id, role: 'owns' });
    return { accountId: a.id, yardId: y.id };
  }
}
