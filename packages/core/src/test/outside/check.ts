import type { JobFile, PlanFile } from './files.js';
import { lapDefects } from './laps.js';
import { mortarOf } from './mortar.js';
import { courseDefects, coverDefects, pieceDefects } from './pieces.js';
import { barDefects, groutOf } from './steel.js';
import { curvedDefects, twoLeafDefects } from './fromAbove.js';
import { mm } from './trade.js';
import { factsOf, isHeaderBond, type Facts } from './wall.js';

/** Runs and curves that go on from one another, a curve among them, in tied leaves of solid units. */
const isChain = (f: Facts): boolean =>
  f.runs.some((r) => r.arc) &&
  f.runs.every((r) => (r.turnAfter ?? 0) === 0) &&
  f.unit.cores === null &&
  !isHeaderBond(f);

/**
 * Everything wrong with a plan, read from the job file and the plan's JSON alone, by somebody who knows the trade and
 * not the program. Empty when there is nothing.
 */
export function defectsOf(job: JobFile, plan: PlanFile): string[] {
  const facts = job.walls.map((file, i) => {
    const own = plan.walls[i];
    if (!own) throw new Error(`no plan of ${file.id}`);
    return factsOf(job, file, own);
  });
  for (const f of facts) {
    f.branchTops = branchesInto(f, facts);
    const into = facts.find((o) => o.file.id === f.file.meets?.wall);
    if (into) f.into = into.thickness;
  }
  const out = facts.flatMap((f) =>
    [...courseDefects(f), ...pieceDefects(f), ...coverDefects(f), ...lapDefects(f), ...barDefects(f)].map(
      (d) => `${f.file.id}: ${d}`,
    ),
  );
  out.push(...twoLeafDefects(facts, plan));
  // One wall that goes round without a corner.
  const [only] = facts;
  if (only && facts.length === 1 && only.file.build.wythes === 2 && isChain(only))
    out.push(...curvedDefects(only, plan));
  const about = (a: number, b: number): boolean => Math.abs(a - b) <= Math.max(1e-6, 0.001 * b);
  const add = (of: (f: Facts) => number | null): number | null =>
    facts.reduce<number | null>((sum, f) => {
      const one = of(f);
      return sum === null || one === null ? null : sum + one;
    }, 0);
  const grout = add(groutOf);
  if (grout !== null && !about(plan.tally.grout.geometric, grout))
    out.push(`grout ${plan.tally.grout.geometric}, by the cells and beams ${grout.toFixed(6)}`);
  const mortar = add(mortarOf);
  if (mortar !== null && !about(plan.tally.mortar.geometric, mortar))
    out.push(`mortar ${plan.tally.mortar.geometric}, by the joints ${mortar.toFixed(6)}`);
  return out;
}

function branchesInto(f: Facts, all: readonly Facts[]): NonNullable<Facts['branchTops']> {
  const map: NonNullable<Facts['branchTops']> = new Map();
  for (const b of all) {
    const { meets } = b.file;
    if (meets?.wall !== f.file.id || meets.how !== 'bonded') continue;
    map.set(b.file.id, { top: b.plan.courses.at(-1)?.top ?? 0, at: mm(meets.at), thickness: b.thickness });
  }
  return map;
}
