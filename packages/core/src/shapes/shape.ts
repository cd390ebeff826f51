import type { Said, Say } from '../messages/message.js';
import type { Role } from './roles.js';

export type { Role } from './roles.js';

export type Anchor = 'start' | 'middle' | 'end';

/**
 * One thing drawn, in millimetres. A `mark` is as large on every medium whatever the scale: its glyph is the theme's, and a letter may stand in it.
 * What it says is said by whoever draws it. `id` says what it is a picture of, for whoever can be pressed.
 */
export type SceneShape<T extends Said = Said> =
  | { type: 'rect'; role: Role; x: number; y: number; w: number; h: number; id?: string }
  | { type: 'shape'; role: Role; points: readonly (readonly [number, number])[]; id?: string }
  | { type: 'path'; role: Role; points: readonly (readonly [number, number])[]; id?: string }
  | { type: 'line'; role: Role; x1: number; y1: number; x2: number; y2: number; id?: string }
  | { type: 'mark'; role: Role; x: number; y: number; text?: T; id?: string }
  | { type: 'text'; role: Role; x: number; y: number; text: T; anchor: Anchor; id?: string };

const named = (id: string | undefined): { id?: string } => (id === undefined ? {} : { id });

export const rect = (
  role: Role,
  x: number,
  y: number,
  w: number,
  h: number,
  id?: string,
): SceneShape<never> => ({
  type: 'rect',
  role,
  x,
  y,
  w,
  h,
  ...named(id),
});

/** A closed shape by its corners. */
export const shape = (
  role: Role,
  points: readonly (readonly [number, number])[],
  id?: string,
): SceneShape<never> => ({ type: 'shape', role, points, ...named(id) });

/** A broken line through points, open at its ends. */
export const path = (
  role: Role,
  points: readonly (readonly [number, number])[],
  id?: string,
): SceneShape<never> => ({ type: 'path', role, points, ...named(id) });

export const line = (
  role: Role,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  id?: string,
): SceneShape<never> => ({ type: 'line', role, x1, y1, x2, y2, ...named(id) });

export const mark = <T extends Said = never>(
  role: Role,
  x: number,
  y: number,
  text?: T,
  id?: string,
): SceneShape<T> => ({
  type: 'mark',
  role,
  x,
  y,
  ...(text === undefined ? {} : { text }),
  ...named(id),
});

export const words = <T extends Said>(
  role: Role,
  x: number,
  y: number,
  text: T,
  anchor: Anchor = 'start',
  id?: string,
): SceneShape<T> => ({ type: 'text', role, x, y, text, anchor, ...named(id) });

/** Shapes with what they say put into words. */
export const spoken = (shapes: readonly SceneShape[], say: Say): SceneShape<string>[] =>
  shapes.map((s) => {
    if (s.type === 'text') return { ...s, text: say(s.text) };
    if (s.type !== 'mark') return s;
    const { text, ...rest } = s;
    return text === undefined ? rest : { ...rest, text: say(text) };
  });
