import {
  millimetres,
  writeLength,
  type Job,
  type PatchStep,
  type Show,
  type Stated,
  type BenchView,
} from '@even-tally/core';

/** As a tape or a staff is read: to a tenth. */
export const asRead = (mm: number, show: Show): Stated =>
  writeLength(millimetres(Math.round(mm * 10) / 10), show);

/** A spot on the footing is read by the staff where an instrument is set up; what was simulated is a level. */
export const readByStaff = (job: Job, view: BenchView, index: number): number | null => {
  const spot = job.walls[view.wall.index]?.poured?.[index];
  return spot?.simulated ? null : view.site.instrument;
};

/**
 * A spot's level, or the staff's reading on it: one puts the other aside. As read it stands as that, so that where the
 * instrument was set up wrong one figure puts all of them right.
 */
export function spotRead(
  job: Job,
  wall: number,
  index: number,
  key: 'level' | 'reading',
  value: Stated,
): PatchStep[] {
  const path = `/walls/${wall}/poured/${index}`;
  const other = key === 'level' ? 'reading' : 'level';
  const spot = job.walls[wall]?.poured?.[index];
  return [
    { op: 'add', path: `${path}/${key}`, value },
    ...(spot?.[other] === undefined ? [] : [{ op: 'remove' as const, path: `${path}/${other}` }]),
  ];
}

/** Tapes of a building of two lengths, as they would read if it were right: to be typed over. */
export const tapesBegun = (view: BenchView, show: Show): PatchStep[] => {
  const [a, b] = [view.runs[0]?.length ?? 0, view.runs[1]?.length ?? 0];
  return [
    {
      op: 'add',
      path: `/walls/${view.wall.index}/square`,
      value: {
        sides: [a, b, a, b].map((n) => asRead(n, show)),
        diagonals: [asRead(Math.hypot(a, b), show)],
      },
    },
  ];
};

export const taped = (
  job: Job,
  wall: number,
  list: 'sides' | 'diagonals',
  i: number,
  value: Stated,
): PatchStep[] => [
  {
    op: job.walls[wall]?.square?.[list][i] === undefined ? 'add' : 'replace',
    path: `/walls/${wall}/square/${list}/${i}`,
    value,
  },
];
