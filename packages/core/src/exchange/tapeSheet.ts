import { showMm, type Show } from '../measure/format.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import type { WallWork } from '../plan/work.js';
import type { Say } from '../messages/message.js';
import { CAUTION } from '../stages/paper.js';
import { SHEET } from '../stages/paperMessages.js';

/** Running marks of one course: to the middle of every perp, to each jamb, and to the end, mm from the start. */
export interface TapeCourse {
  course: number;
  marks: { at: number; what: 'perp' | 'jamb' | 'end' }[];
}

export interface TapeSheet {
  title: string;
  sub: string;
  /** One odd and one even course, as they are dry-laid; four for a bond that comes round in four. */
  courses: TapeCourse[];
  caution: string;
}

function marksOf(work: WallWork, run: BondedRun, course: number): TapeCourse {
  const row = run.rows[course - 1];
  const length = work.wall.runs[run.index]?.length ?? 0;
  const { bottom = 0, top = 0 } = work.gauge.courses[course - 1] ?? {};
  const jambs = work.wall.openings
    .filter((o) => o.run === run.index && o.sill < top - 1 && o.head > bottom + 1)
    .flatMap((o) => [o.from, o.to]);
  return {
    course,
    marks: [
      ...(row?.perps ?? []).map((p) => ({ at: p.at, what: 'perp' as const })),
      ...jambs.map((at) => ({ at, what: 'jamb' as const })),
      { at: length, what: 'end' as const },
    ].sort((a, b) => a.at - b.at),
  };
}

/** The dry-lay tape of one run: every mark from the start of the run, never stepped from the last. */
export function tapeSheet(job: string, work: WallWork, index: number, say: Say): TapeSheet {
  const run = work.runs.find((r) => r.index === index);
  const set = work.wall.runs[index];
  return {
    title: say(SHEET['tape-of']({ run: set?.name ?? work.wall.name })),
    sub: say(
      SHEET['tape-sub']({
        job,
        wall: work.wall.name,
        bond: work.wall.bond.name,
        unit: work.wall.unit.name,
        head: work.wall.head,
        length: set?.length ?? 0,
      }),
    ),
    courses: run
      ? run.lines
          .map((_, i) => i + 1)
          .filter((c) => c <= run.rows.length)
          .map((c) => marksOf(work, run, c))
      : [],
    caution: say(CAUTION),
  };
}

/** The tape as rows for a CSV file. */
export const tapeRows = (sheet: TapeSheet, show: Show, say: Say): (string | number)[][] => [
  [SHEET.course(), SHEET.mark(), SHEET.what(), SHEET['from-start'](), SHEET['from-start-mm']()].map(say),
  ...sheet.courses.flatMap((c) =>
    c.marks.map((m, i) => [
      c.course,
      i + 1,
      say(SHEET['tape-what']({ what: m.what })),
      showMm(m.at, show, 64),
      Math.round(m.at * 100) / 100,
    ]),
  ),
];
