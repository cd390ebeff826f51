import { SAYS } from '../walling/units/judging/messages.js';
import { bondCost } from '../walling/units/judging/cost.js';
import { runEnds } from '../walling/units/lines/ends.js';
import type { PatchStep } from '../job/edits/patch.js';
import type { Job, JobDocument } from '../job/types.js';
import type { Candidate } from '../findings/finding.js';
import type { Steps } from './steps.js';
import { workWall } from './work.js';

/** Walls bonded or toothed into one another, directly or by way of others, by place in the document. */
export function bondedTogether(job: JobDocument, index: number): number[] {
  const joined = (a: number, b: number): boolean => {
    const into = (from: number, to: number): boolean => {
      const meets = job.walls[from]?.meets;
      return meets !== undefined && (meets.how ?? 'tied') !== 'tied' && meets.wall === job.walls[to]?.id;
    };
    return into(a, b) || into(b, a);
  };
  const group = [index];
  for (const one of group)
    job.walls.forEach((_, other) => {
      if (!group.includes(other) && joined(one, other)) group.push(other);
    });
  return group.sort((a, b) => a - b);
}

/** A thing that can be one way or the other: how a wall begins, or in which courses it goes into another. */
interface Turn {
  path: string;
  values: readonly [string, string];
  now: string;
}

function turnsOf(job: JobDocument, group: readonly number[]): Turn[] {
  return group.flatMap((i): Turn[] => {
    const { wall } = workWall(job, i);
    const free = runEnds(wall)[0]?.start.other === null;
    const list: Turn[] = free
      ? [{ path: `/walls/${i}/build/start`, values: ['whole', 'half'], now: wall.start }]
      : [];
    if (wall.goesIn)
      list.push({ path: `/walls/${i}/meets/on`, values: ['even', 'odd'], now: wall.goesIn.on });
    return list;
  });
}

/** More turns than this are taken one at a time until none helps, instead of every way there is. */
const EVERY_WAY = 6;

/**
 * How all the walls that bond into one another begin, and in which courses they meet, for the least cost of all of
 * them together. Null where no other wall is concerned.
 */
export function* togetherCandidate(
  job: JobDocument,
  index: number,
  edited: (edit: PatchStep[]) => Job | null,
): Steps<Candidate | null> {
  const group = bondedTogether(job, index);
  if (group.length < 2) return null;
  const turns = turnsOf(job, group);
  const editOf = (values: readonly string[]): PatchStep[] =>
    turns.flatMap((t, k): PatchStep[] =>
      values[k] === t.now ? [] : [{ op: 'add', path: t.path, value: values[k] }],
    );
  const known = new Map<string, number>();
  function* costOf(values: readonly string[]): Steps<number> {
    const key = values.join();
    const cost = known.get(key);
    if (cost !== undefined) return cost;
    yield;
    const steps = editOf(values);
    const there = steps.length === 0 ? job : edited(steps);
    const sum = there
      ? group.reduce((total, i) => {
          const work = workWall(there, i);
          return total + bondCost(work.wall, work.runs).total;
        }, 0)
      : Infinity;
    known.set(key, sum);
    return sum;
  }
  const now = turns.map((t) => t.now);
  let best = now;
  function* consider(values: string[]): Steps<boolean> {
    if ((yield* costOf(values)) >= (yield* costOf(best)) - 1e-9) return false;
    best = values;
    return true;
  }
  if (turns.length <= EVERY_WAY) {
    for (let n = 0; n < 2 ** turns.length; n++)
      yield* consider(turns.map((t, k) => t.values[(n >> k) & 1] as string));
  } else {
    const other = (k: number): string[] =>
      best.map((v, i) => (i === k ? (turns[k]?.values.find((x) => x !== v) ?? v) : v));
    for (let helped = true; helped;) {
      helped = false;
      for (let k = 0; k < turns.length && !helped; k++) helped = yield* consider(other(k));
    }
  }
  const walls = group.map((i) => job.walls[i]?.name ?? '');
  const [was, least] = [yield* costOf(now), yield* costOf(best)];
  const saved = was - least;
  const edit = editOf(best);
  return {
    stage: 'bond',
    kind: 'starts-together',
    name: edit.length === 0 ? SAYS['all-as-now']() : SAYS['begin-together'](),
    says:
      edit.length === 0
        ? SAYS['together-best']({ walls })
        : SAYS['together-less']({ walls, less: Math.round(saved) }),
    edit,
    cost: edit.length === 0 ? was : least,
    applied: edit.length === 0,
  };
}
