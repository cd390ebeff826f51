import type { Agent } from 'supertest';
import request from 'supertest';
import { addedJob, job, newcomer, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let agent: Agent;
beforeAll(async () => {
  server = await startServer();
  agent = await newcomer(server);
});
afterAll(() => server.close());

test('a job is kept, read back equal and exported in the order of the form', async () => {
  const document = job();
  const kept = await addedJob(agent, Object.fromEntries(Object.entries(document).reverse()));
  const { body } = await agent.get(`/api/jobs/${kept.id}`).expect(200);
  expect((body as Kept).document).toEqual(document);
  const file = await agent.get(`/api/jobs/${kept.id}/file`).expect(200);
  expect(file.headers['content-disposition']).toMatch(/attachment/);
  expect(Object.keys(JSON.parse(file.text) as object)).toEqual([
    'format',
    'version',
    'name',
    'show',
    'profile',
    'walls',
  ]);
});

test('a save raises the revision; a stale one is refused with the newer document and changes nothing', async () => {
  const kept = await addedJob(agent);
  const second = await agent
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: 1, document: job('Second') })
    .expect(200);
  expect(second.body).toMatchObject({ revision: 2, document: { name: 'Second' } });
  const stale = await agent
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: 1, document: job('Stale') })
    .expect(409);
  expect(stale.body).toMatchObject({
    says: expect.stringContaining('revision 2') as string,
    newer: { revision: 2, document: { name: 'Second' } },
  });
  expect((await agent.get(`/api/jobs/${kept.id}`)).body).toMatchObject({
    revision: 2,
    document: { name: 'Second' },
  });
});

test('of many saves on one revision exactly one is taken', async () => {
  const kept = await addedJob(agent);
  const all = await Promise.all(
    Array.from({ length: 8 }, (_, i) =>
      agent.put(`/api/jobs/${kept.id}`).send({ revision: 1, document: job(`Hand ${i}`) }),
    ),
  );
  expect(all.filter((r) => r.status === 200)).toHaveLength(1);
  expect(all.filter((r) => r.status === 409)).toHaveLength(7);
});

const deep = (n: number): string => `{"document":${'['.repeat(n)}${']'.repeat(n)}}`;
const wall = (change: object): object => ({
  ...job(),
  walls: [{ ...(job().walls as object[])[0], ...change }],
});

test.each<[string, object, RegExp]>([
  ['a wrong length', wall({ height: 'tall' }), /\/walls\/0\/height: wanted a length.*got "tall"/],
  [
    'a zero joint',
    wall({ build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', head: 0 } }),
    /\/build\/head: wanted more than 0, got 0/,
  ],
  ['a wall of 10 km', wall({ line: [{ run: '10000 m' }] }), /wanted at most 1000 m, got "10000 m"/],
  [
    'an opening wider than its run',
    wall({ openings: [{ id: 'a', run: 0, at: "4'", width: "40'", sill: 0, head: "6'" }] }),
    /inside its run/,
  ],
  [
    'overlapping openings',
    wall({
      openings: [
        { id: 'a', run: 0, at: "4'", width: "4'", sill: 0, head: "6'" },
        { id: 'b', run: 0, at: "6'", width: "4'", sill: 0, head: "6'" },
      ],
    }),
    /b overlaps or touches a/,
  ],
  ['another version', { ...job(), version: 9 }, /\/version: wanted version 1, got version 9/],
  ['a NUL in a name', { ...job(), name: 'a\u0000' }, /\/name: wanted text without control characters/],
  ['a lone surrogate in a name', { ...job(), name: 'a\ud800' }, /\/name: wanted whole characters/],
])('%s is refused with the field and both sides, and nothing is kept', async (_name, document, says) => {
  const kept = await addedJob(agent);
  const put = await agent.put(`/api/jobs/${kept.id}`).send({ revision: 1, document }).expect(400);
  expect((put.body as { says: string }).says).toMatch(says);
  expect((put.body as { says: string }).says).not.toContain('\n');
  await agent.post('/api/jobs').send({ document }).expect(400);
  expect((await agent.get(`/api/jobs/${kept.id}`)).body).toMatchObject({ revision: 1, document: job() });
});

const raw = (body: string): Promise<request.Response> =>
  agent
    .post('/api/jobs')
    .set('Content-Type', 'application/json')
    .send(body)
    .then((r) => r);

test('a NaN, JSON nested 50 000 deep, text that is no JSON and 50 MB are refused in one sentence', async () => {
  const before = ((await agent.get('/api/jobs')).body as unknown[]).length;
  const answers = [
    await raw('{"document": {"height": NaN}}'),
    await raw(deep(50_000)),
    await raw('{'),
    await raw(`"${'x'.repeat(50 * 1024 * 1024)}"`),
  ];
  expect(answers.map((a) => a.status)).toEqual([400, 400, 400, 413]);
  expect(answers.map((a) => (a.body as { says: string }).says)).toEqual([
    'Wanted JSON, got text that does not parse.',
    'Wanted nesting of at most 64, got 50001.',
    'Wanted JSON, got text that does not parse.',
    'Wanted at most 5 MB, got more.',
  ]);
  expect((await agent.get('/api/jobs')).body).toHaveLength(before);
});

test('a script in a name is a legal name and comes back as text', async () => {
  const kept = await addedJob(agent, job('<script>alert(1)</script>'));
  const answer = await agent.get(`/api/jobs/${kept.id}`);
  expect(answer.headers['content-type']).toMatch(/application\/json/);
  expect((answer.body as Kept).document.name).toBe('<script>alert(1)</script>');
});

test.each(['revision', 'document'])('a save without its %s is refused', async (key) => {
  const kept = await addedJob(agent);
  const body: Record<string, unknown> = { revision: 1, document: job() };
  delete body[key];
  const { body: answer } = await agent.put(`/api/jobs/${kept.id}`).send(body).expect(400);
  expect((answer as { says: string }).says).toContain(`${key}: wanted`);
});

test('an id that is none, and one that is nobody’s, are not found', async () => {
  await agent.get('/api/jobs/nonsense').expect(404);
  await agent.get('/api/jobs/00000000-0000-4000-8000-000000000000').expect(404);
});

test('a job thrown away is gone', async () => {
  const kept = await addedJob(agent);
  await agent.delete(`/api/jobs/${kept.id}`).expect(204);
  await agent.get(`/api/jobs/${kept.id}`).expect(404);
  await agent.delete(`/api/jobs/${kept.id}`).expect(404);
});

test('health answers, security headers stand, the API page and document are there', async () => {
  const health = await request(server.http).get('/api/health').expect(200);
  expect(health.body).toEqual({ ok: true });
  expect(health.headers['content-security-policy']).toMatch(/script-src 'self'/);
  expect(health.headers['x-content-type-options']).toBe('nosniff');
  expect(health.headers['x-powered-by']).toBeUndefined();
  await request(server.http).get('/api/docs').expect(200);
  const { body } = await request(server.http).get('/api/docs-json').expect(200);
  expect(Object.keys((body as { paths: object }).paths)).toContain('/api/jobs/{jobId}');
});
