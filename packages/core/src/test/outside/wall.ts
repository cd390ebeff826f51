import type { JobFile, PieceFile, RowFile, WallFile, WallPlanFile } from './files.js';
import { mm, PROFILE_FACTS, unitFacts, type ProfileFacts, type UnitFacts } from './trade.js';

export interface RunFacts {
  length: number;
  arc: boolean;
  /** Of its outside face, mm, positive where it bulges; null where it is straight. */
  radius: number | null;
  /** Turn at its end, degrees left of straight on; null where nothing follows. */
  turnAfter: number | null;
  turnBefore: number | null;
}

export interface OpeningFacts {
  id: string;
  run: number;
  from: number;
  to: number;
  sill: number;
  head: number;
}

/** One wall as the job states it and the plan lays it. */
export interface Facts {
  job: JobFile;
  file: WallFile;
  plan: WallPlanFile;
  unit: UnitFacts;
  profile: ProfileFacts;
  head: number;
  half: number;
  runs: RunFacts[];
  openings: OpeningFacts[];
  /** Through the wall, all wythes. */
  thickness: number;
  /** Nothing but what the checker knows all about: straight runs, square corners, one leaf or what is checked leaf by leaf. */
  plain: boolean;
  /** Walls bonded into this one: how high they stand, where, and how thick. */
  /** How thick the wall is that this one is bonded into. */
  into?: number;
  branchTops?: Map<string, { top: number; at: number; thickness: number }>;
}

export function factsOf(job: JobFile, file: WallFile, plan: WallPlanFile): Facts {
  const unit = unitFacts(file.build.unit);
  const profile = PROFILE_FACTS[job.profile];
  const head = file.build.head === undefined ? profile.joint : mm(file.build.head);
  const nominal = file.lengths === undefined ? profile.nominal : file.lengths === 'nominal';
  const runs: RunFacts[] = [];
  for (const item of file.line) {
    const last = runs.at(-1);
    if ('turn' in item) {
      if (last) last.turnAfter = Number(item.turn);
      continue;
    }
    const arc = 'arc' in item;
    const length = arc
      ? (Math.abs(mm(item.arc)) * Math.abs(Number(item.sweep)) * Math.PI) / 180
      : mm(item.run) - (nominal ? head : 0);
    const turnBefore = last ? (last.turnAfter ?? 0) : null;
    if (last) last.turnAfter = turnBefore;
    const radius = arc ? mm(item.arc) * Math.sign(Number(item.sweep)) : null;
    runs.push({ length, arc, radius, turnAfter: null, turnBefore });
  }
  // Four runs that come back to where they began: the last turn may be left out.
  const [a, b, c, d] = runs;
  if (
    a &&
    b &&
    c &&
    d &&
    runs.length === 4 &&
    Math.abs(a.length - c.length) < 1 &&
    Math.abs(b.length - d.length) < 1 &&
    a.turnAfter === 90
  ) {
    d.turnAfter = 90;
    a.turnBefore = 90;
  }
  const openings = (file.openings ?? []).map((o): OpeningFacts => {
    const at = mm(o.at);
    return {
      id: o.id,
      run: o.run ?? 0,
      from: nominal ? at - head : at,
      to: at + mm(o.width),
      sill: mm(o.sill),
      head: mm(o.head),
    };
  });
  const plain =
    runs.every((r) => !r.arc && [null, 90, -90].includes(r.turnAfter)) &&
    file.build.pieces === undefined &&
    file.tops === undefined &&
    file.steps === undefined &&
    file.piers === undefined &&
    file.vents === undefined &&
    file.joints === undefined &&
    file.build.samples === undefined;
  const thickness = file.build.wythes === 2 ? 2 * unit.width + head : unit.width;
  return {
    job,
    file,
    plan,
    unit,
    profile,
    head,
    half: (unit.length - head) / 2,
    runs,
    openings,
    thickness,
    plain,
  };
}

export const HAIR = 0.02;

export const isHeaderBond = (f: Facts): boolean =>
  ['english', 'english-garden', 'flemish', 'flemish-garden'].includes(f.file.build.bond);

/** How far a course that goes through an inside corner stands past it: tied leaves turn it each for itself. */
export const goesThrough = (f: Facts): number => (isHeaderBond(f) ? f.thickness : f.unit.width);

/** How long a piece is: behind a curve it says so itself. */
export const lengthOf = (p: PieceFile): number => p.length ?? p.to - p.from;

export const ofRun = (row: RowFile | undefined, run: number): PieceFile[] =>
  (row?.pieces ?? []).filter((p) => p.run === run);

/** The end of a wall bonded in, as the face shows it. */
const TEE: PieceFile = { kind: 'tee', run: -1, from: 0, to: 0, fitting: 'tee' };

/** Where walls bonded into a run show their ends in this course. */
export function teesIn(f: Facts, run: number, course: number): { from: number; to: number }[] {
  return f.job.walls.flatMap((w) => {
    if (w.meets?.wall !== f.file.id || w.meets.run !== run || w.meets.how !== 'bonded') return [];
    if ((course % 2 === 1) !== ((w.meets.on ?? 'even') === 'odd')) return [];
    const branch = f.branchTops?.get(w.id);
    const own = f.plan.courses[course - 1];
    if (!branch || !own || own.top > branch.top + own.unitHeight / 2) return [];
    return [{ from: branch.at, to: branch.at + branch.thickness }];
  });
}

/**
 * What stands in a course of a run, end to end: its own pieces, the ends of the others' that show in it, and those of
 * walls bonded into it.
 */
export function standing(
  f: Facts,
  row: RowFile,
  run: number,
): { from: number; to: number; own: boolean; piece: PieceFile }[] {
  const tees = row.leaf === 0 ? teesIn(f, run, row.course) : [];
  return row.pieces
    .flatMap((p) => [
      ...(p.run === run ? [{ from: p.from, to: p.to, own: true, piece: p }] : []),
      ...(p.shows?.run === run ? [{ from: p.shows.from, to: p.shows.to, own: false, piece: p }] : []),
    ])
    .concat(tees.map((t) => ({ ...t, own: false, piece: TEE })))
    .sort((x, y) => x.from - y.from || (x.piece.bottom ?? 0) - (y.piece.bottom ?? 0));
}

export const said = (f: Facts, codes: readonly string[], run?: number): boolean =>
  f.plan.findings.some(
    (x) => codes.includes(x.code) && (run === undefined || x.run === undefined || x.run === run),
  );

/** Perps of a course: the middles of the joints between neighbours that stand full height. */
export function perpsOf(list: readonly { from: number; to: number }[], most: number): number[] {
  const perps: number[] = [];
  list.forEach((p, i) => {
    const next = list[i + 1];
    if (next && next.from > p.to - HAIR && next.from - p.to <= most + HAIR)
      perps.push((p.to + next.from) / 2);
  });
  return perps;
}
