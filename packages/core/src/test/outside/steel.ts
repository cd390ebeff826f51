import type { PieceFile } from './files.js';
import { mm } from './trade.js';
import { goesThrough, HAIR, said, standing, type Facts } from './wall.js';

/** The least clear opening grout goes down, mm: 1½ in (figures: grout-space table). */
const LEAST_CLEAR = 38;

interface Clear {
  from: number;
  to: number;
  /** How long the cell is the way its unit lies, where that is across the run. */
  long?: number;
}

/** Open cells of one piece by the unit's shells and webs, along the run. */
export function cellsOf(
  f: Facts,
  p: PieceFile,
  own: boolean,
  shownAt: Clear | null,
  followed: boolean,
): Clear[] {
  const { cores } = f.unit;
  if (!cores) return [];
  // A unit of another run or wall, seen across: from shell to shell.
  const each = (f.unit.length - (cores.cells + 1) * cores.web) / cores.cells;
  if (!own && shownAt)
    return [{ from: shownAt.from + cores.shell, to: shownAt.to - cores.shell, long: each }];
  if (p.bottom !== undefined || p.fitting !== undefined || p.rake !== undefined || p.kind === 'header')
    return [];
  const length = p.to - p.from;
  const between = (long: number, cells: number): Clear[] => {
    const each = (long - (cells + 1) * cores.web) / cells;
    return Array.from({ length: cells }, (_, i) => {
      const from = cores.web + i * (each + cores.web);
      return { from, to: from + each };
    });
  };
  const at = (list: Clear[]): Clear[] => list.map((c) => ({ from: p.from + c.from, to: p.from + c.to }));
  if (length > f.unit.length - 1) return at(between(f.unit.length, cores.cells));
  if (f.unit.halfBought && Math.abs(length - f.half) < 1) return at(between(f.half, 1));
  // Sawn: the end it kept shows where nothing follows (decision 0014), else it is the left one.
  const left = between(f.unit.length, cores.cells).map((c) => ({ from: c.from, to: Math.min(c.to, length) }));
  const fromLeft = at(left.filter((c) => c.to - c.from >= LEAST_CLEAR));
  return followed
    ? fromLeft
    : fromLeft.map((c) => ({ from: p.from + p.to - c.to, to: p.from + p.to - c.from }));
}

/** Cells of a course of a run. */
function openIn(f: Facts, course: number, run: number): Clear[] {
  const row = f.plan.rows.find((r) => r.course === course && r.leaf === 0);
  if (!row) return [];
  const list = standing(f, row, run).filter((s) => s.piece.bottom === undefined);
  return list.flatMap((s, i) => {
    const next = list[i + 1];
    const followed = next !== undefined && next.from - s.to < 2 * f.head + 10;
    return cellsOf(f, s.piece, s.own, s.own ? null : s, followed);
  });
}

/** Bars stand in cells, none further from the next than asked where a cell would allow it, and no grout twice. */
export function barDefects(f: Facts): string[] {
  const asked = f.file.steel?.vertical;
  if (!asked || !f.unit.cores || !f.plain || f.plan.inner) return [];
  const out: string[] = [];
  const every = mm(asked.every);
  const broken = (run: number): boolean => said(f, ['bar-not-in-cell'], run);
  const top = f.plan.courses.at(-1)?.top ?? 0;
  const uprights = f.plan.bars.filter((b) => b.at !== undefined);
  for (const b of f.plan.bars) if (!(b.length > 0)) out.push(`bar ${b.mark} of length ${b.length}`);
  for (const b of uprights) {
    const at = b.at as number;
    for (const c of f.plan.courses) {
      if (c.bottom < b.bottom - 1 || c.top > b.top + 1) continue;
      if (!openIn(f, c.number, b.run).some((cell) => at > cell.from - HAIR && at < cell.to + HAIR)) {
        out.push(`run ${b.run}: the bar at ${at.toFixed(1)} stands in no cell of course ${c.number}`);
        break;
      }
    }
  }
  f.runs.forEach((run, i) => {
    // Where the wall goes up unbroken beside no opening, gaps are looked for over its whole height.
    const holes = f.openings.filter((o) => o.run === i);
    const inside = (turn: number | null): number => (turn === -90 ? goesThrough(f) : 0);
    const [start, end] = [-inside(run.turnBefore), run.length + inside(run.turnAfter)];
    const edges = [start, ...holes.flatMap((o) => [o.from, o.to]).sort((a, b) => a - b), end];
    for (let k = 0; k + 1 < edges.length; k += 2) {
      const [from, to] = [edges[k] as number, edges[k + 1] as number];
      const bars = uprights
        .filter(
          (b) =>
            b.run === i &&
            b.bottom < 1 &&
            b.top > top - 1 &&
            (b.at as number) > from &&
            (b.at as number) < to,
        )
        .map((b) => b.at as number);
      // The corner's own cell belongs to the run that begins there: its bar stands in the middle of that corner.
      if (k + 2 >= edges.length && run.turnAfter !== null) bars.push(end - f.unit.width / 2);
      bars.sort((a, b) => a - b);
      for (let n = 0; n + 1 < bars.length; n++) {
        const gap = (bars[n + 1] as number) - (bars[n] as number);
        if (gap > every * 1.02 + 10 && !broken(i))
          out.push(
            `run ${i}: bars ${gap.toFixed(0)} apart at ${(bars[n] as number).toFixed(0)}, asked ${every.toFixed(0)}, and nothing said`,
          );
      }
      const [first, last] = [bars[0], bars.at(-1)];
      if (!broken(i) && to - from > every + f.unit.length) {
        if (first === undefined || last === undefined)
          out.push(`run ${i}: no bar between ${from.toFixed(0)} and ${to.toFixed(0)}`);
        else if (first - from > every + 10 || to - last > every + 10)
          out.push(
            `run ${i}: the bars between ${from.toFixed(0)} and ${to.toFixed(0)} stop ${Math.max(first - from, to - last).toFixed(0)} short`,
          );
      }
    }
  });
  return out;
}

const union = (list: Clear[]): number => {
  let [sum, at] = [0, -Infinity];
  for (const c of [...list].sort((a, b) => a.from - b.from)) {
    sum += Math.max(0, c.to - Math.max(c.from, at));
    at = Math.max(at, c.to);
  }
  return sum;
};

/** Whether the file asks for a beam in a course. */
const statedBeam = (f: Facts, course: number): boolean =>
  (f.file.steel?.beams ?? []).some((b) => (b.course === 'top' ? f.plan.courses.length : b.course) === course);

/** Stretches of a beam's course too short for a bar between its covers: their beam units are filled all the same. */
function barless(f: Facts, course: number, run: number, bars: readonly Clear[]): Clear[] {
  const row = f.plan.rows.find((r) => r.course === course && r.leaf === 0);
  const spans: Clear[] = [];
  // All a half-high course is sawn from whole units, and is called so.
  const called = row?.pieces.some((p) => p.kind === 'beam') ? 'beam' : 'cut';
  for (const s of row && (called === 'beam' || statedBeam(f, course)) ? standing(f, row, run) : []) {
    if (!s.own || s.piece.kind !== called || s.piece.bottom !== undefined) continue;
    const last = spans.at(-1);
    if (last && s.from - last.to < 2 * f.head + 10) last.to = s.to;
    else spans.push({ from: s.from, to: s.to });
  }
  return spans.filter((s) => !bars.some((b) => b.from < s.to && b.to > s.from));
}

/** Grout of filled cells and of beams, each place once; a cell inside a beam is the beam's. Null where it is not plain. */
export function groutOf(f: Facts): number | null {
  const { cores } = f.unit;
  const fill = f.file.grout?.fill ?? (f.file.steel ? 'steel' : 'none');
  if (!cores || !f.plain || f.plan.inner || fill === 'all' || f.file.grout?.below !== undefined) return null;
  const width = f.unit.width - 2 * cores.shell;
  let sum = 0;
  for (const c of f.plan.courses) {
    f.runs.forEach((_, run) => {
      const beams = f.plan.bars
        .filter((b) => b.course === c.number && b.run === run)
        .map((b) => ({ from: b.from as number, to: b.to as number }));
      if (beams.length > 0 || statedBeam(f, c.number)) beams.push(...barless(f, c.number, run, beams));
      const pitch = c.bed + c.unitHeight;
      // Where two runs meet their beams cross in the corner, which is poured once.
      const end = (f.runs[run]?.length ?? 0) + (f.runs[run]?.turnAfter === -90 ? goesThrough(f) : 0);
      const crossed = f.runs[run]?.turnAfter !== null && beams.some((b) => b.to > end - 1) ? f.unit.width : 0;
      sum += (union(beams) - crossed) * width * pitch;
      const cells = f.plan.cells.filter(
        (x) => x.run === run && x.grouted && x.bottom < c.bottom + 1 && x.top > c.top - 1,
      );
      for (const cell of cells) {
        if (beams.some((b) => cell.at > b.from && cell.at < b.to)) continue;
        const one = openIn(f, c.number, run).find((o) => cell.at > o.from && cell.at < o.to);
        if (one) sum += (one.long ?? one.to - one.from) * width * pitch;
      }
    });
  }
  return sum / 1e9;
}
