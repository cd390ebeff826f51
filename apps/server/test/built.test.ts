import { spawn, type ChildProcess } from 'node:child_process';
import { connect } from 'node:net';
import { join } from 'node:path';
import { startServer, type TestServer } from './support.js';

const ROOT = join(__dirname, '../../..');
let database: TestServer;
let child: ChildProcess;
let address = '';

beforeAll(async () => {
  database = await startServer();
  child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: '0',
      DATABASE_URL: database.url,
      SESSION_SECRET: 'y'.repeat(32),
      LOG_LEVEL: 'error',
      WEB_FOLDER: join(ROOT, 'apps/web/dist'),
      TALLY_DEMO: '1',
      DEMO_FOLDER: join(ROOT, 'apps/server/demo'),
    },
  });
  address = await new Promise<string>((resolve, reject) => {
    child.stdout?.on('data', (text: Buffer) => {
      const found = /ready at (http:\S+)/.exec(text.toString());
      if (found?.[1]) resolve(found[1]);
    });
    child.stderr?.on('data', (text: Buffer) => reject(new Error(text.toString())));
  });
}, 60_000);
afterAll(async () => {
  if (child.exitCode === null) child.kill('SIGKILL');
  await database.close();
});

test('the built server hands out the application, loads the demo once and stops on TERM', async () => {
  const page = await fetch(`${address}/yard`);
  expect(page.status).toBe(200);
  expect(await page.text()).toContain('<div id="root">');
  expect(page.headers.get('content-security-policy')).toContain("script-src 'self'");
  const demo = await fetch(`${address}/api/demo`, { method: 'POST' });
  expect(demo.status).toBe(201);
  const cookie = demo.headers.get('set-cookie') ?? '';
  const jobs = (await (await fetch(`${address}/api/jobs`, { headers: { cookie } })).json()) as {
    name: string;
  }[];
  expect(jobs.map((j) => j.name)).toEqual(['Sandpiper Boat Club', 'Linden Row Allotments']);
  for (const missing of ['/api/nothing', '/assets/gone.js', '/gone.png', '/favicon.ico.map'])
    expect((await fetch(`${address}${missing}`)).status).toBe(404);
  // A client that never finishes what it says does not keep the server from stopping.
  const { port, hostname } = new URL(address);
  const slow = connect(Number(port), hostname).on('error', () => undefined);
  slow.write(
    'POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{',
  );
  await new Promise((resolve) => setTimeout(resolve, 200));
  const closed = new Promise<number | null>((resolve) => child.on('exit', resolve));
  child.kill('SIGTERM');
  expect(await closed).toBe(0);
});
