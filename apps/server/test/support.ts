import { execFile } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import type { Server } from 'node:http';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import knexModule, { type Knex } from 'knex';
import request, { type Agent } from 'supertest';
import { buildApp } from '../src/app.js';
import { DATABASE } from '../src/database/database.module.js';
import { usualSettings, type Settings } from '../src/settings.js';

export interface TestServer {
  app: NestExpressApplication;
  http: Server;
  db: Knex;
  url: string;
  close: () => Promise<void>;
}

const quiet = (given: Parameters<typeof usualSettings>[0]): Settings =>
  usualSettings({ sessionSecret: 'x'.repeat(32), logLevel: 'silent', ...given });

/** A second server on the database of another. */
export async function startBeside(first: TestServer): Promise<Pick<TestServer, 'http' | 'close'>> {
  const app = await buildApp(quiet({ databaseUrl: first.url }));
  await app.listen(0, '127.0.0.1');
  return { http: app.getHttpServer(), close: () => app.close() };
}

/** A server on a database of its own, dropped at the end. The cluster is the one `./tally test` started. */
export async function startServer(options: Partial<Settings> = {}): Promise<TestServer> {
  const cluster = process.env.DATABASE_URL;
  if (!cluster) throw new Error('DATABASE_URL is not set: run the tests by ./tally test');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = knexModule({ client: 'pg', connection: cluster, pool: { min: 0, max: 1 } });
  await admin.raw(`create database ${name}`);
  const url = cluster.replace(/\/[^/]*$/, `/${name}`);
  const app = await buildApp(quiet({ databaseUrl: url, demo: true, ...options }));
  await app.listen(0, '127.0.0.1');
  return {
    app,
    http: app.getHttpServer(),
    db: app.get<Knex>(DATABASE),
    url,
    close: async () => {
      await app.close();
      await admin.raw(`drop database ${name} with (force)`);
      await admin.destroy();
    },
  };
}

let people = 0;

/** Somebody with a yard of their own, signed in. */
export async function newcomer(server: TestServer, yard = 'Crew'): Promise<Agent> {
  const agent = request.agent(server.http);
  const { body } = await agent
    .post('/api/accounts')
    .send({ email: `mason${++people}@example.test`, password: 'a long enough word', yard })
    .expect(201);
  expect(body).toMatchObject({ signedIn: true, yard: { name: yard } });
  return agent;
}

export const job = (name = 'Boat store', wall: object = {}): Record<string, unknown> => ({
  format: 'even-tally/job',
  version: 1,
  name,
  show: 'ft-in',
  profile: 'us',
  walls: [
    {
      id: 'n',
      name: 'North',
      line: [{ run: "24'" }],
      height: '8\' 8"',
      build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
      ...wall,
    },
  ],
});

export interface Kept {
  id: string;
  revision: number;
  document: Record<string, unknown>;
}

export async function addedJob(agent: Agent, document = job()): Promise<Kept> {
  const { body } = await agent.post('/api/jobs').send({ document }).expect(201);
  return body as Kept;
}

/** The text of a printed document, read back by another program. */
export function readPdf(pdf: Buffer): Promise<string> {
  return new Promise((resolve, reject) => {
    const child = execFile(
      process.execPath,
      [join(__dirname, '../../../tools/read-pdf.mjs')],
      { maxBuffer: 1e7 },
      (error, out) => (error ? reject(new Error(error.message)) : resolve(out)),
    );
    child.stdin?.end(pdf);
  });
}
