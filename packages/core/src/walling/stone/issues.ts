import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { PatchStep } from '../../job/edits/patch.js';
import type { JobDocument, Stated } from '../../job/types.js';
import { millimetres, type Mm } from '../../measure/length.js';
import { writeLength } from '../../measure/format.js';
import type { SetStone } from '../../stages/set-out/stone.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { BONDERS, KINK_SEEN, LIFT_MOST, STONE_RULES } from '../../tables/stoneWalls.js';
import type { Laid } from '../walling.js';
import { ashlarOf } from './ashlar/lay.js';
import { fitAsk, fitFrom } from './fitter/ofWall.js';
import { gapWork, purposeOf } from './gap.js';
import { intoOld } from './intoOld.js';
import { STONES_SAY as SAYS } from './messages.js';
import { batterOf } from './section.js';
import { copeWeighs, throughWeighs } from './sorted.js';
import { stoneIn } from './stretches.js';
import { endOf, stoneWork } from './work.js';

interface At {
  job: JobDocument;
  wall: SetWall;
  stone: SetStone;
  laid: Laid;
}

const BOND = { stage: 'bond' } as const;

const written = ({ job }: At, mm: Mm): Stated =>
  writeLength(millimetres(Math.round(mm * 100) / 100), job.show);
const set = ({ wall }: At, key: string, value: unknown): PatchStep[] => [
  { op: 'add', path: `/walls/${wall.index}/build/${key}`, value },
];

/** What holds the faces together was not said: it is taken as is usual, and can be written down. */
function boundAsUsual(at: At): Issue[] {
  const { stone, wall } = at;
  if (!stone.boundAsUsual) return [];
  const rows = stone.throughs.map((t) => ({ at: written(at, t.at), every: written(at, t.every) }));
  if (stone.kind === 'dry' && rows.length === 0) return [];
  const bonders = { along: written(at, BONDERS.along), up: written(at, BONDERS.up) };
  return [
    issue({
      ...BOND,
      code: 'stone-bound-as-usual',
      severity: 'note',
      key: 'stone-bound-as-usual',
      says:
        stone.kind === 'dry'
          ? SAYS['throughs-as-usual']({ rows: rows.length, every: stone.throughs[0]?.every ?? 0 })
          : SAYS['bound-as-usual'](BONDERS),
      source: stone.kind === 'dry' ? SAYS.handbooks() : SAYS['en-bonders'](),
      tries: () => [
        {
          says: SAYS['write-it-down'](),
          edit:
            stone.kind === 'dry'
              ? set(at, 'throughs', rows)
              : [{ op: 'add', path: `/walls/${wall.index}/build/bonders`, value: bonders }],
        },
      ],
    }),
  ];
}

/** Bonders and throughs farther apart than faces are held by. */
function apart(at: At): Issue[] {
  const { stone } = at;
  const most = STONE_RULES.apart;
  const { bonders } = stone;
  const found: Issue[] = [];
  if (bonders && (bonders.along > most + 0.5 || bonders.up > most + 0.5))
    found.push(
      issue({
        ...BOND,
        code: 'stone-bonders-apart',
        severity: 'choice',
        key: 'stone-bonders-apart',
        says: SAYS['bonders-apart']({ ...bonders, most }),
        source: SAYS['en-bonders'](),
        tries: () => [
          {
            says: SAYS['set-apart']({ most }),
            edit: set(at, 'bonders', {
              along: written(at, Math.min(bonders.along, most)),
              up: written(at, Math.min(bonders.up, most)),
            }),
          },
        ],
      }),
    );
  const far = stone.throughs.filter((t) => t.every > most + 0.5);
  const [first] = far;
  if (first)
    found.push(
      issue({
        ...BOND,
        code: 'stone-bonders-apart',
        severity: 'choice',
        key: 'stone-throughs-apart',
        says: SAYS['throughs-apart']({ ...first, most }),
        source: SAYS['is-throughs'](),
        tries: () => [
          {
            says: SAYS['set-apart']({ most }),
            edit: set(
              at,
              'throughs',
              stone.throughs.map((t) => ({
                at: written(at, t.at),
                every: written(at, Math.min(t.every, most)),
              })),
            ),
          },
        ],
      }),
    );
  return found;
}

/** A dry wall against the rules of thumb: its base, how its faces lean, how high it is, and whether anything goes through it. */
function dry(at: At): Issue[] {
  const { stone, wall, laid } = at;
  if (stone.kind !== 'dry') return [];
  const found: Issue[] = [];
  const { runs } = stoneWork(wall, laid.gauge);
  const ends = runs.flatMap((r) => [endOf(r, 0), endOf(r, 1)]);
  const high = Math.max(...ends.map((e) => e.height));
  const least = STONE_RULES.baseToHeight * high;
  if (stone.base < least - 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-base-narrow',
        severity: 'choice',
        key: 'stone-base-narrow',
        says: SAYS['base-narrow']({ base: stone.base, height: high, least }),
        source: SAYS['rule-of-thumb'](),
        tries: () => {
          const base = Math.ceil(least / 10) * 10;
          return [{ says: SAYS['base-wider']({ base }), edit: set(at, 'base', written(at, base)) }];
        },
      }),
    );
  const [tallest] = ends.filter((e) => e.height === high);
  const batter = tallest ? batterOf(tallest) : Infinity;
  const { flat, steep } = STONE_RULES.batter;
  if (stone.base >= least - 0.5 && (batter < flat || batter > steep)) {
    // In the middle of what is usual for weak and for flat stone: one in eight.
    const top = Math.max(50, Math.round(stone.base - (2 * high) / 8));
    const tries = (): Try[] =>
      top < stone.base && stone.base / 4 < top
        ? [{ says: SAYS['top-narrower']({ top }), edit: set(at, 'top', written(at, top)) }]
        : [];
    found.push(
      issue({
        ...BOND,
        code: 'stone-batter',
        severity: 'choice',
        key: 'stone-batter',
        says:
          batter > steep
            ? SAYS['batter-steep']({ batter: Number.isFinite(batter) ? batter : 0 })
            : SAYS['batter-flat']({ batter }),
        source: SAYS.handbooks(),
        tries,
      }),
    );
  }
  if (high > STONE_RULES.dryHigh + 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'engineer-needed',
        severity: 'fault',
        key: 'engineer-needed|dry',
        says: SAYS['dry-high']({ height: high }),
        source: SAYS.handbooks(),
      }),
    );
  if (stone.throughs.length === 0 && high > 600)
    found.push(
      issue({
        ...BOND,
        code: 'stone-no-throughs',
        severity: 'fault',
        key: 'stone-no-throughs',
        says: SAYS['no-throughs']({ height: high }),
        source: SAYS.handbooks(),
        tries: () => [
          {
            says: SAYS['set-apart']({ most: STONE_RULES.apart }),
            edit: set(at, 'throughs', [{ at: written(at, high / 2), every: written(at, STONE_RULES.apart) }]),
          },
        ],
      }),
    );
  for (const run of runs) {
    const [a, b] = [endOf(run, 0), endOf(run, 1)];
    if (Math.abs(a.height - b.height) < 10 || stone.base - stone.top < 1) continue;
    found.push(
      issue({
        ...BOND,
        code: 'stone-ends-unlike',
        severity: 'note',
        run: run.run,
        key: `stone-ends-unlike|${run.run}`,
        says: SAYS['ends-unlike']({
          run: wall.runs[run.run]?.name ?? '',
          left: batterOf(a),
          right: batterOf(b),
        }),
        source: 'geometry',
      }),
    );
  }
  return found;
}

/** A mortared wall: room for two faces, and beds no wider than its kind has them. */
function mortared(at: At): Issue[] {
  const { stone } = at;
  if (stone.kind === 'dry') return [];
  const found: Issue[] = [];
  const least = STONE_RULES.twoFaces;
  if (stone.kind !== 'ashlar' && stone.faces === 2 && stone.top < least - 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-thin',
        severity: 'choice',
        key: 'stone-thin',
        says: SAYS['thin-two-faces']({ thick: stone.top, least }),
        source: 'common practice',
        tries: () => [
          {
            says: SAYS.thicker({ thick: least }),
            edit: [
              ...set(at, 'thickness', written(at, Math.max(least, stone.base))),
              ...(stone.top < stone.base ? set(at, 'top', written(at, least)) : []),
            ],
          },
        ],
      }),
    );
  const most = STONE_RULES.joint[stone.kind];
  if (stone.joint > most + 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-joint-wide',
        severity: 'choice',
        key: 'stone-joint-wide',
        says: SAYS['joint-too-wide']({ joint: stone.joint, most }),
        source: SAYS['is-joints'](),
        tries: () => [{ says: SAYS['joint-as']({ joint: most }), edit: set(at, 'joint', written(at, most)) }],
      }),
    );
  return found;
}

/** Joints of ashlar that stand nearly over one another. */
function ashlar(at: At): Issue[] {
  const { stone, wall, laid } = at;
  if (stone.kind !== 'ashlar') return [];
  return ashlarOf(wall, laid.gauge).short.map((s) =>
    issue({
      stage: 'bond',
      code: 'lap-short',
      severity: 'choice',
      course: s.course,
      run: s.run,
      at: s.at,
      key: `lap-short|ashlar|${s.run}|${s.course}`,
      says: SAYS['lap-short']({ course: s.course, count: s.count, lap: stone.lap }),
      source: 'EN 1996-1-1 8.1.4.1, from memory',
      tries: () =>
        [0.85, 0.7].map((part) => ({
          says: SAYS['shorter-stones']({ longest: Math.round(stone.longest * part) }),
          edit: set(at, 'longest', written(at, Math.round(stone.longest * part))),
        })),
    }),
  );
}

/** A stretch to go up again: stone it will want, joints that would run up again, and a line that would kink. */
function gap({ job, wall, laid }: At): Issue[] {
  const work = gapWork(job, wall, laid.gauge);
  if (!work) return [];
  const found: Issue[] = [];
  const at = { ...BOND, run: work.run, at: (work.from + work.to) / 2 };
  if (work.stock && work.bring > 0.5)
    found.push(
      issue({
        ...at,
        code: 'stone-short',
        severity: 'choice',
        key: 'stone-short',
        says: SAYS['gap-short']({
          share: Math.round(100 * work.stock.share),
          short: work.stock.short,
          bring: work.bring,
          few: work.stock.few ? 'yes' : 'no',
          looked: work.stock.looked,
        }),
        source: SAYS.sampled(),
      }),
    );
  if (work.joints && work.joints.count > 0)
    found.push(
      issue({
        ...at,
        code: 'stone-running-joints',
        severity: 'choice',
        key: 'stone-running-joints',
        says: SAYS['gap-joints']({
          count: work.joints.count,
          passed: work.joints.passed,
          purpose: purposeOf(wall),
        }),
        source: 'common practice',
      }),
    );
  const worst = work.kink ? Math.max(Math.abs(work.kink.left), Math.abs(work.kink.right)) : 0;
  if (worst > KINK_SEEN)
    found.push(
      issue({
        ...at,
        code: 'stone-kink',
        severity: 'choice',
        key: 'stone-kink',
        says: SAYS['gap-kink']({ by: worst, most: KINK_SEEN }),
        source: 'common practice',
      }),
    );
  return found;
}

/** What is heavier than one person lifts: said once for each kind of stone. */
function heavy(at: At): Issue[] {
  const { stone, wall, laid } = at;
  const note = (key: string, says: Issue['says']): Issue =>
    issue({
      ...BOND,
      code: 'stone-heavy',
      severity: 'note',
      key: `stone-heavy|${key}`,
      says,
      source: SAYS['safety-lifting'](),
    });
  const found: Issue[] = [];
  const cope = copeWeighs(wall);
  if (cope > LIFT_MOST) found.push(note('copes', SAYS['copes-heavy']({ mass: cope })));
  const longest = Math.max(0, ...stoneWork(wall, laid.gauge).throughs.map((t) => t.length));
  const through = throughWeighs(longest + 2 * stone.past, stone.stone.density);
  if (through > LIFT_MOST)
    found.push(note('throughs', SAYS['throughs-heavy']({ mass: through, length: longest + 2 * stone.past })));
  const { peaks, bridges } = stoneWork(wall, laid.gauge);
  for (const p of peaks.filter((p) => p.mass > LIFT_MOST))
    found.push(
      note(
        `peak|${p.run}|${Math.round(p.at)}`,
        SAYS['peak-heavy']({ mass: p.mass, width: p.left + p.right, height: p.top - p.foot }),
      ),
    );
  const [big] = bridges.filter((b) => b.mass > LIFT_MOST).sort((a, b) => b.mass - a.mass);
  if (big)
    found.push(
      note('bridges', SAYS['bridges-heavy']({ mass: big.mass, name: big.name, length: big.length })),
    );
  if (stone.kind === 'ashlar') {
    const over = ashlarOf(wall, laid.gauge).stones.filter((s) => s.mass > LIFT_MOST);
    if (over.length > 0)
      found.push(
        note(
          'ashlar',
          SAYS['stones-heavy']({
            count: over.length,
            mass: Math.max(...over.map((s) => s.mass)),
            most: LIFT_MOST,
          }),
        ),
      );
  }
  return found;
}

/** Measured stones are laid into a stretch that an opening stands in: each side of it is a stretch of its own. */
function fitted({ job, wall }: At): Issue[] {
  const fit = job.walls[wall.index]?.fit;
  const ask = fit && fitAsk(job, wall, fit);
  if (!fit || !ask) return [];
  const run = fit.run ?? 0;
  const from = fitFrom(fit);
  const to = from + ask.length;
  const over = wall.openings
    .filter((o) => o.run === run && o.from < to - 0.5 && o.to > from + 0.5 && o.sill < ask.height - 0.5)
    .sort((a, b) => a.from - b.from);
  const [first, last] = [over[0], over.at(-1)];
  if (!first || !last) return [];
  const path = `/walls/${wall.index}/fit`;
  const write = (mm: Mm): Stated => writeLength(millimetres(Math.round(mm * 100) / 100), job.show);
  const only = (side: 'left' | 'right' | 'under', set: Record<string, Mm>): Try => ({
    says: SAYS['fit-only']({ side, name: (side === 'right' ? last : first).name }),
    edit: Object.entries(set).map(([key, value]) => ({
      op: 'add',
      path: `${path}/${key}`,
      value: write(value),
    })),
  });
  return [
    issue({
      ...BOND,
      code: 'stone-fit-through-opening',
      severity: 'choice',
      run,
      at: (first.from + first.to) / 2,
      key: 'stone-fit-through-opening',
      says: SAYS['fit-through']({ name: first.name, count: over.length }),
      source: 'geometry',
      tries: () => [
        ...(first.from - from >= ask.least ? [only('left', { length: first.from - from })] : []),
        ...(to - last.to >= ask.least ? [only('right', { from: last.to, length: to - last.to })] : []),
        ...(Math.min(...over.map((o) => o.sill)) >= ask.least
          ? [only('under', { height: Math.min(...over.map((o) => o.sill)) })]
          : []),
      ],
    }),
  ];
}

/** Where it ends on another wall, and what holds its end there. */
function endsOn({ job, wall, laid }: At): Issue[] {
  const into = intoOld(job, wall, stoneWork(wall, laid.gauge).runs);
  if (!into) return [];
  return [
    issue({
      code: 'wall-meets',
      stage: 'set-out',
      severity: 'note',
      run: into.run,
      at: wall.runs[into.run]?.length ?? 0,
      key: 'wall-meets|stone',
      says: SAYS['ends-on-old'](into),
      source: 'common practice',
    }),
  ];
}

/** What a wall of stone says of itself. */
export function stoneIssues(job: JobDocument, laid: Laid): Issue[] {
  const { wall } = laid;
  const at: At = { job, wall, stone: stoneIn(wall), laid };
  return [
    ...boundAsUsual(at),
    ...apart(at),
    ...dry(at),
    ...mortared(at),
    ...ashlar(at),
    ...gap(at),
    ...fitted(at),
    ...endsOn(at),
    ...heavy(at),
  ];
}
