import { SAME_PLACE, type Mm } from '../../measure/length.js';

export interface PlanRun {
  /** Stated length along the line, mm. */
  length: Mm;
  /** Where it starts and which way it goes, in plan, mm and degrees (0 = east, left positive). */
  x: number;
  y: number;
  heading: number;
  curved: boolean;
  /** Radius of the outside face, positive where the outside bulges, mm; null when straight. */
  radius: Mm | null;
  /** Degrees it turns along the way, left positive. */
  sweep: number;
}

export interface Corner {
  /** The run before it and the run after it. */
  from: number;
  to: number;
  /** Degrees, left positive. */
  turn: number;
}

export interface PlanLine {
  runs: PlanRun[];
  corners: Corner[];
  closed: boolean;
  /** Distance from the end of the line back to its start, mm. */
  gap: number;
}

/** A turn this small, in degrees, is taken up in the perps: the units go on round it. Common practice. */
export const isTangent = (turn: number): boolean => Math.abs(turn) <= 5;

export type LinePart = { run: number } | { turn: number } | { arc: number; sweep: number };

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const wrap = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;

function along(x: number, y: number, heading: number, length: number): [number, number] {
  return [x + length * Math.cos(radians(heading)), y + length * Math.sin(radians(heading))];
}

/**
 * Walks a plan line by lengths and turns. It closes when it comes back to within `near` mm of its start;
 * the closing turn may be written or left out.
 */
export function walkLine(parts: readonly LinePart[], near: number): PlanLine {
  let [x, y, heading, pending] = [0, 0, 0, 0];
  const runs: PlanRun[] = [];
  const corners: Corner[] = [];
  for (const part of parts) {
    if ('turn' in part) {
      pending += part.turn;
      continue;
    }
    if (runs.length > 0) corners.push({ from: runs.length - 1, to: runs.length, turn: wrap(pending) });
    heading += pending;
    pending = 0;
    if ('run' in part) {
      runs.push({ length: part.run, x, y, heading, curved: false, radius: null, sweep: 0 });
      [x, y] = along(x, y, heading, part.run);
    } else {
      const length = Math.abs(radians(part.sweep)) * part.arc;
      const radius = part.sweep > 0 ? part.arc : -part.arc;
      runs.push({ length, x, y, heading, curved: true, radius, sweep: part.sweep });
      const chord = 2 * part.arc * Math.abs(Math.sin(radians(part.sweep) / 2));
      [x, y] = along(x, y, heading + part.sweep / 2, chord);
      heading += part.sweep;
    }
  }
  const gap = Math.hypot(x, y);
  // A line back on its start closes: three runs or more, or one that curves.
  const closed = (runs.length > 2 || runs.some((r) => r.curved)) && gap <= near + SAME_PLACE;
  if (closed) corners.push({ from: runs.length - 1, to: 0, turn: wrap((runs[0]?.heading ?? 0) - heading) });
  return { runs, corners, closed, gap };
}
