import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request as ask } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { newcomer, startServer } from './support.js';

let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'even-tally-door-log-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('who came in, who was refused and who was given what is in the log; no password, link, cookie or document is', async () => {
  const logFile = join(folder, 'server.log');
  const server = await startServer({ logLevel: 'info', logFile });
  const owner = await newcomer(server, 'Logged');
  const { body: link } = (await owner.post('/api/invites').send({ role: 'reads' }).expect(201)) as {
    body: { invite: string };
  };
  const reader = await newcomer(server, 'Reader');
  await reader.post('/api/invites/join').send({ invite: link.invite }).expect(200);
  await reader
    .post('/api/jobs')
    .send({ document: { secret: 'only in the document' } })
    .expect(403);
  const members = (await owner.get('/api/members')).body as { account: string; you: boolean }[];
  const other = members.find((m) => !m.you)?.account;
  await owner.put(`/api/members/${other}`).send({ role: 'logs' }).expect(204);
  const wrong = await request(server.http)
    .post('/api/session')
    .send({ email: 'nobody@example.test', password: 'a wrong one entirely' });
  expect(wrong.status).toBe(401);
  await server.close();
  const log = readFileSync(logFile, 'utf8');
  const events = log
    .split('\n')
    .filter((l) => l.includes('"context":"door"'))
    .map((l) => (JSON.parse(l) as { event: string }).event);
  for (const event of ['account opened', 'link made', 'joined', 'refused', 'role changed', 'sign-in refused'])
    expect(events).toContain(event);
  for (const secret of [
    'a long enough word',
    'a wrong one entirely',
    link.invite,
    'only in the document',
    'tally=s',
  ])
    expect(log).not.toContain(secret);
  expect(log).toContain(other);
});

test('with a certificate of its own it speaks TLS, and its cookie is for TLS alone', async () => {
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-keyout',
      key,
      '-out',
      cert,
      '-days',
      '2',
      '-subj',
      '/CN=localhost',
    ],
    { stdio: 'ignore' },
  );
  const server = await startServer({
    tls: { cert: readFileSync(cert), key: readFileSync(key) },
    host: '127.0.0.1',
  });
  const { port } = server.http.address() as { port: number };
  const answer = await new Promise<{ status: number | undefined; cookie: string; hsts: string }>(
    (resolve, reject) => {
      ask(
        {
          port,
          host: '127.0.0.1',
          path: '/api/demo',
          method: 'POST',
          ca: readFileSync(cert),
          servername: 'localhost',
        },
        (r) => {
          r.resume();
          resolve({
            status: r.statusCode,
            cookie: String(r.headers['set-cookie']),
            hsts: String(r.headers['strict-transport-security']),
          });
        },
      )
        .on('error', reject)
        .end();
    },
  );
  expect(answer.status).toBe(201);
  expect(answer.cookie).toMatch(/^__Host-tally=.*; Path=\/; .*HttpOnly; Secure; SameSite=Lax/);
  expect(answer.hsts).toMatch(/max-age/);
  await server.close();
});
