import request, { type Agent } from 'supertest';
import type { Role } from '../src/accounts/roles.js';
import { addedJob, job, newcomer, startServer, type Kept, type TestServer } from './support.js';

let server: TestServer;
let owner: Agent;
let kept: Kept;
beforeAll(async () => {
  server = await startServer();
  owner = await newcomer(server, 'The yard');
  kept = await addedJob(owner);
});
afterAll(() => server.close());

const link = async (by: Agent, role: Role): Promise<string> =>
  ((await by.post('/api/invites').send({ role }).expect(201)).body as { invite: string }).invite;

/** Somebody with a yard of their own who has joined this one. */
async function joined(role: Role): Promise<{ agent: Agent; account: string }> {
  const agent = await newcomer(server, `Own of one who ${role}`);
  await agent
    .post('/api/invites/join')
    .send({ invite: await link(owner, role) })
    .expect(200);
  const members = (await agent.get('/api/members')).body as { account: string; you: boolean; role: Role }[];
  const me = members.find((m) => m.you);
  expect(me?.role).toBe(role);
  return { agent, account: me?.account ?? '' };
}

test('a link says what it is for, lets one person in once, and only its hash is kept', async () => {
  const invite = await link(owner, 'logs');
  expect(invite).toMatch(/^[\w-]{43}$/);
  expect(JSON.stringify(await server.db('invites'))).not.toContain(invite);
  const { body } = await request(server.http).post('/api/invites/look').send({ invite }).expect(200);
  expect(body).toEqual({ yard: 'The yard', role: 'logs' });
  const agent = request.agent(server.http);
  const answer = await agent
    .post('/api/accounts')
    .send({ email: 'new@example.test', password: 'plumb and level work', invite })
    .expect(201);
  expect(answer.body).toMatchObject({ yard: { name: 'The yard', role: 'logs' } });
  await agent.get(`/api/jobs/${kept.id}`).expect(200);
  const second = await newcomer(server, 'Too late');
  await second.post('/api/invites/join').send({ invite }).expect(404);
  await request(server.http).post('/api/invites/look').send({ invite }).expect(404);
});

test('of two who use one link at once one is in', async () => {
  const invite = await link(owner, 'reads');
  const two = [await newcomer(server, 'A'), await newcomer(server, 'B')];
  const statuses = await Promise.all(
    two.map(async (a) => (await a.post('/api/invites/join').send({ invite })).status),
  );
  expect(statuses.sort()).toEqual([200, 404]);
});

test('a link runs out in 72 hours at most, and one taken back or of somebody put out opens nothing', async () => {
  await owner.post('/api/invites').send({ role: 'reads', hours: 73 }).expect(400);
  const late = await link(owner, 'reads');
  await server
    .db('invites')
    .update({ expires_at: server.db.raw(`now() - interval '1 minute'`) })
    .whereNull('used_at');
  const agent = await newcomer(server, 'Late');
  await agent.post('/api/invites/join').send({ invite: late }).expect(404);
  const back = (await owner.post('/api/invites').send({ role: 'reads' }).expect(201)).body as {
    id: string;
    invite: string;
  };
  const lines = (await owner.get('/api/invites')).body as object[];
  expect(lines).toHaveLength(1);
  expect(JSON.stringify(lines)).not.toContain(back.invite);
  await owner.delete(`/api/invites/${back.id}`).expect(204);
  await agent.post('/api/invites/join').send({ invite: back.invite }).expect(404);
  const planner = await joined('plans');
  const theirs = await link(planner.agent, 'plans');
  await owner.put(`/api/members/${planner.account}`).send({ role: 'logs' }).expect(204);
  await agent.post('/api/invites/join').send({ invite: theirs }).expect(404);
});

test('nobody gives more than they have', async () => {
  const { agent } = await joined('plans');
  await agent.post('/api/invites').send({ role: 'owns' }).expect(403);
  await agent.post('/api/invites').send({ role: 'plans' }).expect(201);
});

/** What each route needs: a route that is not here is found by the test that reads the route table. */
const CALLS: [string, string, Role, (id: string) => object | undefined][] = [
  ['get', '/api/jobs', 'reads', () => undefined],
  ['get', '/api/jobs/:job', 'reads', () => undefined],
  ['get', '/api/jobs/:job/file', 'reads', () => undefined],
  ['get', '/api/jobs/:job/versions', 'reads', () => undefined],
  ['get', '/api/jobs/:job/record', 'reads', () => undefined],
  ['get', '/api/jobs/:none/record/events', 'reads', () => undefined],
  ['get', '/api/jobs/:job/exports/csv:tape?wall=n', 'reads', () => undefined],
  ['get', '/api/members', 'reads', () => undefined],
  ['get', '/api/yard/units', 'reads', () => undefined],
  [
    'put',
    '/api/yard/units',
    'plans',
    () => ({ id: 'salvaged', actual: { length: 220, height: 70, width: 105 } }),
  ],
  ['delete', '/api/yard/units/none', 'plans', () => undefined],
  [
    'post',
    '/api/jobs/:job/record',
    'logs',
    (id) => ({
      id,
      kind: 'course-laid',
      course: 1,
      run: 0,
      wall: 'n',
      by: 'R. Alder',
      happened: '2026-12-01T10:37:00Z',
    }),
  ],
  ['post', '/api/jobs', 'plans', () => ({ document: job('Mine') })],
  ['put', '/api/jobs/:job', 'plans', () => ({ revision: 999, document: job('Changed') })],
  ['get', '/api/invites', 'plans', () => undefined],
  ['post', '/api/invites', 'plans', () => ({ role: 'reads' })],
  ['delete', '/api/invites/:none', 'plans', () => undefined],
  ['delete', '/api/jobs/:none', 'plans', () => undefined],
  ['post', '/api/jobs/:none/back', 'plans', () => ({})],
  ['delete', '/api/jobs/:none/away', 'owns', () => undefined],
  ['put', '/api/members/:none', 'owns', () => ({ role: 'reads' })],
  ['delete', '/api/members/:none', 'owns', () => undefined],
  ['get', '/api/yard/file', 'owns', () => undefined],
  ['post', '/api/yard/file', 'owns', () => ({})],
  ['post', '/api/yard/close', 'owns', () => ({ password: 'not the password' })],
];
const NONE = '00000000-0000-4000-8000-000000000000';
const RANK: Role[] = ['reads', 'logs', 'plans', 'owns'];

test.each(RANK)('a member who %s may do what that is and nothing past it', async (role) => {
  const agent = role === 'owns' ? owner : (await joined(role)).agent;
  for (const [method, path, needs, body] of CALLS) {
    const url = path.replace(':job', kept.id).replace(':none', NONE);
    const asked = (agent as unknown as Record<string, (u: string) => request.Test>)[method]?.call(
      agent,
      url,
    ) as request.Test;
    const { status } = await asked.send(body(crypto.randomUUID()));
    const may = RANK.indexOf(role) >= RANK.indexOf(needs);
    // Past the door a call fails for its own reasons; a wrong password is 401 of another kind.
    expect({ path, method, role, refused: status === 403 }).toEqual({ path, method, role, refused: !may });
    expect(status).toBeLessThan(500);
  }
});

test('another browser is thrown out with its member, who is told as little as anybody', async () => {
  const { agent, account } = await joined('plans');
  const elsewhere = request.agent(server.http);
  const { email } = (await agent.get('/api/session')).body as { email: string };
  await elsewhere.post('/api/session').send({ email, password: 'a long enough word' }).expect(200);
  await elsewhere.get(`/api/jobs/${kept.id}`).expect(200);
  await owner.delete(`/api/members/${account}`).expect(204);
  await elsewhere.get(`/api/jobs/${kept.id}`).expect(401);
  await agent.get('/api/jobs').expect(401);
  // Their own yard is theirs still.
  await agent.post('/api/session').send({ email, password: 'a long enough word' }).expect(200);
  await agent.get(`/api/jobs/${kept.id}`).expect(404);
});

test('a role changed counts at the next request, and somebody always owns the yard', async () => {
  const { agent, account } = await joined('plans');
  await agent
    .post('/api/jobs')
    .send({ document: job('Before') })
    .expect(201);
  await owner.put(`/api/members/${account}`).send({ role: 'reads' }).expect(204);
  await agent
    .post('/api/jobs')
    .send({ document: job('After') })
    .expect(403);
  const me = ((await owner.get('/api/members')).body as { account: string; you: boolean }[]).find(
    (m) => m.you,
  )?.account;
  await owner.put(`/api/members/${me}`).send({ role: 'reads' }).expect(409);
  await owner.delete(`/api/members/${me}`).expect(409);
  await agent.delete(`/api/members/${account}`).expect(204);
  await agent.get('/api/jobs').expect(401);
});

test('whoever is in two yards goes from one to the other, and into no third', async () => {
  const { agent } = await joined('reads');
  const { yards, yard } = (await agent.get('/api/session')).body as {
    yards: { id: string; name: string }[];
    yard: { name: string };
  };
  expect(yards).toHaveLength(2);
  expect(yard.name).toBe('The yard');
  const own = yards.find((y) => y.name !== 'The yard');
  await agent.post('/api/session/yard').send({ yard: own?.id }).expect(200);
  await agent.get(`/api/jobs/${kept.id}`).expect(404);
  await agent.post('/api/session/yard').send({ yard: NONE }).expect(404);
});

test('a visitor of the demo yard asks nobody in and joins nothing', async () => {
  const visitor = request.agent(server.http);
  await visitor.post('/api/demo').expect(201);
  await visitor.post('/api/invites').send({ role: 'reads' }).expect(403);
  await visitor
    .post('/api/invites/join')
    .send({ invite: await link(owner, 'reads') })
    .expect(403);
});
