import { SAYS } from '../stages/set-out/messages.js';
import { readInstant } from '../measure/times.js';
import { toMillimetres, type Mm } from '../measure/length.js';
import { readStated } from '../statement/check.js';
import { readAddress, runOf } from '../places/address.js';
import type { Standing } from '../record/fold.js';
import { issue, type Issue } from '../findings/issue.js';
import { isTurn, type Wall } from '../job/types.js';
import type { WallWork } from './work.js';

/** A stretch of a course that has been laid, actual mm along its run. */
export interface Laid {
  run: number;
  leaf: number;
  course: number;
  from: Mm;
  to: Mm;
}

/** A course whose top was measured: the mean of the readings that stand, mm above the base. */
export interface AsBuilt {
  run: number;
  leaf: number;
  course: number;
  top: Mm;
  readings: string[];
}

export interface Progress {
  laid: Laid[];
  asBuilt: AsBuilt[];
}

type Somewhere = Extract<Standing, { kind: 'course-laid' | 'reading' }>;

const mm = (value: unknown): number | null => {
  const read = readStated(value);
  return typeof read === 'number' ? toMillimetres(read) : null;
};

interface Found {
  run: number;
  leaf: number;
  course: number;
}

/** Which course of the wall an entry is about; null where the wall has no such place. */
function courseOf(e: Somewhere, document: Wall, work: WallWork): Found | null {
  const ids = document.line.flatMap((item) => (isTurn(item) ? [] : [item.id]));
  const address = e.place === undefined ? null : readAddress(e.place);
  if (e.place !== undefined && (address === null || address.wall !== document.id)) return null;
  if (e.place === undefined && e.wall !== document.id) return null;
  const run = address ? runOf(address.run, ids) : (e.run ?? (ids.length === 1 ? 0 : null));
  const leaf = (address ? address.leaf : e.leaf) ?? 0;
  const course = address?.course ?? e.course;
  const own = work.leaves[leaf];
  if (run === null || run >= ids.length || course === undefined || !own) return null;
  return course <= own.gauge.courses.length ? { run, leaf, course } : null;
}

/** Stretches put together where they touch or lie over one another. */
function joined(stretches: readonly (readonly [number, number])[]): [number, number][] {
  const made: [number, number][] = [];
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const last = made.at(-1);
    if (last && from <= last[1] + TOUCHING) last[1] = Math.max(last[1], to);
    else made.push([from, to]);
  }
  return made;
}

/** Two stretches so near are one, mm: less than a joint. */
const TOUCHING = 1;

const byCourse = (a: Found, b: Found): number => a.leaf - b.leaf || a.run - b.run || a.course - b.course;

function grouped<T extends Found>(list: readonly T[]): { of: Found; all: T[] }[] {
  const groups = new Map<string, { of: Found; all: T[] }>();
  for (const one of list) {
    const { run, leaf, course } = one;
    const key = `${leaf}|${run}|${course}`;
    const group = groups.get(key) ?? { of: { run, leaf, course }, all: [] };
    group.all.push(one);
    groups.set(key, group);
  }
  return [...groups.values()].sort((a, b) => byCourse(a.of, b.of));
}

/** What of a wall is laid and how high its courses were found to stand; and entries that point nowhere. */
export function progressOf(
  document: Wall,
  work: WallWork,
  entries: readonly Standing[],
): { progress: Progress; lost: Issue[] } {
  const lost: Issue[] = [];
  const laid: (Found & { from: number; to: number })[] = [];
  const read: (Found & { id: string; value: number })[] = [];
  for (const e of entries) {
    if (e.kind !== 'course-laid' && !(e.kind === 'reading' && e.of === 'course-top')) continue;
    const found = courseOf(e, document, work);
    if (!found) {
      lost.push(lostEntry(e));
      continue;
    }
    if (e.kind === 'reading') {
      const value = mm(e.value);
      if (value !== null) read.push({ ...found, id: e.id, value });
      continue;
    }
    const length = work.wall.runs[found.run]?.length ?? 0;
    const [from, to] = [mm(e.from ?? 0) ?? 0, mm(e.to ?? length) ?? length];
    const [left, right] = [Math.max(0, Math.min(from, to)), Math.min(length, Math.max(from, to))];
    if (right > left) laid.push({ ...found, from: left, to: right });
  }
  return {
    lost,
    progress: {
      laid: grouped(laid).flatMap(({ of, all }) =>
        joined(all.map((l) => [l.from, l.to] as const)).map(([from, to]) => ({ ...of, from, to })),
      ),
      asBuilt: grouped(read).map(({ of, all }) => ({
        ...of,
        top: all.reduce((sum, r) => sum + r.value, 0) / all.length,
        readings: all.map((r) => r.id),
      })),
    },
  };
}

const dayOf = (happened: string): string => (readInstant(happened).ok ? happened.slice(0, 10) : happened);

const lostEntry = (e: Somewhere): Issue =>
  issue({
    code: 'place-lost',
    stage: 'set-out',
    severity: 'note',
    says: SAYS['entry-lost']({
      kind: e.kind === 'reading' ? 'reading' : 'course-laid',
      day: dayOf(e.happened),
      by: e.by,
      place:
        e.place ??
        SAYS['run-course']({
          run: (e.run ?? 0) + 1,
          course: e.course === undefined ? SAYS['not-said']() : String(e.course),
        }),
    }),
    source: 'the record',
  });
