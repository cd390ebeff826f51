import { SERVER } from '@even-tally/words';
import { Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { hashOf } from './sessionStore.js';

/** Part of the hash of what a cookie holds: enough to name a session, and of no use to enter by. */
const NAME = 24;

export interface SessionLine {
  id: string;
  agent: string;
  made: string;
  seen: string;
  here: boolean;
}

/** Where an account is signed in. */
@Injectable()
export class SessionsService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async list(accountId: string, here: string): Promise<SessionLine[]> {
    const rows = await this.db('sessions')
      .where({ account_id: accountId })
      .orderBy('seen', 'desc')
      .limit(100)
      .select<{ id: string; agent: string; made: Date; seen: Date }[]>('id', 'agent', 'made', 'seen');
    return rows.map(({ id, agent, made, seen }) => ({
      id: id.slice(0, NAME),
      agent,
      made: made.toISOString(),
      seen: seen.toISOString(),
      here: id === hashOf(here),
    }));
  }

  async end(accountId: string, session: string): Promise<void> {
    const ended = /^[0-9a-f]{24}$/.test(session)
      ? await this.db('sessions').where({ account_id: accountId }).andWhereLike('id', `${session}%`).delete()
      : 0;
    if (ended === 0) throw new Refusal(404, { says: SERVER.noSuchSession });
  }

  async endAll(accountId: string): Promise<void> {
    await this.db('sessions').where({ account_id: accountId }).delete();
  }
}
