import { CUBIC_METRE_MM3, type CubicMetres, type Kilograms, type Mm } from '../../../measure/length.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { pieceAt, type Row } from '../../units/laying/row.js';
import { sectionAlong } from '../section.js';
import { stoneIn, stoneRuns } from '../stretches.js';
import { jointsOf, stonesIn } from './joints.js';

/** One stone of the cut list. */
export interface CutStone {
  /** Course and place in it, from the left: what is painted on its bed. */
  number: string;
  run: number;
  course: number;
  from: Mm;
  to: Mm;
  /** As it stands over the wall's base. */
  bottom: Mm;
  top: Mm;
  /** From its face in. */
  bed: Mm;
  mass: Kilograms;
}

export interface AshlarLaid {
  stones: CutStone[];
  /** Joints that stand nearer to one under them than the lap, by course. */
  short: { run: number; course: number; at: Mm; count: number }[];
  rows: Row[][];
}

/** What of a course is wall: between ends and jambs, under a top that is as high there. */
function spansOf(wall: SetWall, run: number, bottom: Mm, top: Mm): { from: Mm; to: Mm }[] {
  const length = wall.runs[run]?.length ?? 0;
  const holes = [
    ...wall.openings
      .filter((o) => o.run === run && o.sill < top - 1 && o.head > bottom + 1)
      .map((o) => ({ from: o.from, to: o.to })),
  ].sort((a, b) => a.from - b.from);
  const spans: { from: Mm; to: Mm }[] = [];
  let from = 0;
  for (const hole of [...holes, { from: length, to: length }]) {
    if (hole.from > from + 1) spans.push({ from, to: hole.from });
    from = Math.max(from, hole.to);
  }
  return spans;
}

const known = new WeakMap<SetWall, AshlarLaid>();

/** The same, worked out once for each wall as it is set out. */
export function ashlarOf(wall: SetWall, gauge: GaugeSolution): AshlarLaid {
  const had = known.get(wall);
  if (had) return had;
  const made = ashlarLaid(wall, gauge);
  known.set(wall, made);
  return made;
}

/** Ashlar laid course by course, each against the one under it. Every stone of it is known: it is cut before it comes. */
function ashlarLaid(wall: SetWall, gauge: GaugeSolution): AshlarLaid {
  const stone = stoneIn(wall);
  const runs = stoneRuns(wall, gauge);
  const stones: CutStone[] = [];
  const short: AshlarLaid['short'] = [];
  const rows = runs.map((run): Row[] => {
    let below: Mm[] = [];
    return gauge.courses.map((course): Row => {
      const bottom = course.bottom + course.bed;
      // Under a top that is not level a course goes as far as the wall is higher than its bed.
      const spans = spansOf(wall, run.run, course.bottom, course.top).filter(
        (s) => sectionAlong(run.stretches, (s.from + s.to) / 2).height > bottom + 1,
      );
      const laid = spans.map((span) =>
        stonesIn({ ...span, longest: stone.longest, joint: stone.joint, lap: stone.lap, below }),
      );
      laid.forEach((l, i) => {
        if (l.short > 0)
          short.push({ run: run.run, course: course.number, at: spans[i]?.from ?? 0, count: l.short });
      });
      const pieces = laid.flatMap((l) => l.stones);
      pieces.forEach((p, i) =>
        stones.push({
          number: `${course.number}.${i + 1}`,
          run: run.run,
          course: course.number,
          ...p,
          bottom,
          top: course.top,
          bed: stone.base,
          mass:
            (((p.to - p.from) * (course.top - bottom) * stone.base) / CUBIC_METRE_MM3) * stone.stone.density,
        }),
      );
      below = laid.flatMap((l) => jointsOf(l.stones));
      return {
        pieces: pieces.map((p) => pieceAt('stretcher', p.from, p.to, null)),
        perps: below.map((at) => ({ at, width: stone.joint })),
        bedded: spans,
      };
    });
  });
  return { stones, short, rows };
}

/** Stone in a wall of ashlar, m³: what its joints leave, exactly. */
export const stoneOfAshlar = ({ stones }: Pick<AshlarLaid, 'stones'>): CubicMetres =>
  stones.reduce((sum, s) => sum + ((s.to - s.from) * (s.top - s.bottom) * s.bed) / CUBIC_METRE_MM3, 0);
