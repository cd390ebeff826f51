import { sayMm, type Show } from '../measure/format.js';
import type { Mm } from '../measure/length.js';
import type { WallWork } from '../plan/work.js';
import { line, path, shape, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import { bandIn, boxIn, placeOn, plannedRuns, type PlannedRun } from './planLine.js';
import { boxOf, type Scene } from './scene.js';

/** Dimensions stand so far outside the face, their figures past them, names inside the wall; mm of a wall `USUAL` long, and more of a longer. */
const OUT = 420;
const PAST = 130;
const NAME_IN = 350;
const USUAL = 6000;

const depthOf = ({ wall }: Pick<WallWork, 'wall'>): Mm => wall.cavity?.overall ?? wall.thickness;

/** Words beside an upright line begin or end at it; over or under a level one they stand across its middle. */
const sideOf = (across: number): Anchor =>
  across > OUT / 2 ? 'start' : across < -OUT / 2 ? 'end' : 'middle';

/** A length outside a run, with ticks at its ends. */
function dimension(run: PlannedRun, from: Mm, to: Mm, says: string, large: number): SceneShape[] {
  const out = OUT * large;
  const at = (along: Mm, off: Mm) => placeOn(run, along, -off);
  const middle = (from + to) / 2;
  const [mx, my] = at(middle, out + PAST * large);
  const [fx] = at(middle, 0);
  const tick = (along: Mm): SceneShape => {
    const [a, b] = [at(along, out - 90 * large), at(along, out + 90 * large)];
    return line('dimension', a[0], a[1], b[0], b[1]);
  };
  const parts =
    run.radius === null ? [from, to] : Array.from({ length: 13 }, (_, i) => from + ((to - from) * i) / 12);
  return [
    path(
      'dimension',
      parts.map((along) => at(along, out)),
    ),
    tick(from),
    tick(to),
    words('dimension-name', mx, my, says, sideOf((mx - fx) / large)),
  ];
}

/** One wall from above, as it is built: its leaves, its openings, its footing, its lengths. `turned`: how it lies, radians. */
export function planScene(work: WallWork, show: Show, turned = 0): Scene {
  const { wall, leaves } = work;
  const runs = plannedRuns(wall, turned);
  const deep = depthOf(work);
  const shapes: SceneShape[] = [];
  // What is drawn smaller on the sheet has its figures further off, or they lie on their lines.
  const corners = boxOf(runs.map((r) => path('run-line', [placeOn(r, 0, 0), placeOn(r, r.length, 0)])));
  const large = Math.max(1, Math.max(corners.w, corners.h) / USUAL);
  if (wall.footing) {
    const [out, inside] = [deep / 2 - wall.footing.width / 2, deep / 2 + wall.footing.width / 2];
    for (const run of runs)
      shapes.push(shape('footing-plan', bandIn(run, out, inside), wall.runs[run.index]?.id));
  }
  for (const run of runs)
    for (const leaf of leaves)
      shapes.push(
        shape('wall-plan', bandIn(run, leaf.offset, leaf.offset + leaf.thickness), wall.runs[run.index]?.id),
      );
  for (const o of wall.openings) {
    const run = runs[o.run];
    if (run) shapes.push(shape('opening-plan', boxIn(run, 0, deep, o.from, o.to), o.id));
  }
  for (const run of runs) {
    const set = wall.runs[run.index];
    const [x, y] = placeOn(run, run.length / 2, deep + NAME_IN * large);
    shapes.push(...dimension(run, 0, run.length, sayMm(run.length, show), large));
    shapes.push(words('run-name', x, y, set?.name ?? '', 'middle', set?.id));
  }
  return { box: boxOf(shapes), pieces: null, shapes };
}
