import { sayMm, type Show } from '../measure/format.js';
import type { Mm } from '../measure/length.js';
import type { WallWork } from '../plan/work.js';
import { carryingLeaf } from '../walling/units/leaves/leaf.js';
import { line, rect, words, type SceneShape } from '../shapes/shape.js';
import { boxOf, type Scene } from './scene.js';

/** How far ground is drawn to either side of the wall, mm. */
const GROUND = 900;
const BAR = 16;

/** Ground over the wall's base, where the site's levels say it; null where nobody measured. */
function groundOver({ site, wall }: WallWork): Mm | null {
  const levels = site.points.filter((p) => p.is === 'ground').map((p) => p.level);
  return levels.length === 0 ? null : Math.max(...levels) - wall.base;
}

/**
 * A cut through one run, the outside at the left: leaves course by course, the cavity, the footing, the ground, the soil it holds, a bar
 * where it stands in its cell. Nothing that is not stated is drawn.
 */
export function sectionScene(work: WallWork, run: number, show: Show): Scene {
  const { wall, leaves } = work;
  const deep = wall.cavity?.overall ?? wall.thickness;
  const shapes: SceneShape[] = [];
  if (wall.footing) {
    const { width, depth } = wall.footing;
    shapes.push(
      rect('footing', (deep - width) / 2, -depth, width, depth),
      words(
        'dimension-name',
        deep / 2,
        -depth / 2,
        `${sayMm(width, show)} × ${sayMm(depth, show)}`,
        'middle',
      ),
    );
  }
  for (const leaf of leaves)
    for (const c of leaf.gauge.courses)
      shapes.push(rect('unit-cut', leaf.offset, c.bottom + c.bed, leaf.thickness, c.unitHeight));
  const carrying = carryingLeaf(work);
  const bars = work.steel.verticals.find((v) => v.run === run)?.bars ?? [];
  const across = work.steel.place?.from;
  const [bar] = bars;
  if (bar && across !== undefined)
    shapes.push(rect('bar', carrying.offset + across - BAR / 2, 0, BAR, bar.shaft.top));
  const ground = groundOver(work);
  if (ground !== null) shapes.push(line('ground-line', -GROUND, ground, 0, ground));
  if (wall.retains)
    shapes.push(line('ground-line', deep, wall.retains.height, deep + GROUND, wall.retains.height));
  const top = work.gauge.courses.at(-1)?.top ?? 0;
  shapes.push(words('dimension-name', deep / 2, top + 150, sayMm(deep, show), 'middle'));
  return { box: boxOf(shapes), pieces: null, shapes };
}
