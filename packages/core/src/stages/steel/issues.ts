import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import type { PatchStep } from '../../job/edits/patch.js';
import type { Held } from '../../job/types.js';
import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { ReinforcedWall } from './steel.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { bondWays } from '../../walling/units/judging/ways.js';
import { snapTries } from '../../walling/units/judging/snap.js';
import { CLEARANCE } from './place.js';
import { wallLap } from './steel.js';
import { starterIssues } from './starterIssues.js';
import { barOf } from '../../tables/bars.js';
import { insideWidth } from './cells.js';
import { INCH } from '../../measure/length.js';
import type { Verticals } from './vertical.js';
import type { SetWall } from '../set-out/wall.js';

const steelPath = (wall: SetWall): string => `/walls/${wall.index}/steel`;

/** A spacing the unit's cells do not allow, and the two nearest that they do. */
function spacingIssue({ wall, steel }: ReinforcedWall): Issue[] {
  const s = steel.spacing;
  if (!s || s.fits) return [];
  const next = (Math.floor(s.asked / s.pitch) + 1) * s.pitch;
  const { asked, pitch, used } = s;
  const set = (every: number): Try => ({
    says: SAYS['space-them']({ every }),
    edit: [{ op: 'replace', path: `${steelPath(wall)}/vertical/every`, value: toTheTape(wall, every) }],
  });
  return [
    issue({
      code: 'bar-spacing-off-module',
      stage: 'steel',
      severity: 'choice',
      course: 1,
      says:
        used > asked
          ? SAYS['spacing-not-had']({ asked, pitch })
          : SAYS['spacing-lower']({ asked, pitch, used, next }),
      source: 'the continuous cells of the bond',
      tries: () => [set(used), set(next)],
    }),
  ];
}

/** A unit without cells takes no uprights. */
function solidIssue({ wall }: ReinforcedWall): Issue[] {
  if (!wall.steel?.vertical || wall.unit.shells !== null) return [];
  return [
    issue({
      code: 'bar-not-in-cell',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      says: SAYS['no-cells']({ unit: wall.unit.name }),
      source: 'the unit as specified',
      tries: () => [
        { says: SAYS['take-uprights-out'](), edit: [{ op: 'remove', path: `${steelPath(wall)}/vertical` }] },
      ],
    }),
  ];
}

/** Openings near a place, nearest first: moving one may clear the cell. */
const nearTries = (work: ReinforcedWall, run: BondedRun, at: number): Try[] =>
  work.wall.openings
    .filter((o) => o.run === run.index)
    .sort((a, b) => Math.abs((a.from + a.to) / 2 - at) - Math.abs((b.from + b.to) / 2 - at))
    .slice(0, 2)
    .flatMap((o) => snapTries(work.wall, run, o).slice(0, 2));

/** Changed units about a place: putting one back as the bond has it may clear the cell. */
const changeTries = (wall: SetWall, run: number, at: number, reach: number): Try[] =>
  wall.changes
    .filter((c) => c.run === run && Math.abs(c.at - at) <= reach)
    .map((c) => ({
      says: SAYS['as-the-bond']({ course: c.course }),
      edit: [{ op: 'remove', path: `/walls/${wall.index}/build/pieces/${c.index}` }],
    }));

/** The widest place in a run where bars stand further apart than asked. */
function gapSaid(v: Verticals): Said[] {
  const [widest] = [...v.gaps].sort((a, b) => b.to - b.from - (a.to - a.from));
  if (!widest || !v.spacing) return [];
  const { from, to } = widest;
  return [SAYS.gap({ from, to, long: to - from, asked: v.spacing.asked })];
}

/** Bars that cannot go through, the first of them. */
function brokenSaid({ broken: [first, ...more] }: Verticals): Said[] {
  if (!first) return [];
  const { why, at, course } = first;
  const said = { count: more.length + 1, why, at };
  return [course === null ? SAYS['broken-no-cell'](said) : SAYS['broken-across']({ ...said, course })];
}

function brokenIssues(work: ReinforcedWall): Issue[] {
  const { wall, steel, runs } = work;
  return steel.verticals.flatMap((v, k): Issue[] => {
    const first = v.broken[0];
    const run = runs[k];
    if ((!first && v.gaps.length === 0) || !run) return [];
    const at = first?.at ?? ((v.gaps[0]?.from ?? 0) + (v.gaps[0]?.to ?? 0)) / 2;
    return [
      issue({
        code: 'bar-not-in-cell',
        stage: 'steel',
        severity: 'fault',
        course: first?.course ?? 1,
        run: run.index,
        at,
        says: SAYS['cannot-go']({ parts: [...brokenSaid(v), ...gapSaid(v)] }),
        source: 'the cells of every course, followed up the wall',
        tries: () => [
          ...(first ? changeTries(wall, run.index, first.at, wall.unitLength) : []),
          ...v.gaps.flatMap((g) => changeTries(wall, run.index, (g.from + g.to) / 2, (g.to - g.from) / 2)),
          ...nearTries(work, run, at),
          ...bondWays(wall)
            .filter((w) => w.edit.length > 0)
            .map((w) => ({ says: w.name, edit: w.edit })),
        ],
      }),
    ];
  });
}

/** Bars taken out of places where they belong by rule, and changes by hand that lost their cell. */
function byHandIssues({ wall, steel }: ReinforcedWall): Issue[] {
  const without = (index: number): PatchStep[] => [
    { op: 'remove', path: `${steelPath(wall)}/cells/${index}` },
  ];
  return steel.verticals.flatMap((v): Issue[] => [
    ...v.leftOut.map((l) =>
      issue({
        code: 'bar-left-out',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        run: l.run,
        at: l.at,
        key: `bar-left-out|${l.change.id}`,
        says: SAYS['left-out']({ why: l.why, at: l.at }),
        source: 'TMS 402 7.4 and common practice, from memory; the drawing decides',
        tries: () => [{ says: SAYS['put-back'](), edit: without(l.change.index) }],
      }),
    ),
    ...v.lost.map((c) =>
      issue({
        code: c.place === null ? 'cell-change-lost' : 'place-lost',
        stage: 'steel',
        severity: 'choice',
        course: 1,
        run: c.run,
        at: c.at,
        key: `cell-change-lost|${c.id}`,
        says: SAYS['cell-lost']({ at: c.place ?? SAYS['at-length']({ at: c.at }) }),
        source: 'the continuous cells of the bond',
        tries: () => [{ says: SAYS['forget-change'](), edit: without(c.index) }],
      }),
    ),
  ]);
}

const HELD: readonly Held[] = ['soil', 'floors', 'free-standing', 'drawing'];

/** How a wall is held is asked, never inferred. */
function heldIssue({ wall, steel }: ReinforcedWall): Issue[] {
  if (!steel.place || wall.held !== null || typeof wall.steel?.vertical?.from === 'number') return [];
  return [
    issue({
      code: 'held-not-said',
      stage: 'steel',
      severity: 'choice',
      course: 1,
      says: SAYS['held-not-said'](),
      source: 'common practice; the engineer’s drawing goes before it',
      tries: () =>
        HELD.map((value) => ({
          says: SAYS.held({ how: value }),
          edit: [{ op: 'add', path: `/walls/${wall.index}/held`, value }],
        })),
    }),
  ];
}

/** Too little between a bar and a face that wet or fire reaches: by where the drawing puts it, or because the unit has no more. */
function coverIssues({ wall, steel }: ReinforcedWall): Issue[] {
  const { place } = steel;
  const vertical = wall.steel?.vertical;
  if (!place || !vertical || wall.unit.shells === null) return [];
  const sides = (['outside', 'inside'] as const).filter(
    (side) => place.cover[side].has < place.cover[side].least - 0.05,
  );
  const [side] = sides;
  if (side === undefined) return [];
  const { has, least, counts, source } = place.cover[side];
  // As far from that face as serves, if the other one lets it.
  const by = least - has;
  const other = place.cover[side === 'outside' ? 'inside' : 'outside'];
  const serves = sides.length === 1 && other.has - by >= other.least - 0.05;
  // To the tape, and never nearer the face than serves.
  const grid = wall.show === 'mm' ? 1 : INCH / 16;
  const steps = (place.from + (side === 'outside' ? by : -by)) / grid;
  const from = grid * (side === 'outside' ? Math.ceil(steps - 1e-6) : Math.floor(steps + 1e-6));
  return [
    issue({
      code: 'cover-short',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      says: SAYS['cover-short']({
        bar: vertical.bar,
        has,
        least,
        face: side,
        counts,
        exposed: place.cover[side].exposed ? 'yes' : 'no',
      }),
      source,
      tries: () =>
        serves && vertical.from !== null
          ? [
              {
                says: SAYS['stand-from']({ from }),
                edit: [
                  {
                    op: 'replace',
                    path: `${steelPath(wall)}/vertical/from`,
                    value: toTheTape(wall, from),
                  },
                ],
              },
            ]
          : [],
    }),
  ];
}

/** A bar that will not go in its cell with grout round it, and laps the rule does not serve. */
function sizeIssues({ wall, steel }: ReinforcedWall): Issue[] {
  const vertical = wall.steel?.vertical;
  if (!vertical || wall.unit.shells === null) return [];
  const bar = barOf(vertical.bar);
  let least = insideWidth(wall);
  for (const v of steel.verticals)
    for (const { shaft } of v.bars) least = Math.min(least, shaft.to - shaft.from);
  const none = steel.verticals.every((v) => v.bars.length === 0);
  const need = bar.diameter + 2 * CLEARANCE[wall.grout?.aggregate ?? 'fine'];
  const lap = wallLap(wall, vertical.bar);
  const list: Issue[] = [];
  if (!none && (least < need || bar.diameter > least / 2))
    list.push(
      issue({
        code: 'bar-too-large',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        says: SAYS['bar-too-large']({
          bar: bar.size,
          wants: Math.max(need, 2 * bar.diameter),
          has: least,
        }),
        source:
          'TMS 402 6.1.2: a bar no thicker than half the least clear dimension; TMS 602 3.4 B clearance; from memory',
      }),
    );
  if (lap.beyond)
    list.push(
      issue({
        code: 'lap-rule-beyond',
        stage: 'steel',
        severity: 'choice',
        course: 1,
        says: SAYS['lap-beyond']({ bar: bar.size }),
        source: lap.source,
        tries: () => [
          {
            says: SAYS['use-computed-lap'](),
            edit: [{ op: 'add', path: `${steelPath(wall)}/lap`, value: { rule: 'computed' } }],
          },
        ],
      }),
    );
  if (!wall.footing && !wall.steel?.drilled && !none)
    list.push(
      issue({
        code: 'starters-wait',
        stage: 'steel',
        severity: 'note',
        course: 1,
        says: SAYS['starters-wait'](),
        source: 'a starter is hooked 3 in above the bottom of its footing',
      }),
    );
  return list;
}

/** Beams in courses the wall does not have: said once, and put right together. */
function beamIssues({ wall, steel: { nowhere }, gauge }: ReinforcedWall): Issue[] {
  if (nowhere.length === 0) return [];
  const count = nowhere.length;
  const path = (index: number): string => `${steelPath(wall)}/beams/${index}`;
  return [
    issue({
      code: 'beam-nowhere',
      stage: 'steel',
      severity: 'fault',
      says: SAYS['beam-nowhere']({ count, courses: gauge.count }),
      source: 'the courses as gauged',
      tries: () => [
        {
          says: SAYS['beams-to-top']({ count }),
          edit: nowhere.map((i) => ({ op: 'replace', path: `${path(i)}/course`, value: 'top' })),
        },
        {
          says: SAYS['beams-out']({ count }),
          // From the last, so that the places of those before it stay what they are.
          edit: [...nowhere].reverse().map((i) => ({ op: 'remove', path: path(i) })),
        },
      ],
    }),
  ];
}

export const steelIssues = (work: ReinforcedWall): Issue[] =>
  work.wall.steel === null
    ? []
    : [
        ...solidIssue(work),
        ...spacingIssue(work),
        ...brokenIssues(work),
        ...byHandIssues(work),
        ...starterIssues(work),
        ...beamIssues(work),
        ...sizeIssues(work),
        ...coverIssues(work),
        ...heldIssue(work),
      ];
