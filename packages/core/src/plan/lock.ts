import { setAt, type PatchStep } from '../job/edits/patch.js';
import type { Build, JobDocument, Locked } from '../job/types.js';

/** Keys of the wall that a locked stage keeps as they are. */
const KEPT: Record<Locked, RegExp> = {
  gauge: /^\/walls\/\d+\/(height|build\/(gauge|bed))(\/|$)/,
  bond: /^\/walls\/\d+\/(meets\/on|build\/(bond|wythes|start|corners|closers|cuts))(\/|$)/,
};

/** Whether an edit would change what is locked. */
export const breaksLock = (locked: readonly Locked[], edit: readonly PatchStep[]): boolean =>
  locked.some((stage) => edit.some((step) => KEPT[stage].test(step.path)));

/** What the plan does now, whether or not the file says so. */
export type AsItStands = Required<Pick<Build, 'start' | 'corners' | 'closers' | 'cuts'>> & {
  courses: number;
};

/**
 * Locks a stage's choice, or lets it go. A lock writes down what the plan does now where the file is silent, so that
 * no later edit changes it by default.
 */
export function lockEdit(job: JobDocument, index: number, now: AsItStands, stage: Locked): PatchStep[] {
  const build = job.walls[index]?.build;
  if (!build) return [];
  const path = `/walls/${index}/build`;
  const locked = build.locked ?? [];
  if (locked.includes(stage)) {
    const left = locked.filter((s) => s !== stage);
    return [
      left.length > 0
        ? { op: 'replace', path: `${path}/locked`, value: left }
        : { op: 'remove', path: `${path}/locked` },
    ];
  }
  const said: [string, unknown, unknown][] =
    stage === 'gauge'
      ? [['gauge', build.gauge, { courses: now.courses }]]
      : [
          ['start', build.start, now.start],
          ['corners', build.corners, now.corners],
          ['closers', build.closers, now.closers],
          ['cuts', build.cuts, now.cuts],
        ];
  return [
    ...said
      .filter(([, stated]) => stated === undefined)
      .map(([key, , value]): PatchStep => ({ op: 'add', path: `${path}/${key}`, value })),
    setAt(job, `${path}/locked`, [...locked, stage]),
  ];
}
