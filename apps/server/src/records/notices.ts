import { Inject, Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import pg from 'pg';
import type { Knex } from 'knex';
import { APP_ROLE } from '../database/grants.js';
import { SETTINGS, type Settings } from '../settings.js';

const CHANNEL = 'even_tally_record';
/** A connection that was lost is made anew after so long, ms. */
const AGAIN = 1000;

/** Told when a job's record has grown: up to where, or null where it may have while nobody could hear. */
export type Heard = (place: number | null) => void;

/** Tells everybody who listens, here and at the other servers, once the transaction is through. It says which job and how far, and nothing of what. */
export const noticeOf = (trx: Knex, job: string, place: number): Promise<unknown> =>
  Promise.resolve(trx.raw('select pg_notify(?, ?)', [CHANNEL, JSON.stringify({ job, place })]));

/** One connection outside the pool that hears when records grow. It is made when somebody first listens. */
@Injectable()
export class Notices implements OnApplicationShutdown {
  private readonly log = new Logger('notices');
  private readonly heard = new Map<string, Set<Heard>>();
  private client: pg.Client | null = null;
  private timer: NodeJS.Timeout | null = null;
  private closed = false;

  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  /** Listens to one job. Gives what stops it. */
  async listen(job: string, heard: Heard): Promise<() => void> {
    const all = this.heard.get(job) ?? new Set();
    this.heard.set(job, all.add(heard));
    await this.connect();
    return () => {
      all.delete(heard);
      if (all.size === 0) this.heard.delete(job);
    };
  }

  async onApplicationShutdown(): Promise<void> {
    this.closed = true;
    if (this.timer) clearTimeout(this.timer);
    const { client } = this;
    this.client = null;
    await client?.end().catch(() => undefined);
  }

  private async connect(): Promise<void> {
    if (this.client || this.closed) return;
    const client = new pg.Client({
      connectionString: this.settings.databaseUrl,
      application_name: 'even-tally notices',
      connectionTimeoutMillis: 5000,
      keepAlive: true,
    });
    this.client = client;
    client.on('notification', ({ payload }) => this.tell(payload ?? ''));
    client.on('error', () => this.lost(client));
    client.on('end', () => this.lost(client));
    try {
      await client.connect();
      await client.query(`set role ${APP_ROLE}`);
      await client.query(`listen ${CHANNEL}`);
    } catch (error) {
      this.log.warn(error instanceof Error ? error.message : 'no connection to listen on');
      this.lost(client);
    }
  }

  /** What was said meanwhile is not said again: everybody looks for themselves once there is a connection. */
  private lost(client: pg.Client): void {
    if (this.client !== client) return;
    this.client = null;
    client.end().catch(() => undefined);
    if (this.closed || this.timer) return;
    this.timer = setTimeout(() => {
      this.timer = null;
      void this.connect().then(() => {
        if (this.client) for (const all of this.heard.values()) for (const heard of all) heard(null);
      });
    }, AGAIN);
  }

  private tell(payload: string): void {
    const { job, place } = JSON.parse(payload) as { job: string; place: number };
    for (const heard of this.heard.get(job) ?? []) heard(place);
  }
}
