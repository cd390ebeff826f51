import { sayMm, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { rect, words, type SceneShape } from '../../shapes/shape.js';
import type { KeptLay } from '../../walling/stone/fitter/kept.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { CAUTION, type PaperSheet } from '../paper.js';

/** A stone of a lay is called by its course and its place in it. */
const numberOf = (course: number, at: number): string => `${course + 1}.${at + 1}`;

const drawing = ({ ask, lay }: KeptLay): NonNullable<PaperSheet['drawing']> => {
  const shapes: SceneShape[] = [
    rect('template', 0, 0, ask.length, ask.height),
    ...(ask.around ?? []).map((o) =>
      rect('opening', o.from, o.bottom, o.to - o.from, Math.min(o.top, ask.height) - o.bottom),
    ),
    ...lay.courses.flatMap((c, k) =>
      c.stones.flatMap((s, i): SceneShape[] => [
        rect('unit-cut', s.at, c.bottom, s.length, s.height),
        words('dimension-name', s.at + s.length / 2, c.bottom + s.height / 2, numberOf(k, i), 'middle'),
      ]),
    ),
  ];
  const top = lay.courses.at(-1);
  return {
    box: { x: 0, y: 0, w: ask.length, h: Math.max(ask.height, top ? top.bottom + top.height : 0) },
    shapes,
  };
};

/** A kept lay, stone by stone: what is chalked on each when it is lifted, and where it goes back. */
export function laySheet(job: string, wall: string, kept: KeptLay, show: Show, say: Say): PaperSheet {
  const { lay, greedy } = kept;
  const mm = (n: number): string => sayMm(n, show);
  return {
    title: say(SAYS['lay-of']({ wall })),
    sub: say(
      SAYS['lay-sub']({ job, stones: lay.courses.reduce((n, c) => n + c.stones.length, 0), from: kept.from }),
    ),
    says: [
      SAYS['lay-says'](),
      SAYS['lay-judged']({
        uncrossed: lay.uncrossed,
        dressed: lay.dressed / 1e6,
        open: lay.open / 1e6,
        over: lay.unused.length,
      }),
      SAYS['lay-greedy']({
        uncrossed: greedy.uncrossed,
        dressed: greedy.dressed / 1e6,
        open: greedy.open / 1e6,
      }),
    ].map(say),
    drawing: drawing(kept),
    tables: [
      {
        name: say(SAYS['lay-name']()),
        head: [
          SAYS.number(),
          SAYS['pile-stone'](),
          SAYS['starts-at'](),
          SAYS.long(),
          SAYS.high(),
          SAYS['goes-in'](),
          SAYS['dress-off'](),
        ].map(say),
        figures: [2, 3, 4, 5],
        rows: lay.courses.flatMap((c, k) =>
          c.stones.map((s, i) => [
            numberOf(k, i),
            s.stone,
            mm(kept.from + s.at),
            mm(s.length),
            mm(s.height),
            mm(s.depth),
            s.offEnd > 0 || s.offTop > 0 ? say(SAYS['off-by']({ end: s.offEnd, top: s.offTop })) : '',
          ]),
        ),
      },
      ...(lay.unused.length > 0
        ? [
            {
              name: say(SAYS['stays-over']()),
              head: [say(SAYS['pile-stone']())],
              figures: [],
              rows: lay.unused.map((id) => [id]),
            },
          ]
        : []),
    ],
    caution: say(CAUTION),
  };
}
