import { SAYS } from './messages.js';
import { gaugeSlack, type Course } from '../../../stages/gauge/courses.js';
import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import { SAME_PLACE } from '../../../measure/length.js';
import { issue, type Issue, type Try } from '../../../findings/issue.js';
import { isTangent } from '../../../stages/set-out/line.js';
import { overlapOf, stepEdges, upAt } from '../../../stages/set-out/steps.js';
import type { SetTop, SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { STEP } from '../laying/outline.js';
import { familyOf } from '../../../tables/units.js';
import { bondWays } from './ways.js';
import { toTheTape } from './toTheTape.js';

/** A raked piece shorter on its bed than this is an ear: it breaks off, or is bedded crooked. Common practice, mm. */
const SHORT_EAR = 60;

const nearest = (list: readonly number[], to: number): number | undefined =>
  [...list].sort((a, b) => Math.abs(a - to) - Math.abs(b - to))[0];

/** Heights at which a top means to lie level on a course. */
const levels = (top: SetTop): number[] =>
  top.kind === 'raked'
    ? []
    : top.kind === 'stepped'
      ? top.segments.map((s) => s.left)
      : [top.segments[0]?.left ?? 0, top.segments.at(-1)?.right ?? 0];

function offGauge(wall: SetWall, top: SetTop, courses: readonly Course[]): Issue[] {
  const tops = courses.map((c) => c.top);
  const off = levels(top)
    .map((h) => ({ h, by: h - (nearest(tops, h) ?? h) }))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0];
  if (!off || Math.abs(off.by) <= gaugeSlack(wall)) return [];
  const path = `/walls/${wall.index}/tops/${top.index}`;
  const ends = [top.segments[0]?.left ?? 0, top.segments.at(-1)?.right ?? 0];
  const [left, right] = ends.map((h) => nearest(tops, h) ?? h) as [number, number];
  return [
    issue({
      code: 'top-off-gauge',
      stage: 'bond',
      severity: 'choice',
      run: top.run,
      at: (top.from + top.to) / 2,
      key: `top-off-gauge|${top.id}`,
      says: SAYS['top-off']({
        kind: top.kind,
        at: off.h,
        by: Math.abs(off.by),
        side: off.by > 0 ? 'over' : 'under',
      }),
      source: 'the courses against the heights of the top',
      tries: () => [
        {
          says: SAYS['top-to-courses']({ left, right }),
          edit: [
            { op: 'replace', path: `${path}/left`, value: toTheTape(wall, left) },
            { op: 'replace', path: `${path}/right`, value: toTheTape(wall, right) },
          ],
        },
      ],
    }),
  ];
}

interface Springing {
  x: number;
  /** Height of what stands beside it, and on which side. */
  height: number;
  stands: 'left' | 'right';
}

/** Where a stepped or curved top springs from higher work. */
function springings(wall: SetWall, top: SetTop): Springing[] {
  if (top.kind === 'raked') return [];
  const list: Springing[] = [];
  const s = top.segments;
  const [first, last] = [s[0], s.at(-1)];
  if (!first || !last) return [];
  if (top.kind === 'stepped') {
    s.forEach((one, i) => {
      const next = s[i + 1];
      if (!next) return;
      if (one.right > next.left + SAME_PLACE) list.push({ x: one.to, height: one.right, stands: 'left' });
      if (next.left > one.right + SAME_PLACE) list.push({ x: one.to, height: next.left, stands: 'right' });
    });
    return list;
  }
  const length = wall.runs[top.run]?.length ?? 0;
  const falls = top.kind === 'scallop' || first.left > last.right;
  const rises = top.kind === 'scallop' || last.right > first.left;
  if (falls && top.from > wall.unitLength) list.push({ x: top.from, height: first.left, stands: 'left' });
  if (rises && top.to < length - wall.unitLength)
    list.push({ x: top.to, height: last.right, stands: 'right' });
  return list;
}

/** Springings whose top course ends there on less than a stretcher. */
function onHalf(wall: SetWall, top: SetTop, run: BondedRun, courses: readonly Course[]): Issue[] {
  const bad = springings(wall, top).flatMap((sp) => {
    const n = courses.filter((c) => c.top <= sp.height + gaugeSlack(wall)).length;
    const pieces = (run.rows[n - 1]?.pieces ?? []).filter((p) => p.rake === undefined);
    const ends =
      sp.stands === 'left'
        ? pieces.filter((p) => p.to <= sp.x + wall.head).at(-1)
        : pieces.find((p) => p.from >= sp.x - wall.head);
    return ends && ends.to - ends.from < 0.7 * wall.unitLength ? [{ ...sp, course: n }] : [];
  });
  const worst = bad[0];
  if (!worst) return [];
  const path = `/walls/${wall.index}/tops/${top.index}`;
  const half = (wall.unitLength + wall.head) / 2;
  const moved = (by: number): Try => ({
    says: SAYS['move-top']({ kind: top.kind, by: Math.abs(by), way: by < 0 ? 'left' : 'right' }),
    edit: [
      { op: 'replace', path: `${path}/from`, value: toTheTape(wall, top.from + by) },
      { op: 'replace', path: `${path}/to`, value: toTheTape(wall, top.to + by) },
    ],
  });
  const tread = (by: number): Try => ({
    says: SAYS['make-top']({ kind: top.kind, by: Math.abs(by), way: by < 0 ? 'shorter' : 'longer' }),
    edit: [{ op: 'replace', path: `${path}/to`, value: toTheTape(wall, top.to + by) }],
  });
  const count = top.segments.length;
  return [
    issue({
      code: 'top-starts-on-half',
      stage: 'bond',
      severity: 'note',
      course: worst.course,
      run: top.run,
      at: worst.x,
      key: `top-starts-on-half|${top.id}`,
      says: SAYS['springs-from-half']({
        kind: top.kind,
        at: worst.x,
        course: worst.course,
        unit: familyOf(wall.unit),
      }),
      source: 'common practice',
      tries: () => [
        ...bondWays(wall)
          .filter((w) => w.kind.startsWith('start-') && w.edit.length > 0)
          .map((w) => ({ says: w.name, edit: w.edit })),
        moved(half),
        moved(-half),
        ...(top.kind === 'stepped' ? [tread(half * count), tread(-half * count)] : []),
      ],
    }),
  ];
}

/** Raked pieces too short on their bed to hold. */
function ears(wall: SetWall, run: BondedRun): Issue[] {
  const found = run.rows.flatMap((row, i) =>
    row.pieces
      .filter((p) => p.rake && p.to - p.from < SHORT_EAR)
      .map((p) => ({ course: i + 1, at: (p.from + p.to) / 2, length: p.to - p.from })),
  );
  const first = found[0];
  if (!first) return [];
  const least = Math.min(...found.map((f) => f.length));
  return [
    issue({
      code: 'thin-ear',
      stage: 'bond',
      severity: 'note',
      course: first.course,
      to: found.at(-1)?.course ?? null,
      run: run.index,
      at: first.at,
      says: SAYS.ears({ count: found.length, length: least }),
      source: 'common practice',
    }),
  ];
}

const levelOf = (courses: readonly Course[], up: number): number =>
  up === 0 ? 0 : (courses[up - 1]?.top ?? 0);

function stepNote(wall: SetWall, courses: readonly Course[]): Issue[] {
  const list = stepEdges(wall, (up) => levelOf(courses, up));
  const worst = [...list].sort((a, b) => Math.abs(b.left - b.right) - Math.abs(a.left - a.right))[0];
  if (!worst) return [];
  const rise = Math.abs(worst.left - worst.right);
  const depth = wall.footing?.depth ?? 0;
  const deep = depth > 0 && rise > depth + SAME_PLACE;
  return [
    issue({
      code: 'footing-step',
      stage: 'set-out',
      severity: deep ? 'choice' : 'note',
      course: 1,
      run: worst.step.run,
      at: worst.x,
      says: deep
        ? SAYS['footing-steps-deep']({ times: list.length, rise, over: overlapOf(rise, depth), deep: depth })
        : SAYS['footing-steps']({ times: list.length, rise, over: overlapOf(rise, depth) }),
      source: 'Approved Document A, 2E2, from memory; local code decides',
    }),
  ];
}

/** Runs that meet at a corner with their footings at different levels. */
function stepsAtCorners(wall: SetWall): Issue[] {
  return wall.line.corners
    .filter((c) => !isTangent(c.turn))
    .flatMap((c): Issue[] => {
      const length = wall.runs[c.from]?.length ?? 0;
      const [before, after] = [upAt(wall, c.from, length), upAt(wall, c.to, 0)];
      if (before === after) return [];
      const [low, at] = before < after ? [c.from, length] : [c.to, 0];
      const high = wall.steps.find(
        (s) => s.run === (low === c.from ? c.to : c.from) && s.up === Math.max(before, after),
      );
      // A whole unit and no joint: the corner’s courses then end plumb against the concrete.
      const clear = wall.unitLength;
      const path = `/walls/${wall.index}/steps/${high?.index}`;
      const back =
        high &&
        (low === c.from
          ? { key: 'from', at: clear }
          : { key: 'to', at: (wall.runs[c.from]?.length ?? 0) - clear });
      return [
        issue({
          code: 'step-at-corner',
          stage: 'set-out',
          severity: 'fault',
          course: Math.min(before, after) + 1,
          run: low,
          at,
          key: `step-at-corner|${c.from}`,
          says: SAYS['step-at-corner']({
            before: wall.runs[c.from]?.name ?? '',
            after: wall.runs[c.to]?.name ?? '',
            one: before,
            other: after,
          }),
          source: 'the corner unit needs one bed under it',
          tries: () =>
            back
              ? [
                  {
                    says: SAYS['step-clear'](),
                    edit: [
                      {
                        op: 'replace' as const,
                        path: `${path}/${back.key}`,
                        value: toTheTape(wall, back.at),
                      },
                    ],
                  },
                ]
              : [],
        }),
      ];
    });
}

/** Steps whose plumb ends cut units: the place may be moved to a perp. */
function stepsOffBond(wall: SetWall, run: BondedRun): Issue[] {
  const steps = wall.steps.filter((s) => s.run === run.index);
  return steps.flatMap((s): Issue[] => {
    const cut = run.rows
      .slice(0, s.up)
      .flatMap((row) => row.pieces.filter((p) => p.opening === STEP))
      .filter((p) => Math.abs(p.to - s.from) < 1 || Math.abs(p.from - s.to) < 1);
    if (cut.length === 0) return [];
    const length = wall.runs[run.index]?.length ?? 0;
    const path = `/walls/${wall.index}/steps/${s.index}`;
    const from =
      nearest(
        run.lines.flatMap((l) => l.u.map((u) => u - l.joint)),
        s.from,
      ) ?? s.from;
    const to =
      nearest(
        run.lines.flatMap((l) => l.u),
        s.to,
      ) ?? s.to;
    const edit: Try['edit'] = [
      ...(s.from > 1
        ? [{ op: 'replace' as const, path: `${path}/from`, value: toTheTape(wall, Math.max(0, from)) }]
        : []),
      ...(s.to < length - 1
        ? [{ op: 'replace' as const, path: `${path}/to`, value: toTheTape(wall, to) }]
        : []),
    ];
    return [
      issue({
        code: 'step-off-bond',
        stage: 'bond',
        severity: 'choice',
        course: 1,
        to: s.up,
        run: run.index,
        at: s.from > 1 ? s.from : s.to,
        key: `step-off-bond|${s.id}`,
        says: SAYS['step-off']({ count: cut.length }),
        source: 'the perps of odd and even courses against the step',
        tries: () => (edit.length > 0 ? [{ says: SAYS['step-to-perps'](), edit }] : []),
      }),
    ];
  });
}

/** What a footing that steps and a top that is not level make of the bond. */
export function outlineIssues(wall: SetWall, gauge: GaugeSolution, runs: readonly BondedRun[]): Issue[] {
  if (wall.tops.length === 0 && wall.steps.length === 0) return [];
  const { courses } = gauge;
  return [
    ...stepNote(wall, courses),
    ...stepsAtCorners(wall),
    ...wall.tops.flatMap((top) => {
      const run = runs.find((r) => r.index === top.run);
      return run ? [...offGauge(wall, top, courses), ...onHalf(wall, top, run, courses)] : [];
    }),
    ...runs.flatMap((run) => [...ears(wall, run), ...stepsOffBond(wall, run)]),
  ];
}
