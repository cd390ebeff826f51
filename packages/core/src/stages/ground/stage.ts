import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { line, path, shape, words, type SceneShape } from '../../shapes/shape.js';
import { groundIssues } from './issues.js';
import { SAYS } from './messages.js';
import { surveyOf, type FirstLaid, type Survey } from './survey.js';

/** What was measured of the ground, the footing as poured and the old work, against what is to stand on it. */
export interface GroundWork {
  survey: Survey;
}

type Laid = SetOutWork & GaugeWork & BondWork;

/** The units of a run that stand on its footing: course one, and the first course over each step. */
function firstLaid({ wall, gauge, runs }: Laid, run: number): FirstLaid[] {
  const rows = runs.find((r) => r.index === run)?.rows;
  const on = (up: number, from: number, to: number): FirstLaid[] =>
    (rows?.[up]?.pieces ?? [])
      .filter((p) => p.from >= from - 1 && p.to <= to + 1)
      .map((p) => ({ from: p.from, to: p.to, rise: up === 0 ? 0 : (gauge.courses[up - 1]?.top ?? 0) }));
  const steps = wall.steps.filter((s) => s.run === run);
  return [...on(0, -Infinity, Infinity), ...steps.flatMap((s) => on(s.up, s.from, s.to))].sort(
    (a, b) => a.from - b.from,
  );
}

/** Beside the wall, mm: where its offsets are written. */
const BESIDE = 60;

/** The old wall under a new one as it leans, the new faces coming back to plumb over it, how far each course stands out, and the middle third of the old bed. */
function fadeSection({ survey, wall }: Laid & GroundWork): SceneShape[] {
  const { fade } = survey;
  if (!fade) return [];
  const { old, courses } = fade;
  const deep = wall.thickness;
  // The wall is drawn plumb from where it has come back to: the old foot lies in from there.
  const plumb = courses.at(-1)?.offset ?? old.out;
  const face = (offset: number): number => plumb - offset;
  const steps = courses.slice(0, old.over);
  const stepped = (x: number): (readonly [number, number])[] =>
    steps.flatMap((c, i) => {
      const bottom = i === 0 ? 0 : (steps[i - 1]?.top ?? 0);
      return [[face(c.offset) + x, bottom] as const, [face(c.offset) + x, c.top] as const];
    });
  const third = (part: number): SceneShape =>
    line('dimension', face(old.out) + deep * part, -old.height / 4, face(old.out) + deep * part, 0);
  return [
    shape('old-wall', [
      [face(0), -old.height],
      [face(0) + deep, -old.height],
      [face(old.out) + deep, 0],
      [face(old.out), 0],
    ]),
    path('fade-face', stepped(0)),
    path('fade-face', stepped(deep)),
    third(1 / 3),
    third(2 / 3),
    words('dimension-name', face(old.out) + deep / 2, -old.height / 8, SAYS['middle-third'](), 'middle'),
    ...steps.map((c) =>
      words(
        c.inMiddleThird ? 'dimension-name' : 'fade-out',
        deep + BESIDE + Math.abs(plumb),
        c.top - wall.unitHeight / 2,
        SAYS['course-out']({ course: c.course, by: c.offset }),
        'start',
      ),
    ),
  ];
}

export const ground = stage<'ground', Laid, GroundWork>({
  id: 'ground',
  shown: 'set-out',
  needs: ['set-out', 'gauge', 'bond'],
  work: (made, { job }) => ({ survey: surveyOf(job, made.wall, (run) => firstLaid(made, run)) }),
  issues: groundIssues,
  section: fadeSection,
});
