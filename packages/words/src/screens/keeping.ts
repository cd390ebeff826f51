import { sentences, type Screen } from './screen.js';

/** A job open on this device: keeping it, carrying it, and what stands against that. */
export const KEEPING_SAYS = {
  takenBack: ['“{step}” cannot be taken back. {why}', { step: 'said', why: 'said' }],
  doneAgain: ['“{step}” cannot be done again. {why}', { step: 'said', why: 'said' }],
  olderWhole: 'What this device held was made on an older version of the whole job.',
  needsServer: ['{what} needs the server, and this job is not kept there yet.', { what: 'said' }],
  signing: 'Signing',
  recording: 'Recording a step',
  printing: 'Printing',
  notSigned: 'The server does not answer: nothing is signed yet. Try again when it is back.',
  notRecorded: 'The server does not answer: nothing is recorded yet. Try again when it is back.',
  noAnswer: 'The server does not answer.',
  refused: 'The server refused.',
  clash: 'What it changed has been changed since by somebody else.',
  cannotBe: 'That cannot be.',
  wantedGot: ['Wanted {wanted}, got {got}.', { wanted: 'name', got: 'name' }],
  noWall: 'There is no such wall in this job.',
} as const satisfies Screen;

export const KEEPING = sentences('keeping', KEEPING_SAYS);
