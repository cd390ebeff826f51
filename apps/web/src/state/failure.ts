import type { Said } from '@even-tally/core';

/** What went wrong, to be said in the language of whoever reads it. */
export class Failure extends Error {
  constructor(readonly said: Said) {
    super(typeof said === 'string' ? said : said.code);
  }
}

/** What is to be said of something that failed: its own message, or the sentence it came with. */
export const saidBy = (error: unknown): Said =>
  error instanceof Failure ? error.said : error instanceof Error ? error.message : String(error);
