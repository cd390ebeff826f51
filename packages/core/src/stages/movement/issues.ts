import { SAYS } from './messages.js';
import type { Said } from '../../messages/message.js';
import { SAME_PLACE } from '../../measure/length.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { lineOf } from '../../walling/units/lines/lines.js';
import type { PatchStep } from '../../job/edits/patch.js';
import type { MovementJoint } from '../../job/types.js';
import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { SetJoint, SetWall } from '../set-out/wall.js';
import { perpPlaces, proposedJoints } from './proposing.js';
import { isDue, jointSpacing, panelsOfRun, ruleOf } from './spacing.js';
import { isIn, weakPlaces, type WeakPlace } from './weak.js';

/** Joints added to the document as filed. */
function added(wall: SetWall, joints: MovementJoint[]): PatchStep[] {
  const path = `/walls/${wall.index}/joints`;
  if (wall.joints.length === 0) return [{ op: 'add', path, value: joints }];
  return joints.map((value) => ({ op: 'add', path: `${path}/-`, value }));
}

/** Ids no joint of the wall has yet. */
function freshIds(wall: SetWall, count: number): string[] {
  const taken = new Set(wall.joints.map((j) => j.id));
  const ids: string[] = [];
  for (let n = 1; ids.length < count; n++) if (!taken.has(`J${n}`)) ids.push(`J${n}`);
  return ids;
}

export const newJoints = (
  wall: SetWall,
  run: number,
  places: readonly number[],
  refused?: string,
): MovementJoint[] =>
  freshIds(wall, places.length).map((id, i) => ({
    id,
    run,
    at: toTheTape(wall, places[i] ?? 0),
    ...(refused === undefined ? {} : { refused }),
  }));

const jointsAt = (places: readonly number[]): Said =>
  SAYS['joints-at']({ count: places.length, places: places.map((at) => SAYS.place({ at })) });

/** The rule the joints of a run are spaced by, as it is said. */
export function ruleSaid(wall: SetWall, run: number): Said {
  const rule = ruleOf(wall, run);
  if (wall.jointEvery !== null) return SAYS['drawing-says']();
  return rule ? SAYS[`rule-${rule.id}`]() : '';
}

function dueIssue(wall: SetWall, run: BondedRun): Issue[] {
  const due = panelsOfRun(wall, run.index).filter(isDue);
  const first = due[0];
  if (!first || jointSpacing(wall, run.index) === null) return [];
  const places = due.map((panel) => proposedJoints(wall, run, panel));
  const said = {
    run: wall.runs[run.index]?.name ?? wall.name,
    long: first.to - first.from,
    corner: first.start === 'corner' || first.end === 'corner' ? 'yes' : 'no',
    most: first.most,
    rule: wall.jointEvery === null ? ruleSaid(wall, run.index) : SAYS['as-drawn']({ every: wall.jointEvery }),
  } as const;
  // Half of the joints is no way out: where one panel can have none the mason is asked, and nothing is put.
  const none = places.includes(null);
  return [
    issue({
      code: 'control-joint-due',
      stage: 'steel',
      severity: 'choice',
      course: 1,
      run: run.index,
      at: (first.from + first.to) / 2,
      says: none ? SAYS['due-nowhere'](said) : SAYS.due(said),
      source:
        wall.jointEvery === null
          ? (ruleOf(wall, run.index)?.source ?? '')
          : 'the drawing, as stated on the job',
      tries: () => {
        const joints = places.flatMap((p) => p ?? []);
        return none
          ? []
          : [{ says: jointsAt(joints), edit: added(wall, newJoints(wall, run.index, joints)) }];
      },
    }),
  ];
}

/** A perp for every weak place, each as far as it can stand from the ends and other joints: no narrow strip of wall. */
function placesFor(
  wall: SetWall,
  run: BondedRun,
  weak: readonly WeakPlace[],
  standing: readonly number[],
): number[] {
  const perps = perpPlaces(wall, run);
  const places: number[] = [];
  for (const { spans } of weak) {
    if (places.some((x) => isIn(spans, x))) continue;
    const ends = [0, wall.runs[run.index]?.length ?? 0, ...standing, ...places];
    const room = (x: number): number => Math.min(...ends.map((e) => Math.abs(e - x)));
    const [best] = perps.filter((x) => isIn(spans, x)).sort((a, b) => room(b) - room(a));
    if (best !== undefined) places.push(best);
  }
  return places.sort((a, b) => a - b);
}

/** Weak places of a run with no joint, and where one could stand on a perp: one joint may serve two of them. */
function weakIssue(wall: SetWall, run: BondedRun): Issue[] {
  const middles = wall.joints.filter((j) => j.run === run.index).map((j) => (j.from + j.to) / 2);
  const open = weakPlaces(wall, run.index).filter((p) => !middles.some((x) => isIn(p.spans, x)));
  const first = open[0]?.spans[0];
  if (!first) return [];
  // One change of height is as good as another to say.
  const what = new Map(open.map((p) => [JSON.stringify(p.what), p.what]));
  return [
    issue({
      code: 'joint-at-weak-place',
      stage: 'steel',
      severity: 'choice',
      course: 1,
      run: run.index,
      at: (first.from + first.to) / 2,
      says: SAYS.weak({ places: [...what.values()] }),
      source:
        'NCMA TEK 10-2 series: one side of an opening up to 6 ft, both beyond, from memory; 24 in of height at once: common practice',
      tries: () => {
        const places = placesFor(wall, run, open, middles);
        return [
          {
            says: jointsAt(places),
            edit: added(wall, newJoints(wall, run.index, places)),
          },
          {
            says: SAYS['none-there'](),
            edit: added(
              wall,
              newJoints(wall, run.index, places, 'steel beside it and over it holds it together'),
            ),
          },
        ];
      },
    }),
  ];
}

/** Perps a joint could be brought to, the nearest first. */
function perpTries(wall: SetWall, run: BondedRun, joint: SetJoint): Try[] {
  const middle = (joint.from + joint.to) / 2;
  const places = [1, 2].flatMap((course) => {
    const { own, ...line } = lineOf(run.lines, course);
    const { u, joint: perp } = own ?? line;
    return u.slice(1, -1).map((x) => x - perp / 2);
  });
  return [...new Set(places.map((x) => Math.round(x * 1000) / 1000))]
    .filter((x) => Math.abs(x - middle) > SAME_PLACE)
    .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))
    .slice(0, 4)
    .map((x) => ({
      says: SAYS['bring-to-perp']({ to: x }),
      edit: [
        { op: 'replace', path: `/walls/${wall.index}/joints/${joint.index}/at`, value: toTheTape(wall, x) },
      ],
    }));
}

/** Pieces sawn beside a joint that does not stand where a perp would. */
function offBondIssues(wall: SetWall, run: BondedRun): Issue[] {
  return wall.joints
    .filter((j) => j.run === run.index && j.refused === null)
    .flatMap((joint): Issue[] => {
      let count = 0;
      let course = 0;
      for (const [row, uses] of run.uses)
        for (const p of row.pieces) {
          const beside = Math.abs(p.to - joint.from) < 1 || Math.abs(p.from - joint.to) < 1;
          if (!beside || p.cutFrom === null || p.kind === 'half') continue;
          count += uses;
          const at = run.rows.indexOf(row) + 1;
          course = course === 0 ? at : Math.min(course, at);
        }
      if (count === 0) return [];
      const middle = (joint.from + joint.to) / 2;
      return [
        issue({
          code: 'joint-off-bond',
          stage: 'steel',
          severity: 'choice',
          course,
          run: run.index,
          at: middle,
          says: SAYS['sawn-for']({ count, at: middle }),
          source: 'the perps of odd and even courses against the joint',
          tries: () => perpTries(wall, run, joint),
        }),
      ];
    });
}

const refusedIssues = (wall: SetWall): Issue[] =>
  wall.joints
    .filter((j) => j.refused !== null)
    .map((j) =>
      issue({
        code: 'joint-refused',
        stage: 'steel',
        severity: 'note',
        course: 1,
        run: j.run,
        at: (j.from + j.to) / 2,
        says: SAYS.refused({ at: (j.from + j.to) / 2, why: j.refused ?? '' }),
        source: 'refused on this job, with its reason',
      }),
    );

export const movementIssues = (wall: SetWall, runs: readonly BondedRun[]): Issue[] => [
  ...runs.flatMap((run) => [...dueIssue(wall, run), ...weakIssue(wall, run), ...offBondIssues(wall, run)]),
  ...refusedIssues(wall),
];
