import { threeRuns } from './threeRuns.js';
import { withoutItem } from '../job/edits/runs.js';
import { reversedRun } from '../job/edits/reversed.js';
import { copiedRun } from '../job/edits/copied.js';
import type { JobDocument, Wall } from '../job/types.js';

export type Chance = () => number;

/** A whole number below n. */
const below = (chance: Chance, n: number): number => Math.floor(chance() * n);
const oneOf = <T>(chance: Chance, list: readonly T[]): T => list[below(chance, list.length)] as T;

type ById = Record<string, unknown> & { id: string };
const LISTS = ['openings', 'tops', 'steps', 'piers', 'joints', 'vents'] as const;

const runsIn = (wall: Wall): number => wall.line.filter((i) => !('turn' in i)).length;

const at = (job: JobDocument, k: number, wall: Wall): JobDocument => ({
  ...job,
  walls: job.walls.map((w, i) => (i === k ? wall : w)),
});

/** One thing a person at the bench might do, by chance: `who` begins the ids of what they add. */
export function anyEdit(job: JobDocument, chance: Chance, who: string): JobDocument {
  const k = below(chance, job.walls.length);
  const wall = job.walls[k];
  if (!wall) return job;
  const num = (): number => 100 * (1 + below(chance, 40));
  const list = oneOf(chance, LISTS);
  const entries = (wall[list] ?? []) as unknown as ById[];
  const withList = (now: ById[]): JobDocument => at(job, k, { ...wall, [list]: now });
  const id = `${who}${below(chance, 1e6)}`;
  switch (below(chance, 16)) {
    case 0:
      return { ...job, name: `${who} ${below(chance, 5)}` };
    case 1:
      return at(job, k, { ...wall, height: num() });
    case 2:
      if (wall.build.kind !== 'units') return job;
      return at(job, k, {
        ...wall,
        build: { ...wall.build, bond: oneOf(chance, ['half', 'third', 'quarter'] as const) },
      });
    case 3: {
      const steel = wall.steel?.vertical
        ? { ...wall.steel, vertical: { bar: '#5', every: num() } }
        : { ...wall.steel, footing: { bar: '#4', count: 2 } };
      return at(job, k, { ...wall, steel });
    }
    case 4: {
      const { retains: _, ...rest } = wall;
      return at(job, k, wall.retains ? rest : { ...wall, retains: { height: num() } });
    }
    case 5:
    case 6: {
      const i = below(chance, entries.length + 1);
      const like = (threeRuns().walls[0]?.[list]?.[0] ?? {}) as ById;
      const made = { ...like, id, run: below(chance, runsIn(wall)) };
      return withList([...entries.slice(0, i), made, ...entries.slice(i)]);
    }
    case 7: {
      const i = below(chance, entries.length);
      return withList(entries.filter((_, n) => n !== i));
    }
    case 8:
    case 9: {
      const i = below(chance, entries.length);
      const key = oneOf(
        chance,
        Object.keys(entries[i] ?? { at: 0 }).filter((name) => name !== 'id' && name !== 'run'),
      );
      return withList(entries.map((one, n) => (n === i ? { ...one, [key]: num() } : one)));
    }
    case 10: {
      const i = below(chance, entries.length);
      return withList(
        entries.map((one, n) => (n === i ? { ...one, run: below(chance, runsIn(wall)) } : one)),
      );
    }
    case 11: {
      const items = wall.line.map((item, n) =>
        'run' in item && n % 2 === below(chance, 2) ? { ...item, run: num() } : item,
      );
      return at(job, k, { ...wall, line: items });
    }
    case 12: {
      const items = wall.line.flatMap((item, n) => ('turn' in item ? [] : [n]));
      return items.length > 1 ? withoutItem(job, k, oneOf(chance, items)).job : job;
    }
    case 13: {
      const runs = wall.line.flatMap((item, n) => ('turn' in item ? [] : [n]));
      return copiedRun(job, k, oneOf(chance, runs), (like) => `${like}-${who}${below(chance, 1e6)}`).job;
    }
    case 14: {
      const poured = [
        ...(wall.poured ?? []),
        { run: below(chance, runsIn(wall)), at: num(), level: below(chance, 9) },
      ];
      return at(job, k, { ...wall, poured });
    }
    default:
      return reversedRun(job, k, below(chance, runsIn(wall))).job;
  }
}

/** Chance that comes out the same for a seed (mulberry32). */
export function chanceOf(seed: number): Chance {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
