import { randomBytes } from 'node:crypto';
import knexModule, { type Knex } from 'knex';
import { migrate } from '../src/database/database.module.js';
import { migrations } from '../src/database/migrations.js';

const cluster = process.env.DATABASE_URL ?? '';
let admin: Knex;
beforeAll(() => {
  admin = knexModule({ client: 'pg', connection: cluster, pool: { min: 0, max: 2 } });
});
afterAll(() => admin.destroy());

async function onEmpty(does: (url: string, db: Knex) => Promise<void>): Promise<void> {
  const name = `start_${randomBytes(6).toString('hex')}`;
  await admin.raw(`create database ${name}`);
  const url = cluster.replace(/\/[^/]*$/, `/${name}`);
  const db = knexModule({ client: 'pg', connection: url, pool: { min: 0, max: 2 } });
  try {
    await does(url, db);
  } finally {
    await db.destroy();
    await admin.raw(`drop database ${name} with (force)`);
  }
}

const done = async (db: Knex): Promise<string[]> =>
  (await db('knex_migrations').orderBy('id').select<{ name: string }[]>('name')).map((m) => m.name);
const ALL = async (): Promise<string[]> =>
  (await migrations.getMigrations([])).map((m) => migrations.getMigrationName(m));

test('servers that start together on an empty database all end well, every time', async () => {
  for (let n = 0; n < 3; n++)
    await onEmpty(async (url, db) => {
      await Promise.all([migrate(url), migrate(url), migrate(url), migrate(url)]);
      expect(await done(db)).toEqual(await ALL());
    });
});

test('a lock left over by a server that was killed does not block a start', async () => {
  await onEmpty(async (url, db) => {
    await migrate(url);
    await db('knex_migrations_lock').update({ is_locked: 1 });
    await migrate(url);
    expect(await done(db)).toEqual(await ALL());
  });
});

test('a database of the version before is brought along with what it holds', async () => {
  await onEmpty(async (url, db) => {
    const before = (await migrations.getMigrations([])).slice(0, 3);
    await db.migrate.latest({
      migrationSource: { ...migrations, getMigrations: () => Promise.resolve(before) },
    });
    const [a] = await db('accounts')
      .insert({ email: 'old@example.test', password_hash: 'x' })
      .returning<{ id: string }[]>('id');
    const [y] = await db('yards').insert({ name: 'Old' }).returning<{ id: string }[]>('id');
    await db('members').insert({ account_id: a?.id, yard_id: y?.id });
    const document = JSON.stringify({ name: 'Kept', walls: [{}, {}] });
    const [j] = await db('jobs').insert({ yard_id: y?.id, document }).returning<{ id: string }[]>('id');
    await db('records').insert({
      id: '7d3f1f6e-2f63-4b0e-9d4e-0a5f6b1c2d3e',
      yard_id: y?.id,
      job_id: j?.id,
      body: '{}',
    });
    await migrate(url);
    expect(await db('members').first('role')).toEqual({ role: 'owns' });
    expect(await db('jobs').first('name', 'walls', 'revision')).toEqual({
      name: 'Kept',
      walls: 2,
      revision: 1,
    });
    expect(await db('records')).toHaveLength(1);
  });
});
