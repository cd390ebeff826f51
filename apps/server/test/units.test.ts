import type { Agent } from 'supertest';
import { addedJob, newcomer, startServer, type TestServer } from './support.js';

let server: TestServer;
let owner: Agent;
beforeAll(async () => {
  server = await startServer();
  owner = await newcomer(server, 'The yard');
});
afterAll(() => server.close());

const salvaged = { id: 'salvaged', name: 'Salvaged brick', actual: { length: 220, height: 70, width: 105 } };

test('a unit of one’s own is kept for all jobs of the yard, in the place of the one that had its id, and taken out', async () => {
  await owner.put('/api/yard/units').send(salvaged).expect(204);
  await owner
    .put('/api/yard/units')
    .send({ id: 'tile', actual: { length: '12"', height: '2"', width: '12"' } })
    .expect(204);
  await owner
    .put('/api/yard/units')
    .send({ ...salvaged, name: 'Mill brick' })
    .expect(204);
  const { body } = await owner.get('/api/yard/units').expect(200);
  // What was stated comes back as it was stated: lengths verbatim.
  expect(body).toEqual([
    { ...salvaged, name: 'Mill brick' },
    { id: 'tile', actual: { length: '12"', height: '2"', width: '12"' } },
  ]);
  await owner.delete('/api/yard/units/tile').expect(204);
  expect((await owner.get('/api/yard/units')).body).toHaveLength(1);
});

test('what no job file could hold is refused in a sentence, and nothing is changed', async () => {
  const before: unknown = (await owner.get('/api/yard/units')).body;
  for (const [bad, says] of [
    [{ id: 'x' }, /actual/],
    [{ ...salvaged, actual: { length: -1, height: 70, width: 105 } }, /length/],
    [{ ...salvaged, colour: 'red' }, /colour/],
    [{ ...salvaged, cells: 99 }, /cells/],
  ] as const) {
    const { body } = await owner.put('/api/yard/units').send(bad).expect(400);
    expect((body as { says: string }).says).toMatch(says);
  }
  expect((await owner.get('/api/yard/units')).body).toEqual(before);
});

test('another yard sees none of them and takes none out', async () => {
  const other = await newcomer(server, 'Next door');
  expect((await other.get('/api/yard/units')).body).toEqual([]);
  await other.delete('/api/yard/units/salvaged').expect(204);
  expect((await owner.get('/api/yard/units')).body).toHaveLength(1);
});

test('a yard taken out as a file takes its units along, and a bad one brings nothing in', async () => {
  await addedJob(owner);
  const { text } = await owner.get('/api/yard/file').buffer(true).expect(200);
  const other = await newcomer(server, 'Carried to');
  const load = (lines: string) =>
    other.post('/api/yard/file').set('Content-Type', 'application/x-ndjson').send(lines);
  const bad = text.replace('"length":220', '"length":-220');
  expect(bad).not.toBe(text);
  const { body } = await load(bad).expect(400);
  expect((body as { says: string }).says).toMatch(/^Line 1, unit 1: .*length/);
  expect((await other.get('/api/jobs')).body).toEqual([]);
  await load(text).expect(200);
  expect((await other.get('/api/yard/units')).body).toEqual((await owner.get('/api/yard/units')).body);
});

test('a yard holds so many and no more', async () => {
  const full = await newcomer(server, 'Full');
  const { yard } = (await full.get('/api/session')).body as { yard: { id: string } };
  const rows = Array.from({ length: 500 }, (_, i) => ({
    yard_id: yard.id,
    id: `u${i}`,
    unit: JSON.stringify({ ...salvaged, id: `u${i}` }),
  }));
  await server.db.batchInsert('yard_units', rows, 100);
  const { body } = await full.put('/api/yard/units').send(salvaged).expect(409);
  expect((body as { says: string }).says).toMatch(/at most 500/);
  // One that is there already may be changed still.
  await full
    .put('/api/yard/units')
    .send({ ...salvaged, id: 'u3' })
    .expect(204);
});
