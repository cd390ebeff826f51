import type { Say, Said } from '../../messages/message.js';
import type { GapWork } from '../../walling/stone/gap.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { CAUTION, type PaperSheet } from '../paper.js';

/** What is to be said of a gap: how far it is stripped, what it comes to, and what its stones give back. */
export const gapSays = (gap: GapWork): Said[] => [
  SAYS['gap-strip']({
    left: gap.stripped.left,
    right: gap.stripped.right,
    usual: gap.stripped.asUsual ? 'yes' : 'no',
  }),
  SAYS['gap-amounts']({
    face: gap.face,
    mass: gap.mass,
    throughs: gap.throughs,
    days: Math.round(gap.days * 10) / 10,
  }),
  ...(gap.stock
    ? [
        SAYS['gap-gives']({
          looked: gap.stock.looked,
          traced: gap.stock.traced,
          unsound: gap.stock.unsound,
          share: Math.round(100 * gap.stock.share),
        }),
      ]
    : []),
];

/** What is done of a gap, in its order. */
export const gapSteps = ({ steps }: GapWork): Said[] =>
  steps.map((s) => SAYS['gap-step']({ step: s.step, to: s.to ?? 0, count: s.count ?? 0 }));

/** A gap to be rebuilt, to take to the wall. */
export const gapSheet = (job: string, wall: string, gap: GapWork, say: Say): PaperSheet => ({
  title: say(SAYS['gap-of']({ wall })),
  sub: say(SAYS['gap-sub']({ job, from: gap.from, to: gap.to })),
  says: gapSays(gap).map(say),
  drawing: null,
  tables: [
    {
      name: say(SAYS['gap-name']()),
      head: [SAYS.order(), SAYS['what-is-done']()].map(say),
      figures: [],
      rows: gapSteps(gap).map((s, i) => [String(i + 1), say(s)]),
    },
  ],
  caution: say(CAUTION),
});
