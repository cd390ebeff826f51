import type { Mm } from '../measure/length.js';
import { behindCavity, carried, carryingLeaf, couldCarry } from '../walling/units/leaves/leaf.js';
import { cavityAmounts, type CavityAmounts } from '../stages/cavity/amounts.js';
import { cavityPlaces, type CavityPlaces } from '../stages/cavity/places.js';
import { wallTies, type TiesPlaced } from '../stages/cavity/ties.js';
import { TIE_KINDS, type TieKind } from '../tables/ties.js';
import { filledVolume, type FillVolume } from '../stages/grout/fill.js';
import { cellPlaces } from '../stages/grout/places.js';
import { primeVolume, type Pour } from '../stages/grout/pours.js';
import { ruleSaid } from '../stages/movement/issues.js';
import type { Said } from '../messages/message.js';
import { jointSpacing } from '../stages/movement/spacing.js';
import type { WallPlan } from '../plan/plan.js';
import { holdsOf } from '../plan/says.js';
import type { Hold } from '../stages/hold.js';
import { retainAmounts, type RetainAmounts } from '../stages/retain/retain.js';
import type { SetCavity, SetGrout, SetJoint, SetRetains, SetSteel } from '../stages/set-out/wall.js';
import { middleOf } from '../stages/steel/shafts.js';
import { reinforcedBeds, type BedSteel } from '../stages/steel/horizontal.js';
import type { Lap } from '../stages/steel/laps.js';
import type { PlaceInCell } from '../stages/steel/place.js';
import type { ScheduleLine } from '../stages/steel/schedule.js';
import { stretchesOf } from '../stages/steel/spans.js';
import { dowelPlan, judgeStarters, type DowelPlace, type JudgedStarter } from '../stages/steel/starters.js';
import { markOf, schedule, stockOf, uprightBars } from '../stages/steel/steel.js';
import type { Spacing } from '../stages/steel/spacing.js';
import type { BarReason } from '../stages/steel/vertical.js';

/** A continuous cell of the run on the sheet, mm. */
export interface CellShown {
  at: Mm;
  /** Its address, which a change by hand is filed by. */
  place: string;
  from: Mm;
  to: Mm;
  bottom: Mm;
  top: Mm;
  filled: boolean;
  bar: string | null;
  why: BarReason | null;
}

/** A pour, with what to order for it, m³. */
export type PourShown = Omit<Pour, 'filled'> & { used: number };

/** What the stage Steel shows of one run, and of its wall: plain data, so that it crosses from the worker. */
export interface SteelView {
  /** The unit has cells: bars can go up in it. */
  hollow: boolean;
  /** Bars and grout are in the leaf behind the face, of this unit; null where the face carries them itself. */
  leaf: Said | null;
  /** Two leaves laid each for itself could have them: which has. Null where there is no choice. */
  carries: 'outer' | 'inner' | null;
  steel: SetSteel | null;
  grout: SetGrout | null;
  cells: CellShown[];
  /** Beams of the run, a stretch at a time. */
  beams: {
    from: Mm;
    to: Mm;
    bottom: Mm;
    top: Mm;
    size: string;
    count: number;
    course: number;
  }[];
  /** Courses filled solid. */
  solid: { bottom: number; top: number }[];
  joints: SetJoint[];
  jointEvery: number | null;
  jointRule: Said;
  spacing: Spacing | null;
  place: PlaceInCell | null;
  lap: Lap | null;
  bed: BedSteel | null;
  schedule: ScheduleLine[];
  stock: number[];
  starters: JudgedStarter[];
  dowels: DowelPlace[];
  pours: PourShown[];
  retains: SetRetains | null;
  behind: RetainAmounts | null;
  /** Reinforcement laid in the beds of the run. */
  beds: { from: number; to: number; level: number }[];
  /** The leaf behind a cavity and what the cavity takes; null where there is none. */
  cavity:
    | (SetCavity & {
        courses: number;
        pieces: number;
        amounts: CavityAmounts | null;
        places: CavityPlaces | null;
      })
    | null;
  /** How the ties between two leaves come out against their rule; null where nothing is tied. */
  ties: TiesShown | null;
  /** Points that may not be passed until somebody signs. */
  holds: Hold[];
  volume: FillVolume & { geometric: number; used: number; prime: number };
}

function cellsShown(p: WallPlan, run: number, lines: readonly ScheduleLine[]): CellShown[] {
  const k = p.fills.findIndex((f) => f.run === run);
  const placeOf = cellPlaces(p);
  const bars = new Map((p.steel.verticals[k]?.bars ?? []).map((b) => [b.shaft, b]));
  return (p.fills[k]?.cells ?? []).map(({ shaft, filled }): CellShown => {
    const bar = bars.get(shaft);
    const { from, to, bottom, top } = shaft;
    return {
      at: middleOf(shaft),
      place: placeOf(run, middleOf(shaft), 'cell'),
      from,
      to,
      bottom,
      top,
      filled,
      bar: bar ? markOf(lines, uprightBars(p.wall, shaft)[0]) : null,
      why: bar?.why ?? null,
    };
  });
}

function bedsShown(p: WallPlan, run: number): SteelView['beds'] {
  const { wall, gauge } = p;
  const bonded = p.runs.find((r) => r.index === run);
  if (!bonded) return [];
  return reinforcedBeds(wall, gauge.courses).flatMap((i) =>
    stretchesOf(wall, bonded, i).map(({ from, to }) => ({ from, to, level: gauge.courses[i]?.top ?? 0 })),
  );
}

export interface TiesShown extends Pick<TiesPlaced, 'perM2' | 'along' | 'up' | 'holds'> {
  kind: TieKind | null;
  /** Where the profile tells them apart. */
  kinds: readonly TieKind[];
  /** Spacing as stated, or as the rule has it, mm. */
  across: Mm;
  upTo: Mm;
  wants: number;
  alongMost: Mm;
  upMost: Mm;
  field: number;
  edges: number;
  rows: number;
}

function tiesShown(p: WallPlan): TiesShown | null {
  const t = wallTies(p);
  if (!t) return null;
  const { kind, across, up } = p.wall.ties;
  const edges = t.ties.filter((one) => one.edge).length;
  const wythes = p.wall.cavity === null;
  return {
    perM2: t.perM2,
    along: t.along,
    up: t.up,
    holds: t.holds,
    kind,
    kinds: p.wall.profile.id === 'uk' ? [] : TIE_KINDS.filter((k) => k.startsWith('W') === wythes),
    across: across ?? t.rule.usual.along,
    upTo: up ?? t.rule.usual.up,
    wants: 1 / t.rule.area,
    alongMost: t.rule.along,
    upMost: t.rule.up,
    field: t.ties.length - edges,
    edges,
    rows: t.levels.levels.length,
  };
}

/** The cavity of a wall, with what goes across it in one run. */
function cavityShown(p: WallPlan, run: number): SteelView['cavity'] {
  const { cavity } = p.wall;
  const inner = behindCavity(p);
  if (!cavity || !inner) return null;
  const places = cavityPlaces(p);
  const here = <T extends { run: number }>(list: readonly T[]): T[] => list.filter((x) => x.run === run);
  return {
    ...cavity,
    courses: inner.gauge.count,
    pieces: p.tallies[1]?.tally.total ?? 0,
    amounts: cavityAmounts(p, places),
    places: places && {
      ...places,
      ties: here(places.ties),
      trays: here(places.trays),
      weeps: here(places.weeps),
      sleeves: here(places.sleeves),
    },
  };
}

export function steelView(plan: WallPlan, run: number): SteelView {
  const p = carried(plan);
  const { wall, steel, gauge, fills, pours } = p;
  const lines = wall.steel ? schedule(wall, steel) : [];
  const sum = (of: keyof FillVolume): number => fills.reduce((s, f) => s + f.volume[of], 0);
  const geometric = fills.reduce((s, f) => s + filledVolume(f.volume), 0);
  const solid = fills.find((f) => f.run === run)?.solid ?? new Set<number>();
  return {
    hollow: wall.unit.shells !== null,
    leaf: carryingLeaf(plan).index > 0 ? wall.unit.name : null,
    carries: couldCarry(plan).length > 1 ? plan.wall.carries : null,
    steel: wall.steel,
    grout: wall.grout,
    cells: cellsShown(p, run, lines),
    beams: steel.beams
      .filter((b) => b.run === run)
      .flatMap((b) =>
        b.stretches.map(({ from, to }) => ({
          from,
          to,
          bottom: gauge.courses[b.course]?.bottom ?? 0,
          top: gauge.courses[b.course]?.top ?? 0,
          size: b.bar,
          count: b.count,
          course: gauge.courses[b.course]?.number ?? 0,
        })),
      ),
    solid: [...solid].map((i) => ({
      bottom: gauge.courses[i]?.bottom ?? 0,
      top: gauge.courses[i]?.top ?? 0,
    })),
    joints: plan.wall.joints.filter((j) => j.run === run),
    jointEvery: jointSpacing(plan.wall, run),
    jointRule: ruleSaid(plan.wall, run),
    spacing: steel.spacing,
    place: steel.place,
    lap: steel.lap,
    bed: steel.bed,
    schedule: lines,
    stock: stockOf(wall),
    starters: judgeStarters(wall, steel).filter((s) => s.run === run),
    dowels: dowelPlan(wall, steel, run),
    pours: pours.map(({ filled, ...pour }) => ({ ...pour, used: filled.used })),
    retains: wall.retains,
    behind: retainAmounts(plan.wall, plan.gauge.count),
    beds: bedsShown(p, run),
    cavity: cavityShown(plan, run),
    ties: tiesShown(plan),
    holds: wall.steel || wall.retains ? holdsOf(plan) : [],
    volume: {
      cells: sum('cells'),
      beams: sum('beams'),
      solid: sum('solid'),
      geometric,
      used: geometric * wall.profile.grout.factor,
      prime: primeVolume(wall.grout?.hose ?? null),
    },
  };
}
