import type { Said } from '../../../messages/message.js';
import { SAYS } from '../messages.js';
import { INCH, SAME_PLACE } from '../../../measure/length.js';
import type { PatchStep } from '../../../job/edits/patch.js';
import type { SetWall } from '../../set-out/wall.js';
import { evenSpread, gaugeSlack, layCourses } from '../courses.js';
import type { GaugeSolution } from '../solve.js';
import { countsNear } from './counts.js';
import { gaugeEdit, write, type GaugeWay } from './way.js';

/**
 * Heights moved together with the footing, so that everything stays where it is over the ground; the base's own level over
 * the datum with them, where it is stated. Null where something would come to stand under the base.
 */
function movedFooting(wall: SetWall, up: number): PatchStep[] | null {
  const own = `/walls/${wall.index}`;
  const heights = wall.heightsStated.filter((h) => h.height > SAME_PLACE);
  if (heights.some((h) => !(h.height - up > SAME_PLACE))) return null;
  const moved = (path: string, value: number): PatchStep => ({
    op: 'replace',
    path: `${own}${path}`,
    value: write(wall, value),
  });
  return [
    ...heights.map((h) => moved(h.path, h.height - up)),
    ...(Math.abs(wall.base) > SAME_PLACE ? [moved('/base', wall.base + up)] : []),
    ...gaugeEdit(wall, null),
  ];
}

/** Nobody moves a footing by less: its concrete is not poured so true. Common practice, mm. */
const WORTH_MOVING = 12;

/** Target beds throughout, and the footing raised or lowered, or another height asked for. */
export function movedWays(wall: SetWall): GaugeWay[] {
  const pitch = wall.unitHeight + wall.bed;
  const list: GaugeWay[] = [];
  for (const n of countsNear(wall)) {
    const up = wall.height - n * pitch;
    const courses = layCourses(evenSpread(n, wall.bed), wall.unitHeight);
    const footing = movedFooting(wall, up);
    const way = up > 0 ? 'raise' : 'lower';
    if (footing && Math.abs(up) >= WORTH_MOVING) {
      list.push({
        kind: 'move-footing',
        name: SAYS['move-footing']({ way, by: Math.abs(up) }),
        says: SAYS['move-footing-because']({ way, by: Math.abs(up), courses: n, bed: wall.bed }),
        edit: footing,
        cost: wall.weights.gauge.movedFooting + Math.abs(up) / 10,
        applied: false,
        courses,
        up,
      });
    }
    const reached = [...wall.openings.map((o) => o.head), ...wall.heights.map((h) => h.at)];
    if (reached.some((h) => h > n * pitch + SAME_PLACE)) continue;
    list.push({
      kind: 'change-height',
      name: SAYS['ask-height']({ height: n * pitch }),
      says: SAYS['ask-height-because']({
        height: n * pitch,
        by: Math.abs(up),
        side: up > 0 ? 'less' : 'more',
        courses: n,
        bed: wall.bed,
      }),
      edit: [
        { op: 'replace', path: `/walls/${wall.index}/height`, value: write(wall, n * pitch) },
        ...gaugeEdit(wall, null),
      ],
      cost: wall.weights.gauge.changedHeight + Math.abs(up) / 10,
      applied: false,
      courses,
    });
  }
  return list;
}

/** Sills and heads that may move, brought to the courses as they lie. */
export function openingWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const slack = gaugeSlack(wall) + SAME_PLACE;
  const marks = [0, ...now.courses.map((c) => c.top)];
  const top = marks.at(-1) ?? 0;
  const grid = wall.show === 'mm' ? 1 : INCH / 16;
  const edit: PatchStep[] = [];
  const says: Said[] = [];
  const settle = (height: number): number => {
    const mark = marks.reduce((best, m) => (Math.abs(m - height) < Math.abs(best - height) ? m : best), 0);
    return mark >= wall.height - SAME_PLACE ? wall.height : Math.round(mark / grid) * grid;
  };
  for (const o of wall.openings.filter((one) => !one.must && one.head <= top + SAME_PLACE)) {
    const [sill, head] = [settle(o.sill), settle(o.head)];
    if (!(head > sill)) continue;
    const path = `/walls/${wall.index}/openings/${o.index}`;
    const moves = [
      { key: 'sill' as const, from: o.sill, to: sill },
      { key: 'head' as const, from: o.head, to: head },
    ].filter((m) => Math.abs(m.to - m.from) > slack);
    if (moves.length === 0) continue;
    for (const m of moves) edit.push({ op: 'replace', path: `${path}/${m.key}`, value: write(wall, m.to) });
    says.push(
      SAYS['opening-moves']({
        opening: o.name,
        moves: moves.map((m) => SAYS['edge-to']({ edge: m.key, to: m.to })),
      }),
    );
  }
  if (edit.length === 0) return [];
  return [
    {
      kind: 'move-openings',
      name: SAYS['bring-openings'](),
      says: SAYS['bring-openings-because']({ moves: says }),
      edit,
      cost: says.length * wall.weights.gauge.movedOpening,
      applied: false,
      courses: now.courses,
      movesOpenings: true,
    },
  ];
}
