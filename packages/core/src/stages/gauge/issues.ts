import { INCH, millimetres, SAME_PLACE } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import type { Said } from '../../messages/message.js';
import { SAYS } from './messages.js';
import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { SetOpening, SetWall } from '../set-out/wall.js';
import { bedLimits, gaugeSlack } from './courses.js';
import { hiddenLimits, isHidden } from './limits.js';
import { sampleIssues } from './sampleIssues.js';
import type { GaugeSolution } from './solve.js';

function heightIssue(wall: SetWall, gauge: GaugeSolution): Issue[] {
  if (gauge.short === 0 && gauge.outside.length === 0) return [];
  const bed = gauge.outside[0] ?? 1;
  const course = gauge.courses[bed - 1];
  const { least, most } = bed > 1 && course && isHidden(wall, course) ? hiddenLimits(wall) : bedLimits(wall);
  const says =
    gauge.short === 0
      ? SAYS['bed-comes-to']({ bed, to: gauge.courses[bed - 1]?.bed ?? 0, least, most })
      : SAYS['courses-stop']({
          courses: gauge.count,
          bed: wall.bed,
          by: Math.abs(gauge.short),
          side: gauge.short > 0 ? 'under' : 'over',
          height: wall.height,
          least,
          most,
        });
  return [
    issue({
      code: 'height-off-gauge',
      stage: 'gauge',
      severity: 'fault',
      course: gauge.outside[0] ?? gauge.count,
      to: gauge.count,
      says,
      source: wall.profile.bed.source,
    }),
  ];
}

const nearest = (values: number[], to: number): number[] =>
  [...values].sort((a, b) => Math.abs(a - to) - Math.abs(b - to) || a - b).slice(0, 2);

function openingTries(
  wall: SetWall,
  o: SetOpening,
  marks: number[],
  off: { sill: boolean; head: boolean },
): Try[] {
  const path = `/walls/${wall.index}/openings/${o.index}`;
  const grid = wall.show === 'mm' ? 1 : INCH / 16;
  const round = (n: number): number =>
    n >= wall.height - SAME_PLACE ? wall.height : Math.round(n / grid) * grid;
  const sills = off.sill ? nearest(marks, o.sill) : [o.sill];
  const heads = off.head
    ? nearest(
        marks.filter((m) => m > 0),
        o.head,
      )
    : [o.head];
  const tries: Try[] = [];
  for (const s of sills) {
    for (const h of heads) {
      if (!(h > s)) continue;
      const moves: Said[] = [];
      const edit: Try['edit'] = [];
      const move = (key: 'sill' | 'head', value: number): void => {
        moves.push(SAYS['edge-to']({ edge: key, to: round(value) }));
        edit.push({
          op: 'replace',
          path: `${path}/${key}`,
          value: writeLength(millimetres(round(value)), wall.show),
        });
      };
      if (off.sill) move('sill', s);
      if (off.head) move('head', h);
      tries.push({ says: SAYS['set-opening']({ opening: o.name, moves }), edit });
    }
  }
  return tries;
}

function openingIssues(wall: SetWall, gauge: GaugeSolution): Issue[] {
  const slack = gaugeSlack(wall);
  const marks = [0, ...gauge.courses.map((c) => c.top)];
  const top = marks.at(-1) ?? 0;
  const offBy = (h: number): number => (h > top ? 0 : Math.min(...marks.map((m) => Math.abs(m - h))));
  return wall.openings.flatMap((o) => {
    const sill = offBy(o.sill);
    const head = offBy(o.head);
    const off = { sill: sill > slack + SAME_PLACE, head: head > slack + SAME_PLACE };
    if (!off.sill && !off.head) return [];
    const parts = [
      ...(off.sill ? [SAYS['edge-off']({ edge: 'sill', at: o.sill, by: sill })] : []),
      ...(off.head ? [SAYS['edge-off']({ edge: 'head', at: o.head, by: head })] : []),
    ];
    const course = marks.findIndex((m) => m > (off.sill ? o.sill : o.head) - SAME_PLACE);
    return [
      issue({
        code: 'opening-off-gauge',
        stage: 'gauge',
        severity: 'choice',
        course: Math.max(1, course),
        to: Math.max(1, course),
        run: o.run,
        at: (o.from + o.to) / 2,
        opening: o.id,
        says: SAYS['opening-off']({ opening: o.name, parts }),
        source: wall.profile.bed.source,
        tries: () => openingTries(wall, o, marks, off),
      }),
    ];
  });
}

/** Fixed heights, other than openings', that no course lands on: said together, for what settles one may undo another. */
function fixedIssues(wall: SetWall, gauge: GaugeSolution): Issue[] {
  const slack = gaugeSlack(wall);
  const marks = [0, ...gauge.courses.map((c) => c.top)];
  const missed = wall.heights
    .map((h) => ({ h, mark: nearest(marks, h.at)[0] ?? 0 }))
    .filter(({ h, mark }) => Math.abs(mark - h.at) > Math.max(slack, h.tolerance) + SAME_PLACE)
    .sort((a, b) => a.h.at - b.h.at);
  const first = missed[0];
  if (!first) return [];
  const course = Math.max(1, marks.indexOf(first.mark));
  const heights = missed.map(({ h, mark }) =>
    SAYS['height-off']({
      height: h.name,
      at: h.at,
      by: Math.abs(mark - h.at),
      side: mark < h.at ? 'over' : 'under',
      course: marks.indexOf(mark),
    }),
  );
  const unmet = gauge.met !== null && gauge.met.missed.length > 0;
  const movable = missed.every(({ h }) => !h.must);
  return [
    issue({
      code: 'fixed-height-missed',
      stage: 'gauge',
      severity: movable ? 'choice' : 'fault',
      course,
      to: course,
      says: SAYS[unmet ? 'heights-off-none-meets' : 'heights-off']({ heights }),
      source: wall.profile.bed.source,
      tries: () =>
        movable
          ? [
              {
                says: SAYS['move-heights']({
                  moves: missed.map(({ h, mark }) => SAYS['height-to']({ height: h.name, to: mark })),
                }),
                edit: missed.map(({ h, mark }) => ({
                  op: 'replace' as const,
                  path: `/walls/${wall.index}/heights/${h.index}/at`,
                  value: writeLength(millimetres(mark), wall.show),
                })),
              },
            ]
          : [],
    }),
  ];
}

export const gaugeIssues = (wall: SetWall, gauge: GaugeSolution): Issue[] => [
  ...heightIssue(wall, gauge),
  ...fixedIssues(wall, gauge),
  ...openingIssues(wall, gauge),
  ...sampleIssues(wall),
];
