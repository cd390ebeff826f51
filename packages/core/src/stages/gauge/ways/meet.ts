import { SAME_PLACE } from '../../../measure/length.js';
import { sayMm } from '../../../measure/format.js';
import type { GaugeHelp } from '../../../job/types.js';
import type { SetWall } from '../../set-out/wall.js';
import { layMet, type Course } from '../courses.js';
import { fixedHeights } from '../fixed.js';
import type { MeetSolution } from '../meet.js';
import { meetWall, type GaugeSolution } from '../solve.js';
import { gaugeEdit, type GaugeWay } from './way.js';

const HELPS: { kind: string; allow: GaugeHelp[]; name: string; says: string }[] = [
  { kind: 'meet-heights', allow: [], name: 'A gauge for each stretch', says: 'A gauge for each stretch' },
  {
    kind: 'meet-half-high',
    allow: ['half-high'],
    name: 'A gauge for each stretch, one course half-high',
    says: 'A gauge for each stretch and one course of half-high units',
  },
  {
    kind: 'meet-sawn',
    allow: ['sawn'],
    name: 'A gauge for each stretch, one course sawn',
    says: 'A gauge for each stretch and one course sawn',
  },
];

/** Beds alike, said together: "8 beds at 10 mm, then 6 at 9.2 mm". */
export function sayBeds(courses: readonly Course[], say: (mm: number) => string): string {
  const groups: { count: number; bed: number }[] = [];
  for (const c of courses) {
    const last = groups.at(-1);
    if (last && Math.abs(last.bed - c.bed) < SAME_PLACE) last.count++;
    else groups.push({ count: 1, bed: c.bed });
  }
  const shown = groups
    .slice(0, 5)
    .map((g, i) => `${g.count}${i === 0 ? (g.count === 1 ? ' bed' : ' beds') : ''} at ${say(g.bed)}`);
  return `${shown.join(', then ')}${groups.length > shown.length ? ', and so on' : ''}`;
}

const sameBeds = (a: GaugeSolution, b: MeetSolution): boolean =>
  a.count === b.courses.length &&
  a.courses.every((c, i) => Math.abs(c.bed - (b.courses[i]?.bed ?? NaN)) < SAME_PLACE);

/** Every fixed height met, each stretch with its own gauge; with an odd course only where whole ones cannot. */
export function meetWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const fixed = fixedHeights(wall);
  if (fixed.length < 2) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const list: GaugeWay[] = [];
  for (const help of HELPS) {
    if (help.allow.includes('half-high') && wall.halfHigh === null) continue;
    const found = meetWall(wall, help.allow);
    // Where every bed comes out as it stands anyway, there is nothing to choose.
    if (now.met === null && sameBeds(now, found)) break;
    const odd = found.courses.some((c) => c.kind !== 'whole');
    if (found.courses.length === 0 || (help.allow.length > 0 && !odd)) continue;
    const courses = layMet(found.courses);
    const proof =
      found.status === 'stopped' ? ' It may not be the best there is: the search was cut short.' : '';
    list.push({
      kind: help.kind,
      name: help.name,
      says: `${help.says}: ${sayBeds(courses, say)}. ${found.missed.length === 0 ? 'Every fixed height lands on a course.' : `All land but ${found.missed.flatMap((m) => m.names).join(', ')}.`}${proof}`,
      edit: gaugeEdit(wall, { meet: true, ...(help.allow.length > 0 ? { allow: help.allow } : {}) }),
      // What is missed is weighed with the other ways, alike for all.
      cost: found.cost - found.missed.length * wall.weights.gauge.openingOffCourse,
      applied: now.met !== null && sameBeds(now, found),
      courses,
    });
    if (found.missed.length === 0) break;
  }
  return list;
}
