import type { JobDocument, PatchStep, Site } from '@even-tally/core';

/** Sets a key of the job's levels, making them when there are none yet. */
export const siteStep = <K extends keyof Site>(job: JobDocument, key: K, value: Site[K]): PatchStep[] => [
  job.site
    ? { op: 'add', path: `/site/${key}`, value }
    : { op: 'add', path: '/site', value: { [key]: value } },
];
