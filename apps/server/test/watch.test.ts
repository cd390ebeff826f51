import { randomUUID } from 'node:crypto';
import { get, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import knexModule from 'knex';
import type { Agent } from 'supertest';
import { addedJob, newcomer, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let mason: Agent;
let stranger: Agent;
let kept: Kept;
const open: IncomingMessage[] = [];
beforeAll(async () => {
  server = await startServer({ demo: false });
  mason = await newcomer(server);
  stranger = await newcomer(server, 'Another crew');
  kept = await addedJob(mason);
});
afterEach(() => {
  for (const stream of open.splice(0)) stream.destroy();
});
afterAll(() => server.close());

interface Stream {
  status: number;
  text: () => string;
  /** Until it has said something, or three seconds have gone. */
  says: (what: RegExp) => Promise<string>;
  ended: Promise<void>;
}

/** A stream as a browser opens one, with the cookie of an agent. */
function listen(agent: Agent, job: string, last?: string): Promise<Stream> {
  const cookie = (
    agent as unknown as { jar: { getCookies: (at: object) => { toValueString: () => string } } }
  ).jar
    .getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false })
    .toValueString();
  const { port } = server.http.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const request = get(
      {
        host: '127.0.0.1',
        port,
        path: `/api/jobs/${job}/record/events`,
        headers: { cookie, ...(last === undefined ? {} : { 'Last-Event-ID': last }) },
      },
      (response) => {
        open.push(response);
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('error', () => undefined);
        resolve({
          status: response.statusCode ?? 0,
          text: () => text,
          says: async (what) => {
            for (let n = 0; n < 60 && !what.test(text); n++) await new Promise((r) => setTimeout(r, 50));
            return text;
          },
          ended: new Promise((done) => response.on('close', () => done())),
        });
      },
    );
    request.on('error', reject);
  });
}

const add = (agent = mason): Promise<unknown> =>
  agent
    .post(`/api/jobs/${kept.id}/record`)
    .send({
      id: randomUUID(),
      kind: 'batch-mixed',
      mix: 'cement-lime-s',
      wall: 'n',
      by: 'R. Alder',
      happened: '2026-12-01T10:37:00-07:00',
    })
    .expect(201);
const places = (text: string): number[] => [...text.matchAll(/^id: (\d+)$/gm)].map((m) => Number(m[1]));

test('whoever listens is told of an entry, by job and place alone', async () => {
  const stream = await listen(mason, kept.id);
  expect(stream.status).toBe(200);
  await stream.says(/id: /);
  const before = places(stream.text()).length;
  await add();
  await stream.says(new RegExp(`(id: [^]*){${before + 1}}`));
  const told = places(stream.text());
  expect(told.length).toBe(before + 1);
  const [, data] = [...stream.text().matchAll(/^data: (.*)$/gm)].map((m) => JSON.parse(m[1] ?? '') as object);
  expect(data).toEqual({ job: kept.id, place: told.at(-1) });
});

test('whoever comes back is told at once of what was missed, and of nothing where nothing was', async () => {
  const first = await listen(mason, kept.id);
  await first.says(/id: /);
  const [at] = places(first.text()).slice(-1);
  const same = await listen(mason, kept.id, String(at));
  await new Promise((r) => setTimeout(r, 300));
  expect(places(same.text())).toEqual([]);
  await add();
  const late = await listen(mason, kept.id, String(at));
  await late.says(/id: /);
  expect(places(late.text())[0]).toBeGreaterThan(at ?? 0);
});

test('a stranger hears nothing, and a session listens in four places at most', async () => {
  expect((await listen(stranger, kept.id)).status).toBe(404);
  const four = await Promise.all([1, 2, 3, 4].map(() => listen(mason, kept.id)));
  expect(four.map((s) => s.status)).toEqual([200, 200, 200, 200]);
  expect((await listen(mason, kept.id)).status).toBe(429);
  open.splice(0).forEach((s) => s.destroy());
  await new Promise((r) => setTimeout(r, 200));
  expect((await listen(mason, kept.id)).status).toBe(200);
});

test('a connection to the database that is lost is made again, and whoever listens misses nothing', async () => {
  const stream = await listen(mason, kept.id);
  await stream.says(/id: /);
  const before = Math.max(...places(stream.text()));
  const owner = knexModule({ client: 'pg', connection: server.url, pool: { min: 0, max: 1 } });
  const cut = await owner.raw<{ rows: object[] }>(
    `select pg_terminate_backend(pid) from pg_stat_activity
      where application_name = 'even-tally notices' and datname = current_database()`,
  );
  await owner.destroy();
  expect(cut.rows).toHaveLength(1);
  await add();
  await stream.says(new RegExp(`id: (?!${before}\\b)\\d+`));
  expect(Math.max(...places(stream.text()))).toBeGreaterThan(before);
});
