import type { JobDocument } from '@even-tally/core';

/** What a new wall begins as: small, sound, easily changed. */
export const NEW_JOB: JobDocument = {
  format: 'even-tally/job',
  version: 1,
  name: 'New job',
  show: 'ft-in',
  profile: 'us',
  units: [],
  walls: [
    {
      id: 'wall-1',
      name: 'Garden wall',
      line: [{ run: "16'", id: 'run-1', name: 'Front' }],
      height: "4'",
      lengths: 'nominal',
      build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', start: 'whole' },
      openings: [],
    },
  ],
};
