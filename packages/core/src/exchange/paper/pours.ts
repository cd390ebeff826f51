import { sayMm, showMm, showVolume, type Show } from '../../measure/format.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import type { WallWork } from '../../plan/work.js';
import { elevationScene } from '../../scene/elevation.js';
import { line, rect, words, type SceneShape } from '../../scene/scene.js';
import { primeVolume } from '../../stages/grout/pours.js';
import { GROUT_KEY, LIFT_SOURCE } from '../../tables/grout.js';
import { CAUTION } from '../sheet.js';
import type { PaperSheet } from './sheet.js';

/** The elevation with the filled cells, the beams and each lift numbered in the order it is placed. */
function liftDrawing(work: WallWork, run: number, show: Show): PaperSheet['drawing'] {
  const { gauge, fills, steel, pours } = carried(work);
  const scene = elevationScene(work, run, [], show);
  const length = work.wall.runs[run]?.length ?? 0;
  const shapes: SceneShape[] = [rect('tape', 0, 0, length, gauge.courses[gauge.count - 1]?.top ?? 0)];
  const own = fills.find((f) => f.run === run);
  for (const c of own?.cells ?? [])
    if (c.filled)
      shapes.push(
        rect(
          'grout',
          c.column.from,
          c.column.bottom,
          c.column.to - c.column.from,
          c.column.top - c.column.bottom,
        ),
      );
  for (const i of own?.solid ?? []) {
    const c = gauge.courses[i];
    if (c) shapes.push(rect('grout', 0, c.bottom, length, c.top - c.bottom));
  }
  for (const b of steel.beams.filter((x) => x.run === run)) {
    const c = gauge.courses[b.course];
    for (const s of b.stretches)
      if (c) shapes.push(rect('grout', s.from, c.bottom, s.to - s.from, c.top - c.bottom));
  }
  shapes.push(...scene.shapes.filter((s) => s.role === 'opening' || s.role === 'opening-name'));
  let n = 0;
  for (const pour of pours)
    for (const lift of pour.lifts) {
      n++;
      shapes.push(
        line('pole-mark', -150, lift.top, length + 150, lift.top),
        words('pole-number', -120, (lift.bottom + lift.top) / 2, String(n), 'middle'),
      );
    }
  return { box: { x: -260, y: -60, w: length + 420, h: scene.box.h + 120 }, shapes };
}

/** The lift drawing and the pours behind it: what goes to the pump or the mixer. */
export function poursSheet(job: string, work: WallWork, run: number, show: Show): PaperSheet {
  const { wall, pours } = work;
  const say = (n: number): string => sayMm(n, show);
  const aggregate = wall.grout?.aggregate ?? 'fine';
  const prime = primeVolume(wall.grout?.hose ?? null);
  let n = 0;
  return {
    title: `Grout, ${wall.runs[run]?.name ?? wall.name}`,
    sub: `${job}, ${wall.name}. ${aggregate === 'fine' ? 'Fine' : 'Coarse'} grout, ${showVolume(
      pours.reduce((s, p) => s + p.filled.used, 0),
      show,
    )} to order for the whole wall`,
    says: [
      'Fill cell by cell to the mark of the lift, then go round again. Lifts are numbered on the drawing in the order they are placed.',
      'Consolidate each lift as it goes in; consolidate again once the water has gone into the block, before it stiffens.',
      `Between two pours stop ${say(GROUT_KEY)} below the bed, for a key; never inside a beam. Under a beam the cells are stopped with mesh, open only where steel goes through.`,
      prime > 0
        ? `Prime the hose with ${showVolume(prime, show)} of slurry: it is thrown away, never into a cell or a slab.`
        : '',
      `Steel is seen and signed for before any grout goes in. ${LIFT_SOURCE}.`,
    ].filter(Boolean),
    drawing: liftDrawing(work, run, show),
    tables: [
      {
        name: 'Pours and lifts',
        head: ['lift', 'pour', 'courses', 'from', 'to', 'cleanouts', 'grout, pour', 'placed', 'seen by'],
        figures: [0, 1, 3, 4, 5, 6],
        rows: pours.flatMap((p) =>
          p.lifts.map((l, k) => {
            n++;
            return [
              String(n),
              String(p.number),
              `${p.from} to ${p.to}`,
              showMm(l.bottom, show),
              showMm(l.top, show),
              k === 0 && p.cleanouts > 0 ? String(p.cleanouts) : '',
              k === 0 ? showVolume(p.filled.used, show) : '',
              '',
              '',
            ];
          }),
        ),
      },
    ],
    caution: CAUTION,
  };
}
