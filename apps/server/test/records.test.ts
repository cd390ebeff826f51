import { randomUUID } from 'node:crypto';
import type { Agent, Response } from 'supertest';
import { addedJob, job, newcomer, readPdf, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let mason: Agent;
let stranger: Agent;
let kept: Kept;
const REINFORCED = {
  footing: { width: '1\' 4"', depth: '10"' },
  steel: { vertical: { bar: '#4', every: '32"' }, beams: [{ course: 'top', bar: '#4', count: 2 }] },
  grout: { fill: 'steel' },
};
beforeAll(async () => {
  server = await startServer({ demo: false });
  mason = await newcomer(server);
  stranger = await newcomer(server, 'Another crew');
});
beforeEach(async () => {
  kept = await addedJob(mason, job('Held store', REINFORCED));
});
afterAll(() => server.close());

const HAPPENED = '2026-12-01T10:37:00-07:00';
const add = (body: object, agent = mason): Promise<Response> =>
  agent
    .post(`/api/jobs/${kept.id}/record`)
    .send({ id: randomUUID(), wall: 'n', by: 'R. Alder', happened: HAPPENED, ...body })
    .then((r) => r);
const done = (step: string): Promise<Response> => add({ kind: 'step-done', step });
const SEEN = ['trench', 'starters'];
const says = (r: Response): string => (r.body as { says: string }).says;

test('what is held cannot be marked done until it is signed, by a name, with the server’s time', async () => {
  const held = await done('footing');
  expect([held.status, says(held)]).toEqual([
    409,
    'Footing poured is held: “Before concrete” has to be signed first.',
  ]);
  const half = await add({ kind: 'hold-signed', hold: 'before-concrete', seen: ['trench'] });
  expect(half.status).toBe(409);
  expect(says(half)).toContain('1 of 2 not seen');
  const signed = await add({ kind: 'hold-signed', hold: 'before-concrete', seen: SEEN });
  expect(signed.status).toBe(201);
  const body = signed.body as { by: string; happened: string; received: string; member: string };
  expect(body).toMatchObject({ by: 'R. Alder', happened: HAPPENED });
  expect(body.member).toMatch(/^[0-9a-f-]{36}$/);
  expect(Math.abs(Date.parse(body.received) - Date.now())).toBeLessThan(60_000);
  expect((await done('footing')).status).toBe(201);
  const list = (await mason.get(`/api/jobs/${kept.id}/record`).expect(200)).body as { kind: string }[];
  expect(list.map((e) => e.kind)).toEqual(['hold-signed', 'step-done']);
});

test('sent twice it is recorded once; two phones at once pass a step once', async () => {
  const id = randomUUID();
  const body = { id, kind: 'hold-signed', hold: 'before-concrete', seen: SEEN };
  expect((await add(body)).status).toBe(201);
  expect((await add(body)).status).toBe(201);
  const both = await Promise.all([done('footing'), done('footing')]);
  expect(both.map((r) => r.status).sort()).toEqual([201, 409]);
  const list = (await mason.get(`/api/jobs/${kept.id}/record`)).body as unknown[];
  expect(list).toHaveLength(2);
});

test('the record of another yard is neither read nor written, and an id in use there is another entry here', async () => {
  await add({ kind: 'hold-signed', hold: 'before-concrete', seen: SEEN });
  await stranger.get(`/api/jobs/${kept.id}/record`).expect(404);
  expect((await add({ kind: 'step-done', step: 'footing' }, stranger)).status).toBe(404);
  const [mine] = (await mason.get(`/api/jobs/${kept.id}/record`)).body as { id: string }[];
  const theirs = await addedJob(stranger, job('Theirs', REINFORCED));
  const taken = await stranger.post(`/api/jobs/${theirs.id}/record`).send({
    id: mine?.id,
    wall: 'n',
    by: 'X',
    happened: HAPPENED,
    kind: 'hold-signed',
    hold: 'before-concrete',
    seen: SEEN,
  });
  expect(taken.status).toBe(201);
  const [still] = (await mason.get(`/api/jobs/${kept.id}/record`)).body as { by: string }[];
  expect(still?.by).not.toBe('X');
});

test.each([
  ['no kind', { step: 'footing' }],
  ['no name', { kind: 'step-done', step: 'footing', by: '' }],
  ['a NUL in the name', { kind: 'step-done', step: 'footing', by: 'a\u0000b' }],
  ['half a character', { kind: 'step-done', step: 'footing', by: '\ud800' }],
  ['no id', { kind: 'step-done', step: 'footing', id: 'x' }],
  ['keys nobody asked for', { kind: 'step-done', step: 'footing', at: '2020-01-01' }],
  ['no time', { kind: 'step-done', step: 'footing', happened: undefined }],
  ['what only the server says', { kind: 'step-done', step: 'footing', received: HAPPENED }],
  ['a kind there is not', { kind: 'course-lade', course: 1 }],
  ['seen that is no list', { kind: 'hold-signed', hold: 'before-concrete', seen: 'all' }],
])('%s is refused in a sentence and records nothing', async (_what, body) => {
  const answer = await add(body);
  expect(answer.status).toBe(400);
  expect(says(answer).length).toBeGreaterThan(5);
  expect((await mason.get(`/api/jobs/${kept.id}/record`)).body).toEqual([]);
});

test('no row of the record can be changed or taken away by any route', async () => {
  for (const method of ['put', 'patch', 'delete'] as const)
    await mason[method](`/api/jobs/${kept.id}/record`).send({}).expect(404);
});

test('starters, bars, lifts and holds printed and read back', async () => {
  const pdf = async (kind: string, show = 'ft-in'): Promise<string> => {
    const r = await mason
      .get(`/api/jobs/${kept.id}/exports/pdf:${kind}?wall=n&run=0&show=${show}`)
      .responseType('blob')
      .expect(200);
    expect(r.headers['content-type']).toBe('application/pdf');
    return readPdf(r.body as Buffer);
  };
  const starters = await pdf('starters', 'mm');
  // The first starter stands in the middle of the end cell, 3 13/16 in: 96.8 mm; the next 32 in on.
  expect(starters).toContain('96.8');
  expect(starters).toContain(String(Math.round(96.8375 + 812.8)));
  expect(starters).toContain('1 in 6');
  expect(starters).toContain('licensed');
  const bars = await pdf('bars');
  expect(bars).toContain('V1');
  expect(bars).toMatch(/no list could take fewer/);
  const lifts = await pdf('lifts');
  expect(lifts).toContain('Pours and lifts');
  expect(lifts).toContain('for a key');
  await add({ kind: 'hold-signed', hold: 'before-concrete', seen: SEEN });
  const holds = await pdf('holds');
  expect(holds).toContain('Before concrete');
  expect(holds).toContain('R. Alder');
  expect(holds).toContain('not signed');
  await mason.get(`/api/jobs/${kept.id}/exports/pdf:nothing?wall=n`).expect(404);
  await mason.get(`/api/jobs/${kept.id}/exports/pdf:starters?wall=n&run=9`).expect(404);
});

test('every kind is taken, kept as it was said, and given back', async () => {
  const entries = [
    { kind: 'course-laid', run: 0, course: 3, from: 0, to: 2000, units: 5 },
    { kind: 'reading', of: 'course-top', run: 0, course: 3, value: 611.2, instrument: 'tape' },
    { kind: 'weather', wall: null, temperature: '40 F', rain: 'none' },
    { kind: 'note', text: 'Line let down for lunch' },
    { kind: 'course-laid', wall: 'a wall that is gone', course: 1 },
  ];
  for (const e of entries) expect((await add(e)).status).toBe(201);
  const first = ((await mason.get(`/api/jobs/${kept.id}/record`)).body as { id: string }[])[0];
  expect((await add({ kind: 'correction', of: first?.id, why: 'counted again' })).status).toBe(201);
  const list = (await mason.get(`/api/jobs/${kept.id}/record`)).body as Record<string, unknown>[];
  expect(list).toHaveLength(entries.length + 1);
  entries.forEach((e, i) => expect(list[i]).toMatchObject(e));
});

test('a row from before devices said when is still read, and still counts', async () => {
  await server.db('records').insert({
    id: randomUUID(),
    yard_id: (await server.db('jobs').where({ id: kept.id }).first<{ yard_id: string }>()).yard_id,
    job_id: kept.id,
    at: '2026-05-04T08:00:00Z',
    body: JSON.stringify({
      kind: 'hold-signed',
      wall: 'n',
      hold: 'before-concrete',
      by: 'R. Alder',
      seen: SEEN,
    }),
  });
  const list = (await mason.get(`/api/jobs/${kept.id}/record`)).body as Record<string, unknown>[];
  expect(list).toMatchObject([
    { kind: 'hold-signed', happened: '2026-05-04T08:00:00.000Z', received: '2026-05-04T08:00:00.000Z' },
  ]);
  expect((await done('footing')).status).toBe(201);
});

test('a signature taken back by a correction holds again', async () => {
  const id = randomUUID();
  await add({ id, kind: 'hold-signed', hold: 'before-concrete', seen: SEEN });
  await add({ kind: 'correction', of: id, why: 'signed on the wrong wall' });
  expect((await done('footing')).status).toBe(409);
});
