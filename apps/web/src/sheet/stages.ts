/** The stages built so far, in the order of the work. Others join the line as they are built. */
export const STAGES = [
  { key: 'set-out', name: 'Set out' },
  { key: 'gauge', name: 'Gauge' },
  { key: 'bond', name: 'Bond' },
  { key: 'steel', name: 'Steel' },
  { key: 'tally', name: 'Tally' },
] as const;
export type StageKey = (typeof STAGES)[number]['key'];
export const isStage = (key: string | undefined): key is StageKey => STAGES.some((s) => s.key === key);
