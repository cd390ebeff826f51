import type { Mm } from '../measure/length.js';
import { KINDS } from '../walling/units/laying/kinds.js';
import { onFace } from '../walling/units/leaves/behind.js';
import { behindCavity, behindOf, carried, carryingLeaf, type Leaf } from '../walling/units/leaves/leaf.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import type { Piece, Row } from '../walling/units/laying/row.js';
import { CONCRETE_FACTOR, footingAmounts } from '../stages/set-out/footing.js';
import { mortarOfWall } from '../walling/units/counting/ofWall.js';
import { packsOf, type Counts } from '../walling/units/counting/tally.js';
import { cavityAmounts } from '../stages/cavity/amounts.js';
import { materialsJson, wallMudJson } from '../stages/mud/json.js';
import { mixNeeds } from '../stages/mud/stage.js';
import { wallTies } from '../stages/cavity/ties.js';
import { lintelsPlaced } from '../stages/lintels/lintels.js';
import { groutInWall } from '../stages/grout/workings.js';
import { middleOf } from '../stages/steel/shafts.js';
import { cutBars } from '../stages/steel/cutting.js';
import {
  markOf,
  schedule,
  stockOf,
  stretchBars,
  uprightBars,
  uprightLengths,
} from '../stages/steel/steel.js';
import { BAR_SIZES, type BarSize } from '../tables/bars.js';
import type { Finding } from '../findings/finding.js';
import type { Say } from '../messages/message.js';
import type { Plan, WallPlan } from './plan.js';
import { cellPlaces } from '../stages/grout/places.js';
import { pieceOf, placeIn } from '../stages/set-out/addresses.js';
import { findingPlace } from './places.js';
import { stoneJson } from './stoneJson.js';
import type { Progress } from './progress.js';

/** Filed numbers are rounded to a millionth of a millimetre (or of a m³ in mm³ terms): float noise, not measure. */
const tidy = (n: number): number => Math.round(n * 1e6) / 1e6 + 0;
const tidyVolume = (n: number): number => Math.round(n * 1e9) / 1e9 + 0;

export interface PieceJson {
  kind: string;
  run: number;
  from: Mm;
  to: Mm;
  /** On an arc, how long a piece behind the face is itself. */
  length?: Mm;
  cutFrom?: string;
  shows?: { run: number; from: number; to: number };
  bottom?: Mm;
  top?: Mm;
  rake?: { left: number; right: number };
  fitting?: string;
  place?: string;
}

/** What a corner unit's end shows on the face round the corner. */
function shows(plan: WallPlan, run: BondedRun, row: Row | undefined, piece: Piece): PieceJson['shows'] {
  const { start, end } = run.ends;
  const width = plan.wall.unitWidth;
  const same = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
  if (end.other !== null && !row?.aloneEnd && same(piece.to, run.to)) {
    // Inside a corner what goes through it stands before the face that begins there.
    const from = end.past > 0 ? -width : 0;
    return { run: end.other, from: tidy(from), to: tidy(from + (end.legs?.shown ?? width)) };
  }
  if (start.other !== null && !row?.aloneStart && same(piece.from, run.from)) {
    const shown = start.legs?.shown ?? width;
    const from = (plan.wall.runs[start.other]?.length ?? 0) - (start.past > 0 ? 0 : shown);
    return { run: start.other, from: tidy(from), to: tidy(from + shown) };
  }
  return undefined;
}

function pieceJson(
  plan: WallPlan,
  run: BondedRun,
  row: Row | undefined,
  piece: Piece,
  sawn: boolean,
): PieceJson {
  const turned = shows(plan, run, row, piece);
  return { ...pieceAlone(run.index, piece, sawn), ...(turned ? { shows: turned } : {}) };
}

function pieceAlone(run: number, piece: Piece, sawn: boolean): PieceJson {
  return {
    kind: sawn ? 'cut' : piece.kind,
    run,
    from: tidy(piece.from),
    to: tidy(piece.to),
    ...(sawn || piece.cutFrom !== null ? { cutFrom: piece.cutFrom ?? 'stretcher' } : {}),
    ...(piece.band ? { bottom: tidy(piece.band.from), top: tidy(piece.band.to) } : {}),
    ...(piece.fitting ? { fitting: piece.fitting } : {}),
    ...(piece.rake ? { rake: { left: tidy(piece.rake.left), right: tidy(piece.rake.right) } } : {}),
  };
}

const countsJson = (pieces: Counts, total: number): Record<string, number> => {
  const always = new Set(['stretcher', 'half', 'corner', 'jamb', 'beam', 'cut']);
  const kinds = KINDS.filter((k) => always.has(k) || pieces[k] > 0);
  return { ...Object.fromEntries(kinds.map((k) => [k, pieces[k]])), total };
};

function findingJson(wall: WallPlan['wall'], f: Finding, say: Say): Record<string, unknown> {
  const place = {
    course: f.course,
    to: f.to,
    run: f.run,
    at: f.at === null ? null : tidy(f.at),
    opening: f.opening,
  };
  return {
    code: f.code,
    severity: f.severity,
    ...Object.fromEntries(Object.entries(place).filter(([, v]) => v !== null)),
    place: findingPlace(wall, f),
    says: say(f.says),
    fixes: f.fixes.map((x) => ({ says: say(x.says), edit: x.edit })),
    stage: f.stage,
    source: say(f.source),
  };
}

/** What is listed over openings, as it lies: along-wall places on the outside face. */
const lintelsJson = (p: WallPlan): Record<string, unknown>[] =>
  lintelsPlaced(p).map((l) => ({
    opening: l.opening.id,
    run: l.opening.run,
    leaf: l.leaf,
    kind: l.kind,
    from: tidy(l.from),
    to: tidy(l.to),
    length: tidy(l.length),
    bearings: l.bearings.map(tidy),
    height: l.height,
    weight: l.weight,
    mark: l.mark || null,
    by: l.by || null,
  }));

/** One entry a place for uprights; one a stretch for bars along the wall, with its course and no place. */
function barsJson(p: WallPlan): Record<string, unknown>[] {
  const { wall, gauge, steel } = carried(p);
  const leaf = carryingLeaf(p).index;
  const vertical = wall.steel?.vertical;
  const lines = schedule(wall, steel);
  const placeOf = cellPlaces(p);
  const uprights = steel.verticals.flatMap((v) =>
    v.bars
      .filter((b) => uprightLengths(wall, b.shaft).length > 0)
      .map((b) => ({
        mark: markOf(lines, uprightBars(wall, b.shaft)[0]),
        size: vertical?.bar ?? '',
        run: b.run,
        leaf,
        at: tidy(b.at),
        bottom: tidy(b.shaft.bottom),
        top: tidy(b.shaft.top),
        length: tidy(uprightLengths(wall, b.shaft).length),
        count: 1,
        place: placeOf(b.run, b.at, 'bar'),
      })),
  );
  const beams = steel.beams.flatMap((beam) =>
    beam.stretches.flatMap((s) => {
      const bars = stretchBars(wall, beam, s);
      if (bars.length === 0) return [];
      return [
        {
          mark: markOf(lines, bars[0]),
          size: beam.bar,
          run: beam.run,
          leaf,
          course: gauge.courses[beam.course]?.number ?? 0,
          from: tidy(s.from),
          to: tidy(s.to),
          bottom: tidy(gauge.courses[beam.course]?.bottom ?? 0),
          top: tidy(gauge.courses[beam.course]?.top ?? 0),
          length: tidy(bars.reduce((sum, b) => sum + b.a, 0)),
          count: beam.count,
          place: placeIn(p.wall, beam.run, {
            leaf,
            course: gauge.courses[beam.course]?.number ?? 0,
            bar: beam.bar,
          }),
        },
      ];
    }),
  );
  return [...uprights, ...beams];
}

function cellsJson(p: WallPlan): Record<string, unknown>[] {
  const placeOf = cellPlaces(p);
  return p.fills.flatMap((f) =>
    f.cells.map(({ shaft, filled }) => ({
      run: shaft.run,
      leaf: carryingLeaf(p).index,
      at: tidy(middleOf(shaft)),
      bottom: tidy(shaft.bottom),
      top: tidy(shaft.top),
      grouted: filled,
      place: placeOf(shaft.run, middleOf(shaft), 'cell'),
    })),
  );
}

/** Steel of the whole job by size: length mm, mass kg, and stock bars to buy. */
function steelJson(plan: Plan): Record<string, unknown>[] {
  const lines = plan.walls.flatMap((p) =>
    schedule(carried(p).wall, p.steel).map((l) => ({ ...l, wall: carried(p).wall })),
  );
  const sizes = [...new Set(lines.map((l) => l.size))].sort(
    (a, b) => BAR_SIZES.indexOf(a as BarSize) - BAR_SIZES.indexOf(b as BarSize),
  );
  return sizes.map((size) => {
    const own = lines.filter((l) => l.size === size);
    const stock = own[0] ? stockOf(own[0].wall) : [];
    const cut = cutBars(
      own.map((l) => ({ mark: l.mark, length: l.length, count: l.count })),
      stock,
    );
    return {
      size,
      length: tidy(own.reduce((sum, l) => sum + l.total, 0)),
      mass: tidy(own.reduce((sum, l) => sum + l.mass, 0)),
      stock: cut.bars,
    };
  });
}

/** Pieces of all leaves by kind. */
const countsOfWall = (p: WallPlan): Counts =>
  Object.fromEntries(
    KINDS.map((k) => [k, p.tallies.reduce((sum, t) => sum + t.tally.pieces[k], 0)]),
  ) as Counts;

const coursesJson = ({ gauge }: Leaf): Record<string, number>[] =>
  gauge.courses.map((c) => ({
    number: c.number,
    bottom: tidy(c.bottom),
    top: tidy(c.top),
    bed: tidy(c.bed),
    unitHeight: tidy(c.unitHeight),
  }));

/** A piece of a leaf behind the face: where it is seen from there, round a curve with its own length beside. */
function pieceBehind(leaf: Leaf, run: BondedRun, piece: Piece, sawn: boolean): PieceJson {
  const at = behindOf(leaf, run.index);
  return {
    ...pieceAlone(run.index, piece, sawn),
    from: tidy(onFace(at, piece.from)),
    to: tidy(onFace(at, piece.to)),
    ...(at.scale === 1 ? {} : { length: tidy(piece.to - piece.from) }),
  };
}

interface RowJson {
  course: number;
  leaf: number;
  pieces: PieceJson[];
}

/** The courses of a leaf, its pieces left and right of an opening in one list, run after run. */
const rowsJson = (p: WallPlan, leaf: Leaf): RowJson[] =>
  leaf.gauge.courses.map((c, i) => ({
    course: c.number,
    leaf: leaf.index,
    pieces: leaf.runs.flatMap((run) =>
      (run.rows[i]?.pieces ?? []).map((x) => {
        const piece =
          leaf.index === 0
            ? pieceJson(p, run, run.rows[i], x, c.kind === 'sawn')
            : pieceBehind(leaf, run, x, c.kind === 'sawn');
        return {
          ...piece,
          place: placeIn(p.wall, run.index, { leaf: leaf.index, course: c.number, piece: pieceOf(piece) }),
        };
      }),
    ),
  }));

function leafJson(p: WallPlan, leaf: Leaf): Record<string, unknown> & { rows: RowJson[] } {
  return {
    leaf: leaf.index,
    offset: tidy(leaf.offset),
    thickness: tidy(leaf.thickness),
    ...(leaf.wall.stone ? { walling: leaf.wall.stone.kind } : { unit: leaf.wall.unit.id }),
    carries: leaf.carries,
    courses: coursesJson(leaf),
    rows: rowsJson(p, leaf),
  };
}

/** What an older reader knows: the rows of leaves in the face's own courses by turns, and the leaf behind a cavity apart. */
function olderJson(p: WallPlan, leaves: readonly { rows: RowJson[] }[]): Record<string, unknown> {
  const cavity = behindCavity(p);
  const courses = p.gauge.courses.length;
  const own = leaves.filter((_, i) => p.leaves[i] !== cavity);
  return {
    courses: coursesJson(p.leaves[0] as Leaf),
    rows: Array.from({ length: courses }, (_, i) => own.map((leaf) => leaf.rows[i])).flat(),
    ...(cavity
      ? {
          inner: {
            unit: cavity.wall.unit.id,
            courses: coursesJson(cavity),
            rows: leaves[cavity.index]?.rows,
          },
        }
      : {}),
  };
}

const progressJson = ({ laid, asBuilt }: Progress): Record<string, unknown> => ({
  laid: laid.map((l) => ({ ...l, from: tidy(l.from), to: tidy(l.to) })),
  asBuilt: asBuilt.map((a) => ({ ...a, top: tidy(a.top) })),
});

function wallJson(p: WallPlan, say: Say): Record<string, unknown> {
  const leaves = p.leaves.map((leaf) => leafJson(p, leaf));
  return {
    id: p.wall.id,
    ...olderJson(p, leaves),
    leaves,
    units: countsJson(
      countsOfWall(p),
      p.tallies.reduce((sum, t) => sum + t.tally.total, 0),
    ),
    runs: p.runs.map((run, i) => ({
      run: run.index,
      id: p.wall.runs[run.index]?.id,
      place: placeIn(p.wall, run.index),
      length: tidy(p.wall.runs[run.index]?.length ?? 0),
      units: countsJson(p.runTallies[i]?.pieces ?? p.tally.pieces, p.runTallies[i]?.total ?? 0),
      mortar: {
        geometric: tidyVolume(p.runTallies[i]?.mortar.geometric ?? 0),
        used: tidyVolume(p.runTallies[i]?.mortar.used ?? 0),
      },
    })),
    ...(p.wall.stone ? { stone: stoneJson(p) } : {}),
    lintels: lintelsJson(p),
    bars: barsJson(p),
    cells: cellsJson(p),
    findings: p.findings.map((f) => findingJson(p.wall, f, say)),
    choices: p.choices.map((c) => ({ ...c, name: say(c.name), says: say(c.says), cost: tidy(c.cost) })),
    ...(p.progress ? { progress: progressJson(p.progress) } : {}),
  };
}

type UnitLines = Record<string, Record<string, { net: number; ordered: number }>>;

function unitsJson(plan: Plan): UnitLines {
  const units: UnitLines = {};
  for (const p of plan.walls) {
    const add = (wall: WallPlan['wall'], lines: WallPlan['buy']): void => {
      const breakage = wall.profile.breakage(wall.unit);
      for (const line of lines) {
        const of = (units[line.unit] ??= {});
        const net = (of[line.kind]?.net ?? 0) + line.net;
        of[line.kind] = { net, ordered: Math.max(line.ordered, Math.ceil(net * (1 + breakage) - 1e-9)) };
      }
    };
    for (const t of p.tallies) add(t.wall, t.buy);
  }
  return units;
}

/** Ties lost and bent on the way: common practice. */
const TIE_WASTE = 1.05;

/** What goes between leaves: ties in all and to a square metre of field, and dpc, trays in metres, weeps counted. */
function crossingJson(plan: Plan): Record<string, unknown> {
  const tied = plan.walls.flatMap((p) => wallTies(p) ?? []);
  const net = tied.reduce((s, t) => s + t.ties.length, 0);
  const field = tied.reduce((s, t) => s + t.ties.filter((one) => !one.edge).length, 0);
  const area = tied.reduce((s, t) => s + t.area, 0);
  const amounts = plan.walls.flatMap((p) => cavityAmounts(p) ?? []);
  const sum = (of: 'dpc' | 'dpcUp' | 'trayLength' | 'weeps'): number =>
    amounts.reduce((s, a) => s + a[of], 0);
  return {
    ties: { net, ordered: Math.ceil(net * TIE_WASTE - 1e-9), perM2: tidy(area > 0 ? field / area : 0) },
    dpc: tidy(sum('dpc') + sum('dpcUp')),
    trays: tidy(sum('trayLength')),
    weeps: sum('weeps'),
  };
}

function concreteJson(plan: Plan, say: Say): Record<string, unknown> {
  const amounts = plan.walls.flatMap((p) => (p.wall.footing ? [footingAmounts(p.wall, p.wall.footing)] : []));
  const geometric = amounts.reduce((sum, a) => sum + a.concrete, 0);
  const used = geometric * CONCRETE_FACTOR;
  const pack = plan.walls[0]?.wall.profile.concretePack;
  return {
    geometric: tidyVolume(geometric),
    used: tidyVolume(used),
    ...(pack && used > 0 ? { ordered: { [say(pack.name)]: packsOf(used, pack) } } : {}),
  };
}

/** The plan as the contract files it, its sentences in the words `say` has for them. What is not built yet is present and empty. */
export function planJson(plan: Plan, say: Say): Record<string, unknown> {
  const sum = (of: (p: WallPlan) => number): number => plan.walls.reduce((total, p) => total + of(p), 0);
  const used = sum((p) => mortarOfWall(p).used);
  const pack = plan.walls[0]?.wall.profile.pack;
  return {
    format: 'even-tally/plan',
    version: 1,
    walls: plan.walls.map((p) => wallJson(p, say)),
    mud: { walls: plan.walls.map((p) => wallMudJson(p.wall.id, p.mud)) },
    tally: {
      units: unitsJson(plan),
      mortar: {
        geometric: tidyVolume(sum((p) => mortarOfWall(p).geometric)),
        used: tidyVolume(used),
        ordered: pack ? { [say(pack.name)]: packsOf(used, pack) } : {},
      },
      grout: {
        geometric: tidyVolume(sum(groutInWall)),
        used: tidyVolume(sum((p) => groutInWall(p) * p.wall.profile.grout.factor)),
      },
      concrete: concreteJson(plan, say),
      materials: materialsJson(plan.walls.flatMap(mixNeeds), plan.walls[0]?.mud),
      steel: steelJson(plan),
      ...crossingJson(plan),
    },
  };
}
