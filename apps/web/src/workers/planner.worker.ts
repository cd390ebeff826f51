import {
  advised,
  carry,
  courseAbove,
  Folded,
  listRows,
  listsOf,
  plan,
  sectionOf,
  mudDayView,
  mudView,
  setOutPlan,
  unfolded,
  benchView,
  wallDays,
  working,
  type Job,
  type Plan,
  type Steps,
  type WallPlan,
} from '@even-tally/core';
import { exportLines, exportNamed, toCsv } from '@even-tally/exports';
import { createWords, KEEPING } from '@even-tally/words';
import { Failure, saidBy } from '../state/failure';
import { cardOf } from './card';
import { buffersOf, changeSender } from './changes';
import type { Answer, Ask, BenchAsk, Question, Questions, Told } from './protocol';

const changeOf = changeSender();

/** The job as it was told last: what is asked is of this one. */
let job: Job | null = null;

/** A view asked for, of the job as it was told then: a question that comes before it is drawn may be of another. */
interface Wanted {
  ask: BenchAsk;
  of: Job | null;
}
let waiting: Wanted | null = null;
/** The last view asked for, answered or not. */
let latest: Wanted | null = null;
let awake = false;
/** What was planned last: the next edit leaves most of it standing. */
let before: Plan | null = null;
/** The job it is a plan of. */
let plannedOf: Job | null = null;

const answer = (message: Answer, transfer: ArrayBufferLike[] = []): void =>
  (self as unknown as { postMessage(m: unknown, t: unknown[]): void }).postMessage(message, transfer);

function show(ask: BenchAsk, of: Job, p: WallPlan, isAdvised: boolean): void {
  const run = Math.min(ask.run, p.wall.runs.length - 1);
  const change = changeOf(benchView(of, p, run, ask.show, isAdvised));
  answer({ kind: 'bench', seq: ask.seq, change }, buffersOf(change));
}

/** What was planned last is not pressed for advice at once, ms: the hand may not have come to rest. */
const REST = 60;
/** Advice so far is shown no oftener than this, ms. */
const BETWEEN = 200;
/** So long advice goes on before it gives way to what has come in, ms. */
const SLICE = 16;

/** A wall of a job as it stands. What was planned last is taken over where it serves. */
function planned(of: Job, wall: number): WallPlan | undefined {
  if (plannedOf !== of || before?.walls[0]?.wall.index !== wall)
    before = plan(of, [], { advise: false, only: [wall], before });
  plannedOf = of;
  return before.walls[0];
}

function wallTold(wall: number): WallPlan {
  const p = planned(jobTold(), wall);
  if (!p) throw new Failure(KEEPING.noWall);
  return p;
}

/** Latest wins: pieces first, so that the drawing moves; advice after, left off as soon as something newer comes. */
function work(): void {
  awake = false;
  const wanted = waiting;
  if (!wanted) return;
  waiting = null;
  const { ask, of } = wanted;
  guarded(ask.seq, () => {
    if (!of) throw new Error('No job was told.');
    const p = planned(of, ask.wall);
    if (!p) throw new Failure(KEEPING.noWall);
    show(ask, of, p, false);
    const steps = advised(of, p);
    setTimeout(() => advise(ask, of, steps), REST);
  });
}

/**
 * Advice a slice at a time. What has been ranked and proved so far is shown as soon as there is any, and then now and
 * again: nobody waits for the last opening of a long wall.
 */
function advise(ask: BenchAsk, of: Job, steps: Steps<WallPlan, WallPlan>, told = -Infinity): void {
  if (latest?.ask !== ask) return;
  guarded(ask.seq, () => {
    const until = performance.now() + SLICE;
    let soFar: WallPlan | null = null;
    while (performance.now() < until) {
      const step = steps.next();
      if (step.done) return show(ask, of, step.value, true);
      soFar = step.value ?? soFar;
    }
    const now = performance.now();
    const due = soFar !== null && now - told > BETWEEN;
    if (due && soFar) show(ask, of, soFar, false);
    setTimeout(() => advise(ask, of, steps, due ? now : told), 0);
  });
}

function guarded(seq: number, run: () => void): void {
  try {
    run();
  } catch (error) {
    answer({ kind: 'failed', seq, says: saidBy(error) });
  }
}

function told(data: Told): void {
  if (data.kind === 'job') job = data.job;
  else if (job) job = carry(data.edit, job).document as Job;
}

const jobTold = (): Job => {
  if (!job) throw new Error('No job was told.');
  return job;
};

/** How each question is answered. */
const ANSWERS: {
  [Q in Question]: (asks: Questions[Q]['asks'], part: (done: number) => void) => Questions[Q]['answers'];
} = {
  working: ({ key }) => working(jobTold(), [], key),
  course: ({ wall, course, show: shown, px }) => courseAbove(wallTold(wall), course, shown, px),
  unfolded: ({ wall, show: shown }) => unfolded(wallTold(wall), shown),
  setOut: ({ wall, show: shown }) => setOutPlan(jobTold(), wallTold(wall), shown),
  mud: ({ wall }) => mudView(jobTold(), wallTold(wall)),
  mudDay: ({ wall, ...ask }) => mudDayView(jobTold(), wallTold(wall), ask),
  mudDays: ({ wall, ...ask }) => wallDays(jobTold(), wallTold(wall), ask),
  section: ({ wall, run, show: shown, at }) => {
    const p = wallTold(wall);
    return sectionOf(p, Math.min(run, p.wall.runs.length - 1), shown, at);
  },
  lists: ({ wall, record }) => listsOf(wallTold(wall), new Folded(record)),
  listCsv: ({ wall, record, kind, words, show: shown }) => {
    const list = listsOf(wallTold(wall), new Folded(record)).find((l) => l.kind === kind);
    if (!list) throw new Error(`There is no such list here: ${kind}.`);
    return toCsv(listRows(list, createWords(words, shown).say));
  },
  card: ({ document, wall }) => cardOf(document, wall),
  exports: exportLines,
  export: ({ kind, words, ...asks }, done) => {
    const { say } = createWords(words, asks.show);
    const made = exportNamed(kind)?.make({
      job: jobTold(),
      ...asks,
      say,
      now: new Date().toISOString(),
      done,
    });
    if (!made || !('text' in made)) throw new Error(`There is no such export here: ${kind}.`);
    return made.text;
  },
};

self.onmessage = ({ data }: MessageEvent<Ask | Told>): void => {
  if (data.kind === 'job' || data.kind === 'edit') return told(data);
  if (data.kind === 'bench') {
    latest = waiting = { ask: data, of: job };
    if (!awake) setTimeout(work, 0);
    awake = true;
    return;
  }
  guarded(data.seq, () =>
    answer({
      kind: 'answer',
      seq: data.seq,
      answers: (ANSWERS[data.kind] as (asks: unknown, part: (done: number) => void) => never)(
        data.asks,
        (part) => answer({ kind: 'part', seq: data.seq, part }),
      ),
    }),
  );
};
