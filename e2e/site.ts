import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import knex, { type Knex } from 'knex';

const ROOT = join(__dirname, '..');

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

function startBuilt(url: string): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: '0',
      DATABASE_URL: url,
      SESSION_SECRET: randomBytes(16).toString('hex'),
      LOG_LEVEL: 'error',
      WEB_FOLDER: join(ROOT, 'apps/web/dist'),
      TALLY_DEMO: '1',
      DEMO_FOLDER: join(ROOT, 'apps/server/demo'),
    },
  });
  return new Promise((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      const address = /ready at (http:\S+)/.exec(text.toString())?.[1];
      if (address) resolve({ child, address });
    });
    child.stderr.on('data', (text: Buffer) => reject(new Error(text.toString())));
  });
}

/** What the journeys find in their environment: the server's address, and where the browser listens. */
export const ADDRESS = 'JOURNEY_ADDRESS';
export const BROWSER = 'JOURNEY_BROWSER';

/** The built server on a database of its own, and a browser before it: one of each for all the journeys. */
export async function openSite(): Promise<() => Promise<void>> {
  const cluster = process.env.DATABASE_URL;
  if (!cluster) throw new Error('DATABASE_URL is not set: run the journeys by ./tally test');
  const name = `journey_${randomBytes(6).toString('hex')}`;
  const admin: Knex = knex({ client: 'pg', connection: cluster, pool: { min: 0, max: 1 } });
  await admin.raw(`create database ${name}`);
  const { child, address } = await startBuilt(cluster.replace(/\/[^/]*$/, `/${name}`));
  const { default: puppeteer } = await import('puppeteer-core');
  const userDataDir = mkdtempSync(join(tmpdir(), 'even-tally-browser-'));
  const browser = await puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: FLAGS,
    userDataDir,
  });
  process.env[ADDRESS] = address;
  process.env[BROWSER] = browser.wsEndpoint();
  return async () => {
    await browser.close();
    const gone = new Promise((resolve) => child.on('exit', resolve));
    child.kill('SIGTERM');
    await gone;
    await admin.raw(`drop database ${name} with (force)`);
    await admin.destroy();
    rmSync(userDataDir, { recursive: true, force: true });
  };
}
