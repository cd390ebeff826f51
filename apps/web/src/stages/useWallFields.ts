import { setAt, type EditStep, type Job, type SheetView } from '@even-tally/core';
import { edit } from '../state/openJob';

interface WallFields {
  /** Sets a key of the wall by its path under `/walls/<n>`; false when refused. */
  set: (path: string, value: unknown) => boolean;
  path: string;
}

export function useWallFields(job: Job, view: SheetView): WallFields {
  const path = `/walls/${view.wall.index}`;
  return {
    path,
    set: (under, value) => {
      const step: EditStep = setAt(job, `${path}${under}`, value);
      return edit([step]);
    },
  };
}
