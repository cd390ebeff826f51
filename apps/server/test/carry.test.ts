import { randomUUID } from 'node:crypto';
import request, { type Agent } from 'supertest';
import { Sweeper } from '../src/yards/sweeper.js';
import { addedJob, job, newcomer, startBeside, startServer, type TestServer } from './support.js';

let server: TestServer;
let from: Agent;
beforeAll(async () => {
  server = await startServer();
  from = await newcomer(server, 'From');
});
afterAll(() => server.close());

const entry = (body: object = {}): object => ({
  id: randomUUID(),
  kind: 'course-laid',
  course: 1,
  run: 0,
  wall: 'n',
  by: 'R. Alder',
  happened: '2026-12-01T10:37:00Z',
  ...body,
});
const out = async (agent: Agent): Promise<string> =>
  (
    await agent
      .get('/api/yard/file')
      .buffer(true)
      .parse((res, done) => {
        let text = '';
        res.setEncoding('utf8');
        res.on('data', (d: string) => (text += d));
        res.on('end', () => done(null, text));
      })
      .expect(200)
  ).body as string;
const load = (agent: Agent, text: string): request.Test =>
  agent.post('/api/yard/file').set('Content-Type', 'application/x-ndjson').send(text);
/** What is in a yard, but for what a server says of its own: ids, times, accounts. */
const held = (text: string): unknown =>
  text
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const { job, putAway, record } = JSON.parse(line) as {
        job: unknown;
        putAway: boolean;
        record: Record<string, unknown>[];
      };
      return { job, putAway, record: record.map(({ received: _r, member: _m, ...rest }) => rest) };
    });

test('a yard is taken out whole and loaded whole, twice if need be, here and elsewhere', async () => {
  const kept = await addedJob(from, job('Carried'));
  const away = await addedJob(from, job('Put away'));
  const first = (await from.post(`/api/jobs/${kept.id}/record`).send(entry()).expect(201)).body as {
    id: string;
  };
  await from
    .post(`/api/jobs/${kept.id}/record`)
    .send(entry({ kind: 'correction', of: first.id, why: 'misread', course: undefined, run: undefined }))
    .expect(201);
  await from.delete(`/api/jobs/${away.id}`).expect(204);
  const file = await out(from);
  const elsewhere = await startServer();
  for (const where of [server, elsewhere]) {
    const to = await newcomer(where, 'To');
    expect((await load(to, file).expect(200)).body).toEqual({ jobs: 2, entries: 2 });
    expect(held(await out(to))).toEqual(held(file));
  }
  await elsewhere.close();
  const twice = await newcomer(server, 'Twice');
  await load(twice, file).expect(200);
  await load(twice, file).expect(200);
  expect((await twice.get('/api/jobs')).body).toHaveLength(2);
});

test.each([
  ['no yard’s file', (f: string) => f.replace('even-tally/yard', 'other'), /Line 1: wanted a file of a yard/],
  ['a newer version', (f: string) => f.replace('"version":1', '"version":2'), /Line 1/],
  ['nothing', () => ' ', /Line 1/],
  ['a job that is none', (f: string) => `${f}{"job":{}}\n`, /Line \d+: .*Nothing was changed/],
  ['a line that does not parse', (f: string) => `${f}{"job":`, /Line \d+: wanted JSON/],
  [
    'an entry of no kind',
    (f: string) => `${f}${JSON.stringify({ job: job('X'), record: [{ ...entry(), kind: 'none' }] })}\n`,
    /record\/0/,
  ],
  [
    'an id used twice',
    (f: string) => {
      const e = entry();
      return `${f}${JSON.stringify({ job: job('X'), record: [e, e] })}\n`;
    },
    /every id once/,
  ],
])('a file with %s is refused, and nothing of it is kept', async (_what, change, says) => {
  const to = await newcomer(server, 'Refusing');
  const answer = await load(to, change(await out(from)));
  expect([answer.status, (answer.body as { says: string }).says]).toEqual([400, expect.stringMatching(says)]);
  expect((await to.get('/api/jobs')).body).toEqual([]);
});

test('copies of the demo yard that nobody used for a day of running go, records and all; used ones and real yards stay', async () => {
  await server.db('demo_jobs').insert({ name: 'one', place: 0, document: JSON.stringify(job('Demo')) });
  const [left, used] = [request.agent(server.http), request.agent(server.http)];
  for (const agent of [left, used]) await agent.post('/api/demo').expect(201);
  const [mine] = (await left.get('/api/jobs')).body as { id: string }[];
  await left.post(`/api/jobs/${mine?.id}/record`).send(entry()).expect(201);
  await server
    .db('yards')
    .where({ demo: true })
    .update({ idle_seconds: 86_400 - 300 });
  // Whoever uses theirs begins its day anew.
  await server.db('sessions').update({ seen: server.db.raw(`now() - interval '2 minutes'`) });
  await used.get('/api/jobs').expect(200);
  const yards = async (): Promise<number> => (await server.db('yards')).length;
  const before = await yards();
  const beside = await startBeside(server);
  const sweeper = server.app.get(Sweeper);
  const [a, b] = await Promise.all([sweeper.sweep(), sweeper.sweep()]);
  expect([a, b].filter((n) => n === 1)).toHaveLength(1);
  expect([a, b].filter((n) => n === null)).toHaveLength(1);
  expect(await yards()).toBe(before - 1);
  await left.get('/api/jobs').expect(401);
  await used.get('/api/jobs').expect(200);
  await from.get('/api/jobs').expect(200);
  await beside.close();
});
