import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { firstFrom, moduleOf, type PerpLine, type RunLines, type Span } from './lines.js';

/** So many units to either side of an opening its lines may be laid otherwise: a run shorter than that is laid anew from end to end. */
const REACH = 8;
/** So many openings are looked at together; more are parted in a pier of so many units. */
const TOGETHER = 2;
const PIER = 2.5;
/** A window that comes nearer to the run's end than so many units goes on to it. */
const END = 2;

/** A length of a run about openings that stand near one another, in which its lines may be laid again. */
export interface Window {
  openings: readonly SetOpening[];
  /** The place all else is measured from. */
  zero: number;
  /** First and last edge of each line within it, by their number: they stay. */
  first: readonly [number, number];
  last: readonly [number, number];
  /** It goes to the run's own end. */
  atStart: boolean;
  atEnd: boolean;
}

/** Openings of a run parted into those that are looked at together, from its start to its end. */
export function together(wall: SetWall, openings: readonly SetOpening[]): SetOpening[][] {
  const unit = moduleOf(wall);
  const groups: SetOpening[][] = [];
  let end = -Infinity;
  for (const o of [...openings].sort((a, b) => a.from - b.from)) {
    const last = groups.at(-1);
    const full = last !== undefined && last.length >= TOGETHER && o.from - end >= PIER * unit;
    if (!last || full || o.from - end > 2 * REACH * unit) groups.push([o]);
    else last.push(o);
    end = Math.max(end, o.to);
  }
  return groups;
}

/** The number of a line's edge nearest to a place. */
function nearest({ u }: PerpLine, x: number): number {
  const after = Math.min(u.length - 1, firstFrom(u, x));
  const before = Math.max(0, after - 1);
  return x - (u[before] as number) < (u[after] as number) - x ? before : after;
}

/** A group parted in its widest pier; null where none is wide enough. */
export function partedGroup(
  wall: SetWall,
  group: readonly SetOpening[],
): [SetOpening[], SetOpening[]] | null {
  const piers = group.slice(1).map((o, i) => o.from - (group[i] as SetOpening).to);
  const widest = Math.max(...piers);
  if (!(widest >= PIER * moduleOf(wall))) return null;
  const at = piers.indexOf(widest) + 1;
  return [group.slice(0, at), group.slice(at)];
}

/** The windows about a run's openings, group by group: none reaches into the next. */
export function windowsOf(
  wall: SetWall,
  groups: readonly (readonly SetOpening[])[],
  span: Span,
  lines: RunLines,
): Window[] {
  const unit = moduleOf(wall);
  const reach = REACH * unit;
  const low = (g: readonly SetOpening[]): number => Math.min(...g.map((o) => o.from));
  const high = (g: readonly SetOpening[]): number => Math.max(...g.map((o) => o.to));
  return groups.flatMap((group, k): Window[] => {
    const [before, after] = [groups[k - 1], groups[k + 1]];
    const pier = { before: before ? high(before) : span.from, after: after ? low(after) : span.to };
    // Between two windows each takes half of the pier; at an end all of what is left there.
    const from = Math.max(low(group) - reach, before ? (pier.before + low(group)) / 2 : -Infinity);
    const to = Math.min(high(group) + reach, after ? (pier.after + high(group)) / 2 : Infinity);
    // What an end begins with is never parted.
    const atStart = !before && from < span.from + END * unit;
    const atEnd = !after && to > span.to - END * unit;
    const [odd, even] = lines.map((l) => ({
      first: atStart ? 0 : nearest(l, from),
      last: atEnd ? l.u.length - 1 : nearest(l, to),
    }));
    if (!odd || !even) return [];
    const zero = Math.min(lines[0]?.u[odd.first] ?? 0, lines[1]?.u[even.first] ?? 0);
    return [
      {
        openings: group,
        zero,
        first: [odd.first, even.first],
        last: [odd.last, even.last],
        atStart,
        atEnd,
      },
    ];
  });
}
