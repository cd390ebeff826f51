import {
  elevationScene,
  planScene,
  plan,
  shapeOnSite,
  SHEET,
  shapesOver,
  spoken,
  wallsOnSite,
  words,
  boxOf,
  type SceneShape,
} from '@even-tally/core';
import { DxfWriter, Units } from '@tarikjabiri/dxf';
import type { ExportAsk } from '../ask.js';
import { drawScene } from './draw.js';
import { ALL_LAYERS } from './layers.js';

/** Clear room between drawings on the sheet, mm. */
const BETWEEN = 2000;

/**
 * Plan and elevations of a job as a drawing file: a millimetre a unit, at true scale, on named layers. The walls stand in plan as they
 * stand on the site; under the plan the elevations of each wall lie in a row, its runs in their order.
 */
export function jobDxf({ job, wall, show, say, done }: ExportAsk): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { name, colour } of ALL_LAYERS) dxf.addLayer(name, colour, 'CONTINUOUS');
  const planned = plan(job, [], { advise: false, ...(wall === null ? {} : { only: [wall] }) });
  const site = wallsOnSite(job);
  const above: SceneShape[] = planned.walls.flatMap((p) => {
    const at = site.find((s) => s.index === p.wall.index);
    return at ? planScene(p, show).shapes.map((s) => shapeOnSite(at, s)) : [];
  });
  const box = boxOf(above);
  drawScene(dxf, { box, pieces: null, shapes: spoken(above, say) }, 0, 0);
  let y = box.y - BETWEEN;
  planned.walls.forEach((p, i) => {
    let x = box.x;
    const high = Math.max(p.wall.height, p.gauge.courses.at(-1)?.top ?? 0);
    y -= high + BETWEEN;
    p.wall.runs.forEach((run, r) => {
      const scene = elevationScene(p, r, [], show);
      const name = words(
        'run-name',
        0,
        high + BETWEEN / 4,
        SHEET['run-of-wall']({ wall: p.wall.name, run: run.name }),
      );
      drawScene(dxf, { ...scene, shapes: spoken([...scene.shapes, ...shapesOver(p, r), name], say) }, x, y);
      x += run.length + BETWEEN;
    });
    done?.((i + 1) / planned.walls.length);
  });
  return dxf.stringify();
}
