import type { Called } from '../edits/messages.js';
import { LIMITS } from '../limits.js';
import { BOND_IDS } from '../../tables/bonds.js';
import { TIE_KINDS } from '../../tables/ties.js';
import {
  amount,
  byTag,
  constant,
  list,
  number,
  object,
  oneOf,
  optional,
  required,
  type States,
  type Stating,
} from '../../statement/statement.js';
import { mixId } from './mud.js';
import { STANDS_IN } from './stands.js';
import { ashlar, dry, rubble, squared } from './stone.js';
import {
  address,
  along,
  count,
  height,
  id,
  joint,
  length,
  place,
  run,
  samples,
  text,
  unitId,
  yes,
  yesOrNo,
} from './basics.js';

const size = object({ length: required(length), height: required(length), width: required(length) });

export const ownUnit = object({
  id: required(id('unit')),
  name: optional(text),
  family: optional(oneOf('block', 'brick', 'adobe')),
  nominal: optional(size, 'co-ordinating size, joint included'),
  actual: required(size, 'the unit as it measures'),
  cells: optional(number(0, 8, { whole: true })),
  shell: optional(length, 'face shell thickness'),
  web: optional(length, 'web thickness'),
  taper: optional(place, 'how much thicker both sides of a cell together are at mid height'),
  frogs: optional(
    object({ count: required(count(2)), share: required(number(0, 0.2)) }),
    'how many, and what part of the unit they are together',
  ),
  perforated: optional(number(0, 0.6), 'what part of its bed is holes'),
  weight: optional(amount('mass')),
  halfHigh: optional(length, 'height of the half-high unit that goes with it'),
});
export type OwnUnit = States<typeof ownUnit>;

/** One unit laid otherwise than the bond would have it. */
const pieceChange = object({
  id: required(id('changed piece')),
  place: optional(address, 'the unit’s, instead of run, course, at and length'),
  run: optional(run),
  course: optional(count(10_000)),
  at: optional(along('middle'), 'the middle of the unit'),
  // Another unit there now is not the one that was meant.
  length: optional(length, 'of the unit as it was'),
  // In two with a joint between; changed about with the next one on; turned across the wall; a sawn one turned end for end.
  do: required(oneOf('split', 'swap', 'turn', 'end-for-end')),
});
export type PieceChange = States<typeof pieceChange>;

const gaugeHelp = oneOf('half-high', 'sawn');
export type GaugeHelp = States<typeof gaugeHelp>;

/** How the courses are got to the height. Absent: ease every bed, as the contract says. */
const gauge = object({
  courses: optional(count(10_000), 'whole courses, chosen'),
  lowest: optional(count(10_000), 'beds that take the difference'),
  sawn: optional(count(10_000), 'the course sawn to what is left'),
  halfHigh: optional(count(10_000), 'the course of half-high units'),
  meet: optional(yes, 'a gauge for each stretch between fixed heights'),
  allow: optional(list(gaugeHelp, 2), 'what meet may use besides whole courses'),
});
export type Gauge = States<typeof gauge>;

/** What the face will be, and up to where ground or a skirting hides it. */
const face = object({
  finish: optional(oneOf('fair', 'rendered')),
  hiddenTo: optional(height('zero'), 'height that ground or a skirting hides'),
});
export type Face = States<typeof face>;

/** Real units measured before the first course: what the order said and what came are not the same. */
const realUnits = object({
  length: optional(samples),
  height: optional(samples),
  width: optional(samples),
});
export type Samples = States<typeof realUnits>;

/** An inner leaf of another unit behind a cavity: brick outside, block inside. */
const cavity = object({
  inner: required(unitId, 'unit of the inner leaf'),
  width: required(length),
  // As wide as the cavity it is filled.
  board: optional(length, 'insulation board in it'),
  // Left out: as the profile’s rule for its ties has it.
  across: optional(length, 'tie to tie along the wall'),
  up: optional(length, 'tie to tie up the wall'),
  mix: optional(mixId, 'of the inner leaf; left out: the wall’s'),
});
export type Cavity = States<typeof cavity>;

/** What holds two leaves together, where units do not go through both. */
const ties = object({
  kind: optional(oneOf(...TIE_KINDS)),
  across: optional(length, 'tie to tie along the wall'),
  up: optional(length, 'tie to tie up the wall'),
});
export type Ties = States<typeof ties>;

const cuts = oneOf('panel', 'jamb');
export type CutsAt = States<typeof cuts>;
const locked = oneOf('gauge', 'bond');
export type Locked = States<typeof locked>;

const units = object({
  kind: required(constant('units')),
  unit: required(unitId),
  bond: required(oneOf(...BOND_IDS)),
  // Two is a one-brick wall in a header bond, else two tied wythes.
  wythes: optional(oneOf(1, 2), 'leaves in the wall’s thickness'),
  frogs: optional(oneOf('up', 'down'), 'how frogged units are laid; left out: up'),
  closers: optional(yesOrNo, 'a closer beside returns that are not half a unit'),
  start: optional(oneOf('whole', 'half'), 'first unit of course 1 in run 0'),
  corners: optional(oneOf('in-turn', 'in-pairs'), 'which run takes each corner'),
  bed: optional(joint),
  head: optional(joint),
  mix: optional(mixId, 'left out: the job’s'),
  stands: optional(list(oneOf(...STANDS_IN), STANDS_IN.length), 'what stands against it or passes in it'),
  gauge: optional(gauge),
  face: optional(face),
  samples: optional(realUnits, 'real units, measured'),
  cavity: optional(cavity, 'an inner leaf behind a cavity'),
  ties: optional(ties, 'between two leaves; left out: as the profile has them'),
  // Left out: the outer one, if it has cells or neither has.
  carries: optional(oneOf('outer', 'inner'), 'the leaf bars and grout are in'),
  // Left out: by the unit.
  cuts: optional(cuts, 'where units are cut when a stretch does not divide'),
  pieces: optional(list(pieceChange, LIMITS.pieces), 'units laid otherwise', {
    called: 'piece' satisfies Called,
  }),
  locked: optional(list(locked, 2), 'stages whose choice stands'),
});
export type UnitBuild = States<typeof units>;

/** What is said of units stone has none of: whoever reads it finds nothing said. */
type NoUnits<B> = B & { [K in Exclude<keyof UnitBuild, keyof B>]?: undefined };
export type RubbleBuild = NoUnits<States<typeof rubble>> | NoUnits<States<typeof squared>>;
export type AshlarBuild = NoUnits<States<typeof ashlar>>;
export type DryBuild = NoUnits<States<typeof dry>>;
export type StoneBuild = RubbleBuild | AshlarBuild | DryBuild;
export type Build = UnitBuild | StoneBuild;

export const build: Stating<Build> = byTag('kind', { units, rubble, squared, ashlar, dry });
