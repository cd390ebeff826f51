import type { JobDocument } from '@even-tally/core';
import { openPlanner } from '../src/workers/planner';

const job: JobDocument = {
  format: 'even-tally/job',
  version: 1,
  name: 'Yard',
  show: 'mm',
  profile: 'uk',
  walls: [
    {
      id: 'w',
      name: 'Garden wall',
      line: [{ run: 4490 }, { turn: 90 }, { run: 2240 }],
      height: 900,
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
    },
  ],
};

test('a card of the yard is planned by the worker: how long, how high, how many runs and faults', async () => {
  const planner = openPlanner();
  const card = await planner.ask('card', { document: job, wall: 0 });
  expect(card).toMatchObject({ length: 4490, height: 900, runs: 2, faults: 0 });
  // Twelve courses of 75.
  expect(card?.elevation.pieces).toHaveLength(12);
  planner.close();
});

test('a job that is not sound has no card, and nothing breaks', async () => {
  const planner = openPlanner();
  const broken = { ...job, walls: [{ ...job.walls[0], height: -1 }] } as unknown as JobDocument;
  expect(await planner.ask('card', { document: broken, wall: 0 })).toBeNull();
  planner.close();
});
