import { SAME_PLACE } from '../measure/length.js';
import { showMm, type Show } from '../measure/format.js';
import { upAt } from '../stages/set-out/steps.js';
import { fixedHeights, type Fixed } from '../stages/gauge/fixed.js';
import type { WallWork } from '../plan/work.js';
import type { Message, Said, Say } from '../messages/message.js';
import { CAUTION } from '../stages/paper.js';
import { SHEET } from '../stages/paperMessages.js';

/** One course of the printed pole. `tops` is the cumulative mark, exact in millimetres. */
export interface PoleRow {
  course: number;
  bed: number;
  unit: number;
  top: number;
  /** What lands on this mark, in words. */
  fixed: Said[];
  kind: 'whole' | 'half-high' | 'sawn';
  /** The old work's course line nearest this mark: its number, height, and how far the mark stands above it. */
  old: { course: number; top: number; above: number } | null;
}

/** Where a pole stands on a footing that steps: `up` courses are left off its foot. */
export interface PoleStand {
  where: Message;
  up: number;
  level: number;
}

/** What the pole says when it is printed: the marks, and the fixed heights that no course meets. */
export interface PoleSheet {
  title: string;
  sub: string;
  rows: PoleRow[];
  missed: Message[];
  /** How far apart nails stand where the gauge does not change: "1 to 12: 75 mm". */
  spacing: Message[];
  /** A pole for each corner whose footing stands above the base, and the corners that stand on it; none where none does. */
  stands: PoleStand[];
  /** The old work's gauge, where it was measured: height of one of its courses, mm. */
  oldPitch: number | null;
  caution: string;
}

function spacings(rows: readonly PoleRow[]): Message[] {
  const groups: { from: number; to: number; pitch: number }[] = [];
  for (const r of rows) {
    const pitch = r.bed + r.unit;
    const last = groups.at(-1);
    if (last && Math.abs(last.pitch - pitch) < SAME_PLACE) last.to = r.course;
    else groups.push({ from: r.course, to: r.course, pitch });
  }
  return groups.map((g) => SHEET['nails-of']({ ...g, several: g.from === g.to ? 'no' : 'yes' }));
}

const nearestOld = (top: number, pitch: number): PoleRow['old'] => {
  const course = Math.max(1, Math.round(top / pitch));
  return { course, top: course * pitch, above: top - course * pitch };
};

/** Every end of every run, with the level its footing stands at: only asked where the footing steps. */
function standsOf({ wall, gauge }: Pick<WallWork, 'wall' | 'gauge'>): PoleStand[] {
  if (wall.steps.length === 0) return [];
  return wall.runs.flatMap((run, i) =>
    (['start', 'end'] as const).map((end) => {
      const up = upAt(wall, i, end === 'start' ? 0 : run.length);
      return {
        where: SHEET['stand-at']({ run: run.name, end }),
        up,
        level: up === 0 ? 0 : (gauge.courses[up - 1]?.top ?? 0),
      };
    }),
  );
}

/** The story pole for one wall, lowest course first, every mark measured from the base and never stepped. */
export function poleSheet(
  job: string,
  work: Pick<WallWork, 'wall' | 'gauge'> & Partial<Pick<WallWork, 'survey'>>,
  say: Say,
): PoleSheet {
  const { wall, gauge } = work;
  const oldPitch = work.survey?.oldPitch ?? null;
  const fixed = fixedHeights(wall);
  const met = new Set<Fixed>();
  const rows = gauge.courses.map((c): PoleRow => {
    const here = fixed.filter((f) => Math.abs(f.at - c.top) <= Math.max(f.tolerance, SAME_PLACE));
    for (const f of here) met.add(f);
    return {
      course: c.number,
      bed: c.bed,
      unit: c.unitHeight,
      top: c.top,
      fixed: here.flatMap((f) => f.names),
      kind: c.kind,
      old: oldPitch === null ? null : nearestOld(c.top, oldPitch),
    };
  });
  return {
    title: say(SHEET['pole-of']({ wall: wall.name })),
    sub: say(
      SHEET['pole-sub']({
        job,
        unit: wall.unit.name,
        high: wall.unitHeight,
        count: rows.length,
        top: gauge.courses.at(-1)?.top ?? 0,
      }),
    ),
    rows,
    missed: fixed.filter((f) => !met.has(f)).map((f) => SHEET.missed({ names: f.names, at: f.at })),
    spacing: spacings(rows),
    stands: standsOf(work),
    oldPitch,
    caution: say(CAUTION),
  };
}

/** The pole as rows for a CSV file: what is shown, and the mark in millimetres to a hundredth. */
export function poleRows(sheet: PoleSheet, show: Show, say: Say): (string | number)[][] {
  return [
    [
      ...[
        SHEET.course(),
        SHEET.bed(),
        SHEET['unit-height'](),
        SHEET['top-from-base'](),
        SHEET['top-mm'](),
        SHEET['course-of'](),
        SHEET['fixed-height'](),
      ].map(say),
      ...(sheet.oldPitch === null
        ? []
        : [SHEET['old-course'](), SHEET['old-mm'](), SHEET['above-old-mm']()].map(say)),
    ],
    ...sheet.rows.map((r) => [
      r.course,
      showMm(r.bed, show, 64),
      showMm(r.unit, show, 64),
      showMm(r.top, show, 64),
      Math.round(r.top * 100) / 100,
      say(SHEET['course-kind']({ kind: r.kind })),
      r.fixed.map(say).join(', '),
      ...(r.old
        ? [r.old.course, Math.round(r.old.top * 100) / 100, Math.round(r.old.above * 100) / 100]
        : []),
    ]),
    ...sheet.stands.map((s) => [
      say(SHEET['stands-at']({ where: s.where })),
      '',
      '',
      '',
      Math.round(s.level * 100) / 100,
      say(SHEET['first-course']({ course: s.up + 1 })),
      '',
    ]),
  ];
}
