import { STAGE_NAMES } from '@even-tally/core';
import { createWords } from '@even-tally/words';
import { MemoryRouter } from 'react-router';
import { render, screen } from '@testing-library/react';
import { Line } from '../src/bench/Top';
import { stageKeys } from '../src/bench/keys';
import type { PanelProps } from '../src/stages/panel';
import { stageNamed, STAGES } from '../src/stages/registry';
import { scaffold } from './stage';

const stages = [...STAGES, scaffold];

test('a stage that does not exist yet hangs on the line, has a key and opens its panel', () => {
  render(
    <MemoryRouter>
      <Line stem="/jobs/j/w/0" stages={stages} />
    </MemoryRouter>,
  );
  const link = screen.getByRole('link', { name: 'Scaffold' });
  expect(link.getAttribute('href')).toBe('/jobs/j/w/0/days');
  const went: string[] = [];
  const key = stageKeys(stages).at(-1);
  key?.act({ stem: '/s', go: (to: string) => went.push(to) } as never, {} as never);
  expect([key?.keys, createWords('en-uk', 'mm').say(key?.says ?? ''), went]).toEqual([
    String(stages.length),
    'stage: Scaffold',
    ['/s/days'],
  ]);
  const at = stageNamed('days', stages);
  if (!at) throw new Error('no stage');
  render(<at.Panel {...({} as PanelProps)} />);
  expect(screen.getByText('Boards')).toBeTruthy();
});

test('without its line in the registry it is not there', () => {
  expect(stageNamed('days')).toBeUndefined();
});

test('the stages of the bench are the product’s, in the order of the work', () => {
  const places = STAGES.map((s) => STAGE_NAMES.indexOf(s.key));
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(places).not.toContain(-1);
});
