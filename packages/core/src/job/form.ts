import { constant, list, object, oneOf, optional, required, type States } from '../statement/statement.js';
import type { Called } from './edits/messages.js';
import { text } from './forms/basics.js';
import { ownUnit } from './forms/build.js';
import { earth } from './forms/earth.js';
import { crew, weather } from './forms/crew.js';
import { assumed, site } from './forms/ground.js';
import { mixes, mud } from './forms/mud.js';
import { ownRules } from './forms/ownRules.js';
import { pile, stonesOfJob } from './forms/stone.js';
import { wall } from './forms/wall.js';
import { weights } from './forms/weights.js';

/** The job file: its type, its check, its schema and the order of its keys are read from this. */
export const JOB_FORM = object({
  format: required(constant('even-tally/job')),
  version: required(constant(1)),
  name: required(text),
  show: required(oneOf('ft-in', 'mm')),
  profile: required(oneOf('us', 'uk', 'earth')),
  units: optional(list(ownUnit, 500), 'the job’s own units'),
  stones: optional(stonesOfJob, 'the job’s own stone'),
  pile: optional(pile, 'measured stones', { called: 'pile-stone' satisfies Called }),
  mixes: optional(mixes, 'the job’s own mixes'),
  earth: optional(earth, 'bricks of earth made on the site, and its soil'),
  mud: optional(mud, 'mix, mixer, measures and sand'),
  crew: optional(crew, 'who works when, and how fast'),
  weather: optional(weather, 'day by day, as it was said'),
  site: optional(site, 'levels'),
  assumed: optional(assumed, 'what was taken because nobody could say'),
  rules: optional(ownRules, 'figures this job has otherwise than its profile'),
  weights: optional(weights, 'what a choice costs, where this job weighs it otherwise'),
  walls: required(list(wall, 1000)),
});
export type JobDocument = States<typeof JOB_FORM>;
