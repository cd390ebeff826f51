import { SERVER } from '@even-tally/words';
import { Param, ParseUUIDPipe } from '@nestjs/common';
import { Refusal } from '../errors/refusal.js';

/** The job's id in the path. Anything else is as if there were no such job. */
export const JobId = (): ParameterDecorator =>
  Param(
    'jobId',
    new ParseUUIDPipe({
      exceptionFactory: () => new Refusal(404, { says: SERVER.noSuchJob }),
    }),
  );
