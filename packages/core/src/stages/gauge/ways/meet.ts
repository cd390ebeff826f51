import type { Said } from '../../../messages/message.js';
import { SAYS } from '../messages.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { GaugeHelp } from '../../../job/types.js';
import type { SetWall } from '../../set-out/wall.js';
import { layMet, type Course } from '../courses.js';
import { fixedHeights } from '../fixed.js';
import type { MeetSolution } from '../meet.js';
import { meetWall, type GaugeSolution } from '../solve.js';
import { gaugeEdit, type GaugeWay } from './way.js';

const HELPS: { kind: string; allow: GaugeHelp[]; odd: 'none' | GaugeHelp }[] = [
  { kind: 'meet-heights', allow: [], odd: 'none' },
  { kind: 'meet-half-high', allow: ['half-high'], odd: 'half-high' },
  { kind: 'meet-sawn', allow: ['sawn'], odd: 'sawn' },
];

/** So many stretches of beds alike are said; the rest is “and so on”. */
const SAID = 5;

/** Beds alike, said together: "8 beds at 10 mm, then 6 at 9.2 mm". */
export function sayBeds(courses: readonly Course[]): Said {
  const groups: { count: number; bed: number }[] = [];
  for (const c of courses) {
    const last = groups.at(-1);
    if (last && Math.abs(last.bed - c.bed) < SAME_PLACE) last.count++;
    else groups.push({ count: 1, bed: c.bed });
  }
  const said = groups.slice(0, SAID).map((g, i) => SAYS[i === 0 ? 'beds-first' : 'beds-then'](g));
  return SAYS[groups.length > SAID ? 'beds-and-so-on' : 'beds']({ groups: said });
}

const sameBeds = (a: GaugeSolution, b: MeetSolution): boolean =>
  a.count === b.courses.length &&
  a.courses.every((c, i) => Math.abs(c.bed - (b.courses[i]?.bed ?? NaN)) < SAME_PLACE);

/** Every fixed height met, each stretch with its own gauge; with an odd course only where whole ones cannot. */
export function meetWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const fixed = fixedHeights(wall);
  if (fixed.length < 2) return [];
  const list: GaugeWay[] = [];
  for (const help of HELPS) {
    if (help.allow.includes('half-high') && wall.halfHigh === null) continue;
    const found = meetWall(wall, help.allow);
    // Where every bed comes out as it stands anyway, there is nothing to choose.
    if (now.met === null && sameBeds(now, found)) break;
    const odd = found.courses.some((c) => c.kind !== 'whole');
    if (found.courses.length === 0 || (help.allow.length > 0 && !odd)) continue;
    const courses = layMet(found.courses);
    list.push({
      kind: help.kind,
      name: SAYS['gauge-each']({ odd: help.odd }),
      says: SAYS['gauge-each-because']({
        odd: help.odd,
        beds: sayBeds(courses),
        landing:
          found.missed.length === 0
            ? SAYS['all-land']()
            : SAYS['all-but']({ names: found.missed.flatMap((m) => m.names) }),
        proof: found.status === 'stopped' ? 'stopped' : 'whole',
      }),
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
