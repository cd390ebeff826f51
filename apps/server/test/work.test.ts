import { availableParallelism } from 'node:os';
import type { Agent } from 'supertest';
import { addedJob, job, newcomer, startServer, type Kept, type TestServer } from './support.js';

const ASKED = 'exports/dxf';
/** Walls that are long in planning: their openings stand on no module. */
const long = (): Record<string, unknown> => ({
  ...job('Long'),
  walls: Array.from({ length: 4 }, (_, k) => ({
    ...(job().walls as object[])[0],
    id: `n${k}`,
    line: [{ run: '900 m' }],
    openings: Array.from({ length: 400 }, (_o, i) => ({
      id: `o${i}`,
      run: 0,
      at: 700 + i * 2111,
      width: 707,
      sill: 913,
      head: 1811,
    })),
  })),
});

/** The long job, put straight into its row: reading it in is not what is timed here, and takes long itself. */
async function longJob(agent: Agent, server: TestServer): Promise<Kept> {
  const kept = await addedJob(agent);
  await server
    .db('jobs')
    .where({ id: kept.id })
    .update({ document: JSON.stringify(long()) });
  return kept;
}

async function withWork(
  work: { seconds: number; heapMb: number; waiting: number },
  does: (agent: Agent, server: TestServer) => Promise<void>,
): Promise<void> {
  const server = await startServer({ work });
  try {
    await does(await newcomer(server), server);
  } finally {
    await server.close();
  }
}

test('what takes too long is given up with a plain answer, and the next is made', async () => {
  await withWork({ seconds: 4, heapMb: 900, waiting: 60 }, async (agent, server) => {
    const slow = await longJob(agent, server);
    const answer = await agent.get(`/api/jobs/${slow.id}/${ASKED}`);
    expect([answer.status, answer.headers['retry-after'], answer.body]).toEqual([
      503,
      '30',
      { says: 'Wanted an answer within 4 s, and this takes longer. Nothing was changed.' },
    ]);
    // A thread is new after one was given up, and a busy machine may be slow to start it.
    const small = await addedJob(agent);
    const made = async (left: number): Promise<number> => {
      const { status } = await agent.get(`/api/jobs/${small.id}/${ASKED}`);
      return status === 503 && left > 0 ? made(left - 1) : status;
    };
    expect(await made(5)).toBe(200);
  });
}, 90_000);

test('what takes more memory than one piece of work is given ends alone: the server goes on', async () => {
  await withWork({ seconds: 60, heapMb: 24, waiting: 60 }, async (agent, server) => {
    const slow = await longJob(agent, server);
    const answer = await agent.get(`/api/jobs/${slow.id}/${ASKED}`);
    expect([answer.status, answer.body]).toEqual([
      503,
      { says: 'This takes more memory than one piece of work is given. Nothing was changed.' },
    ]);
    await agent.get('/api/health').expect(200);
    await agent.get(`/api/jobs/${slow.id}`).expect(200);
  });
}, 90_000);

test('when too much waits, who comes next is told so at once', async () => {
  await withWork({ seconds: 4, heapMb: 900, waiting: 1 }, async (agent, server) => {
    const slow = await longJob(agent, server);
    // As many as there may be threads, one that waits, and more.
    const many = availableParallelism() + 3;
    const answers = await Promise.all(
      Array.from({ length: many }, () => agent.get(`/api/jobs/${slow.id}/${ASKED}`)),
    );
    const busy = answers.filter((a) => (a.body as { says: string }).says.startsWith('Too much'));
    expect(answers.map((a) => a.status)).toEqual(answers.map(() => 503));
    expect(busy.length).toBeGreaterThanOrEqual(2);
    expect(busy[0]?.body).toEqual({ says: 'Too much is being worked out at once. Try again in a minute.' });
  });
}, 60_000);

test('a sheet whose asker leaves is given up: the place it held is free for the next', async () => {
  await withWork({ seconds: 60, heapMb: 900, waiting: 0 }, async (agent, server) => {
    const [slow, small] = [await longJob(agent, server), await addedJob(agent)];
    const gone = Array.from({ length: Math.max(1, availableParallelism() - 1) }, () => {
      const asked = agent.get(`/api/jobs/${slow.id}/${ASKED}`);
      asked.end(() => undefined);
      return asked;
    });
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await agent.get(`/api/jobs/${small.id}/${ASKED}`).expect(503);
    for (const asked of gone) asked.abort();
    await new Promise((resolve) => setTimeout(resolve, 500));
    await agent.get(`/api/jobs/${small.id}/${ASKED}`).expect(200);
  });
}, 60_000);
