import type { JobDocument } from './form.js';

export type { Stated } from '../statement/statement.js';
export type { Keep } from './forms/basics.js';
export * from './forms/line.js';
export type * from './forms/openings.js';
export type * from './forms/build.js';
export type * from './forms/stands.js';
export type { FiledStone, OwnStone, StoneKind } from './forms/stone.js';
export type * from './forms/steel.js';
export type * from './forms/ground.js';
export type * from './forms/outline.js';
export type { Crew, DayWeather, Person, Weekday } from './forms/crew.js';
export type { SoilTest, StatedEarth } from './forms/earth.js';
export type { OwnMix, StatedMud, StatedYield } from './forms/mud.js';
export type { OwnRules } from './forms/ownRules.js';
export type { Wall } from './forms/wall.js';
export type { JobDocument } from './form.js';

declare const checked: unique symbol;
/** A job document that has passed `check`. The core trusts it. */
export type Job = JobDocument & { readonly [checked]: true };
