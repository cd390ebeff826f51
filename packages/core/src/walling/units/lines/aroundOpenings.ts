import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { bondKey, type Counts } from './lineCost.js';
import { laidWindow, type LaidWindow } from './laidWindow.js';
import type { BesideLine, ClassedEnds, PerpLine, RunLines, Span } from './lines.js';
import { weighedWith } from './weighLines.js';
import { partedGroup, together, windowsOf, type Window } from './window.js';
import { tidy } from './windowPlaces.js';

/** What the lines of a run are laid from. */
export interface RunToLine {
  wall: SetWall;
  span: Span;
  classes: readonly ClassedEnds[];
  counts: Counts;
  openings: readonly SetOpening[];
}

/** What a run costs by its lines, its openings in it. */
export function weighedRun({ wall, span, classes, counts, openings }: RunToLine, lines: RunLines): number {
  const [odd, even] = classes.map((c) => c.ends);
  const length = {
    span,
    lines,
    keepsFirst: [odd?.start.kind !== 'return', even?.start.kind === 'own'] as const,
    keepsLast: [odd?.end.kind === 'own', even?.end.kind === 'own'] as const,
  };
  return weighedWith(wall, length, openings, counts.meets + 1);
}

/** What was found for a window, from its start, by all it follows from: the same jambs come again at every edit. Null: nothing was. */
const known = new Map<string, LaidWindow | null>();
const MOST_KNOWN = 5000;

function windowKey({ wall, counts, classes }: RunToLine, window: Window, lines: RunLines): string {
  const at = (x: number): number => tidy(x - window.zero);
  return JSON.stringify([
    bondKey(wall),
    wall.weights.bond.perpOffItsLine,
    wall.cuts,
    wall.height,
    counts.courses,
    window.openings.map((o) => [at(o.from), at(o.to), o.sill, o.head]),
    window.atStart,
    window.atEnd,
    classes,
    lines.map(({ u }, i) => u.slice(window.first[i], (window.last[i] ?? 0) + 1).map(at)),
  ]);
}

/**
 * The lines of a run laid again about its openings, a window at a time: what the courses under and over them cost together
 * with what stands beside them. Lines eased all along stay as they are.
 */
export function linesAround(run: RunToLine, lines: RunLines): RunLines {
  const { wall, openings, span } = run;
  if (wall.bond.family !== 'running' || wall.bond.step === 0 || lines.length !== 2) return lines;
  if (lines.some((l) => Math.abs(l.joint - wall.head) > SAME_PLACE)) return lines;
  let groups: readonly (readonly SetOpening[])[] = together(wall, openings);
  for (;;) {
    const windows = windowsOf(wall, groups, span, lines);
    const laid = windows.map((window) => laidOnce(run, window, lines));
    // What is too much to be searched together is parted, and its pier with it.
    const given = windows.find((window, k) => laid[k] === null && partedGroup(wall, window.openings));
    if (given) {
      groups = groups.flatMap((g) => (g === given.openings ? (partedGroup(wall, g) ?? [g]) : [g]));
      continue;
    }
    // From the end of the run backwards, so that the numbers of edges in windows still to come stay what they are.
    return windows.reduceRight((now, window, k) => {
      const found = laid[k];
      return found ? withWindow(now, window, found) : now;
    }, lines);
  }
}

function laidOnce(run: RunToLine, window: Window, lines: RunLines): LaidWindow | null {
  const key = windowKey(run, window, lines);
  let laid = known.get(key);
  if (laid === undefined) {
    laid = laidWindow(run.wall, window, run.classes, lines, run.counts.meets + 1);
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, laid);
  }
  return laid;
}

/** The lines with a window's new edges in them, and how the courses beside its openings are laid. */
function withWindow(lines: RunLines, window: Window, { edges, beside }: LaidWindow): RunLines {
  const { zero } = window;
  const among = window.openings.map((o) => o.index);
  return lines.map((line, k): PerpLine => {
    const i = k === 0 ? 0 : 1;
    const own = edges[i].map((x) => x + zero);
    const kinds = beside.filter((b) => b.parity === i);
    return {
      ...line,
      u: [...line.u.slice(0, window.first[i]), ...own, ...line.u.slice(window.last[i] + 1)],
      beside: [
        ...(line.beside ?? []),
        ...kinds.map((b): BesideLine => ({
          from: own[0] as number,
          to: own.at(-1) as number,
          among,
          stops: b.stops.map((n) => among[n] as number),
          u: b.edges.map((x) => x + zero),
        })),
      ],
    };
  });
}
