import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import { sayMm } from '../measure/format.js';
import { issue, type Issue, type Try } from '../plan/issue.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import type { BondedRun } from './bond.js';
import { innerWythe } from './back.js';
import { curveIssues, squintIssues, type CurvedLeaf } from './curveIssues.js';
import { gapIssues } from './gapIssues.js';
import { written } from './written.js';
import { lapFaults, SIXTY_FOURTH, type Chain, type LapRules } from './laps.js';
import type { Piece, Row } from './row.js';
import { jambPlaces, lengthTries, snapTries } from './snap.js';
import { bondWays } from './ways.js';
import { headLimits, leastPieceOf, lineOf, within } from './lines.js';

interface Found {
  count: number;
  smallest: number;
  course: number;
  to: number;
  at: number;
}

/** `span`: first and last course of the row the piece stands in. */
function note(
  into: Map<number, Found>,
  opening: number,
  length: number,
  span: [number, number],
  uses: number,
  at: number,
): void {
  const was = into.get(opening);
  const [course, to] = span;
  if (!was) into.set(opening, { count: uses, smallest: length, course, to, at });
  else {
    was.count += uses;
    if (length < was.smallest - SAME_PLACE) Object.assign(was, { smallest: length, at });
    was.course = Math.min(was.course, course);
    was.to = Math.max(was.to, to);
  }
}

/** Which opening, if any, stands against a piece in its row. */
function besideOpening(wall: SetWall, run: number, from: number, to: number): number {
  return (
    wall.openings.find((o) => o.run === run && (Math.abs(o.from - to) < 1 || Math.abs(o.to - from) < 1))
      ?.index ?? -1
  );
}

/** Whether both jambs of an opening come within a joint of a perp of the run's own, in odd courses or in even ones. */
function standsOnPerps(wall: SetWall, run: BondedRun, o: SetOpening): boolean {
  const limits = headLimits(wall);
  const { left, right } = jambPlaces(run);
  const met = (places: readonly number[], x: number, wider: 1 | -1): boolean =>
    within(places, x - 50, x + 50).some((p) => {
      const off = wider * (x - p);
      return off <= limits.most - wall.head + SAME_PLACE && -off <= wall.head - limits.least + SAME_PLACE;
    });
  return met(left, o.from, 1) && met(right, o.to, -1);
}

/** Shorter than the least worth laying, by more than a 64th, and not the bond's own closer or what a slope leaves. */
const isSliver = (p: Piece, least: number): boolean =>
  p.to - p.from < least - SIXTY_FOURTH &&
  p.kind !== 'closer' &&
  !p.rake &&
  !p.special &&
  p.fitting !== 'soldier';

function pieceIssues(wall: SetWall, run: BondedRun, leaf: Leaf): Issue[] {
  const least = leaf.leastPiece;
  const say = (n: number): string => sayMm(n, wall.show);
  const slivers = new Map<number, Found>();
  const cuts = new Map<number, Found>();
  for (const [row, uses] of leaf.uses) {
    const span: [number, number] = [leaf.rows.indexOf(row) + 1, leaf.rows.lastIndexOf(row) + 1];
    for (const p of row.pieces) {
      const length = p.to - p.from;
      const at = (p.from + p.to) / 2;
      if (leaf.name === '' && p.opening >= 0) note(cuts, p.opening, length, span, uses, at);
      // A closer is the bond's own.
      if (isSliver(p, least)) {
        const opening = p.opening >= 0 ? p.opening : besideOpening(wall, run.index, p.from, p.to);
        note(slivers, opening, length, span, uses, at);
      }
    }
  }
  const list: Issue[] = [];
  for (const [index, f] of slivers) {
    const o = wall.openings[index];
    list.push(
      issue({
        code: 'sliver',
        stage: 'bond',
        severity: 'fault',
        course: f.course,
        to: f.to,
        run: run.index,
        at: f.at,
        opening: o?.id ?? null,
        says: `${f.count === 1 ? 'A piece' : `${f.count} pieces`} as short as ${say(f.smallest)}${leaf.name === '' ? '' : ` in ${leaf.name}`}${o ? ` against ${o.name}` : ''}; the least worth laying is ${say(least)}.`,
        source: wall.profile.leastPieceSource,
        tries: () => [...(o ? snapTries(wall, run, o) : lengthTries(wall, run.index)), ...wayTries(wall)],
      }),
    );
  }
  // Where panels were laid to the reveals, joints may have taken all of it: the jambs stand off the bond all the same.
  if (leaf.name !== '') return list;
  for (const index of new Set([...cuts.keys(), ...(run.lines[0]?.off ?? [])])) {
    const o = wall.openings[index];
    // On the perps of one course or the other, what the rest are cut to is the bond's own.
    if (!o || standsOnPerps(wall, run, o)) continue;
    const f = cuts.get(index);
    list.push(
      issue({
        code: 'opening-off-bond',
        stage: 'bond',
        severity: 'choice',
        course: f?.course ?? 1,
        to: f?.to ?? null,
        run: run.index,
        at: (o.from + o.to) / 2,
        opening: o.id,
        says: f
          ? `${f.count} ${f.count === 1 ? 'piece is' : 'pieces are'} sawn for ${o.name}, the smallest ${say(f.smallest)}: its jambs stand off the perps.`
          : `The jambs of ${o.name} stand off the run’s own perps: what stands beside it is laid to meet them.`,
        source: 'the perps of odd and even courses against the jambs',
        tries: () => snapTries(wall, run, o),
      }),
    );
  }
  return list;
}

const wayTries = (wall: SetWall): Try[] =>
  bondWays(wall)
    .filter((w) => w.edit.length > 0)
    .map((w) => ({ says: w.name, edit: w.edit }));

/** The two openings of a run nearest a place: a joint over there is not theirs to settle. */
const openingsNear = (wall: SetWall, run: number, at: number): SetWall['openings'] =>
  wall.openings
    .filter((o) => o.run === run)
    .sort((a, b) => Math.abs((a.from + a.to) / 2 - at) - Math.abs((b.from + b.to) / 2 - at))
    .slice(0, 2);

/** A wall bonded in goes astride the middle of a unit of the courses it stays out of: its nearest such places. */
function branchTries(wall: SetWall, run: BondedRun, at: number): Try[] {
  const near = wall.branches
    .filter((b) => b.run === run.index)
    .sort((a, b) => Math.abs(a.from - at) - Math.abs(b.from - at))[0];
  if (!near) return [];
  const { u, joint } = lineOf(run.lines, near.on === 'odd' ? 2 : 1);
  const width = near.to - near.from;
  return u
    .slice(0, -1)
    .map((x, i) => (x + (u[i + 1] ?? x) - joint) / 2 - width / 2)
    .filter((from) => from > wall.unitLength)
    .sort((a, b) => Math.abs(a - near.from) - Math.abs(b - near.from))
    .slice(0, 2)
    .map((from) => ({
      says: `Bring ${near.name} in at ${sayMm(from, wall.show)}, astride a unit`,
      edit: [{ op: 'replace', path: `/walls/${near.index}/meets/at`, value: written(wall, from) }],
    }));
}

/** A leaf whose laps and pieces are judged: the outer one, or one behind it. */
interface Leaf {
  rows: readonly Row[];
  uses: ReadonlyMap<Row, number>;
  leastPiece: number;
  rules: LapRules;
  /** What a sentence calls it, empty for the outer one. */
  name: string;
}

/** The leaves of a run: its face, its second wythe where that is laid by itself, and the leaf behind a cavity. */
function leavesOf(wall: SetWall, run: BondedRun, inner: InnerToJudge | null): Leaf[] {
  const rules = lapRules(wall);
  const leastPiece = leastPieceOf(wall);
  const leaves: Leaf[] = [{ rows: run.rows, uses: run.uses, leastPiece, rules, name: '' }];
  if (run.back && wall.wythes === 2 && wall.bond.family !== 'header')
    leaves.push({ ...run.back, leastPiece, rules, name: 'the inner wythe' });
  const own = inner?.runs.find((r) => r.index === run.index);
  if (inner && own)
    leaves.push({
      rows: own.rows,
      uses: own.uses,
      leastPiece: leastPieceOf(inner.wall),
      rules: lapRules(inner.wall),
      name: 'the inner leaf',
    });
  return leaves;
}

const lapRules = (wall: SetWall): LapRules => ({
  joint: wall.head,
  // Stack bond has no lap and is said so once; its perps are meant to stand in line.
  least: wall.bond.step === 0 ? 0 : toMillimetres(wall.profile.leastLap(wall.unit)),
});

function chainIssues(wall: SetWall, run: BondedRun, leaf: Leaf): Issue[] {
  if (leaf.rules.least === 0) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  const of = leaf.name === '' ? '' : ` in ${leaf.name}`;
  const { straight, short } = lapFaults(leaf.rows, leaf.rules);
  const groups = new Map<string, Chain[]>();
  for (const chain of straight) {
    const key = `${chain.from}-${chain.to}`;
    groups.set(key, [...(groups.get(key) ?? []), chain]);
  }
  if (short.length > 0) groups.set('short', short);
  return [...groups].map(([key, found]) => {
    const first = found[0] as Chain;
    const from = Math.min(...found.map((c) => c.from));
    const to = Math.max(...found.map((c) => c.to));
    const places =
      found.length === 1 ? `at ${say(first.at)}` : `in ${found.length} places, the first at ${say(first.at)}`;
    const shared = {
      stage: 'bond' as const,
      course: from,
      to,
      run: run.index,
      at: first.at,
      source: wall.profile.leastLapSource,
      tries: () => [
        ...wayTries(wall),
        ...lengthTries(wall, run.index),
        ...openingsNear(wall, run.index, first.at).flatMap((o) => snapTries(wall, run, o).slice(0, 2)),
        ...branchTries(wall, run, first.at),
      ],
    };
    if (key === 'short') {
      return issue({
        ...shared,
        code: 'lap-short',
        severity: 'note',
        says: `Perps lap ${say(Math.min(...found.map((c) => c.lap)))} ${places}${of}; the least lap is ${say(leaf.rules.least)}.`,
      });
    }
    const courses = first.to - first.from + 1;
    return issue({
      ...shared,
      code: 'straight-joint',
      severity: courses > 2 ? 'fault' : 'note',
      says: `${courses} perps stand in line ${places}${of}, courses ${first.from} to ${first.to}.`,
    });
  });
}

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
  const say = (n: number): string => sayMm(n, wall.show);
  return [
    issue({
      code: 'head-joint-out',
      stage: 'bond',
      severity: 'fault',
      course: worst.course,
      to: worst.course,
      run: run.index,
      at: worst.at,
      says: `${count} head ${count === 1 ? 'joint is' : 'joints are'} outside ${say(limits.least)} to ${say(limits.most)}; the worst is ${say(worst.width)}.`,
      source: wall.profile.head.source,
      tries: () => [...lengthTries(wall, run.index), ...wayTries(wall)],
    }),
  ];
}

/** The first course over an opening, by place in the list; −1 where nothing stands over it. */
const courseOver = (run: BondedRun, o: SetOpening): number =>
  run.rows.findIndex((row) => row.bridges?.includes(o.index) === true);

function lintelIssue(wall: SetWall, run: BondedRun): Issue[] {
  const openings = wall.openings.filter((o) => o.run === run.index && courseOver(run, o) >= 0);
  const first = openings[0];
  if (!first) return [];
  return [
    issue({
      code: 'lintel-not-designed',
      stage: 'bond',
      severity: 'note',
      run: run.index,
      at: (first.from + first.to) / 2,
      course: courseOver(run, first) + 1,
      says: `Over ${openings.map((o) => o.name).join(', ')} the first course is marked as beam, but nothing here sizes a lintel. Local code and licensed people decide what carries the wall.`,
      source: 'structural questions are outside this program',
    }),
  ];
}

/** Bricks that cannot bond through the wall, and a bond that has no lap: said once for the wall. */
function kindIssues(wall: SetWall): Issue[] {
  const say = (n: number): string => sayMm(n, wall.show);
  const path = `/walls/${wall.index}/build`;
  if (wall.bond.step === 0) {
    return [
      issue({
        code: 'stack-bond',
        stage: 'bond',
        severity: 'note',
        course: 1,
        says: 'Stack bond has no lap: the wall hangs together only by what is laid in its beds. How much reinforcement it takes is for local code and a licensed engineer.',
        source: 'TMS 402: not laid in running bond; from memory',
      }),
    ];
  }
  const two = 2 * wall.unitWidth + wall.head;
  const short = two - wall.unitLength;
  const limits = headLimits(wall);
  if (wall.bond.family !== 'header' || wall.wythes === 1 || short <= wall.head - limits.least + SAME_PLACE)
    return [];
  return [
    issue({
      code: 'header-bond-impossible',
      stage: 'bond',
      severity: 'fault',
      course: 1,
      says: `A header of ${say(wall.unitLength)} cannot reach across two widths and a joint, ${say(two)}: these units do not bond through the wall.`,
      source: 'length must be 2 × width + joint: geometry',
      tries: () => [
        {
          says: 'Lay two wythes in half bond and tie them',
          edit: [{ op: 'replace', path: `${path}/bond`, value: 'half' }],
        },
        {
          says: `Lay ${wall.bond.name} in one wythe, its headers snapped`,
          edit: [{ op: 'add', path: `${path}/wythes`, value: 1 }],
        },
      ],
    }),
  ];
}

/** The leaf behind a cavity, as far as its bond is judged. */
export interface InnerToJudge {
  wall: SetWall;
  runs: readonly BondedRun[];
}

/** The leaves of a run as a curve takes them: each on its own radius. */
function curvedLeaves(wall: SetWall, run: BondedRun, inner: InnerToJudge | null): CurvedLeaf[] {
  const radius = wall.runs[run.index]?.radius ?? null;
  if (radius === null) return [];
  const leaves: CurvedLeaf[] = [{ wall, joint: run.lines[0]?.joint ?? wall.head, name: '', behind: 0 }];
  if (run.back && wall.wythes === 2 && wall.bond.family !== 'header') {
    const joint = run.back.rows[0]?.perps[0]?.width ?? wall.head;
    const behind = wall.unitWidth + wall.head;
    leaves.push({ wall: innerWythe(wall).wall, joint, name: 'the inner wythe', behind });
  }
  const own = inner?.runs.find((r) => r.index === run.index);
  if (inner && own) {
    const behind = Math.abs(radius - (inner.wall.runs[run.index]?.radius ?? radius));
    leaves.push({
      wall: inner.wall,
      joint: own.lines[0]?.joint ?? inner.wall.head,
      name: 'the inner leaf',
      behind,
    });
  }
  return leaves;
}

export function bondIssues(wall: SetWall, runs: BondedRun[], inner: InnerToJudge | null = null): Issue[] {
  return [
    ...kindIssues(wall),
    ...squintIssues(wall, runs),
    ...runs.flatMap((run) => [
      ...leavesOf(wall, run, inner).flatMap((leaf) => [
        ...chainIssues(wall, run, leaf),
        ...pieceIssues(wall, run, leaf),
      ]),
      ...jointIssues(wall, run),
      ...gapIssues(wall, run),
      ...lintelIssue(wall, run),
      ...curvedLeaves(wall, run, inner).flatMap((leaf) => curveIssues(run, leaf)),
    ]),
  ];
}
