import { issue, type Issue } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { line, rect, words, type SceneShape } from '../../shapes/shape.js';
import { FILLING } from '../../tables/mending.js';
import { RUBBLE_SHARE } from '../../tables/stoneWalls.js';
import { count, factor, figuresNamed, length, type Workings } from '../figure.js';
import type { WorkList } from '../list.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { holesIn, type FilledHole } from './holes.js';
import { MENDING as SAYS } from './messages.js';
import { fixingsAt, mendingSheet } from './sheet.js';

/** What of an old wall is filled again. */
export interface MendingWork {
  filled: FilledHole[];
}
type Work = SetOutWork & MendingWork;

const sum = ({ filled }: Work, of: (h: FilledHole) => number): number =>
  filled.reduce((all, h) => all + of(h), 0);

/** Each hole's own measure as an input, by its name. */
const each = ({ filled }: Work, of: (h: FilledHole) => number) =>
  filled.map((h) => length(h.name, of(h), SAYS['as-stated']()));

const WORKINGS: Workings<Work> = {
  'mending.stone': (w) => ({
    title: SAYS.stones(),
    formula: SAYS['stones-formula'](),
    inputs: [
      ...each(w, (h) => h.facing),
      factor(SAYS.share(), RUBBLE_SHARE, SAYS.practice()),
      ...w.filled.map((h) => factor(SAYS.density(), h.stone.density, h.stone.source)),
    ],
    result: sum(w, (h) => h.mass),
    quantity: 'mass',
    source: SAYS.practice(),
  }),
  'mending.limecrete': (w) => ({
    title: SAYS.limecrete(),
    formula: SAYS['limecrete-formula'](),
    inputs: each(w, (h) => h.depth - h.facing),
    result: sum(w, (h) => h.behind),
    quantity: 'volume',
    source: SAYS.practice(),
  }),
  'mending.ties': (w) => ({
    title: SAYS.ties(),
    formula: SAYS['ties-formula'](),
    inputs: [
      ...each(w, (h) => h.top - h.bottom),
      length(SAYS['tie-apart'](), FILLING.tieEvery, SAYS.practice()),
    ],
    result: sum(w, (h) => h.ties),
    quantity: 'count',
    source: SAYS.practice(),
  }),
  'mending.fixings': (w) => ({
    title: SAYS.fixings(),
    formula: SAYS['fixings-formula'](),
    inputs: [
      count(SAYS.hole(), w.filled.length, SAYS['as-stated']()),
      ...w.filled.map((h) => length(SAYS.apart(), h.apart, SAYS.practice())),
    ],
    result: sum(w, (h) => h.fixings),
    quantity: 'count',
    source: SAYS.practice(),
  }),
};

function holeList({ filled }: Work): WorkList {
  return {
    kind: 'holes',
    name: SAYS.name(),
    columns: [
      { key: 'hole', name: SAYS.hole(), is: 'text' },
      { key: 'size', name: SAYS.size(), is: 'text' },
      { key: 'stone', name: SAYS['stone-in'](), is: 'mass', sums: true },
      { key: 'behind', name: SAYS.behind(), is: 'volume', sums: true },
      { key: 'ties', name: SAYS.ties(), is: 'count', sums: true },
      { key: 'fixings', name: SAYS.fixings(), is: 'count', sums: true },
    ],
    rows: filled.map((h) => ({
      id: h.id,
      cells: [
        h.name,
        SAYS['size-is']({ width: h.to - h.from, height: h.top - h.bottom, depth: h.depth }),
        h.mass,
        h.behind,
        h.ties,
        h.fixings,
      ],
      spots: [{ run: h.run, x: h.from, y: h.bottom, w: h.to - h.from, h: h.top - h.bottom }],
    })),
    empty: SAYS.none(),
  };
}

/** What stands over a large hole has nothing under it while it is open. */
const issues = (_job: JobDocument, { filled }: Work): Issue[] =>
  filled
    .filter((h) => h.prop)
    .map((h) =>
      issue({
        code: 'mending-prop',
        stage: 'bond',
        severity: 'choice',
        course: 1,
        run: h.run,
        at: (h.from + h.to) / 2,
        key: `mending-prop|${h.id}`,
        says: SAYS['prop-first']({ hole: h.name, wide: h.to - h.from, deep: h.depth }),
        source: SAYS.practice(),
      }),
    );

/** A fixing is drawn as a cross, so far each way, mm. */
const FIXING = 25;

const shapes = ({ filled }: Work, run: number): SceneShape[] =>
  filled
    .filter((h) => h.run === run)
    .flatMap((h) => [
      rect('short', h.from, h.bottom, h.to - h.from, h.top - h.bottom, h.id),
      ...(h.fixings === 0 ? [] : fixingsAt(h)).flatMap(({ x, y }) => [
        line('edge-tie', x - FIXING, y, x + FIXING, y),
        line('edge-tie', x, y - FIXING, x, y + FIXING),
      ]),
      words('short-name', h.to, h.top, h.name, 'end', h.id),
    ]);

/** Holes of an old wall filled again: stones tied into what is left, limecrete behind, fixings counted. */
export const mending = stage<'mending', SetOutWork, MendingWork>({
  id: 'mending',
  shown: 'bond',
  needs: ['set-out'],
  work: ({ wall }, { job }) => ({ filled: holesIn(job, wall) }),
  issues,
  figures: (work, run) =>
    run === null && work.filled.length > 0 ? figuresNamed(WORKINGS, Object.keys(WORKINGS), work) : [],
  working: (work, figure) => WORKINGS[figure]?.(work) ?? null,
  lists: (work) => (work.filled.length > 0 ? [holeList(work)] : []),
  shapes,
  papers: [
    {
      kind: 'mending',
      name: SAYS.name(),
      over: 'wall',
      some: true,
      sheet: (job, { filled, wall }, _run, show, say) => mendingSheet(job, wall.name, filled, show, say),
    },
  ],
});
