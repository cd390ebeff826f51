import { SAYS } from './messages.js';
import { writeLength } from '../../../measure/format.js';
import { INCH, millimetres, SAME_PLACE } from '../../../measure/length.js';
import { issue, type Issue, type Try } from '../../../findings/issue.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import type { RunEnd } from '../lines/ends.js';
import { THINNEST_PIECE } from '../lines/lines.js';
import { snapTries } from './snap.js';

/** How far the wall round a corner stands into a run from its end, mm; nought at a free end or a corner not square. */
const takes = (wall: SetWall, end: RunEnd): number =>
  end.other === null || end.legs !== null || end.past > 0 ? 0 : wall.thickness;

/** The opening clear of the corner by a half unit, where a jamb can stand. */
function clearOfCorner(wall: SetWall, o: SetOpening, from: number): Try {
  const off = wall.nominal ? wall.head : 0;
  const grid = wall.show === 'mm' ? 1 : INCH / 8;
  const at = Math.round((from + off) / grid) * grid;
  return {
    says: SAYS['clear-of-corner']({ opening: o.name, at }),
    edit: [
      {
        op: 'replace',
        path: `/walls/${wall.index}/openings/${o.index}/at`,
        value: writeLength(millimetres(at), wall.show),
      },
    ],
  };
}

/** Openings that reach into a corner: the wall round it stands there, and no unit can be laid for both. */
function cornerIssues(wall: SetWall, run: BondedRun): Issue[] {
  const length = wall.runs[run.index]?.length ?? 0;
  const [start, end] = [takes(wall, run.ends.start), takes(wall, run.ends.end)];
  return wall.openings.flatMap((o): Issue[] => {
    if (o.run !== run.index) return [];
    const atStart = start > 0 && o.from < start - SAME_PLACE;
    const atEnd = end > 0 && o.to > length - end + SAME_PLACE;
    if (!atStart && !atEnd) return [];
    const by = atStart ? o.from : length - o.to;
    const half = wall.half + wall.head;
    return [
      issue({
        code: 'opening-at-corner',
        stage: 'bond',
        severity: 'fault',
        course: 1,
        run: run.index,
        at: (o.from + o.to) / 2,
        opening: o.id,
        says: SAYS['opening-at-corner']({ opening: o.name, by, thick: wall.thickness }),
        source: 'the corner’s own units: geometry',
        tries: () => [
          ...snapTries(wall, run, o),
          ...(atStart
            ? [0, half].map((more) => clearOfCorner(wall, o, start + more))
            : [0, half].map((more) => clearOfCorner(wall, o, length - end - more - (o.to - o.from)))),
        ],
      }),
    ];
  });
}

/** Lengths no piece fills. */
function leftIssues(wall: SetWall, run: BondedRun): Issue[] {
  const found = [...run.uses].flatMap(([row, uses]) =>
    (row.left ?? []).map((l) => ({ ...l, uses, course: run.rows.indexOf(row) + 1 })),
  );
  const widest = [...found].sort((a, b) => b.to - b.from - (a.to - a.from))[0];
  if (!widest) return [];
  const count = found.reduce((sum, f) => sum + f.uses, 0);
  return [
    issue({
      code: 'gap-left',
      stage: 'bond',
      severity: 'fault',
      course: Math.min(...found.map((f) => f.course)),
      run: run.index,
      at: (widest.from + widest.to) / 2,
      says: SAYS['gap-left']({ length: widest.to - widest.from, at: widest.from, courses: count }),
      source: wall.profile.head.source,
    }),
  ];
}

/** A run that the wall round its corner leaves no room for a piece: in every second course it has none of its own. */
function shortIssues(wall: SetWall, run: BondedRun): Issue[] {
  const set = wall.runs[run.index];
  const takesMost = Math.max(takes(wall, run.ends.start), takes(wall, run.ends.end));
  const least = takesMost > 0 ? takesMost + wall.head + THINNEST_PIECE : 0;
  if (!set || set.length >= least - SAME_PLACE) return [];
  return [
    issue({
      code: 'run-not-planned',
      stage: 'bond',
      severity: 'fault',
      course: 1,
      run: run.index,
      at: set.length / 2,
      says: SAYS['run-short']({ run: set.name, length: set.length, thick: takesMost }),
      source: 'the corner’s own units: geometry',
    }),
  ];
}

export const gapIssues = (wall: SetWall, run: BondedRun): Issue[] => [
  ...cornerIssues(wall, run),
  ...leftIssues(wall, run),
  ...shortIssues(wall, run),
];
