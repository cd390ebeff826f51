import { randomUUID } from 'node:crypto';
import { carry, editOf, same, type Job, type JobDocument } from '@even-tally/core';
import request, { type Agent } from 'supertest';
import { addedJob, job, startBeside, startServer, type Kept, type TestServer } from './support.js';

/** Races run this often in a plain run; ten times as often with --long. */
const RACES = process.env.LONG === '1' ? 60 : 6;

let server: TestServer;
let beside: Awaited<ReturnType<typeof startBeside>>;
/** The same mason at two servers of one database. */
let here: Agent;
let there: Agent;
const WHO = { email: 'both@example.test', password: 'a long enough word' };
const REINFORCED = {
  footing: { width: '1\' 4"', depth: '10"' },
  steel: { vertical: { bar: '#4', every: '32"' } },
  grout: { fill: 'steel' },
};

beforeAll(async () => {
  server = await startServer({ demo: false });
  beside = await startBeside(server);
  [here, there] = [request.agent(server.http), request.agent(beside.http)];
  await here
    .post('/api/accounts')
    .send({ ...WHO, yard: 'Crew' })
    .expect(201);
  await there.post('/api/session').send(WHO).expect(200);
});
afterAll(async () => {
  await beside.close();
  await server.close();
});

const read = async (agent: Agent, id: string): Promise<Kept & { document: Job }> =>
  (await agent.get(`/api/jobs/${id}`).expect(200)).body as Kept & { document: Job };

test('of two saves on one revision one stands and the other is given it', async () => {
  for (let n = 0; n < RACES; n++) {
    const kept = await addedJob(here, job('Raced', {}));
    const answers = await Promise.all(
      [here, there].map((agent, i) =>
        agent
          .put(`/api/jobs/${kept.id}`)
          .send({ revision: 1, document: { ...kept.document, name: `by ${i}` } }),
      ),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    const won = answers.find((a) => a.status === 200)?.body as Kept;
    const lost = answers.find((a) => a.status === 409)?.body as { newer: Kept };
    expect(lost.newer).toEqual(won);
    expect(await read(there, kept.id)).toEqual(won);
  }
});

test('two who save at once at two servers, each carrying over the other, lose nothing of either', async () => {
  const kept = await addedJob(here, job('Carried', {}));
  const opening = (id: string, at: number): object => ({ id, run: 0, at, width: 300, sill: 800, head: 1200 });
  const work = async (agent: Agent, who: string, from: number): Promise<void> => {
    for (let n = 0; n < RACES; n++) {
      let { revision, document } = await read(agent, kept.id);
      const [wall] = document.walls;
      const mine = {
        ...document,
        walls: [{ ...wall, openings: [...(wall?.openings ?? []), opening(`${who}${n}`, from + n * 700)] }],
      } as JobDocument;
      const edit = editOf(document, mine);
      for (;;) {
        const over = carry(edit, document);
        if (!over.ok) throw new Error('nothing of it clashes');
        const answer = await agent.put(`/api/jobs/${kept.id}`).send({ revision, document: over.document });
        if (answer.status === 200) break;
        expect(answer.status).toBe(409);
        ({ revision, document } = (answer.body as { newer: Kept & { document: Job } }).newer);
      }
    }
  };
  // Each on a part of the run of its own, so that together they are a wall.
  const long = {
    ...kept.document,
    walls: [{ ...(kept.document as unknown as Job).walls[0], line: [{ run: '200 m' }] }],
  };
  await here.put(`/api/jobs/${kept.id}`).send({ revision: 1, document: long }).expect(200);
  await Promise.all([work(here, 'a', 1000), work(there, 'b', 101_000)]);
  const ids = ((await read(there, kept.id)).document.walls[0]?.openings ?? []).map((o) => o.id).sort();
  const all = ['a', 'b'].flatMap((who) => Array.from({ length: RACES }, (_, n) => `${who}${n}`)).sort();
  expect(ids).toEqual(all);
  expect(same(await read(here, kept.id), await read(there, kept.id))).toBe(true);
});

const record = (agent: Agent, id: string, body: object): request.Test =>
  agent
    .post(`/api/jobs/${id}/record`)
    .send({ id: randomUUID(), wall: 'n', by: 'R. Alder', happened: '2026-12-01T10:37:00Z', ...body });
const SIGNED = { kind: 'hold-signed', hold: 'before-concrete', seen: ['trench', 'starters'] };

test('a step passed at two servers at once is passed once', async () => {
  for (let n = 0; n < RACES; n++) {
    const kept = await addedJob(here, job('Stepped', REINFORCED));
    await record(here, kept.id, SIGNED).expect(201);
    const both = await Promise.all(
      [here, there].map((a) => record(a, kept.id, { kind: 'step-done', step: 'footing' })),
    );
    expect(both.map((r) => r.status).sort()).toEqual([201, 409]);
    expect((await there.get(`/api/jobs/${kept.id}/record`)).body).toHaveLength(2);
  }
});

test('a hold is decided on the document as it stands under the lock: saved first, what it asks more is not signed away', async () => {
  let [signed, refused] = [0, 0];
  for (let n = 0; n < RACES * 2; n++) {
    const kept = await addedJob(here, job('Held', REINFORCED));
    const [wall] = (kept.document as unknown as Job).walls;
    // With bars in the footing there is one thing more to be seen.
    const more = {
      ...kept.document,
      walls: [{ ...wall, steel: { ...wall?.steel, footing: { bar: '#4', count: 2 } } }],
    };
    const save = (): request.Test => here.put(`/api/jobs/${kept.id}`).send({ revision: 1, document: more });
    const sign = (): request.Test => record(there, kept.id, SIGNED);
    const [a, b] = n % 2 === 0 ? [save(), sign()] : [sign(), save()];
    const answers = await Promise.all([a, b]);
    const answer = n % 2 === 0 ? answers[1] : answers[0];
    if (answer.status === 201) {
      signed += 1;
      expect((answer.body as { revision: number }).revision).toBe(1);
    } else {
      refused += 1;
      expect((answer.body as { says: string }).says).toContain('1 of 3 not seen');
    }
    // Whoever was first: signed for less than is asked now, the step behind it is held.
    expect((await record(there, kept.id, { kind: 'step-done', step: 'footing' })).status).toBe(409);
  }
  expect(signed + refused).toBe(RACES * 2);
});
