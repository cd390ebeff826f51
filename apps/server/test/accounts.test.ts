import request from 'supertest';
import { newcomer, startServer, type TestServer } from './support.js';

let server: TestServer;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.close());

const good = { email: 'first@example.test', password: 'a long enough word', yard: 'First crew' };

test('an account is opened, signed out of and signed in to again; the password is kept as argon2id', async () => {
  const agent = request.agent(server.http);
  await agent.post('/api/accounts').send(good).expect(201);
  const row = await server
    .db<{ email: string; password_hash: string }>('accounts')
    .where({ email: good.email })
    .first();
  expect(row?.password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  expect(JSON.stringify(row)).not.toContain(good.password);
  await agent.post('/api/session/end').expect(204);
  expect((await agent.get('/api/session')).body).toMatchObject({ signedIn: false, yard: null });
  const { body } = await agent
    .post('/api/session')
    .send({ email: ' First@Example.test ', password: good.password })
    .expect(200);
  expect(body).toMatchObject({ signedIn: true, yard: { name: 'First crew', demo: false } });
});

test('a wrong password and an unknown address are refused alike', async () => {
  const wrong = await request(server.http)
    .post('/api/session')
    .send({ email: good.email, password: 'another long word' });
  const nobody = await request(server.http)
    .post('/api/session')
    .send({ email: 'nobody@example.test', password: 'another long word' });
  expect([wrong.status, nobody.status]).toEqual([401, 401]);
  expect(wrong.body).toEqual(nobody.body);
  expect(wrong.body).toEqual({ says: 'That address and password do not go together.' });
});

test('a refusal is said in the language it is asked for in, and what is wrong with a field too', async () => {
  const refused = async (body: object, languages?: string): Promise<unknown> => {
    const asked = request(server.http).post('/api/session');
    if (languages !== undefined) asked.set('Accept-Language', languages);
    return ((await asked.send(body)).body as { says: unknown }).says;
  };
  const wrong = { email: 'nobody@example.test', password: 'yet another long word' };
  expect(await refused(wrong, 'es-MX,es;q=0.9,en;q=0.8')).toBe('Ese correo y esa contraseña no van juntos.');
  expect(await refused(wrong, 'fr, en-US;q=0.5')).toBe('That address and password do not go together.');
  expect(await refused({ ...wrong, password: '' })).toBe('password: wanted a password, got none');
  expect(await refused({ ...wrong, password: '' }, 'es')).toBe(
    'password: se pide una contraseña, no llegó ninguna',
  );
});

test('opening an account says the same whether or not somebody has one under that address', async () => {
  const answers = [];
  for (const email of [good.email, 'nobody.yet@example.test'])
    answers.push(
      await request(server.http)
        .post('/api/accounts')
        .send({ ...good, email, password: 'four other words here' }),
    );
  const said = answers.map(({ status, body }) => {
    const { yard, ...rest } = body as { yard: { name: string }; email: string };
    return { status, keys: Object.keys(rest), yard: yard.name };
  });
  expect(said[0]).toEqual(said[1]);
  // What the first one holds is still behind its own password, and nowhere else.
  const first = request.agent(server.http);
  const second = request.agent(server.http);
  await first.post('/api/session').send({ email: good.email, password: good.password }).expect(200);
  await second
    .post('/api/session')
    .send({ email: good.email, password: 'four other words here' })
    .expect(200);
  const [a, b] = [(await first.get('/api/session')).body, (await second.get('/api/session')).body] as {
    yard: { id: string };
  }[];
  expect(a?.yard.id).not.toBe(b?.yard.id);
});

test('the address and the password of an account there is, given once more, are that account', async () => {
  const opened = request.agent(server.http);
  const { body } = await opened
    .post('/api/accounts')
    .send({ ...good, yard: 'Once more' })
    .expect(201);
  expect(body).toMatchObject({ yard: { name: 'First crew' } });
});

test.each([
  [{ ...good, password: 'short' }, /password: wanted at least 12 characters/],
  [{ ...good, email: 'no address' }, /email: wanted an address/],
  [{ ...good, yard: 'a\u0000b' }, /yard: wanted text without control characters/],
  [{ ...good, admin: true }, /admin/],
  [{ ...good, password: 'Password2026!' }, /easily guessed/],
  [{ ...good, password: 'letmeinletmein' }, /easily guessed/],
  [{ ...good, password: 'first@example.test' }, /easily guessed/],
  [{ ...good, email: 'a\ud800@example.test' }, /email: wanted whole characters/],
  [{ ...good, password: 'a long enough\ud800' }, /password: wanted whole characters/],
  [{ ...good, constructor: 1 }, /constructor: wanted nothing/],
  [{ ...good, yard: undefined }, /yard: wanted a name/],
  [{ email: 7, password: {}, yard: [] }, /email/],
])('a bad account is refused with the field named: %j', async (given, says) => {
  const { body } = await request(server.http).post('/api/accounts').send(given).expect(400);
  expect((body as { says: string }).says).toMatch(says);
});

test('the session id changes at sign-in and the cookie cannot be read by scripts', async () => {
  const first = await request(server.http)
    .post('/api/session')
    .send({ email: good.email, password: good.password });
  const cookie = String(first.headers['set-cookie']);
  expect(cookie).toMatch(/^tally=.*HttpOnly/);
  expect(cookie).toMatch(/SameSite=Lax/);
});

test('a sign-in after too many tries is put off', async () => {
  const tries = [];
  for (let i = 0; i < 12; i++)
    tries.push(
      (
        await request(server.http)
          .post('/api/session')
          .send({ email: 'x@example.test', password: 'guess guess guess' })
      ).status,
    );
  expect(tries).toContain(429);
  expect(tries.filter((s) => s === 401).length).toBeLessThanOrEqual(8);
});

test('the demo yard is a private copy', async () => {
  await server.db('demo_jobs').insert({
    name: 'one',
    place: 0,
    document: JSON.stringify({
      format: 'even-tally/job',
      version: 1,
      name: 'Demo',
      show: 'mm',
      profile: 'uk',
      walls: [],
    }),
  });
  const [a, b] = [request.agent(server.http), request.agent(server.http)];
  await a.post('/api/demo').expect(201);
  await b.post('/api/demo').expect(201);
  const [ja] = (await a.get('/api/jobs')).body as { id: string }[];
  const [jb] = (await b.get('/api/jobs')).body as { id: string }[];
  expect(ja?.id).not.toBe(jb?.id);
  await a.delete(`/api/jobs/${ja?.id}`).expect(204);
  expect((await b.get('/api/jobs')).body).toHaveLength(1);
});

test('a request from another site’s page is refused', async () => {
  const agent = await newcomer(server);
  await agent.post('/api/jobs').set('Origin', 'http://elsewhere.test').send({ document: {} }).expect(403);
});

test('without the demo there is none to look round', async () => {
  const plain = await startServer({ demo: false });
  await request(plain.http).post('/api/demo').expect(404);
  expect((await request(plain.http).get('/api/session')).body).toMatchObject({ demo: false });
  await plain.close();
});
