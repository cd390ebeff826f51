import { gzipSync } from 'node:zlib';
import { randomUUID } from 'node:crypto';
import request, { type Agent } from 'supertest';
import { addedJob, job, newcomer, startServer, type TestServer } from './support.js';

let server: TestServer;
let agent: Agent;
beforeAll(async () => {
  server = await startServer();
  agent = await newcomer(server);
});
afterAll(() => server.close());

const raw = (
  path: string,
  body: string | Buffer,
  headers: Record<string, string> = {},
): Promise<request.Response> => {
  const asked = agent.post(path).set('Content-Type', 'application/json').set(headers);
  return asked
    .serialize((b: unknown) => b as string)
    .send(body as string)
    .then((r) => r);
};
const says = (r: request.Response): string => (r.body as { says: string }).says;

test.each([
  [
    'a sign-in of 500 000 keys',
    '/api/session',
    `{${'"k":1,'.repeat(1000)}"z":1}`.repeat(1),
    413,
    /at most 4 kB/,
  ],
  [
    'a document of more keys and values than there is use for',
    '/api/jobs',
    `{"document":[${'1,'.repeat(600_001)}1]}`,
    400,
    /at most 600000 keys and values/,
  ],
  ['a list where an object is wanted', '/api/session', '[1]', 400, /a JSON object/],
  ['a record entry of a megabyte', '/api/jobs/x/record', `{"id":"${'x'.repeat(1e6)}"}`, 413, /at most 64 kB/],
  ['a key every object has', '/api/session', '{"constructor":1}', 400, /constructor: wanted nothing/],
  [
    'a key every object has, beside a document',
    '/api/jobs',
    '{"document":{},"toString":1}',
    400,
    /toString: wanted nothing/,
  ],
  ['bytes that are not UTF-8', '/api/jobs', Buffer.from([0x7b, 0xff, 0xfe, 0x7d]), 400, /UTF-8/],
])('%s is refused before anything walks it', async (_what, path, body, status, sentence) => {
  const answer = await raw(path, body);
  expect({ status: answer.status, says: says(answer) }).toEqual({
    status,
    says: expect.stringMatching(sentence) as string,
  });
});

test.each([
  ['text', { 'Content-Type': 'text/plain' }, /Wanted JSON/],
  ['a form', { 'Content-Type': 'application/x-www-form-urlencoded' }, /Wanted JSON/],
  ['UTF-7', { 'Content-Type': 'application/json; charset=utf-7' }, /in UTF-8, got utf-7/],
  ['UTF-16', { 'Content-Type': 'application/json;charset="UTF-16"' }, /in UTF-8, got utf-16/],
  ['what is packed', { 'Content-Encoding': 'gzip' }, /got it packed/],
])('%s is answered 415', async (_what, headers, sentence) => {
  const answer = await raw('/api/session', gzipSync('{}'), headers);
  expect([answer.status, says(answer)]).toEqual([415, expect.stringMatching(sentence)]);
});

test('a large document is checked beside the others: somebody who asks meanwhile is answered first', async () => {
  const openings = Array.from({ length: 400 }, (_, i) => ({
    id: `o${i}`,
    run: 0,
    at: 500 + i * 2000,
    width: 600,
    sill: 900,
    head: 1800,
  }));
  const wall = (id: string): object => ({
    id,
    name: 'W'.repeat(190),
    line: [{ run: 900_000 }],
    height: 2400,
    build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
    openings,
  });
  const document = { ...job('Large'), walls: ['a', 'b', 'c', 'd'].map(wall) };
  const order: string[] = [];
  await Promise.all([
    agent
      .post('/api/jobs')
      .send({ document })
      .expect(201)
      .then(() => order.push('large')),
    new Promise((resolve) => setTimeout(resolve, 20)).then(() =>
      agent
        .get('/api/health')
        .expect(200)
        .then(() => order.push('health')),
    ),
  ]);
  expect(order).toEqual(['health', 'large']);
});

test('a yard prints so many sheets a minute and is told how long to wait', async () => {
  const printer = await newcomer(server, 'Printers');
  const kept = await addedJob(printer);
  const statuses: number[] = [];
  let last: request.Response | undefined;
  // A sheet nobody has is counted like another, and costs nothing to make.
  for (let i = 0; i < 61; i++) {
    last = await printer.get(`/api/jobs/${kept.id}/exports/pdf:tape?wall=none`);
    statuses.push(last.status);
  }
  expect(statuses.slice(0, 60).every((s) => s === 404)).toBe(true);
  expect(last?.status).toBe(429);
  expect(Number(last?.headers['retry-after'])).toBeGreaterThan(0);
  expect(says(last as request.Response)).toMatch(/Wait .* and try again/);
});

test('a yard holds 500 jobs and no more, those put away among them', async () => {
  const full = await newcomer(server, 'Full');
  const kept = await addedJob(full);
  const { yard_id } = (await server.db('jobs').where({ id: kept.id }).first()) as { yard_id: string };
  await server.db.raw(
    `insert into jobs (yard_id, document, name, walls, bytes) select yard_id, document, name, walls, 420000 from jobs, generate_series(1, 498) where id = ?`,
    [kept.id],
  );
  const put = await full.post('/api/jobs').send({ document: job('Too much by weight') });
  expect([put.status, says(put)]).toEqual([201, undefined]);
  const one = await full.post('/api/jobs').send({ document: job('One more') });
  expect([one.status, says(one)]).toEqual([409, expect.stringMatching(/at most 500 jobs/)]);
  await server.db('jobs').where({ yard_id }).whereNot({ id: kept.id }).update({ bytes: 400_000 });
  const heavy = {
    ...job('Heavy'),
    units: Array.from({ length: 480 }, (_, i) => ({
      id: `u${i}`,
      name: 'U'.repeat(190),
      actual: { length: 390, height: 190, width: 190 },
    })),
  };
  await server.db.raw('update jobs set bytes = 425000 where yard_id = ? and id <> ?', [yard_id, kept.id]);
  const save = await full.put(`/api/jobs/${kept.id}`).send({ revision: 1, document: heavy });
  expect([save.status, says(save)]).toEqual([409, expect.stringMatching(/at most 200.0 MB of jobs/)]);
  // A small one is saved without anybody adding up.
  await full
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: 1, document: job('Still small') })
    .expect(200);
  const page = await full.get('/api/jobs').expect(200);
  expect(page.body).toHaveLength(100);
  const next = /<(.*)>; rel="next"/.exec(String(page.headers.link))?.[1] ?? '';
  const second = await full.get(next).expect(200);
  const ids = [...(page.body as { id: string }[]), ...(second.body as { id: string }[])].map((j) => j.id);
  expect(new Set(ids).size).toBe(200);
  expect(Object.keys((page.body as object[])[0] ?? {})).not.toContain('document');
}, 60_000);

test('a record is corrected twenty times over and no more', async () => {
  const kept = await addedJob(agent);
  const send = (body: object): request.Test =>
    agent
      .post(`/api/jobs/${kept.id}/record`)
      .send({ id: randomUUID(), wall: 'n', by: 'R. Alder', happened: '2026-12-01T10:37:00Z', ...body });
  let of = (await send({ kind: 'course-laid', course: 1, run: 0 }).expect(201)).body as { id: string };
  for (let i = 0; i < 20; i++)
    of = (await send({ kind: 'correction', of: of.id, why: 'misread' }).expect(201)).body as { id: string };
  const over = await send({ kind: 'correction', of: of.id, why: 'misread' });
  expect([over.status, says(over)]).toEqual([409, expect.stringMatching(/corrected at most 20 times/)]);
});
