import type { EditStep, JobDocument, LineItem } from '@even-tally/core';

/** What hangs on a run by its number. */
const ON_RUNS = ['openings', 'tops', 'steps', 'vents', 'piers', 'poured'] as const;

export const runsOf = (line: readonly LineItem[]): number => line.filter((i) => !('turn' in i)).length;

/** A wall given another line: what stood on runs that are gone goes with them. */
export function lineEdits(job: JobDocument, index: number, line: LineItem[]): EditStep[] {
  const wall = job.walls[index];
  const runs = runsOf(line);
  const path = `/walls/${index}`;
  return [
    { op: 'replace', path: `${path}/line`, value: line },
    ...ON_RUNS.flatMap((key): EditStep[] => {
      const list: readonly { run: number }[] | undefined = wall?.[key];
      const kept = list?.filter((one) => one.run < runs);
      return list && kept && kept.length < list.length
        ? [{ op: 'replace', path: `${path}/${key}`, value: kept }]
        : [];
    }),
  ];
}

/** A wall without its run number `run`, whose place in the line is `item`: what stood on it goes, later runs move down. */
export function withoutRun(job: JobDocument, index: number, item: number, run: number): EditStep[] {
  const wall = job.walls[index];
  const path = `/walls/${index}`;
  return [
    { op: 'remove', path: `${path}/line/${item}` },
    ...ON_RUNS.flatMap((key): EditStep[] => {
      const list: readonly { run: number }[] | undefined = wall?.[key];
      if (!list || list.every((one) => one.run < run)) return [];
      const kept = list.filter((one) => one.run !== run);
      return [
        {
          op: 'replace',
          path: `${path}/${key}`,
          value: kept.map((one) => (one.run > run ? { ...one, run: one.run - 1 } : one)),
        },
      ];
    }),
  ];
}
