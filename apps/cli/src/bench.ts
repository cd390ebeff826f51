import {
  applyPatch,
  checkJob,
  cutBars,
  editOf,
  wallingOf,
  plainDay,
  plan,
  planDay,
  type Day,
  type Job,
  type Plan,
  type WallPlan,
} from '@even-tally/core';
import { exportNamed } from '@even-tally/exports';
import { createWords } from '@even-tally/words';
import { building, near5MB, offBond, reinforced, rubble, runOf } from './benchJobs.js';

/** One call, ms: too long to be taken the middle of many. */
function once(work: () => number): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

/** Two thousand bars of sixty lengths, cut from 20 ft stock. */
function cutList(): number {
  const wanted = Array.from({ length: 60 }, (_, i) => ({
    mark: `M${i}`,
    length: 400 + ((i * 7919) % 5400),
    count: i < 20 ? 34 : 33,
  }));
  return cutBars(wanted, [6096]).bars;
}

const piecesReady = (p: WallPlan): number =>
  p.runs.reduce(
    (sum, r) =>
      wallingOf(p.wall)
        .pieces(p, r.index)
        .reduce((n, c) => n + c.count, sum),
    0,
  );

/** From edit to pieces ready to draw, every run of it. */
function planned(job: Job, before: Plan | null = null): { plan: Plan; pieces: number } {
  const next = plan(job, [], { advise: false, before });
  const p = next.walls[0];
  return { plan: next, pieces: p ? piecesReady(p) : 0 };
}

/** The job with its first opening moved two units along. */
function moved(job: Job): Job {
  const checked = checkJob({
    ...job,
    walls: job.walls.map((w) => ({
      ...w,
      openings: w.openings?.map((o, i) => (i === 0 ? { ...o, at: '10\' 8"' } : o)),
    })),
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

/** Edit after edit: one opening of the job goes to and fro, and each time the job is planned again. */
function editing(job: Job): () => number {
  const turns = [moved(job), job];
  let last = planned(job).plan;
  let n = 0;
  return () => {
    const next = planned(turns[n++ % 2] as Job, last);
    last = next.plan;
    return next.pieces;
  };
}

/** One move of the hand on such a job: tried on the document the drag began with, checked, and told to the planner. */
function moving(job: Job): () => number {
  let [told, n] = [job, 0];
  return () => {
    const at = `${16 + (n++ % 30) / 30}`;
    const tried = applyPatch(job, [
      { op: 'replace', path: '/walls/3/openings/1/at', value: `${at.slice(0, 6)}'` },
    ]);
    const checked = tried.ok ? checkJob(tried.value, { before: job }) : null;
    if (!checked?.ok) throw new Error('the window may stand there');
    const { changes } = editOf(told, checked.job);
    told = checked.job;
    return changes.length;
  };
}

/** With every alternative weighed and every fix tried. */
const advised = (job: Job): number => plan(job).walls[0]?.choices.length ?? 0;

/** The least any planner could do: as many rectangles written into typed arrays. */
function floor(count: number): number {
  const columns = Array.from({ length: 4 }, () => new Float64Array(count));
  const kinds = new Uint8Array(count);
  for (let i = 0; i < count; i++) {
    for (let c = 0; c < 4; c++) (columns[c] as Float64Array)[i] = i * 1.5 + c;
    kinds[i] = i & 7;
  }
  return kinds.length;
}

/** Medians of warm runs, ms, turn about: what slows the machine down slows them alike. */
function medians(...works: (() => number)[]): number[] {
  for (let i = 0; i < 30; i++) for (const work of works) work();
  const samples = works.map((): number[] => []);
  for (let n = 0; n < 31; n++)
    works.forEach((work, k) => {
      // Each sample repeats the work until it is long enough for the clock.
      let repeats = 0;
      const start = performance.now();
      do {
        work();
        repeats++;
      } while (performance.now() - start < 5);
      samples[k]?.push((performance.now() - start) / repeats);
    });
  return samples.map((s) => s.sort((a, b) => a - b)[15] ?? NaN);
}

const median = (work: () => number): number => medians(work)[0] ?? NaN;

/**
 * How many times as long `b` takes as `a`: their medians over hundreds of calls, one after the other. Whatever else the
 * machine does in a few milliseconds it does to both; and a collection of garbage that falls on one call, whoever
 * left it, does not decide.
 */
function timesAsLong(a: () => number, b: () => number): number {
  const [first, second]: [number[], number[]] = [[], []];
  const clock = (work: () => number, into: number[]): void => {
    const start = performance.now();
    work();
    into.push(performance.now() - start);
  };
  for (let i = 0; i < 800; i++) {
    clock(a, first);
    clock(b, second);
  }
  // The first quarter warms up.
  const middle = (list: number[]): number => list.slice(200).sort((p, q) => p - q)[300] ?? NaN;
  return middle(second) / middle(first);
}

/** Six masons at 50 L an hour each from seven to five, with three breaks, out of a 65 L mixer: forty batches and more. */
const DAY: Day = {
  from: 420,
  to: 1020,
  breaks: [
    { from: 570, to: 585 },
    { from: 720, to: 750 },
    { from: 900, to: 915 },
  ],
  demand: [{ from: 420, to: 1020, perHour: (6 * 50) / 1000 }],
  batch: 0.065,
  step: 0.005,
  before: 8,
  lives: [
    { at: 0, life: 150 },
    { at: 780, life: 120 },
  ],
  mixers: 2,
};

/** Bytes of an export that is text. */
function exported(job: Job, kind: string): number {
  const { say } = createWords('en-us', job.show);
  const made = exportNamed(kind)?.make({
    job,
    record: [],
    wall: null,
    run: null,
    show: job.show,
    say,
    now: '2026-11-30T12:00:00Z',
  });
  return made && 'text' in made ? made.text.length : 0;
}

export function bench(): number {
  const small = runOf('166\' 8"', '33\' 4"');
  // Sixteen times as many: four times as long and four times as high.
  const large = runOf('666\' 8"', '133\' 4"');
  const rows = [small, large].map((job) => {
    const { pieces } = planned(job);
    return { pieces, ms: median(() => planned(job).pieces), floor: median(() => floor(pieces)) };
  });
  const house = building();
  const houseMs = median(editing(house));
  const rubbleMs = median(editing(rubble()));
  const withSteel = timesAsLong(editing(house), editing(reinforced(house)));
  const choicesMs = median(() => advised(house));
  const cutMs = median(cutList);
  // Windows off the bond: the first call warms up, for these are long.
  const [few, many] = [offBond(40), offBond(200)];
  advised(few);
  const [fewMs, manyMs] = [once(() => advised(few)), once(() => advised(many))];
  const fewPlanned = median(() => planned(few).pieces);
  const batches = planDay(DAY).batches.length;
  const dayMs = median(() => planDay(DAY).batches.length);
  const plainMs = median(() => plainDay(DAY).batches.length);
  const big = near5MB();
  const moveMs = median(moving(big));
  const wholeMs = once(() => Number(checkJob(big).ok));
  const [dxfMs, ifcMs, elevationMs] = ['dxf', 'ifc', 'svg:elevation'].map((kind) =>
    once(() => exported(small, kind)),
  );
  const [a, b] = rows;
  if (!a || !b) return 1;
  const line = (name: string, r: typeof a): string =>
    `${name}: ${r.pieces} pieces in ${r.ms.toFixed(3)} ms, ${Math.round(r.pieces / r.ms)} a ms, ${(r.ms / r.floor).toFixed(1)} × the floor of ${r.floor.toFixed(4)} ms`;
  process.stdout.write(
    [
      line('166\' 8" × 33\' 4" (6 250 units)', a),
      line('666\' 8" × 133\' 4" (100 000 units)', b),
      `t(100 000) / t(6 250) = ${(b.ms / a.ms).toFixed(1)} (wanted at most 19)`,
      `a building of ${planned(house).pieces} pieces with 20 openings: ${houseMs.toFixed(3)} ms, ${(houseMs / a.ms).toFixed(1)} × the straight run (wanted at most 16 ms)`,
      `the same with its alternatives weighed: ${choicesMs.toFixed(1)} ms, ${(choicesMs / houseMs).toFixed(1)} × without (wanted at most 200 ms)`,
      `40 openings off the bond, advised: ${fewMs.toFixed(0)} ms, ${(fewMs / fewPlanned).toFixed(0)} × planned without (wanted at most 1 500 ms)`,
      `200 of them: ${manyMs.toFixed(0)} ms, ${(manyMs / fewMs).toFixed(1)} × forty (wanted at most 6 000 ms; five times as many)`,
      `6 250 units from edit to pieces ready: ${a.ms.toFixed(3)} ms (wanted at most 16)`,
      `60 m of rubble with ten openings, from edit to stones ready: ${rubbleMs.toFixed(1)} ms, ${(rubbleMs / a.ms).toFixed(1)} × the straight run of block (wanted at most 16 ms)`,
      `the building with its steel and grout: ${(100 * (withSteel - 1)).toFixed(0)} % more than without (wanted at most 25 %)`,
      `a day of ${batches} batches and six masons: ${dayMs.toFixed(1)} ms, ${(dayMs / plainMs).toFixed(0)} × mixing the next when the last is gone (wanted at most 20 ms)`,
      `one move of the hand on a job of ${(JSON.stringify(big).length / 1048576).toFixed(1)} MB: ${moveMs.toFixed(1)} ms, 1/${(wholeMs / moveMs).toFixed(0)} of checking all of it (wanted at most 16 ms)`,
      `6 250 units as DXF: ${(dxfMs ?? NaN).toFixed(0)} ms, ${((dxfMs ?? NaN) / a.ms).toFixed(0)} × planned (wanted at most 2 000 ms); as IFC: ${(ifcMs ?? NaN).toFixed(0)} ms, ${((ifcMs ?? NaN) / a.ms).toFixed(0)} × (wanted at most 5 000 ms); its elevation as SVG: ${(elevationMs ?? NaN).toFixed(0)} ms`,
      `a cut list of 2 000 bars: ${cutMs.toFixed(0)} ms, ${(cutMs / houseMs).toFixed(1)} × that building (wanted at most 1 000 ms)`,
      '',
    ].join('\n'),
  );
  return 0;
}
