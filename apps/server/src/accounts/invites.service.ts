import { SERVER } from '@even-tally/words';
import { randomBytes } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { reaches, ROLES, type Role } from './roles.js';
import type { Visitor } from './session.js';
import { hashOf } from './sessionStore.js';

const MOST_HOURS = 72;
const MOST_OPEN = 50;

export interface InviteLine {
  id: string;
  role: Role;
  by: string | null;
  expires: string;
}

const spent = (): Refusal =>
  new Refusal(404, {
    says: SERVER.linkOpensNothing,
  });

/** Links that let one person join a yard, once. What the link carries is known to whoever has it; here only its hash is kept. */
@Injectable()
export class InvitesService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async make(
    { accountId, yardId, role: own, demo }: Visitor,
    role: Role,
    hours = MOST_HOURS,
  ): Promise<InviteLine & { invite: string }> {
    if (demo) throw new Refusal(403, { says: SERVER.noneIntoDemo });
    if (!reaches(own, role)) throw new Refusal(403, { says: SERVER.roleAtMost({ own, role }) });
    const [{ count = 0 } = {}] = await this.open(yardId).count<{ count: string }[]>();
    if (Number(count) >= MOST_OPEN)
      throw new Refusal(409, {
        says: SERVER.linksAtMost({ most: MOST_OPEN }),
      });
    const invite = randomBytes(32).toString('base64url');
    const [row] = await this.db('invites')
      .insert({
        hash: hashOf(invite),
        yard_id: yardId,
        role,
        made_by: accountId,
        expires_at: this.db.raw('now() + make_interval(hours => ?)', [Math.min(hours, MOST_HOURS)]),
      })
      .returning<{ id: string; expires_at: Date }[]>(['id', 'expires_at']);
    if (!row) throw new Error('insert returned no row');
    return { id: row.id, role, by: null, expires: row.expires_at.toISOString(), invite };
  }

  async list(yardId: string): Promise<InviteLine[]> {
    const rows = await this.open(yardId)
      .join('accounts', 'accounts.id', 'invites.made_by')
      .orderBy('expires_at')
      .select<{ id: string; role: Role; email: string | null; expires_at: Date }[]>(
        'invites.id',
        'role',
        'email',
        'expires_at',
      );
    return rows.map(({ id, role, email, expires_at }) => ({
      id,
      role,
      by: email,
      expires: expires_at.toISOString(),
    }));
  }

  async takeBack(yardId: string, id: string): Promise<void> {
    if ((await this.open(yardId).where({ 'invites.id': id }).delete()) === 0)
      throw new Refusal(404, { says: SERVER.noSuchLink });
  }

  /** What a link is for, told to whoever has it. */
  async look(invite: string): Promise<{ yard: string; role: Role }> {
    const row = await this.standing(this.db, invite)
      .join('yards', 'yards.id', 'invites.yard_id')
      .first<{ name: string; role: Role } | undefined>('yards.name', 'invites.role');
    if (!row) throw spent();
    return { yard: row.name, role: row.role };
  }

  /** Joins, and the link is spent: of two who use it at once one is in. Who made it must still be in the yard, and as much. */
  async join(accountId: string, invite: string): Promise<{ yardId: string; role: Role }> {
    return this.db.transaction(async (trx) => {
      const row = await this.standing(trx, invite)
        .forUpdate('invites')
        .first<{ id: string; yard_id: string; role: Role; made_by: string } | undefined>('invites.*');
      if (!row) throw spent();
      const by = await trx('members')
        .where({ account_id: row.made_by, yard_id: row.yard_id })
        .first<{ role: Role } | undefined>('role');
      if (!by || !reaches(by.role, row.role)) throw spent();
      await trx('invites').where({ id: row.id }).update({ used_at: trx.fn.now(), used_by: accountId });
      const there = await trx('members')
        .where({ account_id: accountId, yard_id: row.yard_id })
        .forUpdate()
        .first<{ role: Role } | undefined>('role');
      const role = there
        ? (ROLES.filter((r) => r === there.role || r === row.role).at(-1) ?? row.role)
        : row.role;
      await trx('members')
        .insert({ account_id: accountId, yard_id: row.yard_id, role })
        .onConflict(['account_id', 'yard_id'])
        .merge({ role });
      return { yardId: row.yard_id, role };
    });
  }

  private open(yardId: string): Knex.QueryBuilder {
    return this.db('invites')
      .where({ 'invites.yard_id': yardId })
      .whereNull('used_at')
      .where('expires_at', '>', this.db.fn.now());
  }

  private standing(db: Knex, invite: string): Knex.QueryBuilder {
    return db('invites')
      .where({ hash: hashOf(invite) })
      .whereNull('used_at')
      .where('expires_at', '>', db.fn.now())
      .whereIn('invites.yard_id', db('yards').whereNull('closed_at').select('id'));
  }
}
