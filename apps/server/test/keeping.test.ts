import { randomUUID } from 'node:crypto';
import knexModule from 'knex';
import request, { type Agent } from 'supertest';
import { JobsService } from '../src/jobs/jobs.service.js';
import { addedJob, job, newcomer, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let agent: Agent;
beforeAll(async () => {
  server = await startServer();
  agent = await newcomer(server);
});
afterAll(() => server.close());

const REINFORCED = {
  footing: { width: '1\' 4"', depth: '10"' },
  steel: { vertical: { bar: '#4', every: '32"' } },
  grout: { fill: 'steel' },
};
const job1 = (): Record<string, unknown> => {
  const made = job('Signed');
  return { ...made, walls: [{ ...(made.walls as object[])[0], ...REINFORCED }] };
};
const sign = (id: string, by = 'R. Alder', seen = ['trench', 'starters']): request.Test =>
  agent.post(`/api/jobs/${id}/record`).send({
    id: randomUUID(),
    kind: 'hold-signed',
    hold: 'before-concrete',
    seen,
    wall: 'n',
    by,
    happened: '2026-12-01T10:37:00Z',
  });
const save = (kept: Kept, revision: number, name: string, more: object = {}): request.Test =>
  agent.put(`/api/jobs/${kept.id}`).send({ revision, document: job(name), ...more });
const names = async (away = ''): Promise<string[]> =>
  ((await agent.get(`/api/jobs${away}`)).body as { name: string }[]).map((j) => j.name);

test('a job is put away and comes back as it was; while it is away nothing is read of it or saved over it', async () => {
  const kept = await addedJob(agent, job('Away'));
  await agent.delete(`/api/jobs/${kept.id}`).expect(204);
  expect([await names(), await names('?away=1')]).toEqual([[], ['Away']]);
  await agent.get(`/api/jobs/${kept.id}`).expect(404);
  await save(kept, 1, 'Over it').expect(404);
  await agent.post(`/api/jobs/${kept.id}/back`).expect(204);
  expect((await agent.get(`/api/jobs/${kept.id}`)).body).toEqual(kept);
  await agent.post(`/api/jobs/${kept.id}/back`).expect(404);
  await agent.delete(`/api/jobs/${kept.id}/away`).expect(404);
});

test('a job thrown away for good is gone with its versions; what was signed of it is read as before', async () => {
  const kept = await addedJob(agent, job1());
  await sign(kept.id).expect(201);
  const before = (await agent.get(`/api/jobs/${kept.id}/record`)).body as object[];
  await save(kept, 1, 'Second', { keep: true }).expect(200);
  await agent.delete(`/api/jobs/${kept.id}`).expect(204);
  await agent.delete(`/api/jobs/${kept.id}/away`).expect(204);
  await agent.post(`/api/jobs/${kept.id}/back`).expect(404);
  expect(await names('?away=1')).not.toContain('Second');
  expect((await agent.get(`/api/jobs/${kept.id}/record`)).body).toEqual(before);
  expect(before).toHaveLength(1);
  expect(await server.db('job_versions').where({ job_id: kept.id })).toHaveLength(0);
  const row = (await server.db('jobs').where({ id: kept.id }).first()) as { document: unknown };
  expect(row.document).toBeNull();
  await sign(kept.id).expect(404);
});

test('the record is added to and read: the role of the application may do no more, and a trigger refuses its owner too', async () => {
  const kept = await addedJob(agent, job1());
  await sign(kept.id).expect(201);
  const who = (
    await server.db.raw<{ rows: { r: string; s: boolean }[] }>(
      'select current_user as r, (select rolsuper from pg_roles where rolname = current_user) as s',
    )
  ).rows[0];
  expect(who).toEqual({ r: 'even_tally_app', s: false });
  for (const sql of [
    `update records set body = '{}'`,
    'delete from records',
    'truncate records',
    `set local tally.sweeping = 'on'; delete from records`,
    'drop table records',
    'alter table records disable trigger all',
    'drop trigger records_stand on records',
  ])
    await expect(server.db.transaction((trx) => trx.raw(sql))).rejects.toThrow(
      /permission denied|must be owner/,
    );
  const owner = knexModule({ client: 'pg', connection: server.url, pool: { min: 0, max: 1 } });
  for (const sql of [`update records set body = '{}'`, 'delete from records', 'truncate records'])
    await expect(owner.raw(sql)).rejects.toThrow(/added to and read, and nothing else/);
  await owner.destroy();
  expect((await agent.get(`/api/jobs/${kept.id}/record`)).body).toHaveLength(1);
});

test('versions say who, when and what changed; one is looked at and taken back, and what stood before it is a version too', async () => {
  const kept = await addedJob(agent, job('First'));
  await save(kept, 1, 'Second').expect(200);
  await save(kept, 2, 'Third').expect(200);
  const list = async (): Promise<{ revision: number; by: string; says: string | null; at: string }[]> =>
    (await agent.get(`/api/jobs/${kept.id}/versions`).expect(200)).body as never;
  // One member's saves in a row are one version; the job as it stands comes first.
  expect((await list()).map((v) => v.revision)).toEqual([3]);
  await server
    .db('jobs')
    .where({ id: kept.id })
    .update({ spell_began: server.db.raw(`now() - interval '11 minutes'`) });
  await save(kept, 3, 'Fourth').expect(200);
  await save(kept, 4, 'Fifth').expect(200);
  const lines = await list();
  expect(lines.map((v) => v.revision)).toEqual([5, 3]);
  expect(lines[0]?.says).toMatch(/name/i);
  expect(lines[0]?.by).toMatch(/@example\.test$/);
  expect(Date.parse(lines[1]?.at ?? '')).toBeLessThanOrEqual(Date.now());
  const then = (await agent.get(`/api/jobs/${kept.id}/versions/3`).expect(200)).body as {
    document: { name: string };
  };
  expect(then.document.name).toBe('Third');
  await agent
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: 5, document: then.document, keep: true })
    .expect(200);
  expect((await list()).map((v) => v.revision)).toEqual([6, 5, 3]);
  for (const none of ['2', '99', '0', 'x', '9999999999999'])
    await agent.get(`/api/jobs/${kept.id}/versions/${none}`).expect(404);
});

test('another member’s save begins a version', async () => {
  const kept = await addedJob(agent, job('Mine'));
  const { invite } = (await agent.post('/api/invites').send({ role: 'plans' })).body as { invite: string };
  const other = await newcomer(server, 'Others');
  await other.post('/api/invites/join').send({ invite }).expect(200);
  await other
    .put(`/api/jobs/${kept.id}`)
    .send({ revision: 1, document: job('Theirs') })
    .expect(200);
  const lines = (await agent.get(`/api/jobs/${kept.id}/versions`)).body as { revision: number; by: string }[];
  expect(lines.map((v) => v.revision)).toEqual([2, 1]);
  expect(new Set(lines.map((v) => v.by)).size).toBe(2);
});

test('a save sent again after its answer was lost is the same save; one that others have passed is told what is newer', async () => {
  const kept = await addedJob(agent, job('Once'));
  const id = randomUUID();
  const first = await save(kept, 1, 'Kept', { save: id }).expect(200);
  const again = await save(kept, 1, 'Kept', { save: id.toUpperCase() }).expect(200);
  expect(again.body).toEqual(first.body);
  await save(kept, 2, 'Passed').expect(200);
  const late = await save(kept, 1, 'Kept', { save: id });
  expect([late.status, (late.body as { newer: Kept }).newer.revision]).toEqual([409, 3]);
  await save(kept, 1, 'Other', { save: randomUUID() }).expect(409);
});

test('a job added again after its answer was lost is added once', async () => {
  const id = randomUUID();
  const add = (): request.Test => agent.post('/api/jobs').send({ document: job('Added once'), save: id });
  const answers = await Promise.all([add(), add(), add()]);
  expect(answers.map((a) => a.status)).toEqual([201, 201, 201]);
  expect(new Set(answers.map((a) => (a.body as Kept).id)).size).toBe(1);
});

test('a hold signed again by the same person for the same revision is not kept again; seen otherwise, or of a newer one, it is', async () => {
  const kept = await addedJob(agent, job1());
  const [first, second] = [await sign(kept.id).expect(201), await sign(kept.id).expect(201)];
  expect(second.body).toEqual(first.body);
  await sign(kept.id, 'B. Slate').expect(201);
  expect((await agent.get(`/api/jobs/${kept.id}/record`)).body).toHaveLength(2);
  await agent.put(`/api/jobs/${kept.id}`).send({ revision: 1, document: job1() }).expect(200);
  await sign(kept.id).expect(201);
  expect((await agent.get(`/api/jobs/${kept.id}/record`)).body).toHaveLength(3);
});

test('an entry retried with its id in capitals is the same entry', async () => {
  const kept = await addedJob(agent, job1());
  const id = randomUUID();
  const send = (as: string): request.Test =>
    agent.post(`/api/jobs/${kept.id}/record`).send({
      id: as,
      kind: 'course-laid',
      course: 1,
      run: 0,
      wall: 'n',
      by: 'R. Alder',
      happened: '2026-12-01T10:37:00Z',
    });
  const first = await send(id).expect(201);
  expect((await send(id.toUpperCase()).expect(201)).body).toEqual(first.body);
});

test('a record that races its job’s end is kept with it or refused, and never fails', async () => {
  for (let n = 0; n < 8; n++) {
    const kept = await addedJob(agent, job1());
    const [entry] = await Promise.all([
      sign(kept.id),
      agent.delete(`/api/jobs/${kept.id}`).then(() => agent.delete(`/api/jobs/${kept.id}/away`)),
    ]);
    expect([201, 404]).toContain(entry.status);
  }
});

test('a hundred versions of a job are kept, and of a yard no more than it may hold: the oldest go', async () => {
  const kept = await addedJob(agent, job('Thinned'));
  const { yard_id } = (await server.db('jobs').where({ id: kept.id }).first()) as { yard_id: string };
  const other = await addedJob(agent, job('Beside it'));
  const make = (id: string, from: number, to: number, bytes: number): Promise<unknown> =>
    server.db.raw(
      `insert into job_versions (job_id, revision, saved_at, bytes, document)
       select ?, n, now() - interval '1 hour' + n * interval '1 second', ?, '{}' from generate_series(?::int, ?::int) n`,
      [id, bytes, from, to],
    );
  await server.db('jobs').where({ id: kept.id }).update({ revision: 121 });
  await make(kept.id, 1, 120, 100);
  await save(kept, 121, 'Newest', { keep: true }).expect(200);
  const revisions = async (id: string): Promise<number[]> =>
    (
      await server
        .db('job_versions')
        .where({ job_id: id })
        .orderBy('revision')
        .select<{ revision: number }[]>('revision')
    ).map((r) => r.revision);
  const left = await revisions(kept.id);
  expect([left.length, left[0], left.at(-1)]).toEqual([100, 22, 121]);
  // Nine jobs of the yard with 20 MB and more of versions each, and one that is older than all of them.
  await make(other.id, 1, 1, 5_000_000);
  await server
    .db('job_versions')
    .where({ job_id: other.id })
    .update({ saved_at: server.db.raw(`now() - interval '1 day'`) });
  for (let n = 0; n < 11; n++) {
    const { id } = await addedJob(agent, job(`Full ${n}`));
    await make(id, 1, 4, 4_900_000);
  }
  await save(kept, 122, 'Over', { keep: true }).expect(200);
  expect(await revisions(other.id)).toEqual([]);
  const [sum] = await server
    .db('job_versions')
    .whereIn('job_id', server.db('jobs').where({ yard_id }).select('id'))
    .sum<{ bytes: string }[]>({ bytes: 'bytes' });
  expect(Number(sum?.bytes)).toBeLessThanOrEqual(200 * 1024 * 1024);
});

test('what fails on our side says only what it can know: a save may have been done, a reading changed nothing', async () => {
  const kept = await addedJob(agent, job('Failing'));
  const jobs = server.app.get(JobsService);
  const broken = (): Promise<never> => Promise.reject(new Error('broken'));
  const [reads, saves] = [
    jest.spyOn(jobs, 'read').mockImplementation(broken),
    jest.spyOn(jobs, 'save').mockImplementation(broken),
  ];
  const read = await agent.get(`/api/jobs/${kept.id}`);
  const saved = await save(kept, 1, 'Perhaps');
  for (const spy of [reads, saves]) spy.mockRestore();
  expect([read.status, read.body]).toEqual([500, { says: 'Something failed here.' }]);
  expect([saved.status, saved.body]).toEqual([
    500,
    { says: 'Something failed here, and whether it was done is not known. Look before you try again.' },
  ]);
});
