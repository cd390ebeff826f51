// How much a server serves on this machine: started by `./tally bench server` on a database of its own, fsync on, as for keeping.
// Prints ratios to a yardstick of the same run (rows of the same size written straight into the same database), never a verdict.
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { readFileSync, mkdtempSync, rmSync } from 'node:fs';
import http from 'node:http';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import pg from 'pg';

const SESSIONS = 50;
const SECONDS = 10;
const agent = new http.Agent({ keepAlive: true, maxSockets: 200 });

const percentile = (list, p) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * p))] ?? 0;
const say = (what, text) => console.log(`${what.padEnd(34)}${text}`);

function ask(address, method, path, cookie = '', body) {
  return new Promise((resolve, reject) => {
    const text = body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body);
    const asked = http.request(
      `${address}${path}`,
      {
        method,
        agent,
        headers: {
          cookie,
          ...(text === undefined
            ? {}
            : {
                'Content-Type': 'application/json',
                'Content-Length': Buffer.byteLength(text),
                Prefer: 'return=minimal',
              }),
        },
      },
      (answer) => {
        const parts = [];
        answer.on('data', (d) => parts.push(d));
        answer.on('end', () =>
          resolve({ status: answer.statusCode, headers: answer.headers, text: Buffer.concat(parts) }),
        );
      },
    );
    asked.on('error', reject);
    asked.end(text);
  });
}

/** A job of about so many bytes, as a crew has them: a building of several walls with openings in each. */
function jobOf(bytes) {
  const opening = (i) => ({
    id: `w${i}`,
    name: `Window ${i}`,
    run: 0,
    at: 1000 + i * 2400,
    width: 1200,
    sill: 900,
    head: 2100,
  });
  const wall = (i) => ({
    id: `wall-${i}`,
    name: `Wall ${i}`,
    line: [{ id: 'front', name: 'Front', run: 26_000 }],
    height: 2600,
    build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
    openings: Array.from({ length: 10 }, (_, k) => opening(k)),
  });
  const job = {
    format: 'even-tally/job',
    version: 1,
    name: 'Measured',
    show: 'mm',
    profile: 'us',
    walls: [wall(0)],
  };
  while (JSON.stringify(job).length < bytes) job.walls.push(wall(job.walls.length));
  return job;
}

async function open(address) {
  const answer = await ask(address, 'POST', '/api/demo');
  if (answer.status !== 201) throw new Error(`a demo yard was wanted, got ${answer.status} ${answer.text}`);
  return String(answer.headers['set-cookie']).split(';')[0];
}

/** `many` at once, each over and over for so long: how many a second, and how long each took. */
async function load(many, seconds, does) {
  const times = [];
  const end = performance.now() + seconds * 1000;
  await Promise.all(
    Array.from({ length: many }, async (_, i) => {
      while (performance.now() < end) {
        const from = performance.now();
        await does(i);
        times.push(performance.now() - from);
      }
    }),
  );
  return { times, rate: times.length / seconds };
}

const told = ({ times, rate }) =>
  `${rate.toFixed(0).padStart(6)} a second   p50 ${percentile(times, 0.5).toFixed(0)} ms   p99 ${percentile(times, 0.99).toFixed(0)} ms`;

const memoryOf = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

async function straight(url, text) {
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  await pool.query('create table yardstick (id int primary key, document jsonb, revision int)');
  for (let i = 0; i < SESSIONS; i++) await pool.query('insert into yardstick values ($1, $2, 1)', [i, text]);
  const measured = await load(SESSIONS, 5, (i) =>
    pool.query('update yardstick set document = $2, revision = revision + 1 where id = $1', [i, text]),
  );
  await pool.query('drop table yardstick');
  await pool.end();
  return measured;
}

async function measure(address, pid, url) {
  const job = jobOf(20_000);
  const text = JSON.stringify(job);
  const people = await Promise.all(
    Array.from({ length: SESSIONS }, async () => {
      const cookie = await open(address);
      const { text: added } = await ask(address, 'POST', '/api/jobs', cookie, { document: job });
      return { cookie, id: JSON.parse(added).id, revision: 1 };
    }),
  );
  const bad = (answer) => {
    if (answer.status !== 200)
      throw new Error(`wanted 200, got ${answer.status}: ${answer.text.toString().slice(0, 200)}`);
    return answer;
  };
  const save = async (i) => {
    const one = people[i];
    bad(
      await ask(
        address,
        'PUT',
        `/api/jobs/${one.id}`,
        one.cookie,
        `{"revision":${one.revision},"document":${text}}`,
      ),
    );
    one.revision += 1;
  };
  await load(SESSIONS, 3, save);
  say(
    'a job',
    `${(text.length / 1000).toFixed(1)} kB, ${SESSIONS} sessions, ${availableParallelism()} processors, load from here too`,
  );
  const yardstick = await straight(url, text);
  say('written straight, the yardstick', told(yardstick));
  const saves = await load(SESSIONS, SECONDS, save);
  say('saves', `${told(saves)}   ${(saves.rate / yardstick.rate).toFixed(2)} of the yardstick`);
  const paced = [];
  const started = performance.now();
  const gap = (SESSIONS / 200) * 1000;
  await Promise.all(
    people.map(async (_, i) => {
      await new Promise((r) => setTimeout(r, (i / SESSIONS) * gap));
      for (let n = 0; n < (SECONDS * 1000) / gap; n++) {
        const from = performance.now();
        await save(i);
        const took = performance.now() - from;
        paced.push(took);
        await new Promise((r) => setTimeout(r, Math.max(0, gap - took)));
      }
    }),
  );
  say(
    'saves asked for 200 a second',
    told({ times: paced, rate: paced.length / ((performance.now() - started - gap) / 1000) }),
  );
  const reads = await load(SESSIONS, 5, (i) =>
    ask(address, 'GET', `/api/jobs/${people[i].id}`, people[i].cookie).then(bad),
  );
  say('reads', `${told(reads)}   ${(reads.rate / saves.rate).toFixed(2)} of saves`);
  const lists = await load(SESSIONS, 5, (i) => ask(address, 'GET', '/api/jobs', people[i].cookie).then(bad));
  say('lists', `${told(lists)}   ${(lists.rate / saves.rate).toFixed(2)} of saves`);
  let printing = true;
  const meanwhile = [];
  const saver = (async () => {
    for (let i = 0; printing; i = (i + 1) % SESSIONS) {
      const from = performance.now();
      await save(i);
      meanwhile.push(performance.now() - from);
      await new Promise((r) => setTimeout(r, 10));
    }
  })();
  const began = performance.now();
  const made = await Promise.all(
    Array.from({ length: 20 }, async (_, i) => {
      bad(
        await ask(address, 'GET', `/api/jobs/${people[i].id}/exports/pdf:pole?wall=wall-0`, people[i].cookie),
      );
      return performance.now() - began;
    }),
  );
  printing = false;
  await saver;
  say(
    '20 sheets at once',
    `all within ${(Math.max(...made) / 1000).toFixed(1)} s; saves meanwhile p50 ${percentile(meanwhile, 0.5).toFixed(0)} ms, p99 ${percentile(meanwhile, 0.99).toFixed(0)} ms (${meanwhile.length})`,
  );
  const before = memoryOf(pid);
  let asked = 0;
  await Promise.all(
    people.map(async (_, i) => {
      while (asked < 20_000) {
        asked += 1;
        if (asked % 4 === 0) await save(i);
        else await ask(address, 'GET', `/api/jobs/${people[i].id}`, people[i].cookie).then(bad);
      }
    }),
  );
  const after = memoryOf(pid);
  say(
    'memory',
    `${before.toFixed(0)} MB, after 20 000 requests more ${after.toFixed(0)} MB: ${(after / before).toFixed(2)} of it`,
  );
}

const home = mkdtempSync(join(tmpdir(), 'even-tally-bench-'));
const child = spawn(
  process.execPath,
  [...(process.env.PROF ? ['--cpu-prof', '--cpu-prof-dir=/tmp/prof'] : []), 'apps/server/dist/main.js'],
  {
    env: {
      ...process.env,
      PORT: '0',
      TALLY_DEMO: '1',
      NODE_ENV: 'production',
      SESSION_SECRET: 'x'.repeat(32),
      LOG_LEVEL: 'warn',
      LOG_FILE: join(home, 'log'),
      WEB_FOLDER: 'apps/web/dist',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  },
);
try {
  const address = await new Promise((resolve, reject) => {
    child.stdout.on('data', (d) => {
      const found = /ready at (http:\S+)/.exec(d.toString());
      if (found) resolve(found[1]);
    });
    child.on('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  await measure(address, child.pid, process.env.DATABASE_URL);
} finally {
  child.removeAllListeners('exit');
  child.kill('SIGTERM');
  rmSync(home, { recursive: true, force: true });
}
