import { HOW } from '../../../stages/workingMessages.js';
import type { Message } from '../../../messages/message.js';
import type { SquareMetres, CubicMetres } from '../../../measure/length.js';
import { KINDS, type Kind } from '../laying/kinds.js';
import type { Leaf } from '../leaves/leaf.js';
import type { Piece, Row, Special } from '../laying/row.js';
import { jointFoot } from '../laying/belowDpc.js';
import { builtJoints } from '../lines/sections.js';
import type { Course } from '../../../stages/gauge/courses.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import { topArea } from '../../../stages/set-out/outline.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { unitsToSaw } from './offcuts.js';
import { mortarOf, NO_WEBS, type MortarGeometry, type OnWebs } from './mortar.js';

export type Counts = Record<Kind, number>;

/** Products bought apart that stand where a stretcher would. */
export const LET_IN = ['air-brick', 'vent'] as const;
export type LetIn = (typeof LET_IN)[number];

/** What a stretch of wall (a run, a wall) takes. Volumes m³, areas m². */
export interface Tally {
  unit: string;
  pieces: Counts;
  total: number;
  /** Lengths of sawn pieces and how many of each, by what they are sawn from. */
  sawn: Map<Kind, Map<number, number>>;
  /** Of the above, what stands in half-high courses: another unit to buy. */
  halfHigh: { pieces: Counts; sawn: Map<Kind, Map<number, number>> };
  /** Net face area on the outside, openings out. */
  area: SquareMetres;
  /** Corner units cut or bought at an angle. */
  /** Squints, and inside squints. */
  specials: Record<Special, number>;
  /** Closers beside corners that are units of their own. */
  closers: number;
  /** Air bricks and vents in the place of stretchers. */
  fittings: Record<LetIn, number>;
  /** Specials and fittings by what they are counted as: bought apart, so no units of the wall's own, or half-high ones. */
  apart: { whole: Counts; halfHigh: Counts };
  mortar: MortarGeometry & { geometric: CubicMetres; used: CubicMetres };
}

const zero = (): Counts => Object.fromEntries(KINDS.map((k) => [k, 0])) as Counts;

const addSawn = (into: Tally['sawn'], kind: Kind, length: number, count: number): void => {
  const of = into.get(kind) ?? new Map<number, number>();
  into.set(kind, of);
  const key = Math.round(length * 100) / 100;
  of.set(key, (of.get(key) ?? 0) + count);
};

/** Footing that stands in the face, mm². */
const footingArea = (wall: SetWall, run: number, courses: readonly Course[]): number =>
  wall.steps
    .filter((s) => s.run === run)
    .reduce((sum, s) => sum + (s.to - s.from) * (courses[s.up - 1]?.top ?? 0), 0);

/** Face that movement joints leave open, mm². */
const jointArea = (wall: SetWall, run: number, courses: readonly Course[], top: number): number =>
  builtJoints(wall, run).reduce((sum, j) => sum + (j.to - j.from) * (top - jointFoot(wall, courses)), 0);

export function faceArea(wall: SetWall, run: number, gauge: GaugeSolution): number {
  const top = gauge.courses[gauge.count - 1]?.top ?? 0;
  const tops = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const gross =
    (wall.runs[run]?.length ?? 0) * top +
    topArea(tops, top) -
    footingArea(wall, run, gauge.courses) -
    jointArea(wall, run, gauge.courses, top);
  const out = wall.openings
    .filter((o) => o.run === run)
    .reduce((sum, o) => sum + (o.to - o.from) * Math.max(0, Math.min(o.head, top) - o.sill), 0);
  return (gross - out) / 1e6;
}

/** Mortar to mix, m³: a site rate is said of one leaf, and nothing of the joint between two. */
export function usedMortar(wall: SetWall, geometric: number, area: number, collar: number): number {
  const rule = wall.profile.mortar(wall.unit);
  return 'factor' in rule ? geometric * rule.factor : rule.rateM3PerM2 * area * wall.wythes + collar;
}

/** The rows of a run in each of its leaves, and how many courses each serves. */
const rowsOf = (leaves: readonly Leaf[], run: number): [Row, number][] =>
  leaves.flatMap((leaf) => [...(leaf.runs.find((r) => r.index === run)?.uses ?? [])]);

/** The pieces of a course of a run, in each of its leaves. */
const piecesIn = (leaves: readonly Leaf[], run: number, course: number): Piece[] =>
  leaves.flatMap((leaf) => leaf.runs.find((r) => r.index === run)?.rows[course - 1]?.pieces ?? []);

/** Closers of a one-brick wall are bricks split along their length: two from one, whatever their place. */
export const splitsLengthwise = (wall: Pick<SetWall, 'bond' | 'wythes'>): boolean =>
  wall.bond.family === 'header' && wall.wythes === 2;

const isSawnToLength = (wall: SetWall, p: Piece): boolean =>
  p.cutFrom !== null && !(p.kind === 'closer' && splitsLengthwise(wall));

/** A half of a beam is sawn from a whole trough unit, however halves of other courses are bought. */
const isBeamHalf = (wall: SetWall, p: Piece, length: number): boolean =>
  p.kind === 'beam' && p.cutFrom === null && p.fitting === undefined && length < wall.unitLength - 1;

/** A closer beside a corner that is a unit of its own, and not sawn from one. */
const isMade = (p: Piece): boolean => p.kind === 'closer' && p.cutFrom === null;

/** Bought apart from the wall's own units: a corner's special, its closer where it is made, an air brick, a vent. */
const isApart = (p: Piece): boolean =>
  p.special !== undefined || isMade(p) || (p.fitting !== undefined && p.fitting !== 'soldier');

/** The tally of one run of the leaves that are laid together, of one unit: outside first. */
export function tallyRun(leaves: readonly [Leaf, ...Leaf[]], run: number, webs: OnWebs = NO_WEBS): Tally {
  const [{ wall, gauge }] = leaves;
  const pieces = zero();
  const sawn: Tally['sawn'] = new Map();
  let total = 0;
  const specials = { outside: 0, inside: 0 };
  let closers = 0;
  const fittings: Tally['fittings'] = { 'air-brick': 0, vent: 0 };
  const apart: Tally['apart'] = { whole: zero(), halfHigh: zero() };
  const sawnCourse = new Set(gauge.courses.filter((c) => c.kind === 'sawn').map((c) => c.number));
  for (const [row, uses] of rowsOf(leaves, run)) {
    for (const p of row.pieces) {
      const length = p.to - p.from;
      pieces[p.kind] += uses;
      total += uses;
      if (p.special) specials[p.special] += uses;
      if (isMade(p)) closers += uses;
      if (p.fitting && p.fitting !== 'soldier') fittings[p.fitting] += uses;
      if (isApart(p)) apart.whole[p.kind] += uses;
      if (isSawnToLength(wall, p) || isBeamHalf(wall, p, length))
        addSawn(sawn, p.kind === 'beam' ? 'beam' : 'stretcher', length, uses);
    }
  }
  for (const number of sawnCourse) {
    for (const p of piecesIn(leaves, run, number)) {
      // Sawn to height: whatever it was, it is now a cut.
      pieces[p.kind] -= 1;
      pieces.cut += 1;
      if (isApart(p)) {
        apart.whole[p.kind] -= 1;
        apart.whole.cut += 1;
      }
      if (p.cutFrom === null) addSawn(sawn, 'stretcher', p.to - p.from, 1);
    }
  }
  const halfHigh: Tally['halfHigh'] = { pieces: zero(), sawn: new Map() };
  for (const course of gauge.courses.filter((c) => c.kind === 'half-high')) {
    for (const p of piecesIn(leaves, run, course.number)) {
      const length = p.to - p.from;
      halfHigh.pieces[p.kind] += 1;
      if (isApart(p)) {
        apart.whole[p.kind] -= 1;
        apart.halfHigh[p.kind] += 1;
      }
      if (p.cutFrom !== null || isBeamHalf(wall, p, length))
        addSawn(halfHigh.sawn, p.kind === 'beam' || p.cutFrom === null ? 'beam' : p.cutFrom, length, 1);
    }
  }
  const geometry = mortarOf(leaves, run, webs);
  const geometric = geometry.beds + geometry.perps;
  const area = faceArea(wall, run, gauge);
  const used = usedMortar(wall, geometric, area, geometry.collar);
  return {
    unit: wall.unit.id,
    pieces,
    total,
    sawn,
    halfHigh,
    area,
    specials,
    closers,
    fittings,
    apart,
    mortar: { ...geometry, geometric, used },
  };
}

type Stock = Pick<Tally, 'pieces' | 'sawn'>;

function addStock(into: Stock, from: Stock, times = 1): void {
  for (const k of KINDS) into.pieces[k] += times * from.pieces[k];
  for (const [kind, of] of from.sawn)
    for (const [length, n] of of) addSawn(into.sawn, kind, length, times * n);
}

/** Several tallies of one unit added up. */
export function addTallies(unit: string, list: Tally[]): Tally {
  const sum: Tally = {
    unit,
    pieces: zero(),
    total: 0,
    sawn: new Map(),
    halfHigh: { pieces: zero(), sawn: new Map() },
    area: 0,
    specials: { outside: 0, inside: 0 },
    closers: 0,
    fittings: { 'air-brick': 0, vent: 0 },
    apart: { whole: zero(), halfHigh: zero() },
    mortar: {
      beds: 0,
      perps: 0,
      bedLength: 0,
      perpCount: 0,
      spread: list[0]?.mortar.spread ?? 0,
      collar: 0,
      webs: 0,
      frogs: 0,
      byCourse: new Float64Array(Math.max(0, ...list.map((t) => t.mortar.byCourse.length))),
      geometric: 0,
      used: 0,
    },
  };
  for (const t of list) {
    addStock(sum, t);
    addStock(sum.halfHigh, t.halfHigh);
    sum.total += t.total;
    sum.area += t.area;
    sum.specials.outside += t.specials.outside;
    sum.specials.inside += t.specials.inside;
    sum.closers += t.closers;
    for (const f of LET_IN) sum.fittings[f] += t.fittings[f];
    for (const k of KINDS) {
      sum.apart.whole[k] += t.apart.whole[k];
      sum.apart.halfHigh[k] += t.apart.halfHigh[k];
    }
    for (const key of [
      'beds',
      'perps',
      'bedLength',
      'perpCount',
      'collar',
      'webs',
      'frogs',
      'geometric',
      'used',
    ] as const)
      sum.mortar[key] += t.mortar[key];
    t.mortar.byCourse.forEach((v, i) => (sum.mortar.byCourse[i] = (sum.mortar.byCourse[i] ?? 0) + v));
  }
  return sum;
}

export interface BuyLine {
  /** Unit id; a half-high unit has its own. */
  unit: string;
  kind: Kind;
  /** The unit is half-high. */
  halfHigh: boolean;
  net: number;
  ordered: number;
  /** Of `net`, whole units opened to saw pieces from. */
  toSaw: number;
  /** Not a unit of the wall: let in where a stretcher would stand. */
  letIn?: LetIn;
  /** The special of a corner that is not square. */
  special?: Special;
}

/** Ends of the same product under another name: a brick at a corner is a brick. */
const boughtAs = (kind: Kind, hollow: boolean): Kind =>
  !hollow && (kind === 'corner' || kind === 'jamb' || kind === 'beam' || kind === 'header')
    ? 'stretcher'
    : kind;

const SAWN_KINDS: readonly Kind[] = ['cut', 'three-quarter', 'closer'];

type Buys = Pick<SetWall, 'unit' | 'profile' | 'unitLength' | 'bond' | 'wythes'>;

export const halfHighId = (unit: string): string => `${unit}-half-high`;

function linesOf(wall: Buys, halfHigh: boolean, stock: Stock): BuyLine[] {
  const unit = halfHigh ? halfHighId(wall.unit.id) : wall.unit.id;
  const hollow = wall.unit.shells !== null;
  const net = new Map<Kind, { net: number; toSaw: number }>();
  const add = (kind: Kind, count: number, toSaw: number): void => {
    const was = net.get(kind) ?? { net: 0, toSaw: 0 };
    net.set(kind, { net: was.net + count, toSaw: was.toSaw + toSaw });
  };
  const sawnCount = (kind: Kind): number =>
    [...(stock.sawn.get(kind)?.values() ?? [])].reduce((a, b) => a + b, 0);
  for (const kind of KINDS) {
    if (SAWN_KINDS.includes(kind)) continue;
    let count = stock.pieces[kind];
    if (kind === 'half' && wall.unit.halves === 'sawn') continue;
    if (kind === 'beam') count -= sawnCount('beam');
    if (count > 0) add(boughtAs(kind, hollow), count, 0);
  }
  for (const [kind, lengths] of stock.sawn) {
    const units = unitsToSaw(lengths, wall.unitLength);
    if (units > 0) add(boughtAs(kind, hollow), units, units);
  }
  const closers = splitsLengthwise(wall) ? Math.ceil(stock.pieces.closer / 2) : 0;
  if (closers > 0) add('stretcher', closers, closers);
  const breakage = wall.profile.breakage(wall.unit);
  return [...net].map(([kind, n]) => ({
    unit,
    kind,
    halfHigh,
    ...n,
    ordered: Math.ceil(n.net * (1 + breakage) - 1e-9),
  }));
}

/** Specials are bought apart, and with two to spare: a shortage of two stops the wall. Common practice. */
const SPARE_SPECIALS = 2;

function specialLines(wall: Buys, special: Special, net: number): BuyLine[] {
  if (net === 0) return [];
  const broken = Math.ceil(net * (1 + wall.profile.breakage(wall.unit)) - 1e-9);
  const ordered = Math.max(net + SPARE_SPECIALS, broken);
  const unit = special === 'inside' ? `${wall.unit.id}-inside-squint` : wall.unit.id;
  return [{ unit, kind: 'corner', halfHigh: false, net, toSaw: 0, ordered, special }];
}

function closerLines(wall: Buys, net: number): BuyLine[] {
  const ordered = Math.ceil(net * (1 + wall.profile.breakage(wall.unit)) - 1e-9);
  return net === 0 ? [] : [{ unit: wall.unit.id, kind: 'closer', halfHigh: false, net, toSaw: 0, ordered }];
}

/** What to buy: whole units, bought halves, and whole units for the sawn pieces with offcuts reused. */
export function buyLines(wall: Buys, tally: Tally): BuyLine[] {
  const whole: Stock = { pieces: zero(), sawn: new Map() };
  addStock(whole, tally);
  addStock(whole, tally.halfHigh, -1);
  const halfHigh: Stock = { pieces: zero(), sawn: new Map() };
  addStock(halfHigh, tally.halfHigh);
  const { specials, apart } = tally;
  for (const k of KINDS) {
    whole.pieces[k] -= apart.whole[k];
    halfHigh.pieces[k] -= apart.halfHigh[k];
  }
  return [
    ...specialLines(wall, 'outside', specials.outside),
    ...specialLines(wall, 'inside', specials.inside),
    ...closerLines(wall, tally.closers),
    ...linesOf(wall, false, whole),
    ...linesOf(wall, true, halfHigh),
    ...LET_IN.filter((f) => tally.fittings[f] > 0).map((f): BuyLine => ({
      unit: f,
      kind: 'stretcher',
      halfHigh: false,
      net: tally.fittings[f],
      toSaw: 0,
      ordered: Math.ceil(tally.fittings[f] * (1 + wall.profile.breakage(wall.unit)) - 1e-9),
      letIn: f,
    })),
  ];
}

/** What a line of the order is called in keys: `buy.stretcher`, `buy.half-high.stretcher`. */
export const buyKey = (l: BuyLine): string =>
  `buy.${l.letIn ?? (l.special === 'inside' ? 'inside-corner' : null) ?? `${l.halfHigh ? 'half-high.' : ''}${l.kind}`}`;

/** What a line of the order is called where people read it, lower case. */
export const buyName = (l: BuyLine): Message =>
  l.special === 'inside'
    ? HOW['inside-squints']()
    : l.letIn !== undefined
      ? { 'air-brick': HOW['air-bricks'](), vent: HOW.vents() }[l.letIn]
      : HOW['kind-plain']({ kind: l.kind, half: l.halfHigh ? 'yes' : 'no' });

/** The same as a line of what to order, of the face or of the leaf behind it. */
export const orderOf = (leaf: 'face' | 'inner', l: BuyLine): Message =>
  HOW['order-of']({ leaf, what: buyName(l) });

export const packsOf = (m3: CubicMetres, pack: { m3: CubicMetres }): number => Math.ceil(m3 / pack.m3 - 1e-9);
