import type { SceneShape } from '../shapes/shape.js';
import { boxIn, placeOn, type PlannedRun } from './planLine.js';

/** A shape drawn along a run and in from its outside face, on the plan of its wall. A rectangle comes back as its corners. */
export function onPlan(run: PlannedRun, s: SceneShape): SceneShape {
  switch (s.type) {
    case 'rect': {
      const { type: _, x, y, w, h, ...rest } = s;
      return { ...rest, type: 'shape', points: boxIn(run, y, y + h, x, x + w) };
    }
    case 'shape':
    case 'path':
      return { ...s, points: s.points.map(([x, y]) => placeOn(run, x, y)) };
    case 'line': {
      const [a, b] = [placeOn(run, s.x1, s.y1), placeOn(run, s.x2, s.y2)];
      return { ...s, x1: a[0], y1: a[1], x2: b[0], y2: b[1] };
    }
    case 'mark':
    case 'text': {
      const [x, y] = placeOn(run, s.x, s.y);
      return { ...s, x, y };
    }
  }
}
