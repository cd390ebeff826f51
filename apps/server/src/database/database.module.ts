import { Global, Inject, Module, type OnApplicationShutdown } from '@nestjs/common';
import knexModule, { type Knex } from 'knex';
import { SETTINGS, type Settings } from '../settings.js';
import { migrations } from './migrations.js';

export const DATABASE = Symbol('database');

/** Opens the pool and brings the schema up to date. */
export async function openDatabase(url: string): Promise<Knex> {
  const knex = knexModule({ client: 'pg', connection: url, pool: { min: 0, max: 10 } });
  await knex.migrate.latest({ migrationSource: migrations });
  return knex;
}

@Global()
@Module({
  providers: [
    {
      provide: DATABASE,
      inject: [SETTINGS],
      useFactory: (settings: Settings) => openDatabase(settings.databaseUrl),
    },
  ],
  exports: [DATABASE],
})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async onApplicationShutdown(): Promise<void> {
    await this.db.destroy();
  }
}
