import { SAME_PLACE } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import { fillHeaderStretch } from './headerStretch.js';
import { near } from './kindOf.js';
import { coursesBeside, type CoursesBeside } from './besideCourses.js';
import { bondKey, slotRules } from './lineCost.js';
import { moduleOf, within, type PerpLine } from './lines.js';
import { cheapestFilling } from './search.js';
import type { CourseToFill, SlotRules } from './slots.js';
import { RUN_END, type Laid, type Stretch } from './stretch.js';

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
  /** How much the lines are held to; left out, wholly. */
  hold?: Hold | undefined;
}

/** How much of its price a perp off its line has, 0 to 1, in odd courses (0) and even ones (1): lines may still be moved. */
export interface Hold {
  name: string;
  part: (parity: 0 | 1, x: number) => number;
  /** The same for a short lap on one of those courses where it is not stopped. */
  laps: (parity: 0 | 1) => number;
}

/**
 * A place to a millionth of a millimetre. Two ways to one perp differ in the last places of the sum: without this a
 * moved opening would seem to move, and have redrawn, every unit of the wall.
 */
const place = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/**
 * Fills one stretch of a course from the run's perp lines, `parity` 0 for an odd course and 1 for an even one. A jamb
 * within a joint's tolerance of a perp is met by easing the joints of the stretch; further off, both courses are laid the
 * cheapest way there is from the jamb to where they stand on their lines again.
 */
export function layStretch(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] {
  const { wall, lines } = run;
  // Less than a joint is mortar.
  if (stretch.to - stretch.from < wall.head) return [];
  const laid =
    wall.bond.family === 'header'
      ? fillHeaderStretch(wall, lines[parity], stretch)
      : fillRunning(run, stretch, parity);
  return sound(wall, laid, stretch).map(({ from, to, opening }) => ({
    from: place(from),
    to: place(to),
    opening,
  }));
}

/** The edges of a line within a stretch, its own ends first and last. */
function edgesIn(line: PerpLine, stretch: Stretch): number[] {
  const end = stretch.to + line.joint;
  return [stretch.from, ...line.u.filter((u) => u > stretch.from + SAME_PLACE && u < end - SAME_PLACE), end];
}

function fillRunning(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] {
  const line = run.lines[parity];
  if (stretch.left === RUN_END && stretch.right === RUN_END)
    return piecesOf(run, edgesIn(line, stretch), stretch, parity);
  return (
    easedToJambs(run, stretch, parity) ?? piecesOf(run, searchedEdges(run, stretch)[parity], stretch, parity)
  );
}

/** The piece in a slot: a whole unit or a half where the joint can take the difference, else what fills it. */
function pieceIn(r: SlotRules, slot: number, joint: number, last: boolean): number {
  const raw = slot - joint;
  if (last || near(raw, r.whole) || near(raw, r.half)) return raw;
  for (const size of [r.whole, r.half])
    if (slot - size >= r.least - SAME_PLACE && slot - size <= r.most + SAME_PLACE) return size;
  return raw;
}

/** The length of the i-th of so many pieces where it is one that its line's end begins with: never eased, never sawn. */
function leadLength(line: PerpLine, stretch: Stretch, i: number, count: number): number | undefined {
  const { start = [], end = [] } = line.leads ?? {};
  if (stretch.left === RUN_END && i < start.length) return start[i];
  return stretch.right === RUN_END && count - 1 - i < end.length ? end[count - 1 - i] : undefined;
}

/** Pieces between edges. What only shows its end here is the other run's, and never eased. */
function piecesOf(run: RunToLay, edges: readonly number[], stretch: Stretch, parity: 0 | 1): Laid[] {
  const r = slotRules(run.wall);
  const line = run.lines[parity];
  const onLine = (x: number): boolean => within(line.u, x - 0.5, x + 0.5).length > 0;
  const middle = (stretch.from + stretch.to) / 2;
  return edges.slice(0, -1).map((from, i): Laid => {
    const to = edges[i + 1] as number;
    const last = i === edges.length - 2;
    const joint = last ? (edges.at(-1) as number) - stretch.to : line.joint;
    const lead = leadLength(line, stretch, i, edges.length - 1);
    // In a stretch too short for it a closer gives way; what shows of another run cannot.
    const shows =
      (i === 0 && stretch.left === RUN_END && line.shownAtStart) ||
      (last && stretch.right === RUN_END && line.shownAtEnd);
    const fits = lead !== undefined && (shows || Math.abs(to - from - joint - lead) <= r.most);
    const length = fits ? lead : pieceIn(r, to - from, joint, last);
    // The jamb it was sawn for: pieces that stand on the run's own perps were not.
    const own = onLine(from) && onLine(to);
    const [near, far] = from < middle ? [stretch.left, stretch.right] : [stretch.right, stretch.left];
    return {
      from,
      to: last ? stretch.to : from + length,
      opening: own ? RUN_END : near === RUN_END ? far : near,
    };
  });
}

/** The stretch with its joints all eased alike, where that brings every unit of it whole or half to the jambs. */
function easedToJambs(run: RunToLay, stretch: Stretch, parity: 0 | 1): Laid[] | null {
  const { wall } = run;
  const line = run.lines[parity];
  const r = slotRules(wall);
  const { joint } = line;
  const fits = (off: number): boolean =>
    off <= r.most - joint + SAME_PLACE && -off <= joint - r.least + SAME_PLACE;
  let bounds = edgesIn(line, stretch);
  const end = stretch.to + joint;
  // A perp that stands all but on the jamb is the jamb's own joint.
  if (stretch.left !== RUN_END && bounds.length > 2 && fits((bounds[1] ?? 0) - stretch.from))
    bounds = [stretch.from, ...bounds.slice(2)];
  if (stretch.right !== RUN_END && bounds.length > 2 && fits(end - (bounds.at(-2) ?? 0)))
    bounds = [...bounds.slice(0, -2), end];
  const count = bounds.length - 1;
  if (count < 2) return null;
  const lengths: number[] = [];
  for (let i = 0; i < count; i++) {
    const raw = (bounds[i + 1] ?? 0) - (bounds[i] ?? 0) - joint;
    const atJamb = (i === 0 && stretch.left !== RUN_END) || (i === count - 1 && stretch.right !== RUN_END);
    const size = [r.whole, r.half].find((s) => fits(raw - s));
    if (atJamb && size === undefined) return null;
    lengths.push(leadLength(line, stretch, i, count) ?? size ?? raw);
  }
  const sum = lengths.reduce((a, b) => a + b, 0);
  const shared = (stretch.to - stretch.from - sum) / (count - 1);
  if (shared < r.least - SAME_PLACE || shared > r.most + SAME_PLACE) return null;
  let x = stretch.from;
  return lengths.map((length, i) => {
    const from = x;
    x += length + shared;
    return { from, to: i === count - 1 ? stretch.to : from + length, opening: RUN_END };
  });
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
  const off = (x: number): number =>
    wall.weights.bond.perpOffItsLine * count * (run.hold?.part(parity, x) ?? 1);
  const lineAt = (x: number): boolean => line.u.some((u) => Math.abs(u - x) <= OFF_LINE);
  // The course under the sill and the one over the head lie on their lines.
  const least = slotRules(wall).leastLap - SAME_PLACE;
  const lap = wall.bond.step === 0 ? 0 : wall.weights.bond.lapUnderRule * beside.edges[parity];
  const others = run.lines[parity === 0 ? 1 : 0].u;
  const other = parity === 0 ? 1 : 0;
  const laps = (x: number): number =>
    lap > 0
      ? (run.hold?.laps(other) ?? 1) *
        lap *
        within(others, x - least, x + least).filter((u) => Math.abs(u - x) < least).length
      : 0;
  return {
    before,
    after,
    course: {
      places,
      extra: places.map((x) => (lineAt(x) ? 0 : off(x)) + laps(x)),
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
function searchedEdges(run: RunToLay, stretch: Stretch): [number[], number[]] {
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
  parts.push(run.hold?.name ?? '', beside.meets, ...beside.counts, ...beside.edges);
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

/**
 * No piece longer than its unit and none of no length, whatever was asked: one too long is parted in equal ones, one
 * too thin is taken with its neighbour and both parted alike.
 */
function sound(wall: SetWall, laid: readonly Laid[], stretch: Stretch): Laid[] {
  const longest = wall.unitLength + SAME_PLACE;
  const thinnest = 1;
  if (laid.every((p) => p.to - p.from <= longest && p.to - p.from >= thinnest)) return [...laid];
  const joined: Laid[] = [];
  for (const piece of laid) {
    const last = joined.at(-1);
    if (last && (piece.to - piece.from < thinnest || last.to - last.from < thinnest)) {
      last.to = piece.to;
      last.opening = Math.max(last.opening, piece.opening);
    } else joined.push({ ...piece });
  }
  return joined.flatMap((p): Laid[] => {
    const length = p.to - p.from;
    if (length <= longest) return [p];
    const n = Math.ceil((length + wall.head) / (wall.unitLength + wall.head) - SAME_PLACE);
    const each = (length - (n - 1) * wall.head) / n;
    return Array.from({ length: n }, (_, k) => {
      const from = p.from + k * (each + wall.head);
      const opening = p.opening >= 0 ? p.opening : Math.max(stretch.left, stretch.right, RUN_END);
      return { from, to: k === n - 1 ? p.to : from + each, opening };
    });
  });
}
