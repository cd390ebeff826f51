import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkJob, plan, type Job, type WallPlan } from '@even-tally/core';
import { createWords } from '@even-tally/words';
import type { ExportAsk } from '../ask.js';
import { exportNamed } from '../kinds.js';

const DEMO = join(__dirname, '../../../../apps/server/demo');

export function soundJob(value: unknown): Job {
  const checked = checkJob(value);
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.job;
}

const demo = (file: string): Job => soundJob(JSON.parse(readFileSync(join(DEMO, file), 'utf8')));

/** The demo yard's two jobs: block with its steel, adobe with slopes; a cavity wall, retaining bays. */
export const boatClub = demo('1-sandpiper-boat-club.json');
export const allotments = demo('2-linden-row-allotments.json');

export const asked = (job: Job, more: Partial<ExportAsk> = {}): ExportAsk => ({
  job,
  record: [],
  wall: null,
  run: null,
  show: job.show,
  say: createWords('en-uk', more.show ?? job.show).say,
  now: '2026-11-30T12:00:00Z',
  ...more,
});

/** The text of an export that is text. */
export function textOf(kind: string, ask: ExportAsk): string {
  const made = exportNamed(kind)?.make(ask);
  if (!made || !('text' in made)) throw new Error(`${kind} is no text`);
  return made.text;
}

export const planned = (job: Job): WallPlan[] => plan(job, [], { advise: false }).walls;
