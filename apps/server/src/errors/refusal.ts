import { HttpException } from '@nestjs/common';
import type { Fault, Said } from '@even-tally/core';

/** What every refused request is answered with: one plain sentence, and where it applies the faults or the newer document. */
export interface RefusalBody {
  /** Said in the language whoever asks for it reads. */
  says: Said;
  faults?: Fault[];
  newer?: unknown;
}

/** A request refused for a reason a person can act on. */
export class Refusal extends HttpException {
  constructor(
    status: number,
    body: RefusalBody,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(body, status);
  }
}
