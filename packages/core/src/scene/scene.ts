import type { Said, Say } from '../messages/message.js';
import { spoken, type SceneShape } from '../shapes/shape.js';
import type { CourseColumns } from '../walling/pieces.js';

/**
 * A picture in wall millimetres, y upwards from the wall's base. The units of a course are one shape over columns, so that ten thousand of them
 * are no more than their courses; they lie over ground and footing and under everything else.
 */
export interface Scene<T extends Said = Said> {
  box: Box;
  pieces: CourseColumns[] | null;
  shapes: SceneShape<T>[];
}

/** A picture with what it says put into words. */
export const sceneIn = (scene: Scene, say: Say): Scene<string> => ({
  ...scene,
  shapes: spoken(scene.shapes, say),
});

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Every place a shape reaches. */
export function placesOf(s: SceneShape): (readonly [number, number])[] {
  switch (s.type) {
    case 'rect':
      return [
        [s.x, s.y],
        [s.x + s.w, s.y + s.h],
      ];
    case 'line':
      return [
        [s.x1, s.y1],
        [s.x2, s.y2],
      ];
    case 'shape':
    case 'path':
      return [...s.points];
    case 'mark':
    case 'text':
      return [[s.x, s.y]];
  }
}

/** What shapes take up; nothing at all where there are none. */
export function boxOf(shapes: readonly SceneShape[]): Box {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const s of shapes)
    for (const [x, y] of placesOf(s)) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      low = Math.min(low, y);
      high = Math.max(high, y);
    }
  return left > right ? { x: 0, y: 0, w: 0, h: 0 } : { x: left, y: low, w: right - left, h: high - low };
}
