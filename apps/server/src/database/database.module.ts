import { Global, Inject, Logger, Module, type OnApplicationShutdown } from '@nestjs/common';
import knexModule, { type Knex } from 'knex';
import { SETTINGS, type Settings } from '../settings.js';
import { APP_ROLE, grantAll } from './grants.js';
import { migrations } from './migrations.js';

export const DATABASE = Symbol('database');
/** Where reading may go: a replica where there is one, else the database itself. */
export const DATABASE_READ = Symbol('database for reading');

/** Of all servers on one database, one at a time brings its schema up to date. The number is this program's own. */
const MIGRATING = 727_201_126;

/** Nothing waits for ever: not for a connection, a lock, an answer, nor for a transaction somebody forgot. ms. */
const BOUNDS = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 15_000,
  lock_timeout: 5000,
  idle_in_transaction_session_timeout: 15_000,
  keepAlive: true,
};

/**
 * Brings the schema and what the application may do up to date, as the schema's owner. A server that starts beside another waits for
 * it; the lock goes with the connection that holds it, so that one killed meanwhile stands in nobody's way.
 */
export async function migrate(url: string): Promise<void> {
  const { connectionTimeoutMillis, keepAlive } = BOUNDS;
  const owner = knexModule({
    client: 'pg',
    connection: { connectionString: url, connectionTimeoutMillis, keepAlive },
    pool: { min: 0, max: 3 },
  });
  try {
    await owner.transaction(async (trx) => {
      await trx.raw('select pg_advisory_xact_lock(?)', [MIGRATING]);
      const source = { migrationSource: migrations };
      // Ours is the lock that counts: what another's death has left in the library's own table is wiped off.
      await owner.migrate.forceFreeMigrationsLock(source);
      await owner.migrate.latest(source);
      await grantAll(owner);
    });
  } finally {
    await owner.destroy();
  }
}

const log = new Logger('database');

/** A pool whose queries run as the application's role, which is no superuser and may not change the record. */
function openPool(url: string, max: number, role: string | null): Knex {
  return knexModule({
    client: 'pg',
    connection: { connectionString: url, application_name: 'even-tally', ...BOUNDS },
    acquireConnectionTimeout: 6000,
    log: {
      warn: (said) => log.warn(said),
      error: (said) => log.error(said),
      deprecate: () => undefined,
      debug: () => undefined,
    },
    pool: {
      min: 0,
      max,
      idleTimeoutMillis: 30_000,
      afterCreate: (
        connection: { query: (sql: string, done: (error: Error | null) => void) => void },
        done: (error: Error | null, connection: unknown) => void,
      ) => {
        if (role === null) return done(null, connection);
        connection.query(`set role ${role}`, (error) => done(error, connection));
      },
    },
  });
}

@Global()
@Module({
  providers: [
    {
      provide: DATABASE,
      inject: [SETTINGS],
      useFactory: async (settings: Settings) => {
        await migrate(settings.ownerUrl);
        return openPool(settings.databaseUrl, 10, APP_ROLE);
      },
    },
    {
      provide: DATABASE_READ,
      inject: [SETTINGS, DATABASE],
      useFactory: (settings: Settings, db: Knex) =>
        settings.readUrl === null ? db : openPool(settings.readUrl, 10, APP_ROLE),
    },
  ],
  exports: [DATABASE, DATABASE_READ],
})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(
    @Inject(DATABASE) private readonly db: Knex,
    @Inject(DATABASE_READ) private readonly reading: Knex,
  ) {}

  async onApplicationShutdown(): Promise<void> {
    await this.db.destroy();
    if (this.reading !== this.db) await this.reading.destroy();
  }
}
