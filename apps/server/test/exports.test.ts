import type { Agent } from 'supertest';
import { addedJob, job, newcomer, readPdf, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let mason: Agent;
let kept: Kept;
beforeAll(async () => {
  server = await startServer({ demo: false });
  mason = await newcomer(server);
  kept = await addedJob(mason, job('Long store'));
});
afterAll(() => server.close());

const pole = (query: string): string => `/api/jobs/${kept.id}/exports/pdf:pole?${query}`;

test('the pole printed and read back: every course, its mark by multiplication, and a caution', async () => {
  const answer = await mason.get(pole('wall=n&show=mm')).responseType('blob').expect(200);
  expect(answer.headers['content-type']).toBe('application/pdf');
  const text = await readPdf(answer.body as Buffer);
  expect(text).toContain('Story pole');
  expect(text).toContain('Long store');
  // 13 courses of 8 in block: mark n is n × 203.2 mm exactly (six in a row by hand: 1219.2).
  for (let n = 1; n <= 13; n++) expect(text).toContain((n * 203.2).toFixed(2));
  expect(text).toContain('licensed');
  expect(text).toContain('full size');
});

test('the dry-lay tape printed and read back: running marks by multiplication', async () => {
  const answer = await mason
    .get(`/api/jobs/${kept.id}/exports/pdf:tape?wall=n&show=mm&run=0`)
    .responseType('blob')
    .expect(200);
  const text = await readPdf(answer.body as Buffer);
  // Block 16 in nominal, perps 3/8: the middle of perp n stands at n × 406.4 − 4.7625 on a course that begins whole.
  for (const n of [1, 5, 17]) expect(text).toContain(String(Math.round(n * 406.4 - 4.7625)));
  await mason.get(`/api/jobs/${kept.id}/exports/pdf:tape?wall=n&run=7`).expect(404);
  await mason.get(`/api/jobs/${kept.id}/exports/pdf:tape?wall=n&run=x`).expect(400);
});

test('a footing that steps prints a pole for the higher corner too, with the old work carried over', async () => {
  const wall = job('Stepped', {
    steps: [{ id: 'S', run: 0, from: 3600, to: "24'", up: 2 }],
    old: { height: "4'", courses: 6 },
  });
  const stepped = await addedJob(mason, wall);
  const answer = await mason
    .get(`/api/jobs/${stepped.id}/exports/pdf:pole?wall=n&show=mm`)
    .responseType('blob')
    .expect(200);
  const text = await readPdf(answer.body as Buffer);
  expect(text).toContain('a pole for each corner');
  expect(text).toMatch(/from\s+course 3/);
  // Six old courses in 4 ft: 203.2 mm each, so every mark lies level with an old one.
  expect(text).toContain('level with old 6');
});

test.each([
  ['a wall that is not there', 'wall=west', 404],
  ['units nobody uses', 'wall=n&show=cubits', 400],
])('%s is refused plainly', async (_name, query, status) => {
  const answer = await mason.get(pole(query)).expect(status);
  expect((answer.body as { says: string }).says.length).toBeGreaterThan(10);
});
