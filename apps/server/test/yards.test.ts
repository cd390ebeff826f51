import { randomUUID } from 'node:crypto';
import type { Agent } from 'supertest';
import request from 'supertest';
import { routesOf } from './routes.js';
import { addedJob, job, newcomer, startServer, type Kept, type TestServer } from './support.js';

const SECRET = 'Only this yard knows of it';
let server: TestServer;
let owner: Agent;
let stranger: Agent;
let kept: Kept;
beforeAll(async () => {
  server = await startServer();
  owner = await newcomer(server, SECRET);
  stranger = await newcomer(server, 'Another crew');
  kept = await addedJob(owner, job(SECRET));
});
afterAll(() => server.close());

const call = (agent: Agent, method: string, path: string): Promise<request.Response> => {
  const url = path.replace(':kind', 'dxf').replace(/:\w+|\*\w*/g, kept.id);
  const send = (agent as unknown as Record<string, (u: string) => request.Test>)[method];
  if (!send) throw new Error(method);
  const asked = send.call(agent, url);
  // Everything a body could want at once would be refused as unknown, so each route gets what it takes.
  if (method === 'put') asked.send({ revision: kept.revision, document: job('Taken over') });
  else if (method === 'post' && path.endsWith('/jobs')) asked.send({ document: job('Mine') });
  else if (path.endsWith('/record') && method === 'post')
    asked.send({
      id: randomUUID(),
      kind: 'step-done',
      step: 'footing',
      wall: 'n',
      by: 'Nobody',
      happened: '2026-12-01T10:37:00Z',
    });
  else if (method !== 'get' && method !== 'delete') asked.send({});
  return asked.then((r) => r);
};

const rows = async (): Promise<string> =>
  JSON.stringify([
    await server.db('jobs').where({ id: kept.id }),
    await server.db('records').where({ job_id: kept.id }),
  ]);
const routes = (): { method: string; path: string }[] =>
  routesOf(server).filter((r) => r.path.startsWith('/api') && !r.path.startsWith('/api/docs'));

test('the route table is read, and holds what we know of', () => {
  const found = routes().map((r) => `${r.method} ${r.path}`);
  for (const known of [
    'get /api/jobs',
    'post /api/jobs',
    'get /api/jobs/:jobId',
    'put /api/jobs/:jobId',
    'delete /api/jobs/:jobId',
    'get /api/jobs/:jobId/file',
    'get /api/jobs/:jobId/exports/:kind',
    'post /api/session',
  ]) {
    expect(found).toContain(known);
  }
});

test.each(['a stranger with a yard of their own', 'somebody not signed in'])(
  'no route lets %s read or write another’s job',
  async (who) => {
    for (const { method, path } of routes()) {
      const agent = who.startsWith('a stranger') ? stranger : request.agent(server.http);
      if (/^\/api\/sessions?\/end$/.test(path) && agent === stranger) continue;
      const before = await rows();
      const answer = await call(agent, method, path);
      const where = `${method} ${path} answered ${answer.status}`;
      expect(`${where} ${answer.text}`).not.toContain(SECRET);
      expect({ where, rows: await rows() }).toEqual({ where, rows: before });
      if (path.includes(':jobId'))
        expect({ where, status: [401, 404].includes(answer.status) }).toEqual({ where, status: true });
      expect(answer.status).toBeLessThan(500);
    }
  },
);

test('the owner, by the same calls, reads it: the test above can fail', async () => {
  const answer = await call(owner, 'get', '/api/jobs/:jobId');
  expect(answer.text).toContain(SECRET);
  expect((await call(owner, 'get', '/api/jobs')).text).toContain(SECRET);
});
