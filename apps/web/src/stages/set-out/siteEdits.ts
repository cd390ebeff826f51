import type { JobDocument, Site } from '@even-tally/core';
import { edit } from '../../state/openJob';

/** Sets a key of the job's levels, making them when there are none yet. */
export const setSite = <K extends keyof Site>(job: JobDocument, key: K, value: Site[K]): boolean =>
  edit([
    job.site
      ? { op: 'add', path: `/site/${key}`, value }
      : { op: 'add', path: '/site', value: { [key]: value } },
  ]);
