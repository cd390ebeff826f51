import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { groundIssues } from './issues.js';
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

export const ground = stage<'ground', Laid, GroundWork>({
  id: 'ground',
  shown: 'set-out',
  needs: ['set-out', 'gauge', 'bond'],
  work: (made, { job }) => ({ survey: surveyOf(job, made.wall, (run) => firstLaid(made, run)) }),
  issues: groundIssues,
});
