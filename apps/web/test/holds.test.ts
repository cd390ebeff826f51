import { createWords } from '@even-tally/words';
import { checkJob, holdsOf, workWall, type Job, type RecordEntry } from '@even-tally/core';
import { openPlanner } from '../src/workers/planner';

function heldWall(): Job {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'Yard',
    show: 'ft-in',
    profile: 'us',
    walls: [
      {
        id: 'w',
        name: 'West wall',
        line: [{ run: "16'" }],
        height: "8'",
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        steel: { vertical: { bar: '#4', every: '32"' } },
        footing: { width: '1\' 4"', depth: '8"' },
        grout: { fill: 'steel' },
      },
    ],
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

test('holds as rows for a spreadsheet say who has signed', async () => {
  const planner = openPlanner();
  const job = heldWall();
  const said = async (record: readonly RecordEntry[]): Promise<string> =>
    await planner.ask(
      'export',
      { kind: 'csv:holds', wall: 0, run: 0, show: 'ft-in', words: 'en-us', record },
      job,
    );
  const [first] = holdsOf(workWall(job, 0));
  if (!first) throw new Error('something is held');
  expect(await said([])).not.toContain('signed by');
  const signed: RecordEntry = {
    kind: 'hold-signed',
    id: 'e1',
    happened: '2026-05-04T08:00:00Z',
    wall: 'w',
    hold: first.id,
    by: 'R. Alder',
    seen: first.checks.map((c) => c.id),
  };
  expect(await said([signed])).toContain(
    `${createWords('en-us', 'ft-in').say(first.title)}: signed by R. Alder, 2026-05-04 08:00 UTC`,
  );
  planner.close();
});
