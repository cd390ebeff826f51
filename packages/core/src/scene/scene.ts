import type { SceneShape } from '../shapes/shape.js';
import type { CourseColumns } from '../walling/pieces.js';

/** A picture in wall millimetres, y upwards from the wall's base. Pieces are columns, a course each; the rest plain shapes. */
export interface Scene {
  box: { x: number; y: number; w: number; h: number };
  pieces: CourseColumns[] | null;
  shapes: SceneShape[];
}
