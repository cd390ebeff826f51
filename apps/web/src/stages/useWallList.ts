import type { Job, BenchView } from '@even-tally/core';
import { edit } from '../state/openJob';

type ListKey = 'tops' | 'steps' | 'vents' | 'piers' | 'heights' | 'joints';

interface WallList {
  path: string;
  /** Adds an entry with a fresh id; false when refused. */
  add: (value: Record<string, unknown>) => boolean;
  remove: (index: number) => boolean;
  set: (index: number, key: string, value: unknown) => boolean;
}

/** One of a wall's lists in the document, whether or not it is there yet. `letter` begins the ids of new entries. */
export function useWallList(job: Job, view: BenchView, key: ListKey, letter: string): WallList {
  const list: readonly { id: string }[] | undefined = job.walls[view.wall.index]?.[key];
  const path = `/walls/${view.wall.index}/${key}`;
  return {
    path,
    add: (value) => {
      const id =
        Array.from({ length: 2000 }, (_, i) => `${letter}${i + 1}`).find(
          (n) => !list?.some((one) => one.id === n),
        ) ?? letter;
      const entry = { id, ...value };
      return edit([
        list ? { op: 'add', path: `${path}/-`, value: entry } : { op: 'add', path, value: [entry] },
      ]);
    },
    remove: (index) => edit([{ op: 'remove', path: `${path}/${index}` }]),
    set: (index, under, value) => edit([{ op: 'add', path: `${path}/${index}/${under}`, value }]),
  };
}
