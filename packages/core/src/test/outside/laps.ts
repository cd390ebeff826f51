import type { RowFile } from './files.js';
import { unitFacts } from './trade.js';
import { isHeaderBond, perpsOf, said, standing, type Facts } from './wall.js';

/** Rules are compared within 1/64 in. */
const SIXTY_FOURTH = 25.4 / 64;
const BLUR = 0.05;

interface Leaf {
  rows: RowFile[];
  leastPiece: number;
  leastLap: number;
  joint: number;
}

const leavesOf = (f: Facts): Leaf[] => {
  const nominal = f.file.lengths === undefined ? f.profile.nominal : f.file.lengths === 'nominal';
  const own = {
    leastPiece: Math.min(f.profile.leastPiece(f.unit, nominal ? f.head : 0), f.half),
    leastLap: f.profile.leastLap(f.unit),
    joint: f.head,
  };
  const leaves: Leaf[] = [0, 1].flatMap((leaf) => {
    const rows = f.plan.rows.filter((r) => r.leaf === leaf);
    // Behind the face of a header bond stand the backs of its bricks: their perps are the face's own.
    return rows.length === 0 || (leaf === 1 && isHeaderBond(f)) ? [] : [{ rows, ...own }];
  });
  if (f.plan.inner) {
    const unit = unitFacts(f.plan.inner.unit);
    const half = (unit.length - f.profile.joint) / 2;
    leaves.push({
      rows: f.plan.inner.rows,
      leastPiece: Math.min(f.profile.leastPiece(unit, nominal ? f.profile.joint : 0), half),
      leastLap: f.profile.leastLap(unit),
      joint: f.profile.joint,
    });
  }
  return leaves;
};

/** The most courses whose perps stand over one another within a joint, and the least lap there is, in a run of a leaf. */
export function lapsOf(
  f: Facts,
  rows: readonly RowFile[],
  run: number,
  joint: number,
  most: number,
): { chain: number; least: number } {
  let open: { at: number; courses: number }[] = [];
  let below: number[] = [];
  let [chain, least] = [0, Infinity];
  for (const row of [...rows].sort((a, b) => a.course - b.course)) {
    const list = standing(f, row, run).filter(
      (s) => s.piece.bottom === undefined && s.piece.fitting !== 'soldier',
    );
    const perps = perpsOf(list, most);
    const next: typeof open = [];
    for (const at of perps) {
      for (const b of below) least = Math.min(least, Math.abs(b - at));
      const under = open.filter((o) => Math.abs(o.at - at) < joint);
      const courses = 1 + Math.max(0, ...under.map((o) => o.courses));
      next.push({ at, courses });
      chain = Math.max(chain, courses);
    }
    open = next;
    below = perps;
  }
  return { chain, least };
}

/** Straight joints, short laps and slivers are said where they are, and only there. */
export function lapDefects(f: Facts): string[] {
  if (!f.plain) return [];
  const out: string[] = [];
  const most = Math.max(f.profile.headMost, f.head);
  f.runs.forEach((_, run) => {
    // By a hair either way it may be called in line or not.
    const leaves = leavesOf(f).map((l) => ({
      ...l,
      ...lapsOf(f, l.rows, run, l.joint - BLUR, most),
      loose: lapsOf(f, l.rows, run, l.joint + BLUR, most).chain,
    }));
    const stack = f.file.build.bond === 'stack';
    const judged = stack ? leaves.filter((_l, i) => i > 0 && f.plan.inner) : leaves;
    const straight = Math.max(0, ...judged.map((l) => l.chain));
    if (
      straight >= 3 &&
      !f.plan.findings.some((x) => x.code === 'straight-joint' && x.severity === 'fault' && x.run === run)
    )
      out.push(`run ${run}: ${straight} perps in line and no straight-joint`);
    const loose = Math.max(0, ...judged.map((l) => l.loose));
    if (
      loose < 3 &&
      f.plan.findings.some((x) => x.code === 'straight-joint' && x.severity === 'fault' && x.run === run)
    )
      out.push(`run ${run}: a straight joint is said, the most in line are ${loose}`);
    const short = judged.some((l) => l.least < l.leastLap - SIXTY_FOURTH - BLUR);
    if (short && !said(f, ['lap-short', 'straight-joint'], run))
      out.push(`run ${run}: a lap of ${Math.min(...judged.map((l) => l.least)).toFixed(1)} unsaid`);
    if (
      !judged.some((l) => l.least < l.leastLap - SIXTY_FOURTH + BLUR) &&
      said(f, ['lap-short', 'straight-joint'], run)
    )
      out.push(`run ${run}: short laps are said and there are none`);
    // A closer in a course sawn to a height is called a cut there: it is a closer all the same.
    const closers = f.plan.rows.flatMap((r) =>
      r.pieces.filter((p) => p.kind === 'closer').map((p) => p.to - p.from),
    );
    const slivers = leaves.flatMap((l) =>
      l.rows.flatMap((r) =>
        r.pieces.filter(
          (p) =>
            p.run === run &&
            p.kind !== 'closer' &&
            !closers.some((c) => Math.abs(c - (p.to - p.from)) < BLUR) &&
            p.fitting !== 'soldier' &&
            p.rake === undefined &&
            !isSpecial(f, p.shows !== undefined) &&
            p.to - p.from < l.leastPiece - SIXTY_FOURTH - BLUR,
        ),
      ),
    );
    const first = slivers[0];
    if (first && !said(f, ['sliver', 'run-not-planned'], run))
      out.push(
        `run ${run}: a piece of ${(first.to - first.from).toFixed(1)} at ${first.from.toFixed(1)} unsaid`,
      );
    if (
      said(f, ['sliver'], run) &&
      !leaves.some((l) =>
        l.rows.some((r) => r.pieces.some((p) => p.run === run && p.to - p.from < l.leastPiece + BLUR)),
      )
    )
      out.push(`run ${run}: a sliver is said and there is none`);
  });
  return out;
}

/** At a corner that is not square the special has a short leg by design. */
const isSpecial = (f: Facts, shows: boolean): boolean =>
  shows && f.runs.some((r) => r.turnAfter !== null && Math.abs(r.turnAfter) !== 90);
