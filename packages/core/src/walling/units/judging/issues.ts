import { SAYS } from './messages.js';
import type { PatchStep } from '../../../job/edits/patch.js';
import type { Keep } from '../../../job/types.js';
import { SAME_PLACE } from '../../../measure/length.js';
import { issue, type Issue } from '../../../findings/issue.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { curveIssues, squintIssues } from './curveIssues.js';
import { gapIssues } from './gapIssues.js';
import type { Leaf, Leaved } from '../leaves/leaf.js';
import { curvedLeaves, judgedLeaves } from './judgedLeaves.js';
import { lapIssues } from './lapIssues.js';
import { headLimits } from '../lines/lines.js';
import { pieceIssues } from './pieceIssues.js';
import { lengthTries } from './snap.js';
import { wayTries } from './ways.js';

function jointIssues(wall: SetWall, run: BondedRun): Issue[] {
  const limits = headLimits(wall);
  const out: { width: number; at: number; course: number; uses: number }[] = [];
  for (const [row, uses] of run.uses) {
    for (const perp of row.perps) {
      if (perp.width >= limits.least - SAME_PLACE && perp.width <= limits.most + SAME_PLACE) continue;
      out.push({ width: perp.width, at: perp.at, course: run.rows.indexOf(row) + 1, uses });
    }
  }
  const off = (width: number): number => Math.abs(width - wall.head);
  const worst = out.reduce<(typeof out)[number] | null>(
    (w, p) => (w === null || off(p.width) > off(w.width) ? p : w),
    null,
  );
  if (worst === null) return [];
  const count = out.reduce((sum, p) => sum + p.uses, 0);
  return [
    issue({
      code: 'head-joint-out',
      stage: 'bond',
      severity: 'fault',
      course: worst.course,
      to: worst.course,
      run: run.index,
      at: worst.at,
      says: SAYS['joints-out']({ count, least: limits.least, most: limits.most, worst: worst.width }),
      source: wall.profile.head.source,
      tries: () => [...lengthTries(wall, run.index), ...wayTries(wall)],
    }),
  ];
}

/** Bricks that cannot bond through the wall, and a bond that has no lap: said once for the wall. */
function kindIssues(wall: SetWall): Issue[] {
  const path = `/walls/${wall.index}/build`;
  if (wall.bond.step === 0) {
    return [
      issue({
        code: 'stack-bond',
        stage: 'bond',
        severity: 'note',
        course: 1,
        says: SAYS['stack-bond'](),
        source: 'TMS 402: not laid in running bond; from memory',
      }),
    ];
  }
  const two = 2 * wall.unitWidth + wall.head;
  const limits = headLimits(wall);
  // The joint there would be between the wythes for a header to reach from face to face.
  const between = wall.unitLength - 2 * wall.unitWidth;
  const fits = between >= limits.least - SAME_PLACE && between <= limits.most + SAME_PLACE;
  if (wall.bond.family !== 'header' || wall.wythes === 1 || fits) return [];
  return [
    issue({
      code: 'header-bond-impossible',
      stage: 'bond',
      severity: 'fault',
      course: 1,
      says: SAYS[between < limits.least ? 'header-short' : 'header-long']({
        length: wall.unitLength,
        across: two,
      }),
      source: 'length must be 2 × width + joint: geometry',
      tries: () => [
        {
          says: SAYS['lay-two'](),
          edit: [{ op: 'replace', path: `${path}/bond`, value: 'half' }],
        },
        {
          says: SAYS['lay-one']({ bond: wall.bond.name }),
          edit: [{ op: 'add', path: `${path}/wythes`, value: 1 }],
        },
      ],
    }),
  ];
}

/** Whether openings that stand off the bond may move is asked once for all of them: what is made or bought does not. */
function keepIssue(wall: SetWall, issues: readonly Issue[]): Issue[] {
  const off = new Set(issues.filter((i) => i.code === 'opening-off-bond').map((i) => i.opening));
  const unsaid = wall.openings.filter((o) => off.has(o.id) && o.keep === null);
  const first = unsaid[0];
  if (!first) return [];
  const say = (keep: Keep, keepWhy?: 'made' | 'room'): PatchStep[] =>
    unsaid.flatMap((o) => {
      const path = `/walls/${wall.index}/openings/${o.index}`;
      const why: PatchStep[] = keepWhy ? [{ op: 'add', path: `${path}/keepWhy`, value: keepWhy }] : [];
      return [{ op: 'add' as const, path: `${path}/keep`, value: keep }, ...why];
    });
  return [
    issue({
      code: 'keep-not-said',
      stage: 'bond',
      severity: 'choice',
      course: 1,
      run: first.run,
      at: (first.from + first.to) / 2,
      says: SAYS['keep-unsaid']({ openings: unsaid.map((o) => o.name) }),
      source: 'common practice: what is made or bought does not move',
      tries: () => [
        { says: SAYS['keep-made'](), edit: say('must', 'made') },
        { says: SAYS['keep-room'](), edit: say('must', 'room') },
        { says: SAYS['may-move'](), edit: say('wish') },
      ],
    }),
  ];
}

export function bondIssues(work: Leaved & Pick<Leaf, 'runs'>): Issue[] {
  const issues = issuesOfBond(work);
  return [...issues, ...keepIssue(work.wall, issues)];
}

function issuesOfBond({ wall, runs, leaves }: Leaved & Pick<Leaf, 'runs'>): Issue[] {
  return [
    ...kindIssues(wall),
    ...squintIssues(wall, runs),
    ...runs.flatMap((run) => [
      ...judgedLeaves(leaves, run.index).flatMap((leaf) => [
        ...lapIssues(wall, run, leaf),
        ...pieceIssues(wall, run, leaf),
      ]),
      ...jointIssues(wall, run),
      ...gapIssues(wall, run),
      ...curveIssues(run, curvedLeaves(leaves, run.index)),
    ]),
  ];
}
