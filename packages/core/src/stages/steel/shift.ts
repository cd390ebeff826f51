import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import { INCH, inches, toMillimetres } from '../../measure/length.js';
import type { Try } from '../../findings/issue.js';
import type { SetWall } from '../set-out/wall.js';
import { roomInCell } from './place.js';
import { footShafts, judgeAt, judgeStarters, type JudgedStarter } from './starters.js';
import type { SteelWork } from './steel.js';

/** How far a wall may be moved on its footing and still be where it was set out, mm: ½ in, common practice. */
export const MOST_SHIFT = toMillimetres(inches(1, 2));

/** The whole wall moved on its footing. Plan axes as the line's, mm. */
export interface Shift {
  x: number;
  y: number;
  /** Starters that come up clear then, of all that were entered. */
  clear: number;
  of: number;
}

/** A run's direction, and its outside, which is on the right of it. */
function axesOf(wall: SetWall, run: number): { along: [number, number]; out: [number, number] } {
  const angle = ((wall.line.runs[run]?.heading ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { along: [cos, sin], out: [sin, -cos] };
}

/** How a shift of the wall is seen from one of its runs: on along it, and outward, mm. */
export function seenFrom(
  wall: SetWall,
  run: number,
  { x, y }: Pick<Shift, 'x' | 'y'>,
): { on: number; out: number } {
  const { along, out } = axesOf(wall, run);
  return { on: x * along[0] + y * along[1], out: x * out[0] + y * out[1] };
}

/** Up to what a tape can set out, away from nought. */
const upTo = (wall: SetWall, mm: number): number => {
  const grid = wall.show === 'mm' ? 0.5 : INCH / 16;
  return Math.sign(mm) * Math.ceil(Math.abs(mm) / grid - 1e-9) * grid;
};

/** Moves of the wall that would bring one starter clear: along its run, across it. */
function movesFor(wall: SetWall, size: string, s: JudgedStarter, clearAlong: number): [number, number][] {
  const { along, out } = axesOf(wall, s.run);
  const over = Math.abs(s.off) - roomInCell(wall, size, clearAlong).across;
  // The wall goes to where the starter is: against what the starter would have to do.
  const on = upTo(wall, -s.need);
  const outward = over > 0 ? upTo(wall, Math.sign(s.off) * over) : 0;
  return [
    ...(on === 0 ? [] : [[on * along[0], on * along[1]] as [number, number]]),
    ...(outward === 0 ? [] : [[outward * out[0], outward * out[1]] as [number, number]]),
  ];
}

/**
 * The move of the whole wall on its footing that brings most starters clear, the least such; null where none within
 * what a wall may be moved helps. Every starter's own need is tried, alone and with every other's.
 */
export function bestShift(wall: SetWall, steel: SteelWork): Shift | null {
  const size = wall.steel?.vertical?.bar;
  const judged = judgeStarters(wall, steel);
  if (size === undefined || judged.length === 0) return null;
  const shafts = new Map(
    steel.verticals.map((v, k) => [v.run, footShafts(wall, steel.cells[k]?.shafts ?? [])]),
  );
  const clearAt = (x: number, y: number): number =>
    judged.filter((s) => {
      const { on, out } = seenFrom(wall, s.run, { x, y });
      return judgeAt(wall, shafts.get(s.run) ?? [], size, s.at - on, s.off - out).verdict === 'clear';
    }).length;
  const now = clearAt(0, 0);
  const moves = judged
    .filter((s) => s.verdict !== 'clear')
    .flatMap((s) => {
      const cell = shafts.get(s.run)?.[0];
      return cell ? movesFor(wall, size, s, cell.to - cell.from) : [];
    });
  const unique = [...new Map(moves.map((m) => [m.map((n) => n.toFixed(3)).join(), m])).values()];
  const both = unique.flatMap((a, i) =>
    unique.slice(i + 1).map(([x, y]): [number, number] => [a[0] + x, a[1] + y]),
  );
  const far = (x: number, y: number): number => Math.hypot(x, y);
  return [...unique, ...both]
    .filter(([x, y]) => far(x, y) > 1e-6 && far(x, y) <= MOST_SHIFT + 1e-6)
    .map(([x, y]): Shift => ({ x, y, clear: clearAt(x, y), of: judged.length }))
    .filter((s) => s.clear > now)
    .reduce<Shift | null>(
      (best, s) =>
        best === null ||
        s.clear > best.clear ||
        (s.clear === best.clear && far(s.x, s.y) < far(best.x, best.y))
          ? s
          : best,
      null,
    );
}

/** A shift as a mason on one run would say it. */
export function shiftSaid(wall: SetWall, run: number, shift: Shift): Said[] {
  const { on, out } = seenFrom(wall, run, shift);
  const part = (mm: number, plus: (typeof SAYS)['shift-on'], minus: (typeof SAYS)['shift-on']): Said[] =>
    Math.abs(mm) < 0.1 ? [] : [(mm > 0 ? plus : minus)({ by: Math.abs(mm) })];
  return [
    ...part(on, SAYS['shift-on'], SAYS['shift-back']),
    ...part(out, SAYS['shift-outward'], SAYS['shift-inward']),
  ];
}

/** The wall laid out anew by a shift: its starters stand where they stood, so they measure otherwise from it. */
export function shiftTry(wall: SetWall, run: number, shift: Shift): Try {
  const path = `/walls/${wall.index}/steel/starters`;
  return {
    says: SAYS['lay-out']({ shift: shiftSaid(wall, run, shift), clear: shift.clear, of: shift.of }),
    edit: (wall.steel?.starters ?? []).flatMap((s) => {
      const { on, out } = seenFrom(wall, s.run, shift);
      return [
        ...(Math.abs(on) < 1e-6
          ? []
          : [{ op: 'replace' as const, path: `${path}/${s.index}/at`, value: toTheTape(wall, s.at - on) }]),
        ...(Math.abs(out) < 1e-6
          ? []
          : [{ op: 'add' as const, path: `${path}/${s.index}/off`, value: toTheTape(wall, s.off - out) }]),
      ];
    }),
  };
}
