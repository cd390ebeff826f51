import { SAYS } from './messages.js';
import type { Said } from '../../../messages/message.js';
import { gaugeSlack } from '../../../stages/gauge/courses.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import { SAME_PLACE } from '../../../measure/length.js';
import { issue, type Issue } from '../../../findings/issue.js';
import type { SetChange, SetOpening, SetPier, SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { headLimits } from '../lines/lines.js';
import { pierAcross, pierBonds, pierPlaces } from '../let-in/piers.js';
import { soldiersOver } from '../let-in/soldiers.js';
import { toTheTape } from './toTheTape.js';

function lostChange(wall: SetWall, change: SetChange, why: Said): Issue {
  return issue({
    code: change.place === null ? 'piece-change-lost' : 'place-lost',
    stage: 'bond',
    severity: 'choice',
    course: change.course,
    run: Math.min(change.run, wall.runs.length - 1),
    at: change.at,
    key: `piece-change-lost|${change.id}`,
    says: SAYS['change-lost']({ did: change.does, course: change.course, at: change.at, why }),
    source: 'your own change, against the bond as it is now',
    tries: () => [
      {
        says: SAYS['forget-the-change'](),
        edit: [{ op: 'remove', path: `/walls/${wall.index}/build/pieces/${change.index}` }],
      },
    ],
  });
}

/** Changes of the mason's own that no longer find their unit, each on its own so that each can be taken out. */
function lostChanges(wall: SetWall, run: BondedRun): Issue[] {
  const list: Issue[] = [];
  const vents = new Map<string, number[]>();
  for (const lost of run.lost) {
    if ('vents' in lost) {
      vents.set(lost.vents.id, [...(vents.get(lost.vents.id) ?? []), lost.at]);
      continue;
    }
    list.push(lostChange(wall, lost.change, lost.why));
  }
  for (const [id, places] of vents) {
    const asked = wall.vents.find((v) => v.id === id);
    if (!asked) continue;
    const to = (course: number) => ({
      says: SAYS['vents-to']({ course }),
      edit: [
        { op: 'replace' as const, path: `/walls/${wall.index}/vents/${asked.index}/course`, value: course },
      ],
    });
    list.push(
      issue({
        code: 'vents-short',
        stage: 'bond',
        severity: 'choice',
        course: asked.course,
        run: run.index,
        at: places[0] ?? 0,
        key: `vents-short|${id}`,
        says: SAYS['vents-short']({
          count: places.length,
          what: asked.what,
          course: asked.course,
          at: places[0] ?? 0,
        }),
        source: 'vents stand on whole units: common practice',
        tries: () => [asked.course + 1, asked.course - 1].filter((c) => c > 0).map(to),
      }),
    );
  }
  return list;
}

/** A tie every so many courses where a pier is not bonded in: common practice. */
const TIED_EVERY = 3;

function pierIssues(wall: SetWall, pier: SetPier, run: BondedRun, courses: number): Issue[] {
  const shared = { stage: 'bond' as const, run: run.index, at: (pier.from + pier.to) / 2, course: 1 };
  if (!pierBonds(wall, pier)) {
    return [
      issue({
        ...shared,
        code: 'pier-tied',
        severity: 'note',
        key: `pier-tied|${pier.id}`,
        says: SAYS['pier-tied']({ pier: pier.name, ties: Math.floor(courses / TIED_EVERY) }),
        source: 'common practice; what the pier carries is for an engineer',
      }),
    ];
  }
  if (pierAcross(wall, pier, run.lines) !== null) return [];
  const path = `/walls/${wall.index}/piers/${pier.index}`;
  const unit = wall.unitLength + wall.head;
  const widths = [1, 1.5, 2, 2.5, 3]
    .map((n) => n * unit - wall.head)
    .sort((a, b) => Math.abs(a - (pier.to - pier.from)) - Math.abs(b - (pier.to - pier.from)));
  return [
    issue({
      ...shared,
      code: 'pier-off-bond',
      severity: 'choice',
      key: `pier-off-bond|${pier.id}`,
      says: SAYS['pier-off']({ pier: pier.name }),
      source: 'the perps of odd and even courses against its edges',
      tries: () => [
        ...pierPlaces(pier, run.lines)
          .slice(0, 2)
          .map((at) => ({
            says: SAYS['move-pier']({ pier: pier.name, at }),
            edit: [{ op: 'replace' as const, path: `${path}/at`, value: toTheTape(wall, at) }],
          })),
        ...widths.slice(0, 2).flatMap((width) =>
          pierPlaces({ ...pier, to: pier.from + width }, run.lines)
            .slice(0, 1)
            .map((at) => ({
              says: SAYS['make-pier']({ pier: pier.name, width, at }),
              edit: [
                { op: 'replace' as const, path: `${path}/at`, value: toTheTape(wall, at) },
                { op: 'replace' as const, path: `${path}/width`, value: toTheTape(wall, width) },
              ],
            })),
        ),
      ],
    }),
  ];
}

/** Long soldiers are propped until they have set: common practice, mm. */
const PROPPED = 1200;

function soldierIssues(wall: SetWall, o: SetOpening, gauge: GaugeSolution): Issue[] {
  const s = soldiersOver(wall, o);
  const limits = headLimits(wall);
  const span = o.to - o.from;
  const shared = { stage: 'bond' as const, run: o.run, at: (o.from + o.to) / 2, opening: o.id };
  const course = gauge.courses.findIndex((c) => c.top > o.head + SAME_PLACE) + 1 || null;
  const list: Issue[] = [
    issue({
      ...shared,
      course,
      code: 'soldiers',
      severity: 'note',
      says: SAYS.soldiers({
        count: s.count,
        opening: o.name,
        joint: s.joint,
        prop: span > PROPPED ? 'yes' : 'no',
      }),
      source: 'common practice; what carries them is for local code and licensed people',
    }),
  ];
  const tight = s.joint < limits.least - SAME_PLACE;
  if (tight || s.joint > limits.most + SAME_PLACE) {
    const width = s.count * wall.unitHeight + (s.count + 1) * wall.head;
    const off = wall.nominal ? wall.head : 0;
    list.push(
      issue({
        ...shared,
        course,
        code: 'head-joint-out',
        severity: 'fault',
        key: `head-joint-out|soldiers|${o.id}`,
        says: SAYS['soldiers-joint']({
          count: s.count,
          opening: o.name,
          joint: s.joint,
          least: limits.least,
          most: limits.most,
        }),
        source: wall.profile.head.source,
        tries: () => [
          {
            says: SAYS['make-wide']({ opening: o.name, width }),
            edit: [
              {
                op: 'replace',
                path: `/walls/${wall.index}/openings/${o.index}/width`,
                value: toTheTape(wall, width - off),
              },
            ],
          },
        ],
      }),
    );
  }
  const over = gauge.courses.reduce(
    (best, c) => (Math.abs(c.top - s.top) < Math.abs(best - s.top) ? c.top : best),
    0,
  );
  if (Math.abs(over - s.top) > gaugeSlack(wall) && s.top < (gauge.courses.at(-1)?.top ?? 0)) {
    const head = over - wall.unitLength - wall.bed;
    list.push(
      issue({
        ...shared,
        course,
        code: 'soldiers-off-gauge',
        severity: 'choice',
        says: SAYS['soldiers-off']({
          opening: o.name,
          by: Math.abs(over - s.top),
          side: s.top > over ? 'over' : 'under',
        }),
        source: 'unit length and a bed against whole courses',
        tries: () =>
          head > o.sill
            ? [
                {
                  says: SAYS['head-at']({ opening: o.name, at: head }),
                  edit: [
                    {
                      op: 'replace',
                      path: `/walls/${wall.index}/openings/${o.index}/head`,
                      value: toTheTape(wall, head),
                    },
                  ],
                },
              ]
            : [],
      }),
    );
  }
  return list;
}

/** The lengths of the pieces at a jamb, in every course beside the opening. */
function jambPieces(run: BondedRun, gauge: GaugeSolution, o: SetOpening, side: 'left' | 'right'): number[] {
  return gauge.courses.flatMap((c, i) => {
    if (c.bottom < o.sill - SAME_PLACE || c.top > o.head + SAME_PLACE) return [];
    const p = run.rows[i]?.pieces.find((x) =>
      side === 'left' ? Math.abs(x.to - o.from) < 1 : Math.abs(x.from - o.to) < 1,
    );
    return p ? [Math.round(p.to - p.from)] : [];
  });
}

/** Whether both jambs of an opening read alike, course by course. */
export function readsAlike(run: BondedRun, gauge: GaugeSolution, o: SetOpening): boolean {
  const [left, right] = [jambPieces(run, gauge, o, 'left'), jambPieces(run, gauge, o, 'right')];
  return left.length === right.length && left.every((l, i) => Math.abs(l - (right[i] ?? 0)) <= 2);
}

function symmetryIssues(wall: SetWall, run: BondedRun, gauge: GaugeSolution, o: SetOpening): Issue[] {
  if (readsAlike(run, gauge, o)) return [];
  const off = wall.nominal ? wall.head : 0;
  const middle = (o.from + o.to) / 2;
  const width = o.to - o.from;
  const half = (wall.unitLength + wall.head) / 2;
  // Mirrored about the middle of a unit or of a perp, whichever course is looked at.
  const middles = run.lines
    .flatMap((l) => l.u.flatMap((u, i) => [u - l.joint / 2, (u + (l.u[i + 1] ?? u) - l.joint) / 2]))
    .filter((x) => Math.abs(x - middle) <= 2 * half && x - width / 2 > 0)
    .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  const widths = [0, -0.5, 0.5, -1, 1].map((n) => Math.round((width + wall.head) / half + n) * half);
  const path = `/walls/${wall.index}/openings/${o.index}`;
  const places = [...new Set(middles.map((m) => Math.round(m * 10) / 10))].slice(0, 5);
  return [
    issue({
      code: 'opening-not-symmetric',
      stage: 'bond',
      severity: 'choice',
      run: run.index,
      at: middle,
      opening: o.id,
      says: SAYS['not-symmetric']({ opening: o.name }),
      source: 'the pieces at its two jambs, course by course',
      tries: () =>
        [0, ...new Set(widths)].flatMap((w) =>
          places.map((m) => {
            const wide = w === 0 ? width : w + (wall.nominal ? 0 : wall.head);
            const at = m - wide / 2;
            return {
              says:
                w === 0
                  ? SAYS['put-at']({ opening: o.name, at: at + off })
                  : SAYS['put-at-wide']({ opening: o.name, at: at + off, width: wide - off }),
              edit: [
                { op: 'replace' as const, path: `${path}/at`, value: toTheTape(wall, at + off) },
                ...(w === 0
                  ? []
                  : [{ op: 'replace' as const, path: `${path}/width`, value: toTheTape(wall, wide - off) }]),
              ],
            };
          }),
        ),
    }),
  ];
}

/** What is let into the wall, or asked of it, besides its units. */
export function featureIssues(wall: SetWall, gauge: GaugeSolution, runs: readonly BondedRun[]): Issue[] {
  // Of an address without a run the setting out says it.
  const nowhere = wall.changes.filter(
    (c) => c.run >= 0 && (!wall.runs[c.run] || c.course > gauge.courses.length),
  );
  return [
    ...nowhere.map((c) => lostChange(wall, c, SAYS['no-such-course']())),
    ...runs.flatMap((run) => ofRun(wall, gauge, run)),
  ];
}

function ofRun(wall: SetWall, gauge: GaugeSolution, run: BondedRun): Issue[] {
  return [
    ...(run.lost.length > 0 ? lostChanges(wall, run) : []),
    ...wall.piers.filter((p) => p.run === run.index).flatMap((p) => pierIssues(wall, p, run, gauge.count)),
    ...wall.openings
      .filter((o) => o.run === run.index)
      .flatMap((o) => [
        ...(o.soldiers ? soldierIssues(wall, o, gauge) : []),
        ...(o.symmetric ? symmetryIssues(wall, run, gauge, o) : []),
      ]),
  ];
}
