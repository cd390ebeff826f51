import {
  Inject,
  Injectable,
  Logger,
  type OnApplicationBootstrap,
  type OnApplicationShutdown,
} from '@nestjs/common';
import type { Knex } from 'knex';
import { IDLE, LONGEST } from '../accounts/sessionStore.js';
import { DATABASE } from '../database/database.module.js';

/** Of all servers on a database one sweeps, this often. Seconds. */
const EVERY = 600;
/** A copy of the demo yard nobody has used for a day goes: a day of a server's running, so that a night switched off takes nothing. */
const UNUSED = 86_400;

/** Takes away what nobody can want any more: sessions and links that ran out, demo copies left alone, yards closed a month ago. */
@Injectable()
export class Sweeper implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly log = new Logger('sweeper');
  private timer: NodeJS.Timeout | undefined;

  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => {
      this.sweep().catch((error: unknown) =>
        this.log.warn({ event: 'not swept', says: (error as Error).message }),
      );
    }, 60_000).unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer);
  }

  /** Sweeps if it is time and no other server has: how many yards went, or null when it was not this one's turn. */
  async sweep(): Promise<number | null> {
    const turn = await this.db.raw<{ rowCount: number }>(
      `insert into sweeps (what, at) values ('yards', now())
       on conflict (what) do update set at = now() where sweeps.at <= now() - make_interval(secs => ?)`,
      [EVERY],
    );
    if (turn.rowCount === 0) return null;
    await this.db('yards').where({ demo: true }).increment('idle_seconds', EVERY);
    await this.db.raw(
      `delete from sessions where seen < now() - make_interval(secs => ${IDLE}) or made < now() - make_interval(secs => ${LONGEST})`,
    );
    await this.db.raw(`delete from invites where expires_at < now() - interval '1 day'`);
    await this.db.raw(`delete from heartbeats where at < now() - interval '1 day'`);
    await this.db('throttle').where('expire', '<', Date.now()).delete();
    const { rows } = await this.db.raw<{ rows: { gone: number }[] }>('select sweep_yards(?) as gone', [
      UNUSED,
    ]);
    return rows[0]?.gone ?? 0;
  }
}
