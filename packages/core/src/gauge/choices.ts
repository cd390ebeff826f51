import { SAME_PLACE, millimetres } from '../measure/length.js';
import { sayMm, writeLength } from '../measure/format.js';
import type { Gauge, Stated } from '../job/types.js';
import type { EditStep } from '../job/edit.js';
import type { SetWall } from '../setout/wall.js';
import { GAUGE_WEIGHTS } from '../tables/weights.js';
import type { Candidate } from '../plan/finding.js';
import { bedLimits, gaugeSlack, layCourses, type GaugeSolution, type Spread } from './courses.js';

/** A sawn course thinner than this would not hold together under the saw: common practice. */
const THINNEST_SAWN = 50;

interface Way {
  kind: string;
  name: string;
  says: string;
  edit: EditStep[];
  cost: number;
  applied: boolean;
  /** The courses it lays, and how far it raises the footing, mm. */
  spread: Spread;
  up?: number;
  /** What the plan does when the file says nothing: it leads whatever the rounding of costs. */
  leads?: boolean;
}

const sumSquares = (beds: number[], target: number): number =>
  beds.reduce((sum, bed) => sum + (bed - target) ** 2, 0);

const plural = (n: number, one: string): string => (n === 1 ? `one ${one}` : `${n} ${one}s`);

/** Sets or clears `build.gauge` as one edit; empty when the document already says it. */
function gaugeEdit(wall: SetWall, to: Gauge | null): EditStep[] {
  const path = `/walls/${wall.index}/build/gauge`;
  const has = Object.keys(wall.gauge).length > 0;
  if (to === null) return has ? [{ op: 'remove', path }] : [];
  return [{ op: has ? 'replace' : 'add', path, value: to }];
}

const write = (wall: SetWall, value: number): Stated => writeLength(millimetres(value), wall.show);

/** Heights moved together with the footing, so that every opening stays where it is over the ground. */
function movedFooting(wall: SetWall, up: number): EditStep[] | null {
  const steps: EditStep[] = [
    { op: 'replace', path: `/walls/${wall.index}/height`, value: write(wall, wall.height - up) },
  ];
  for (const o of wall.openings) {
    const path = `/walls/${wall.index}/openings/${o.index}`;
    if (o.sill > 0) {
      if (!(o.sill - up > SAME_PLACE)) return null;
      steps.push({ op: 'replace', path: `${path}/sill`, value: write(wall, o.sill - up) });
    }
    steps.push({ op: 'replace', path: `${path}/head`, value: write(wall, o.head - up) });
  }
  return [...steps, ...gaugeEdit(wall, null)];
}

/** Sills and heads that would stand off the courses. A sill on the footing and a head at the top always land. */
function offCourses(wall: SetWall, { spread, up = 0 }: Way): number {
  const marks = layCourses(spread, wall.unitHeight).map((c) => c.top);
  const slack = gaugeSlack(wall) + SAME_PLACE;
  const heights = wall.openings.flatMap((o) => [
    ...(o.sill > 0 ? [o.sill] : []),
    ...(o.head < wall.height ? [o.head] : []),
  ]);
  return new Set(heights.filter((h) => marks.every((m) => Math.abs(m - (h - up)) > slack))).size;
}

/** A way that throws openings off the courses says so and pays for it. */
function weighed(wall: SetWall, way: Way): Way {
  const off = offCourses(wall, way);
  if (off === 0) return way;
  const says = `${way.says} ${off === 1 ? 'One sill or head then stands' : `${off} heights of sills and heads then stand`} off the courses.`;
  return { ...way, says, cost: way.cost + off * GAUGE_WEIGHTS.openingOffCourse };
}

function ways(wall: SetWall, now: GaugeSolution): Way[] {
  const { height, unitHeight, bed } = wall;
  const limits = bedLimits(wall);
  const pitch = unitHeight + bed;
  const say = (n: number): string => sayMm(n, wall.show);
  const inside = (b: number): boolean => b >= limits.least - SAME_PLACE && b <= limits.most + SAME_PLACE;
  const below = Math.max(1, Math.floor(height / pitch + 1e-9));
  const counts = [...new Set([below, Math.max(1, Math.ceil(height / pitch - 1e-9))])];
  const inForce = (count: number, lowest: number, sawn: number | null): boolean =>
    now.count === count && now.lowest === lowest && now.sawn === sawn && now.short === 0;
  const even = (count: number, b: number): Spread => ({
    count,
    lowest: count,
    lowBed: b,
    bed: b,
    sawn: null,
  });
  const list: Way[] = [];
  const divides = counts.length === 1;

  const eased = counts.filter((n) => inside(height / n - unitHeight));
  const defaultCount = eased.reduce<number | null>(
    (best, n) =>
      best === null || Math.abs(height / n - pitch) < Math.abs(height / best - pitch) - 1e-9 ? n : best,
    null,
  );
  for (const n of eased) {
    const b = height / n - unitHeight;
    list.push({
      kind: 'ease-all',
      name: divides ? `${n} courses at ${say(bed)}` : `Ease ${n} beds to ${say(b)}`,
      says: divides
        ? `${n} courses at the target bed of ${say(bed)}: the height divides.`
        : `Ease every bed to ${say(b)}: ${n} courses land on the height, and ${say(Math.abs(b - bed))} a bed goes unnoticed.`,
      edit: gaugeEdit(wall, n === defaultCount ? null : { courses: n }),
      cost: sumSquares(Array<number>(n).fill(b), bed),
      applied: inForce(n, n, null),
      spread: even(n, b),
      leads: n === defaultCount,
    });
  }
  if (divides) return list;

  for (const n of counts) {
    const difference = height - n * pitch;
    const room = difference > 0 ? limits.most - bed : bed - limits.least;
    const lowest = room > SAME_PLACE ? Math.ceil(Math.abs(difference) / room - 1e-9) : Infinity;
    if (!(lowest < n)) continue;
    const low = bed + difference / lowest;
    list.push({
      kind: 'lowest-beds',
      name: `Lose it in the lowest ${plural(lowest, 'bed')}`,
      says: `Lose it low down: the lowest ${plural(lowest, 'bed')} at ${say(low)}, then ${n - lowest} at ${say(bed)}. It shows as one change near the ground.`,
      edit: gaugeEdit(wall, { courses: n, lowest }),
      cost: sumSquares(Array<number>(lowest).fill(low), bed),
      applied: inForce(n, lowest, null),
      spread: { count: n, lowest, lowBed: low, bed, sawn: null },
    });
  }

  for (const n of counts) {
    const up = height - n * pitch;
    const footing = movedFooting(wall, up);
    if (footing) {
      list.push({
        kind: 'move-footing',
        name: `${up > 0 ? 'Raise' : 'Lower'} the footing ${say(Math.abs(up))}`,
        says: `${up > 0 ? 'Raise' : 'Lower'} the footing ${say(Math.abs(up))}: ${n} courses at ${say(bed)}, and every sill, head and the top stay at their levels. Only before it is poured.`,
        edit: footing,
        cost: GAUGE_WEIGHTS.movedFooting + Math.abs(up) / 10,
        applied: false,
        spread: even(n, bed),
        up,
      });
    }
    if (!wall.openings.some((o) => o.head > n * pitch + SAME_PLACE)) {
      list.push({
        kind: 'change-height',
        name: `Ask for ${say(n * pitch)} high`,
        says: `Ask for a height of ${say(n * pitch)}, ${say(Math.abs(up))} ${up > 0 ? 'less' : 'more'}: ${n} courses at ${say(bed)}. Whoever drew the height must agree.`,
        edit: [
          { op: 'replace', path: `/walls/${wall.index}/height`, value: write(wall, n * pitch) },
          ...gaugeEdit(wall, null),
        ],
        cost: GAUGE_WEIGHTS.changedHeight + Math.abs(up) / 10,
        applied: false,
        spread: even(n, bed),
      });
    }
  }

  const left = height - below * pitch - bed;
  if (left >= THINNEST_SAWN && left < unitHeight) {
    list.push({
      kind: 'sawn-course',
      name: `Saw course 1 to ${say(left)}`,
      says: `Saw course 1 to ${say(left)} and lay ${below} whole courses over it: every unit of one row is cut, where the ground hides it. A last resort.`,
      edit: gaugeEdit(wall, { sawn: 1 }),
      cost: GAUGE_WEIGHTS.cutCourse,
      applied: inForce(below + 1, below + 1, 1),
      spread: { ...even(below + 1, bed), sawn: { number: 1, unitHeight: left } },
    });
  }
  return list;
}

/** Every way to bring the courses to the height, best first. Ties keep the order above: ease, low, footing, height, saw. */
export function gaugeCandidates(wall: SetWall, now: GaugeSolution): Candidate[] {
  return ways(wall, now)
    .map((way, i) => ({ way: weighed(wall, way), i }))
    .sort(
      (a, b) =>
        Number(b.way.leads ?? false) - Number(a.way.leads ?? false) || a.way.cost - b.way.cost || a.i - b.i,
    )
    .map(({ way: { kind, name, says, edit, cost, applied } }) => ({
      stage: 'gauge' as const,
      kind,
      name,
      says,
      edit,
      cost,
      applied,
    }));
}
