import { SERVER } from '@even-tally/words';
import { Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import type { Role } from './roles.js';
import type { Visitor } from './session.js';

export interface MemberLine {
  account: string;
  email: string | null;
  role: Role;
  since: string;
  you: boolean;
}

const nobody = (): Refusal => new Refusal(404, { says: SERVER.nobody });

/** Who is in a yard. Somebody always owns it. */
@Injectable()
export class MembersService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async list({ yardId, accountId }: Visitor): Promise<MemberLine[]> {
    const rows = await this.db('members')
      .join('accounts', 'accounts.id', 'members.account_id')
      .where({ yard_id: yardId })
      .whereNull('accounts.closed_at')
      .orderBy('since')
      .select<{ account_id: string; email: string | null; role: Role; since: Date }[]>(
        'account_id',
        'email',
        'role',
        'since',
      );
    return rows.map(({ account_id, email, role, since }) => ({
      account: account_id,
      email,
      role,
      since: since.toISOString(),
      you: account_id === accountId,
    }));
  }

  setRole(yardId: string, accountId: string, role: Role): Promise<void> {
    return this.change(yardId, accountId, async (one) => {
      await one.update({ role });
    });
  }

  /** Out at once: the session they have is read with their membership at the next request. */
  remove(yardId: string, accountId: string): Promise<void> {
    return this.change(yardId, accountId, async (one, trx) => {
      await one.delete();
      await trx('sessions').where({ yard_id: yardId, account_id: accountId }).delete();
      await trx('invites').where({ yard_id: yardId, made_by: accountId }).whereNull('used_at').delete();
    });
  }

  /** The yard's row is held meanwhile, so that two owners who put each other out leave one. */
  private change(
    yardId: string,
    accountId: string,
    does: (one: Knex.QueryBuilder, trx: Knex.Transaction) => Promise<void>,
  ): Promise<void> {
    return this.db.transaction(async (trx) => {
      await trx('yards').where({ id: yardId }).forUpdate().first('id');
      const one = (): Knex.QueryBuilder => trx('members').where({ yard_id: yardId, account_id: accountId });
      const there = await one().first<object | undefined>('role');
      if (!there) throw nobody();
      await does(one(), trx);
      const owner = await trx('members')
        .where({ yard_id: yardId, role: 'owns' })
        .first<object | undefined>('account_id');
      if (!owner)
        throw new Refusal(409, {
          says: SERVER.mustOwn,
        });
    });
  }
}
