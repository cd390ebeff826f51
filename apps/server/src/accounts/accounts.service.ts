import { Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import type { Credentials, NewAccount } from './accounts.dto.js';
import { hashPassword, passwordMatches } from './passwords.js';
import type { Visitor } from './session.js';

interface AccountRow {
  id: string;
  email: string | null;
  password_hash: string | null;
}

export interface SessionSaid {
  signedIn: boolean;
  email: string | null;
  yard: { name: string; demo: boolean } | null;
}

const isTaken = (error: unknown): boolean => (error as { code?: string }).code === '23505';

@Injectable()
export class AccountsService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  /** An account with a yard of its own. */
  async open(given: NewAccount): Promise<Visitor> {
    const password_hash = await hashPassword(given.password);
    try {
      return await this.db.transaction((trx) =>
        this.openWith(trx, { email: given.email, password_hash }, given.yard, false),
      );
    } catch (error) {
      if (isTaken(error))
        throw new Refusal(409, { says: 'There is already an account under that address. Sign in instead.' });
      throw error;
    }
  }

  /** A private copy of the demo yard, for one visitor. */
  openDemo(): Promise<Visitor> {
    return this.db.transaction(async (trx) => {
      const visitor = await this.openWith(trx, { email: null, password_hash: null }, 'Demo yard', true);
      const demo = await trx<{ document: object }>('demo_jobs').select('document').orderBy('place');
      if (demo.length > 0) {
        await trx('jobs').insert(
          demo.map(({ document }) => ({ yard_id: visitor.yardId, document: JSON.stringify(document) })),
        );
      }
      return visitor;
    });
  }

  async signIn(given: Credentials): Promise<Visitor> {
    const account = await this.db<AccountRow>('accounts').where({ email: given.email }).first();
    if (!(await passwordMatches(account?.password_hash, given.password)) || !account) {
      throw new Refusal(401, { says: 'That address and password do not go together.' });
    }
    const member = await this.db<{ account_id: string; yard_id: string }>('members')
      .where({ account_id: account.id })
      .first();
    if (!member) throw new Refusal(403, { says: 'This account belongs to no yard.' });
    return { accountId: account.id, yardId: member.yard_id };
  }

  async session(visitor: Visitor | null): Promise<SessionSaid> {
    const nobody: SessionSaid = { signedIn: false, email: null, yard: null };
    if (!visitor) return nobody;
    const row = await this.db('members')
      .join('accounts', 'accounts.id', 'members.account_id')
      .join('yards', 'yards.id', 'members.yard_id')
      .where({ 'members.account_id': visitor.accountId, 'members.yard_id': visitor.yardId })
      .first<{ email: string | null; name: string; demo: boolean } | undefined>(
        'accounts.email',
        'yards.name',
        'yards.demo',
      );
    return row ? { signedIn: true, email: row.email, yard: { name: row.name, demo: row.demo } } : nobody;
  }

  private async openWith(
    trx: Knex.Transaction,
    account: { email: string | null; password_hash: string | null },
    yard: string,
    demo: boolean,
  ): Promise<Visitor> {
    const [a] = await trx('accounts').insert(account).returning<{ id: string }[]>('id');
    const [y] = await trx('yards').insert({ name: yard, demo }).returning<{ id: string }[]>('id');
    if (!a || !y) throw new Error('insert returned no row');
    await trx('members').insert({ account_id: a.id, yard_id: y.id });
    return { accountId: a.id, yardId: y.id };
  }
}
