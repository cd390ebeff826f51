import { createHash } from 'node:crypto';
import { Store, type SessionData } from 'express-session';
import type { Knex } from 'knex';
import type { Role } from './roles.js';

const SECOND = 1000;
/** How long a session lives whatever happens, and how long without being used. Seconds. */
export const LONGEST = 30 * 86_400;
export const IDLE = 12 * 3600;
/** Its last use is written down no more often than this. */
const WRITTEN_EVERY = 60 * SECOND;

export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

interface SessionRow {
  account_id: string;
  yard_id: string;
  made: Date;
  seen: Date;
  role: Role;
  email: string | null;
  name: string;
  demo: boolean;
}

type Done = (error?: unknown) => void;

/**
 * Sessions as rows, beside what they open: one query reads the session, whether its account is still in the yard, and as what. Nobody
 * who has been put out gets in on a session made before.
 */
export class SessionStore extends Store {
  constructor(
    private readonly db: Knex,
    private readonly cookie: { httpOnly: boolean; sameSite: 'lax'; secure: boolean; path: string },
  ) {
    super();
  }

  override get(sid: string, done: (error: unknown, session?: SessionData | null) => void): void {
    this.read(sid).then((session) => done(null, session), done);
  }

  override set(sid: string, { accountId, yardId, agent }: SessionData, done: Done = () => undefined): void {
    this.db('sessions')
      .insert({ id: hashOf(sid), account_id: accountId, yard_id: yardId, agent: agent ?? '' })
      .onConflict('id')
      .ignore()
      .then(() => done(), done);
  }

  override touch(sid: string, session: SessionData, done: Done = () => undefined): void {
    if (Date.now() - session.seen < WRITTEN_EVERY) return done();
    const used = this.db('sessions')
      .where({ id: hashOf(sid) })
      .update({ seen: this.db.fn.now() });
    const copies = session.yard?.demo
      ? this.db('yards').where({ id: session.yardId }).update({ idle_seconds: 0 })
      : Promise.resolve(0);
    Promise.all([used, copies]).then(() => done(), done);
  }

  override destroy(sid: string, done: Done = () => undefined): void {
    this.db('sessions')
      .where({ id: hashOf(sid) })
      .delete()
      .then(() => done(), done);
  }

  private async read(sid: string): Promise<SessionData | null> {
    const { rows } = await this.db
      .raw<{ rows: SessionRow[] }>(
        `select s.account_id, s.yard_id, s.made, s.seen, m.role, a.email, y.name, y.demo
         from sessions s
         join members m on m.account_id = s.account_id and m.yard_id = s.yard_id
         join accounts a on a.id = s.account_id and a.closed_at is null
         join yards y on y.id = s.yard_id and y.closed_at is null
        where s.id = ? and s.seen > now() - make_interval(secs => ${IDLE})
          and s.made > now() - make_interval(secs => ${LONGEST})`,
        [hashOf(sid)],
      )
      .options({ name: 'read-session' });
    const [row] = rows;
    if (!row) return null;
    const expires = new Date(row.made.getTime() + LONGEST * SECOND);
    return {
      cookie: { ...this.cookie, originalMaxAge: LONGEST * SECOND, expires },
      accountId: row.account_id,
      yardId: row.yard_id,
      role: row.role,
      email: row.email,
      yard: { name: row.name, demo: row.demo },
      seen: row.seen.getTime(),
      agent: '',
    };
  }
}
