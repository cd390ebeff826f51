import { showMm, type Show } from '../../measure/format.js';
import { carried, carryingLeaf } from '../../walling/units/leaves/leaf.js';
import type { SteelStageWork } from './work.js';
import { rect, line, words, type SceneShape } from '../../shapes/shape.js';
import { barOf } from '../../tables/bars.js';
import { dowelPlan } from './starters.js';
import { drilled, END_COVER, starterBar, wallLap } from './steel.js';
import type { Message, Said, Say } from '../../messages/message.js';
import { TABLE } from '../../tables/messages.js';
import { CAUTION, type PaperSheet } from '../paper.js';
import { SHEET } from '../paperMessages.js';

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
export function startersSheet(
  job: string,
  work: SteelStageWork,
  run: number,
  show: Show,
  say: Say,
): PaperSheet {
  const { wall, steel } = carried(work);
  const size = wall.steel?.vertical?.bar ?? '';
  const places = dowelPlan(wall, steel, run);
  const starter = size === '' ? null : starterBar(wall, size);
  const lap = size === '' ? null : wallLap(wall, size);
  const outer = carryingLeaf(work).offset + (steel.place?.from ?? wall.unitWidth / 2);
  const other = work.runs.find((r) => r.index === run)?.ends.end.other ?? null;
  const round = other === null ? undefined : wall.runs[other]?.name;
  const sized = size === '' ? 'none' : 'some';
  const risen = (): Message => {
    if (!starter || !lap) return SHEET['starters-unsaid']();
    const stands = { lap: lap.length, rule: lap.says, all: starter.a };
    return wall.steel?.drilled
      ? SHEET['starters-drilled']({ ...drilled(size), ...stands })
      : SHEET['starters-cast']({ ...stands, hook: starter.b });
  };
  const says: Said[] = [
    SHEET['starters-places'](),
    SHEET['starters-across']({
      outer,
      place: steel.place?.says ?? TABLE['place-unsaid'](),
      across: steel.place?.across ?? 0,
      along: steel.place?.along ?? 0,
      source: steel.place?.source ?? '',
    }),
    ...(round === undefined ? [] : [SHEET['starters-corner']({ run: round })]),
    risen(),
    SHEET['starters-bent']({ size: sized, bar: size, thick: size === '' ? 0 : barOf(size).diameter }),
  ];
  return {
    title: say(SHEET['starters-of']({ run: wall.runs[run]?.name ?? wall.name })),
    sub: say(
      SHEET['starters-sub']({
        job,
        wall: wall.name,
        count: places.length,
        size: sized,
        bar: size,
        length: wall.runs[run]?.length ?? 0,
      }),
    ),
    says: says.map(say),
    drawing: footingPlan(work, run, show),
    tables: [
      {
        name: say(SHEET.starters()),
        head: [
          SHEET.no(),
          SHEET['from-start'](),
          SHEET['from-last'](),
          SHEET['why-here'](),
          SHEET.placed(),
          SHEET['seen-by'](),
        ].map(say),
        figures: [0, 1, 2],
        rows: places.map((d, i) => [
          String(i + 1),
          showMm(d.at, show, 64),
          showMm(d.step, show, 64),
          say(SHEET.why({ why: d.why })),
          '',
          '',
        ]),
      },
    ],
    caution: say(CAUTION),
  };
}
