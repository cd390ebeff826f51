import type { Length } from '../measure/length.js';

/**
 * The job file's form, as data. `check` walks it to find faults and `job.schema.json` is written from it,
 * so that the two cannot say different things.
 */
export type Shape =
  | { kind: 'const'; value: string | number | boolean }
  | { kind: 'oneOf'; values: readonly (string | number | boolean)[] }
  | { kind: 'text'; empty?: boolean }
  | { kind: 'id' }
  | { kind: 'number'; least: number; most: number; whole?: boolean }
  | { kind: 'length'; least: 'zero' | 'above-zero' | 'any'; most?: Length }
  | { kind: 'object'; keys: Record<string, Key>; says?: string }
  | { kind: 'list'; of: Shape; least?: number; most: number }
  /** One of several objects, told apart by the first key named that is present. */
  | { kind: 'byKey'; cases: Record<string, Shape> }
  | { kind: 'either'; shapes: Shape[]; says: string };

export interface Key {
  shape: Shape;
  optional?: boolean;
  says?: string;
}

export const required = (shape: Shape, says?: string): Key => ({ shape, ...(says ? { says } : {}) });
export const optional = (shape: Shape, says?: string): Key => ({ ...required(shape, says), optional: true });
