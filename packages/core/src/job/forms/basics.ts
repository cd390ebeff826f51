import { BAR_SIZES } from '../../tables/bars.js';
import { LIMITS } from '../limits.js';
import type { Shape } from '../shape.js';

/** The shapes every part of the form is made of. */
export const text: Shape = { kind: 'text' };
export const id: Shape = { kind: 'id' };
export const length: Shape = { kind: 'length', least: 'above-zero' };
/** A height that may lie below what it is measured from. */
export const level: Shape = { kind: 'length', least: 'any' };
export const place: Shape = { kind: 'length', least: 'zero' };
export const joint: Shape = { kind: 'length', least: 'above-zero', most: LIMITS.joint };
export const bar: Shape = { kind: 'oneOf', values: BAR_SIZES };
export const count = (most: number): Shape => ({ kind: 'number', least: 1, most, whole: true });

export const keep: Shape = { kind: 'oneOf', values: ['must', 'wish'] };
export const samples: Shape = { kind: 'list', of: length, least: 1, most: 500 };
