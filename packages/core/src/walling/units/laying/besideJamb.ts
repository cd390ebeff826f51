import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { coursesBeside, type CoursesBeside } from '../lines/besideCourses.js';
import { bondKey, slotRules } from '../lines/lineCost.js';
import { between, moduleOf, within, type PerpLine } from '../lines/lines.js';
import { cheapestFilling } from '../lines/search.js';
import type { CourseToFill } from '../lines/slots.js';
import { RUN_END, type Stretch } from './stretch.js';

/** A perp this far off the line of its fellows shows: common practice. */
export const OFF_LINE = 6;

/** So many units from a jamb the courses may leave their lines to meet it; further in they stand on them. */
const FROM_JAMB = 2.6;

/** Places for a cut lie this part of a unit apart. */
const PARTS = 12;

/** What lays the stretches of a run: its two lines, and which of their ends are fixed. */
export interface RunToLay {
  wall: SetWall;
  /** The lines of the odd and the even courses where the stretch stands. */
  lines: readonly [PerpLine, PerpLine];
  /** Course 1 begins as asked, and a unit that turns a corner is whole: their first and last slots stay. */
  keepsFirst: readonly [boolean, boolean];
  keepsLast: readonly [boolean, boolean];
  /** The course's own edges beside openings, where they were found together with its line. */
  beside?: PerpLine | undefined;
}

/** The edges of a line within a stretch, its own ends first and last. */
export function edgesIn(line: PerpLine, stretch: Stretch): number[] {
  const end = stretch.to + line.joint;
  return [stretch.from, ...between(line.u, stretch.from + SAME_PLACE, end - SAME_PLACE), end];
}

/** One course of a region: where it may be cut, and what leaving its line costs. */
function courseIn(
  run: RunToLay,
  parity: 0 | 1,
  stretch: Stretch,
  region: { from: number; to: number; left: boolean; right: boolean },
  keep: boolean,
  beside: CoursesBeside,
): { course: CourseToFill; before: number[]; after: number[] } | null {
  const { wall } = run;
  const line = run.lines[parity];
  const module = moduleOf(wall);
  const all = edgesIn(line, stretch);
  all[all.length - 1] = stretch.to + wall.head;
  let inside = all.filter((x) => x >= region.from - SAME_PLACE && x <= region.to + SAME_PLACE);
  const before: number[] = [];
  const after: number[] = [];
  const atStart = !region.left && region.from <= stretch.from + SAME_PLACE;
  const atEnd = !region.right && region.to >= stretch.to + wall.head - SAME_PLACE;
  const { start = [], end = [] } = line.leads ?? {};
  // In a stretch too short for all that its ends begin with, only what shows of another run stays.
  const fixed = (own: number, shown: boolean, stays: boolean): number =>
    keep ? Math.max(own, stays ? 1 : 0) : Number(shown);
  const first = atStart ? fixed(start.length, line.shownAtStart, run.keepsFirst[parity]) : 0;
  const last = atEnd ? fixed(end.length, line.shownAtEnd, run.keepsLast[parity]) : 0;
  before.push(...inside.slice(0, first));
  if (last > 0) after.push(...inside.slice(-last));
  inside = inside.slice(before.length, after.length > 0 ? -after.length : undefined);
  const from = inside[0];
  const to = inside.at(-1);
  if (from === undefined || to === undefined || inside.length < 1) return null;
  const own = new Set(inside);
  const grid = module / PARTS;
  const reach = FROM_JAMB * module;
  const far = (x: number): boolean => inside.every((u) => Math.abs(u - x) > 0.05);
  const add = (x: number): void => {
    if (x > from + SAME_PLACE && x < to - SAME_PLACE && far(x)) own.add(x);
  };
  for (let k = 1; k * grid < reach; k++) {
    if (region.left || atStart) add(from + k * grid);
    if (region.right || atEnd) add(to - k * grid);
  }
  const places = [...own]
    .sort((a, b) => a - b)
    .filter((x, i, list) => i === 0 || x - (list[i - 1] as number) > 0.02);
  const count = beside.counts[parity];
  const off = wall.weights.bond.perpOffItsLine * count;
  const lineAt = (x: number): boolean => within(line.u, x - OFF_LINE, x + OFF_LINE).length > 0;
  // The course under the sill and the one over the head lie on their lines.
  const least = slotRules(wall).leastLap - SAME_PLACE;
  const lap = wall.bond.step === 0 ? 0 : wall.weights.bond.lapUnderRule * beside.edges[parity];
  const others = run.lines[parity === 0 ? 1 : 0].u;
  const laps = (x: number): number =>
    lap > 0 ? lap * within(others, x - least, x + least).filter((u) => Math.abs(u - x) < least).length : 0;
  return {
    before,
    after,
    course: {
      places,
      extra: places.map((x) => (lineAt(x) ? 0 : off) + laps(x)),
      perpAtStart: before.length > 0 || (!region.left && !atStart),
      perpAtEnd: after.length > 0 || (!region.right && !atEnd),
      count,
      shyStart: false,
      shyEnd: false,
      gather: region.left && region.right ? (from + to) / 2 : region.left ? from : to,
    },
  };
}

/** The edges of both courses of a stretch, laid the cheapest way to its jambs. */
export function searchedEdges(run: RunToLay, stretch: Stretch): [number[], number[]] {
  const { wall, lines } = run;
  const module = moduleOf(wall);
  const end = stretch.to + wall.head;
  const [left, right] = [stretch.left !== RUN_END, stretch.right !== RUN_END];
  const edges: [number[], number[]] = [edgesIn(lines[0], stretch), edgesIn(lines[1], stretch)];
  const reach = FROM_JAMB * module;
  if (left && right ? stretch.to - stretch.from > 2.4 * reach : stretch.to - stretch.from > 1.3 * reach) {
    // Far enough apart, each jamb is met by itself. What the line's own ends begin with is never parted.
    const own = (p: 0 | 1): number[] => {
      const { start = [], end: tail = [] } = lines[p].leads ?? {};
      const list = edges[p];
      return list.slice(start.length, list.length - tail.length);
    };
    const to = ([0, 1] as const).map((p) => own(p).find((u) => u > stretch.from + reach));
    const from = ([0, 1] as const).map((p) =>
      own(p)
        .reverse()
        .find((u) => u < end - reach),
    );
    if ((!left || to.every((x) => x !== undefined)) && (!right || from.every((x) => x !== undefined))) {
      const start = [stretch.from, stretch.from];
      let now = edges;
      if (left)
        now = patched(run, stretch, now, { from: start, to: to as number[], left: true, right: false });
      if (right)
        now = patched(run, stretch, now, {
          from: from as number[],
          to: [end, end],
          left: false,
          right: true,
        });
      return now;
    }
  }
  return patched(run, stretch, edges, { from: [stretch.from, stretch.from], to: [end, end], left, right });
}

interface Region {
  from: readonly number[];
  to: readonly number[];
  left: boolean;
  right: boolean;
}

/** Edges already found, from the region's start, by all they follow from: the same jambs come again at every edit. */
const known = new Map<string, readonly [number[], number[]] | null>();

const MOST_KNOWN = 10_000;

/** To a millionth of a millimetre, or nothing would ever be found again. */
const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/** What the new edges of a region follow from, but for where it stands. */
function regionKey(run: RunToLay, stretch: Stretch, region: Region, beside: CoursesBeside): string {
  const { wall, lines, keepsFirst, keepsLast } = run;
  const reach = Math.max(OFF_LINE + SAME_PLACE, slotRules(wall).leastLap + moduleOf(wall));
  const parts: (string | number | boolean)[] = [bondKey(wall), wall.weights.bond.perpOffItsLine];
  parts.push(beside.meets, ...beside.counts, ...beside.edges);
  parts.push(tidy(stretch.to - stretch.from), region.left, region.right);
  for (const p of [0, 1] as const) {
    const { leads, shownAtStart, shownAtEnd, joint } = lines[p];
    parts.push(shownAtStart, shownAtEnd, joint, keepsFirst[p], keepsLast[p]);
    parts.push((leads?.start ?? []).join('+'), (leads?.end ?? []).join('+'));
    const [low, high] = [region.from[p] as number, region.to[p] as number];
    for (const u of within(lines[p].u, low - reach, high + reach)) parts.push(tidy(u - stretch.from));
    parts.push(
      tidy((region.from[p] as number) - stretch.from),
      tidy((region.to[p] as number) - stretch.from),
    );
  }
  return parts.join('|');
}

/** The edges of both courses in a region, from the stretch's start; null where no way was found. */
function searchedRegion(
  run: RunToLay,
  stretch: Stretch,
  region: Region,
  beside: CoursesBeside,
): readonly [number[], number[]] | null {
  const { wall } = run;
  const r = slotRules(wall);
  for (const keep of [true, false]) {
    const [odd, even] = ([0, 1] as const).map((p) =>
      courseIn(
        run,
        p,
        stretch,
        {
          from: region.from[p] as number,
          to: region.to[p] as number,
          left: region.left,
          right: region.right,
        },
        keep,
        beside,
      ),
    );
    if (!odd || !even) continue;
    const found = cheapestFilling(r, { odd: odd.course, even: even.course, meets: beside.meets, more: 0 });
    if (found)
      return [
        [...odd.before, ...found.odd, ...odd.after],
        [...even.before, ...found.even, ...even.after],
      ];
  }
  return null;
}

function patched(
  run: RunToLay,
  stretch: Stretch,
  edges: [number[], number[]],
  region: Region,
): [number[], number[]] {
  const beside = coursesBeside(run.wall, [stretch.left, stretch.right]);
  const key = regionKey(run, stretch, region, beside);
  let found = known.get(key);
  if (found === undefined) {
    // Searched at nought, so that what is found does not depend on where it was first asked for.
    const at = (x: number): number => tidy(x - stretch.from);
    const lines = run.lines.map((l) => ({ ...l, u: l.u.map(at) })) as [PerpLine, PerpLine];
    found = searchedRegion(
      { ...run, lines },
      { ...stretch, from: 0, to: at(stretch.to) },
      { ...region, from: region.from.map(at), to: region.to.map(at) },
      beside,
    );
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, found);
  }
  if (!found) return edges;
  return ([0, 1] as const).map((p) => {
    const own = found[p].map((x) => x + stretch.from);
    const [low, high] = [own[0] ?? 0, own.at(-1) ?? 0];
    return [
      ...edges[p].filter((x) => x < low - SAME_PLACE),
      ...own,
      ...edges[p].filter((x) => x > high + SAME_PLACE),
    ];
  }) as [number[], number[]];
}
