/** What a shape is; a renderer decides how that looks on its ground. */
export type Role =
  | 'ground'
  | 'footing'
  | 'opening'
  | 'opening-name'
  | 'opening-size'
  | 'short'
  | 'sky'
  | 'vent'
  | 'bad-joint'
  | 'letter-fault'
  | 'letter-choice'
  | 'letter-note'
  | 'pole'
  | 'pole-mark'
  | 'pole-number'
  | 'pole-height'
  | 'pole-flag'
  | 'bed-tight'
  | 'bed-open'
  | 'bed-out'
  | 'tape'
  | 'tape-mark'
  | 'tape-number'
  | 'course-name'
  | 'unit-plan'
  | 'cell'
  | 'bar'
  | 'grout'
  | 'board'
  | 'bed-steel'
  | 'movement-joint'
  | 'dpc'
  | 'tie'
  | 'edge-tie'
  | 'tray'
  | 'weep'
  | 'title'
  | 'caution';

export type SceneShape =
  | { type: 'rect'; role: Role; x: number; y: number; w: number; h: number; id?: string }
  | { type: 'shape'; role: Role; points: readonly (readonly [number, number])[]; id?: string }
  | { type: 'line'; role: Role; x1: number; y1: number; x2: number; y2: number; id?: string }
  | {
      type: 'text';
      role: Role;
      x: number;
      y: number;
      text: string;
      anchor: 'start' | 'middle' | 'end';
      id?: string;
    };

export const rect = (role: Role, x: number, y: number, w: number, h: number, id?: string): SceneShape => ({
  type: 'rect',
  role,
  x,
  y,
  w,
  h,
  ...(id === undefined ? {} : { id }),
});
/** A closed shape by its corners. */
export const shape = (
  role: Role,
  points: readonly (readonly [number, number])[],
  id?: string,
): SceneShape => ({
  type: 'shape',
  role,
  points,
  ...(id === undefined ? {} : { id }),
});
export const line = (role: Role, x1: number, y1: number, x2: number, y2: number): SceneShape => ({
  type: 'line',
  role,
  x1,
  y1,
  x2,
  y2,
});
export const words = (
  role: Role,
  x: number,
  y: number,
  text: string,
  anchor: 'start' | 'middle' | 'end' = 'start',
): SceneShape => ({
  type: 'text',
  role,
  x,
  y,
  text,
  anchor,
});
