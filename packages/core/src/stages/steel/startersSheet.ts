import { sayMm, showMm, type Show } from '../../measure/format.js';
import { carried, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import type { SteelStageWork } from './work.js';
import { rect, line, words, type SceneShape } from '../../shapes/shape.js';
import { barOf } from '../../tables/bars.js';
import { dowelPlan } from './starters.js';
import { drilled, END_COVER, starterBar, wallLap } from './steel.js';
import { CAUTION, type PaperSheet } from '../paper.js';

const WHY: Record<string, string> = {
  end: 'end of the wall',
  corner: 'corner',
  jamb: 'jamb',
  joint: 'beside the movement joint',
  spacing: 'on the spacing',
  asked: 'put there by hand',
};

/** Length of the run, its openings and every starter on it, as they lie along the footing. */
function footingPlan(work: SteelStageWork, run: number, show: Show): PaperSheet['drawing'] {
  const length = work.wall.runs[run]?.length ?? 0;
  const thickness = work.wall.cavity?.overall ?? work.wall.thickness;
  const { offset, wall: carrying } = { ...carryingLeaf(work), wall: carried(work).wall };
  const deep = work.wall.footing?.width ?? thickness * 2;
  const shapes: SceneShape[] = [
    rect('footing', -END_COVER, -deep / 2, length + 2 * END_COVER, deep),
    rect('tape', 0, -thickness / 2, length, thickness),
  ];
  for (const o of work.wall.openings)
    if (o.run === run && o.sill < 1)
      shapes.push(
        rect('opening', o.from, -thickness / 2, o.to - o.from, thickness),
        words('opening-name', (o.from + o.to) / 2, 0, o.name, 'middle'),
      );
  // Outward of the middle of all the leaves together, which the footing is under.
  const off = (work.steel.place?.off ?? 0) + thickness / 2 - offset - carrying.unitWidth / 2;
  dowelPlan(carrying, work.steel, run).forEach((d, i) => {
    // Figures up and down by turns, so that neighbours do not stand on one another.
    const y = i % 2 === 0 ? deep * 0.95 : -deep * 1.2;
    shapes.push(
      line('pole-mark', d.at, -off, d.at, y * 0.75),
      rect('bar', d.at - 14, -off - 14, 28, 28),
      words('tape-number', d.at, y, showMm(d.at, show), 'middle'),
    );
  });
  return { box: { x: -END_COVER, y: -deep * 1.4, w: length + 2 * END_COVER, h: deep * 2.8 }, shapes };
}

/** The plan of starters that is carried to the footing before the pour: each from the start of the run, never stepped. */
export function startersSheet(job: string, work: SteelStageWork, run: number, show: Show): PaperSheet {
  const { wall, steel } = carried(work);
  const size = wall.steel?.vertical?.bar ?? '';
  const places = dowelPlan(wall, steel, run);
  const say = (n: number): string => sayMm(n, show);
  const starter = size === '' ? null : starterBar(wall, size);
  const lap = size === '' ? null : wallLap(wall, size);
  const outer = carryingLeaf(work).offset + (steel.place?.from ?? wall.unitWidth / 2);
  const other = work.runs.find((r) => r.index === run)?.ends.end.other ?? null;
  const round = other === null ? undefined : wall.runs[other]?.name;
  return {
    title: `Starters, ${wall.runs[run]?.name ?? wall.name}`,
    sub: `${job}, ${wall.name}. ${places.length} starters${size === '' ? '' : ` of ${size}`}, run ${say(wall.runs[run]?.length ?? 0)} on its outside face`,
    says: [
      'Every place is to the middle of the bar, from the start of the run on its outside face. Hook the tape once.',
      `Across the wall: ${say(outer)} from the outside face, ${steel.place?.says ?? 'in the middle of the cell'}. May stand off ${say(steel.place?.across ?? 0)} across and ${say(steel.place?.along ?? 0)} along the wall (${steel.place?.source ?? ''}).`,
      round === undefined ? '' : `The bar in the corner at its end is on the list of ${round}.`,
      starter && lap && wall.steel?.drilled
        ? `Drilled into the concrete that is there: hole ${say(drilled(size).hole)}, ${say(drilled(size).depth)} deep, no nearer an edge than ${say(drilled(size).edge)}; blown and brushed clean, set by the adhesive maker’s table. Each stands ${say(lap.length)} above it (${lap.says}), ${say(starter.a)} in all.`
        : starter && lap
          ? `Each stands ${say(lap.length)} above the footing to lap its bar (${lap.says}), ${say(starter.a)} in all up from its hook, hook ${say(starter.b)}.`
          : 'The footing’s depth is not stated: how deep they go is the drawing’s to say.',
      `A bar may be bent back into line no more than 1 in 6, never heated. ${size === '' ? '' : `${size} is ${say(barOf(size).diameter)} thick. `}Cap every bar that stands up.`,
    ].filter(Boolean),
    drawing: footingPlan(work, run, show),
    tables: [
      {
        name: 'Starters',
        head: ['no.', 'from the start', 'from the last', 'why here', 'placed', 'seen by'],
        figures: [0, 1, 2],
        rows: places.map((d, i) => [
          String(i + 1),
          showMm(d.at, show, 64),
          showMm(d.step, show, 64),
          WHY[d.why] ?? d.why,
          '',
          '',
        ]),
      },
    ],
    caution: CAUTION,
  };
}
