import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { appendFileSync, chmodSync, chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import knexModule from 'knex';
import request, { type Agent } from 'supertest';
import { buildApp } from '../src/app.js';
import { usualSettings } from '../src/settings.js';
import { job, type Kept } from './support.js';

/** A primary and a streaming standby of it, made from Debian's programs and thrown away. */
const programs = '/usr/lib/postgresql';
const bin = existsSync(programs)
  ? (readdirSync(programs)
      .sort((a, b) => Number(b) - Number(a))
      .map((v) => join(programs, v, 'bin'))
      .find((b) => existsSync(join(b, 'pg_basebackup'))) ?? '')
  : '';
const root = process.getuid?.() === 0;
const as = (program: string, args: string[]): [string, string[]] =>
  root ? ['runuser', ['-u', 'postgres', '--', join(bin, program), ...args]] : [join(bin, program), args];
const run = (program: string, ...args: string[]): string =>
  execFileSync(...as(program, args), { cwd: '/', encoding: 'utf8', stdio: 'pipe' });

let home: string;
const running: ChildProcess[] = [];

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

async function start(folder: string, port: number): Promise<string> {
  const child = spawn(
    ...as('postgres', [
      '-D',
      folder,
      '-p',
      `${port}`,
      '-c',
      'listen_addresses=127.0.0.1',
      '-c',
      'unix_socket_directories=',
    ]),
    { cwd: '/', stdio: 'ignore' },
  );
  running.push(child);
  const url = `postgres://tally@127.0.0.1:${port}/postgres`;
  for (let n = 0; n < 200; n++) {
    const db = knexModule({ client: 'pg', connection: url, pool: { min: 0, max: 1 } });
    const up = await db.raw('select 1').then(
      () => true,
      () => false,
    );
    await db.destroy();
    if (up) return url;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`PostgreSQL in ${folder} does not answer`);
}

async function serve(databaseUrl: string, readUrl: string | null): Promise<NestExpressApplication> {
  const app = await buildApp(
    usualSettings({ databaseUrl, readUrl, sessionSecret: 'x'.repeat(32), logLevel: 'silent' }),
  );
  await app.listen(0, '127.0.0.1');
  return app;
}

beforeAll(() => {
  home = mkdtempSync(join(tmpdir(), 'even-tally-standby-'));
  chmodSync(home, 0o711);
  if (root) {
    const id = Number(execFileSync('id', ['-u', 'postgres'], { encoding: 'utf8' }));
    chownSync(home, id, id);
  }
});
afterAll(() => {
  for (const folder of ['primary', 'standby'])
    try {
      run('pg_ctl', '-D', join(home, folder), '-m', 'immediate', 'stop');
    } catch {
      // Stopped already.
    }
  for (const child of running) child.kill('SIGKILL');
  rmSync(home, { recursive: true, force: true });
});

test('lists are read from a standby; it is promoted under load, and nothing acknowledged is lost', async () => {
  const [primary, standby] = [join(home, 'primary'), join(home, 'standby')];
  const [one, two] = [await freePort(), await freePort()];
  run('initdb', '-D', primary, '-U', 'tally', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8');
  const first = await start(primary, one);
  run('pg_basebackup', '-h', '127.0.0.1', '-p', `${one}`, '-U', 'tally', '-D', standby, '-R', '-X', 'stream');
  appendFileSync(
    join(standby, 'postgresql.auto.conf'),
    `primary_conninfo = 'host=127.0.0.1 port=${one} user=tally application_name=standby'\n`,
  );
  const second = await start(standby, two);
  const owner = knexModule({ client: 'pg', connection: first, pool: { min: 0, max: 1 } });
  // A save is acknowledged when the standby has it on its disk; applied too, so that a list read there is never behind.
  await owner.raw(`alter system set synchronous_standby_names = 'standby'`);
  await owner.raw(`alter system set synchronous_commit = 'remote_apply'`);
  await owner.raw('select pg_reload_conf()');
  await owner.destroy();

  const app = await serve(first, second);
  const agent: Agent = request.agent(app.getHttpServer());
  await agent
    .post('/api/accounts')
    .send({ email: 'twice@example.test', password: 'four courses a day', yard: 'Two' })
    .expect(201);
  const kept = (
    await agent
      .post('/api/jobs')
      .send({ document: job('On both') })
      .expect(201)
  ).body as Kept;
  const lines = (await agent.get('/api/jobs').expect(200)).body as { name: string }[];
  expect(lines.map((l) => l.name)).toEqual(['On both']);
  await agent.get(`/api/jobs/${kept.id}/exports/pdf:pole?wall=n`).expect(200);

  let acknowledged = kept.revision;
  let gone = false;
  const load = (async () => {
    while (!gone) {
      const answer = await agent
        .put(`/api/jobs/${kept.id}`)
        .send({ revision: acknowledged, document: job(`Save ${acknowledged}`), save: randomUUID() })
        .ok(() => true)
        .then(
          (r) => r,
          () => null,
        );
      if (answer?.status === 200) acknowledged = (answer.body as Kept).revision;
    }
  })();
  while (acknowledged < 40) await new Promise((r) => setTimeout(r, 20));
  run('pg_ctl', '-D', primary, '-m', 'immediate', 'stop');
  run('pg_ctl', '-D', standby, '-w', 'promote');
  gone = true;
  await load;
  await app.close();

  const after = await serve(second, null);
  const again: Agent = request.agent(after.getHttpServer());
  await again
    .post('/api/session')
    .send({ email: 'twice@example.test', password: 'four courses a day' })
    .expect(200);
  const now = (await again.get(`/api/jobs/${kept.id}`).expect(200)).body as Kept & {
    document: { name: string };
  };
  // At most the one that was on its way has come as well.
  expect(now.revision - acknowledged).toBeGreaterThanOrEqual(0);
  expect(now.revision - acknowledged).toBeLessThanOrEqual(1);
  expect(now.document.name).toBe(`Save ${now.revision - 1}`);
  await again
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: now.revision, document: job('Goes on') })
    .expect(200);
  await after.close();
}, 120_000);
