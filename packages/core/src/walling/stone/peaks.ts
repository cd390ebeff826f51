import { CUBIC_METRE_MM3, type Kilograms, type Mm } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { PEAK } from '../../tables/stoneWalls.js';
import { widthAt } from './section.js';
import { stoneIn, type StoneRun } from './stretches.js';

/** The last stone of a gable: it closes both slopes, and is cut to a template. */
export interface PeakStone {
  run: number;
  /** Its point along the run, and its foot and its point over the base. */
  at: Mm;
  foot: Mm;
  top: Mm;
  /** How far its foot reaches to the left and to the right of the point. */
  left: Mm;
  right: Mm;
  /** Through the wall. */
  thick: Mm;
  mass: Kilograms;
}

/** Stones at the peaks of a wall: where its top goes up from the left and down to the right. */
export function peaksOf(wall: SetWall, runs: readonly StoneRun[]): PeakStone[] {
  const stone = stoneIn(wall);
  if (stone.kind === 'dry') return [];
  return runs.flatMap((run) => {
    let from = 0;
    return run.stretches.flatMap((s, i): PeakStone[] => {
      from += s.length;
      const next = run.stretches[i + 1];
      const [a, b] = s.ends;
      if (!next || b.height <= a.height) return [];
      const [c, d] = next.ends;
      if (Math.abs(c.height - b.height) > 1 || d.height >= c.height) return [];
      const [up, down] = [b.height - a.height, c.height - d.height];
      // On flat slopes a stone as high would be as long as the wall.
      const high = Math.min(PEAK.high, up, down, PEAK.wide / (s.length / up + next.length / down));
      if (high < PEAK.least - 1e-6) return [];
      const [left, right] = [(high * s.length) / up, (high * next.length) / down];
      const thick = widthAt(b, b.height);
      const mass = ((((left + right) * high) / 2) * thick * stone.stone.density) / CUBIC_METRE_MM3;
      return [{ run: run.run, at: from, foot: b.height - high, top: b.height, left, right, thick, mass }];
    });
  });
}

/** A template, height by height from its foot: how far it reaches to the left and to the right of its point. */
export function templateOf({ foot, top, left, right }: PeakStone): { up: Mm; left: Mm; right: Mm }[] {
  const high = top - foot;
  const rows = Math.ceil(high / PEAK.every - 1e-9);
  return Array.from({ length: rows + 1 }, (_, i) => {
    const up = Math.min(high, i * PEAK.every);
    const part = 1 - up / high;
    return { up, left: left * part, right: right * part };
  });
}
