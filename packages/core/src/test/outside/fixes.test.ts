import { applyPatch, type PatchStep } from '../../job/edits/patch.js';
import { checkJob } from '../../job/check.js';
import { plan } from '../../plan/plan.js';
import { ordinaryJob, wildJob } from './generate.js';
import { plannedJson } from './run.js';

/** Walls whose every fix is pressed: a tenth in a plain run, all of them with --long. */
const WALLS = process.env.LONG === '1' ? 2_000 : 200;

/** The faults of every wall of a job, by wall, code, run and opening, and how many of each. */
function faultsOf(document: unknown): Map<string, number> {
  const checked = checkJob(document);
  if (!checked.ok) throw new Error('a fix made a job the door refuses');
  const count = new Map<string, number>();
  for (const w of plan(checked.job, [], { advise: false }).walls)
    for (const f of w.findings.filter((x) => x.severity === 'fault')) {
      const key = `${w.wall.id} ${f.code} ${f.run ?? ''} ${f.opening ?? ''}`;
      count.set(key, (count.get(key) ?? 0) + 1);
    }
  return count;
}

test('no fix leaves a fault that was not there, in any wall of the job, and each settles its finding', () => {
  const wrong: string[] = [];
  let [tried, made] = [0, 0];
  for (let seed = 1; tried < WALLS; seed++) {
    const job = seed % 3 === 0 ? wildJob(seed) : ordinaryJob(seed);
    const planned = plannedJson(job, true);
    if (!planned) continue;
    const fixes = planned.walls.flatMap((w) =>
      w.findings.flatMap((f) => f.fixes.map((fix) => ({ w, f, fix }))),
    );
    if (fixes.length === 0) continue;
    tried++;
    const before = faultsOf(job);
    for (const { w, f, fix } of fixes) {
      made++;
      const after = applyPatch(job, fix.edit as PatchStep[]);
      if (!after.ok) {
        wrong.push(`${seed} ${f.code}: ${after.why}`);
        continue;
      }
      for (const [key, n] of faultsOf(after.value))
        if (n > (before.get(key) ?? 0)) wrong.push(`${seed} ${f.code}, ${fix.says}: made ${key}`);
      const then = plannedJson(after.value)?.walls.find((x) => x.id === w.id);
      const same = (g: { code: string; run?: number }): boolean =>
        g.code === f.code &&
        g.run === f.run &&
        (g as { opening?: string }).opening === (f as { opening?: string }).opening;
      if (then?.findings.some(same)) wrong.push(`${seed} ${f.code}, ${fix.says}: still there`);
    }
  }
  // eslint-disable-next-line no-console -- how many were tried is read in the run's output
  console.log(
    `${made} fixes of ${tried} walls: ${wrong.length} leave a fault that was not there, or their finding`,
  );
  expect(wrong).toEqual([]);
  expect(made).toBeGreaterThan(50);
}, 3_600_000);
