import type { Job, BenchView } from '@even-tally/core';
import { useJob } from '../state/job';
import { newId } from '../state/newId';

type ListKey = 'tops' | 'steps' | 'vents' | 'piers' | 'heights' | 'joints' | 'posts' | 'holes';

interface WallList {
  path: string;
  /** Adds an entry with a fresh id; false when refused. */
  add: (value: Record<string, unknown>) => boolean;
  remove: (index: number) => boolean;
  set: (index: number, key: string, value: unknown) => boolean;
}

/** One of a wall's lists in the document, whether or not it is there yet. `letter` begins the ids of new entries. */
export function useWallList(job: Job, view: BenchView, key: ListKey, letter: string): WallList {
  const { edit } = useJob();
  const list: readonly { id: string }[] | undefined = job.walls[view.wall.index]?.[key];
  const path = `/walls/${view.wall.index}/${key}`;
  return {
    path,
    add: (value) => {
      const entry = { id: newId(letter, list).id, ...value };
      return edit([
        list ? { op: 'add', path: `${path}/-`, value: entry } : { op: 'add', path, value: [entry] },
      ]);
    },
    remove: (index) => edit([{ op: 'remove', path: `${path}/${index}` }]),
    set: (index, under, value) => edit([{ op: 'add', path: `${path}/${index}/${under}`, value }]),
  };
}
