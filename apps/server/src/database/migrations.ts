import type { Knex } from 'knex';
import { keeping } from './migrations/0004-keeping.js';
import { yardUnits } from './migrations/0005-yard-units.js';

interface Migration {
  name: string;
  up(knex: Knex): Promise<void>;
  down(knex: Knex): Promise<void>;
}

const first: Migration = {
  name: '0001-yards-and-jobs',
  async up(knex) {
    await knex.schema.createTable('accounts', (t) => {
      t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
      // A visitor of the demo yard has neither; both are needed to sign in.
      t.text('email').unique();
      t.text('password_hash');
      t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
    });
    await knex.schema.createTable('yards', (t) => {
      t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
      t.text('name').notNullable();
      t.boolean('demo').notNullable().defaultTo(false);
      t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
    });
    await knex.schema.createTable('members', (t) => {
      t.uuid('account_id').notNullable().references('accounts.id').onDelete('CASCADE');
      t.uuid('yard_id').notNullable().references('yards.id').onDelete('CASCADE');
      t.primary(['account_id', 'yard_id']);
    });
    await knex.schema.createTable('jobs', (t) => {
      t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'));
      t.uuid('yard_id').notNullable().references('yards.id').onDelete('CASCADE').index();
      // The order jobs came in: several may share one instant.
      t.specificType('place', 'bigint generated always as identity');
      t.jsonb('document').notNullable();
      t.integer('revision').notNullable().defaultTo(1);
      t.timestamp('created_at').notNullable().defaultTo(knex.fn.now());
      t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now());
    });
    await knex.schema.createTable('demo_jobs', (t) => {
      t.text('name').primary();
      t.integer('place').notNullable();
      t.jsonb('document').notNullable();
    });
    // The shape connect-pg-simple expects.
    await knex.schema.createTable('session', (t) => {
      t.text('sid').primary();
      t.jsonb('sess').notNullable();
      t.timestamp('expire', { useTz: true }).notNullable().index();
    });
  },
  async down(knex) {
    for (const table of ['session', 'demo_jobs', 'jobs', 'members', 'yards', 'accounts']) {
      await knex.schema.dropTableIfExists(table);
    }
  },
};

const records: Migration = {
  name: '0002-records',
  async up(knex) {
    await knex.schema.createTable('records', (t) => {
      t.uuid('id').primary();
      t.uuid('yard_id').notNullable().references('yards.id').onDelete('CASCADE');
      t.uuid('job_id').notNullable().references('jobs.id').onDelete('CASCADE');
      t.specificType('place', 'bigint generated always as identity');
      t.timestamp('at').notNullable().defaultTo(knex.fn.now());
      t.jsonb('body').notNullable();
      t.index(['job_id', 'place']);
    });
  },
  async down(knex) {
    await knex.schema.dropTableIfExists('records');
  },
};

/** Whose account an entry came from. What an entry says of itself is in its body; the server's time stays in `at`. */
const recordMembers: Migration = {
  name: '0003-record-members',
  async up(knex) {
    await knex.schema.alterTable('records', (t) => {
      t.uuid('member');
    });
  },
  async down(knex) {
    await knex.schema.alterTable('records', (t) => {
      t.dropColumn('member');
    });
  },
};

/** Migrations in code, so that they run alike from the build and under tests. */
export const migrations: Knex.MigrationSource<Migration> = {
  getMigrations: () => Promise.resolve([first, records, recordMembers, keeping, yardUnits]),
  getMigrationName: (m) => m.name,
  getMigration: (m) => Promise.resolve(m),
};
