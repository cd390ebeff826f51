import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { Said, Say } from '../../messages/message.js';
import { line, rect, shape, words, type SceneShape } from '../../shapes/shape.js';
import { BRIDGE } from '../../tables/stoneWalls.js';
import { CAUTION, type PaperSheet } from '../paper.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { keptLay, type KeptLay } from '../../walling/stone/fitter/kept.js';
import { gapWork, type GapWork } from '../../walling/stone/gap.js';
import { intoOld, type IntoOld } from '../../walling/stone/intoOld.js';
import { stoneWork, type StoneWork } from '../../walling/stone/work.js';
import { gapSheet } from './gapSheet.js';
import { laySheet } from './laySheet.js';
import { stoneLists } from './lists.js';
import { stoneAbove, stoneSection } from './section.js';
import { peakSheet } from './peakSheet.js';
import { cutSheet, sortSheet } from './sheets.js';

/** A sheet of a wall that has nothing for it: it is left out of a set. */
const nothing = (title: Said, says: Said, say: Say): PaperSheet => ({
  title: say(title),
  sub: '',
  says: [say(says)],
  drawing: null,
  tables: [],
  caution: say(CAUTION),
});

/** The lay of measured stones it keeps, where it keeps one. */
export interface StoneLayWork {
  fit: KeptLay | null;
  /** A stretch of it to go up again. */
  gap: GapWork | null;
  /** How its end is held by the wall it comes to. */
  into: IntoOld | null;
}

/** Stones that are where they are drawn, over those that only may be: across a smoot, at a peak; and where pillars go up first. */
const pickedOut = ({ bridges, peaks, pillars }: StoneWork, run: number): SceneShape[] => [
  ...bridges
    .filter((b) => b.run === run)
    .map((b) => rect('unit-cut', b.from, b.at, b.to - b.from, BRIDGE.thick, b.opening)),
  ...peaks
    .filter((p) => p.run === run)
    .map((p) =>
      shape('unit-cut', [
        [p.at - p.left, p.foot],
        [p.at + p.right, p.foot],
        [p.at, p.top],
      ]),
    ),
  ...pillars.filter((p) => p.run === run).map((p) => line('pillar', p.at, 0, p.at, p.section.height)),
];

/** What is listed, drawn and printed of a wall of stone beside what any wall has; it works nothing out that its walling has not. */
export const stone = stage<'stone', SetOutWork & GaugeWork & BondWork, StoneLayWork>({
  id: 'stone',
  shown: 'bond',
  needs: ['set-out', 'gauge', 'bond'],
  work: ({ wall, gauge }, { job }) => ({
    fit: keptLay(job, wall),
    gap: gapWork(job, wall, gauge),
    into: wall.stone ? intoOld(job, wall, stoneWork(wall, gauge).runs) : null,
  }),
  lists: (work) => (work.wall.stone ? stoneLists(work) : []),
  shapes: ({ gap, wall, gauge }, run) => [
    ...(wall.stone ? pickedOut(stoneWork(wall, gauge), run) : []),
    ...(gap?.run === run
      ? [
          rect('short', gap.stripped.from, 0, gap.stripped.to - gap.stripped.from, wall.height),
          line('gap-end', gap.from, 0, gap.from, wall.height),
          line('gap-end', gap.to, 0, gap.to, wall.height),
          words(
            'short-name',
            gap.stripped.to,
            // Over the copes, which stand on the height of the wall.
            wall.height + (wall.stone?.copes?.height ?? 0),
            SAYS['gap-name'](),
            'end',
          ),
        ]
      : []),
  ],
  section: stoneSection,
  above: stoneAbove,
  papers: [
    {
      kind: 'stones',
      name: SAYS['sort-name'](),
      over: 'wall',
      some: true,
      sheet: (job, work, run, show, say) =>
        work.wall.stone
          ? sortSheet(job, work, run, show, say)
          : nothing(SAYS['sort-of']({ wall: work.wall.name }), SAYS['stones-none'](), say),
    },
    {
      kind: 'gap',
      name: SAYS['gap-name'](),
      over: 'wall',
      some: true,
      sheet: (job, work, _run, show, say) =>
        work.gap
          ? gapSheet(job, work.wall.name, work.gap, say)
          : nothing(SAYS['gap-of']({ wall: work.wall.name }), SAYS['gap-none'](), say),
    },
    {
      kind: 'peaks',
      name: SAYS['peak-name'](),
      over: 'wall',
      some: true,
      sheet: (job, work, _run, show, say) =>
        work.wall.stone
          ? peakSheet(job, work, show, say)
          : nothing(SAYS['peak-of']({ wall: work.wall.name }), SAYS['peak-none'](), say),
    },
    {
      kind: 'lay',
      name: SAYS['lay-name'](),
      over: 'wall',
      some: true,
      sheet: (job, work, _run, show, say) =>
        work.fit
          ? laySheet(job, work.wall.name, work.fit, show, say)
          : nothing(SAYS['lay-of']({ wall: work.wall.name }), SAYS['lay-none'](), say),
    },
    {
      kind: 'cut-stones',
      name: SAYS['cut-name'](),
      over: 'wall',
      some: true,
      sheet: (job, work, run, show, say) =>
        work.wall.stone?.kind === 'ashlar'
          ? cutSheet(job, work, run, show, say)
          : nothing(SAYS['cut-of']({ wall: work.wall.name }), SAYS['cut-none'](), say),
    },
  ],
});
