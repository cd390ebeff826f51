import { applyPatch, type PatchStep } from '../../job/edits/patch.js';
import type { PlanFile } from './files.js';
import { ordinaryJob, wildJob } from './generate.js';
import { plannedJson } from './run.js';

/** Walls whose every fix is pressed: a few in a plain run, all of them with --long. */
const WALLS = process.env.LONG === '1' ? 2_000 : 30;

/** The faults of every wall of a plan, by wall, code, run and opening, and how many of each. */
function faultsOf(planned: PlanFile): Map<string, number> {
  const count = new Map<string, number>();
  for (const w of planned.walls)
    for (const f of w.findings.filter((x) => x.severity === 'fault')) {
      const key = `${w.id} ${f.code} ${f.run ?? ''} ${openingOf(f)}`;
      count.set(key, (count.get(key) ?? 0) + 1);
    }
  return count;
}

const openingOf = (f: object): string => (f as { opening?: string }).opening ?? '';

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
    const before = faultsOf(planned);
    for (const { w, f, fix } of fixes) {
      made++;
      const after = applyPatch(job, fix.edit as PatchStep[]);
      if (!after.ok) {
        wrong.push(`${seed} ${f.code}: ${after.why}`);
        continue;
      }
      const then = plannedJson(after.value);
      if (!then) {
        wrong.push(`${seed} ${f.code}, ${fix.says}: made a job the door refuses`);
        continue;
      }
      for (const [key, n] of faultsOf(then))
        if (n > (before.get(key) ?? 0)) wrong.push(`${seed} ${f.code}, ${fix.says}: made ${key}`);
      const same = (g: { code: string; run?: number }): boolean =>
        g.code === f.code && g.run === f.run && openingOf(g) === openingOf(f);
      if (then.walls.find((x) => x.id === w.id)?.findings.some(same))
        wrong.push(`${seed} ${f.code}, ${fix.says}: still there`);
    }
  }
  // eslint-disable-next-line no-console -- how many were tried is read in the run's output
  console.log(
    `${made} fixes of ${tried} walls: ${wrong.length} leave a fault that was not there, or their finding`,
  );
  expect(wrong).toEqual([]);
  expect(made).toBeGreaterThan(30);
}, 3_600_000);
