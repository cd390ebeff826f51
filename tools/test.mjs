// Runs every check, each with a time limit, and counts them. Last line: "N passed, N failed".
// Two lanes side by side, for a machine of two cores: what reads the code and tests the core, and what needs a database;
// then the journeys, on one server and one browser. `--long`: the full campaigns (LONG=1), which take hours.
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MINUTE = 60_000;
const out = mkdtempSync(join(tmpdir(), 'even-tally-results-'));
const LONG = process.argv.includes('--long');
const bin = (path) => ['node', join('node_modules', path)];
const jest = (project, minutes, ...flags) => ({
  name: `tests: ${project}`,
  minutes,
  command: [
    'node',
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    project,
    '--json',
    `--outputFile=${join(out, `${project}.json`)}`,
    ...flags,
  ],
  results: join(out, `${project}.json`),
});

// Limits are for what hangs: a busy machine takes twice as long, and that is no fault of the code.
/** Types, the rules of who reads whom, and the core. */
const FIRST = [
  { name: 'lockfile', minutes: 1, command: ['node', 'tools/check-lockfile.mjs'] },
  {
    name: 'types: core',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'packages/core/tsconfig.test.json'],
  },
  {
    name: 'types: words',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'packages/words/tsconfig.test.json'],
  },
  {
    name: 'types: exports',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'packages/exports/tsconfig.test.json'],
  },
  {
    name: 'types: server',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'apps/server/tsconfig.test.json'],
  },
  {
    name: 'types: command line',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'apps/cli/tsconfig.json'],
  },
  {
    name: 'types: web',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'apps/web/tsconfig.json', '--noEmit'],
  },
  { name: 'types: journeys', minutes: 5, command: [...bin('typescript/bin/tsc'), '-p', 'e2e/tsconfig.json'] },
  {
    name: 'dependency rules',
    minutes: 5,
    command: [
      ...bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      '--config',
      '.dependency-cruiser.cjs',
      'packages/core/src',
      'packages/words/src',
      'packages/exports/src',
      'apps/server/src',
      'apps/web/src',
      'apps/cli/src',
    ],
  },
  jest('core', LONG ? 360 : 35, '--maxWorkers=2', '--testTimeout=180000'),
];

/** Lint, and what stands on the core: files to take away, the server on its database, and the screens. */
const SECOND = [
  {
    name: 'lint',
    minutes: 20,
    command: [
      ...bin('eslint/bin/eslint.js'),
      '--cache',
      '--cache-location',
      'node_modules/.cache/eslint',
      '.',
    ],
  },
  jest('exports', 20, '--maxWorkers=1', '--testTimeout=60000'),
  jest('server', LONG ? 90 : 25, '--runInBand', '--testTimeout=60000'),
  jest('web', 20, '--maxWorkers=1', '--testTimeout=60000'),
];

/** Alone, for they are timed against one server and one browser. */
const LAST = [jest('e2e', 30, '--runInBand', '--testTimeout=120000', '--forceExit')];

/** A command's output is kept and shown when it is done, so that two lanes do not write into one another. */
function run({ command, minutes }) {
  return new Promise((resolve) => {
    const [program, ...args] = command;
    const said = [];
    const child = spawn(program, args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, CI: 'true', FORCE_COLOR: '0', ...(LONG ? { LONG: '1', FUZZ: '1' } : {}) },
      detached: true,
    });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => said.push(data));
    const timer = setTimeout(() => {
      said.push(Buffer.from(`stopped after ${minutes} minutes\n`));
      process.kill(-child.pid, 'SIGKILL');
    }, minutes * MINUTE);
    child.on('close', (code) => {
      clearTimeout(timer);
      resolve({ ok: code === 0, said: Buffer.concat(said).toString() });
    });
  });
}

/** A Jest run counts its tests; one that died before counting, or counted none, is one failure. */
function count(step, ok) {
  if (!step.results) return ok ? [1, 0] : [0, 1];
  if (!existsSync(step.results)) return [0, 1];
  const r = JSON.parse(readFileSync(step.results, 'utf8'));
  const failed = r.numFailedTests + r.numRuntimeErrorTestSuites;
  return [r.numPassedTests, failed === 0 && (!ok || r.numPassedTests === 0) ? 1 : failed];
}

const wanted = process.argv.slice(2).filter((a) => a !== '--long');
let [passed, failed] = [0, 0];

async function lane(steps) {
  for (const step of steps) {
    if (wanted.length > 0 && !wanted.some((w) => step.name.includes(w))) continue;
    const start = Date.now();
    const { ok, said } = await run(step);
    const [p, f] = count(step, ok);
    passed += p;
    failed += f;
    const seconds = ((Date.now() - start) / 1000).toFixed(1);
    console.log(`\n== ${step.name}\n${said}== ${step.name}: ${f === 0 ? 'passed' : 'FAILED'} (${seconds} s)`);
  }
}

await Promise.all([lane(FIRST), lane(SECOND)]);
await lane(LAST);
rmSync(out, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
