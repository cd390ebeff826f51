import type { Knex } from 'knex';
import request, { type Agent } from 'supertest';
import { usualSettings } from '../src/settings.js';
import { buildApp } from '../src/app.js';
import { addedJob, newcomer, startBeside, startServer, type TestServer } from './support.js';

let server: TestServer;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.close());

const WHO = { email: 'lime@example.test', password: 'a long enough word' };
const enter = async (): Promise<Agent> => {
  const agent = request.agent(server.http);
  await agent.post('/api/session').send(WHO).expect(200);
  return agent;
};
const isIn = async (agent: Agent): Promise<boolean> => (await agent.get('/api/jobs')).status === 200;
const rows = (): Knex.QueryBuilder =>
  server.db('sessions').whereIn('account_id', server.db('accounts').where({ email: WHO.email }).select('id'));

beforeAll(async () => {
  await request(server.http)
    .post('/api/accounts')
    .send({ ...WHO, yard: 'Lime' })
    .expect(201);
});

test('a session ends after twelve hours unused and after thirty days whatever happens', async () => {
  const [idle, old, used] = [await enter(), await enter(), await enter()];
  const lines = (await used.get('/api/sessions')).body as { id: string; here: boolean }[];
  expect(lines.filter((l) => l.here)).toHaveLength(1);
  const ids = await rows().orderBy('made').select<{ id: string }[]>('id');
  const [, first, second] = ids.map((r) => r.id);
  await server
    .db('sessions')
    .where({ id: first })
    .update({ seen: server.db.raw(`now() - interval '12 hours 1 minute'`) });
  await server
    .db('sessions')
    .where({ id: second })
    .update({ made: server.db.raw(`now() - interval '30 days 1 minute'`) });
  expect([await isIn(idle), await isIn(old), await isIn(used)]).toEqual([false, false, true]);
});

test('its last use is written once a minute, and not at each request', async () => {
  const agent = await enter();
  const id = ((await agent.get('/api/sessions')).body as { id: string; here: boolean }[]).find(
    (l) => l.here,
  )?.id;
  const seen = async (): Promise<string> =>
    (await server.db('sessions').whereLike('id', `${id}%`).first<{ seen: Date }>('seen')).seen.toISOString();
  const before = await seen();
  for (let i = 0; i < 3; i++) await isIn(agent);
  expect(await seen()).toBe(before);
  await server
    .db('sessions')
    .whereLike('id', `${id}%`)
    .update({ seen: server.db.raw(`now() - interval '2 minutes'`) });
  await isIn(agent);
  expect(Date.parse(await seen())).toBeGreaterThan(Date.now() - 60_000);
});

test('what the cookie holds is kept nowhere, and no secret is in the list', async () => {
  const answer = await request(server.http)
    .post('/api/session')
    .set('User-Agent', 'Trowel/1.0')
    .send(WHO)
    .expect(200);
  const cookie =
    decodeURIComponent(String(answer.headers['set-cookie']))
      .replace(/^tally=s:/, '')
      .split('.')[0] ?? '';
  expect(cookie.length).toBeGreaterThan(40);
  const kept = JSON.stringify(await server.db('sessions'));
  expect(kept).not.toContain(cookie);
  expect(kept).toContain('Trowel/1.0');
});

test('one session is ended from another, and all of them at once', async () => {
  const [here, there, third] = [await enter(), await enter(), await enter()];
  const lines = (await there.get('/api/sessions')).body as { id: string; here: boolean }[];
  const mine = lines.find((l) => l.here)?.id;
  await here.delete(`/api/sessions/${mine}`).expect(204);
  expect([await isIn(here), await isIn(there)]).toEqual([true, false]);
  await here.delete(`/api/sessions/${mine}`).expect(404);
  await here.delete('/api/sessions/%25').expect(404);
  await third.post('/api/sessions/end').expect(204);
  expect([await isIn(here), await isIn(third)]).toEqual([false, false]);
});

test('nobody ends the session of another', async () => {
  const [mine, stranger] = [await enter(), await newcomer(server, 'Strangers')];
  const id = ((await mine.get('/api/sessions')).body as { id: string; here: boolean }[]).find(
    (l) => l.here,
  )?.id;
  await stranger.delete(`/api/sessions/${id}`).expect(404);
  expect(await isIn(mine)).toBe(true);
});

test('a password is changed with the old one, to another that is not easily guessed, and every other session ends', async () => {
  const [agent, other] = [await enter(), await enter()];
  const change = (old: string, password: string): request.Test =>
    agent.post('/api/account/password').send({ old, password });
  expect((await change('not the old one', 'three level courses')).status).toBe(401);
  expect((await change(WHO.password, 'password1234')).status).toBe(400);
  expect((await change(WHO.password, WHO.password)).status).toBe(400);
  expect([await isIn(agent), await isIn(other)]).toEqual([true, true]);
  await change(WHO.password, 'three level courses').expect(200);
  expect([await isIn(agent), await isIn(other)]).toEqual([true, false]);
  await request(server.http).post('/api/session').send(WHO).expect(401);
  WHO.password = 'three level courses';
  await enter();
});

test('a yard is closed with the password asked again; its members are out and its rows stand', async () => {
  const agent = await newcomer(server, 'Closing');
  const kept = await addedJob(agent);
  await agent.post('/api/yard/close').send({ password: 'a guess at it' }).expect(401);
  expect(await isIn(agent)).toBe(true);
  await agent.post('/api/yard/close').send({ password: 'a long enough word' }).expect(204);
  expect(await isIn(agent)).toBe(false);
  expect(await server.db('jobs').where({ id: kept.id })).toHaveLength(1);
});

test('a closed account is out at once, and its address and password with it', async () => {
  const agent = await newcomer(server, 'Leaving');
  const { email } = (await agent.get('/api/session')).body as { email: string };
  const elsewhere = request.agent(server.http);
  await elsewhere.post('/api/session').send({ email, password: 'a long enough word' }).expect(200);
  await agent.post('/api/account/close').send({ password: 'a long enough word' }).expect(204);
  expect([await isIn(agent), await isIn(elsewhere)]).toEqual([false, false]);
  await elsewhere.post('/api/session').send({ email, password: 'a long enough word' }).expect(401);
  expect(JSON.stringify(await server.db('accounts'))).not.toContain(email);
});

test('two servers count tries together; one account tried too often keeps nobody else at that address out', async () => {
  const beside = await startBeside(server);
  await newcomer(server, 'Same site');
  const { email } = (await (await newcomer(server, 'Same site too')).get('/api/session')).body as {
    email: string;
  };
  const statuses: number[] = [];
  for (let i = 0; i < 12; i++)
    statuses.push(
      (
        await request(i % 2 ? server.http : beside.http)
          .post('/api/session')
          .send({ email: 'tried@example.test', password: `guess number ${i}` })
      ).status,
    );
  expect(statuses.filter((s) => s === 401)).toHaveLength(8);
  expect(statuses.slice(8)).toEqual([429, 429, 429, 429]);
  await request(beside.http).post('/api/session').send({ email, password: 'a long enough word' }).expect(200);
  await beside.close();
});

test('an account tried from everywhere is put off for strangers, and open still to where it is known from', async () => {
  const app = await buildApp(
    usualSettings({
      databaseUrl: server.url,
      proxies: 1,
      host: '0.0.0.0',
      sessionSecret: 'x'.repeat(32),
      logLevel: 'silent',
    }),
  );
  await app.listen(0, '127.0.0.1');
  const from = (name: string, password: string): Promise<number> =>
    request(app.getHttpServer())
      .post('/api/session')
      .set('X-Forwarded-For', name)
      .send({ email: WHO.email, password })
      .then((r) => r.status);
  expect(await from('192.0.2.1', WHO.password)).toBe(200);
  const statuses = [];
  for (let i = 0; i < 55; i++) statuses.push(await from(`198.51.100.${i}`, `guess number ${i}`));
  expect(new Set(statuses.slice(0, 40))).toEqual(new Set([401]));
  expect(statuses.at(-1)).toBe(429);
  expect(await from('203.0.113.9', WHO.password)).toBe(429);
  expect(await from('192.0.2.1', WHO.password)).toBe(200);
  await app.close();
});

test('signing in rightly, however often, is held against nobody', async () => {
  for (let i = 0; i < 12; i++) await enter();
});

test('private answers are kept by nobody on the way; what the policy lets in is only from here', async () => {
  const agent = await enter();
  for (const path of ['/api/jobs', '/api/session', '/api/members', '/api/nothing']) {
    const { headers } = await agent.get(path);
    expect(headers['cache-control']).toBe('no-store');
    expect(headers['content-security-policy']).not.toMatch(/https:|http:|\*|unsafe/);
    expect(headers['strict-transport-security']).toBeUndefined();
  }
});

test('behind a proxy that speaks TLS: __Host-, Secure, HSTS, no map of the API, and the address the proxy says', async () => {
  const app = await buildApp(
    usualSettings({
      databaseUrl: server.url,
      proxies: 1,
      host: '0.0.0.0',
      sessionSecret: 'x'.repeat(32),
      logLevel: 'silent',
    }),
  );
  await app.listen(0, '127.0.0.1');
  const http = app.getHttpServer();
  const through = (name: string): request.Test =>
    request(http).post('/api/session').set('X-Forwarded-Proto', 'https').set('X-Forwarded-For', name);
  const answer = await through('192.0.2.1').send(WHO).expect(200);
  expect(String(answer.headers['set-cookie'])).toMatch(
    /^__Host-tally=[^;]+; Path=\/; Expires=[^;]+; HttpOnly; Secure; SameSite=Lax$/,
  );
  expect(answer.headers['strict-transport-security']).toMatch(/max-age=31536000/);
  expect((await request(http).get('/api/docs')).status).toBe(404);
  expect((await request(http).get('/api/docs-json')).status).toBe(404);
  await app.close();
});
