// Runs every check one after another, each with a time limit, and counts them. Last line: "N passed, N failed".
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const MINUTE = 60_000;
const out = mkdtempSync(join(tmpdir(), 'even-tally-results-'));
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

const STEPS = [
  { name: 'lockfile', minutes: 1, command: ['node', 'tools/check-lockfile.mjs'] },
  {
    name: 'types: core',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'packages/core/tsconfig.test.json'],
  },
  {
    name: 'types: server',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'apps/server/tsconfig.test.json'],
  },
  {
    name: 'types: command line',
    minutes: 5,
    command: [...bin('typescript/bin/tsc'), '-p', 'apps/cli/tsconfig.test.json'],
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
      'apps/server/src',
      'apps/web/src',
      'apps/cli/src',
    ],
  },
  {
    name: 'lint',
    minutes: 10,
    command: [
      ...bin('eslint/bin/eslint.js'),
      '--cache',
      '--cache-location',
      'node_modules/.cache/eslint',
      '.',
    ],
  },
  jest('core', 10, '--testTimeout=60000'),
  jest('server', 10, '--runInBand', '--testTimeout=30000'),
  jest('web', 10, '--testTimeout=20000'),
  jest('e2e', 15, '--runInBand', '--testTimeout=60000', '--forceExit'),
];

function run({ command, minutes }) {
  return new Promise((resolve) => {
    const [program, ...args] = command;
    const child = spawn(program, args, {
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, CI: 'true', FORCE_COLOR: '0' },
      detached: true,
    });
    const timer = setTimeout(() => {
      console.log(`stopped after ${minutes} minutes`);
      process.kill(-child.pid, 'SIGKILL');
    }, minutes * MINUTE);
    child.on('close', (code) => {
      clearTimeout(timer);
      resolve(code === 0);
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

const wanted = process.argv.slice(2);
let [passed, failed] = [0, 0];
for (const step of STEPS) {
  if (wanted.length > 0 && !wanted.some((w) => step.name.includes(w))) continue;
  const start = Date.now();
  console.log(`\n== ${step.name}`);
  const ok = await run(step);
  const [p, f] = count(step, ok);
  passed += p;
  failed += f;
  console.log(
    `== ${step.name}: ${f === 0 ? 'passed' : 'FAILED'} (${((Date.now() - start) / 1000).toFixed(1)} s)`,
  );
}
rmSync(out, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
