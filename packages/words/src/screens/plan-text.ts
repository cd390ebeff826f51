import { sentences, type Screen } from './screen.js';

/** The plan as the command line reads it out. */
export const PLAN_TEXT_SAYS = {
  course: 'course',
  bed: 'bed',
  top: 'top',
  pieces: 'pieces',
  wall: [
    '{wall}: {unit}, {height} high; {runs}',
    { wall: 'name', unit: 'said', height: 'length', runs: 'list' },
  ],
  run: ['{run} {length}', { run: 'name', length: 'length' }],
  mortar: [
    'mortar in the joints {geometric}, to mix {used}: {packs, number} × {pack}',
    { geometric: 'volume', used: 'volume', packs: 'number', pack: 'said' },
  ],
  batch: [
    '{mix}: a batch of {measures} makes {makes} and lays {lays, number}; {full, number} of them{last, select, no {} other {, the last smaller}}',
    {
      mix: 'said',
      measures: 'list',
      makes: 'volume',
      lays: 'number',
      full: 'number',
      last: ['no', 'yes'],
    },
  ],
  measure: ['{count, number} {measure} of {of}', { count: 'number', measure: 'said', of: 'said' }],
  bars: ['bars {mark}, {size}', { mark: 'name', size: 'name' }],
  finding: [
    '{severity, select, fault {FAULT} choice {CHOICE} other {NOTE}} {says}',
    { severity: ['fault', 'choice', 'note'], says: 'said' },
  ],
  fixes: ['Fixes: {fixes}.', { fixes: 'series' }],
} as const satisfies Screen;

export const PLAN_TEXT = sentences('plan-text', PLAN_TEXT_SAYS);
