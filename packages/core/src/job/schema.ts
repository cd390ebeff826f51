import { inOrderOf } from '../statement/order.js';
import { documentSchema } from '../statement/schema.js';
import { JOB_FORM } from './form.js';

export const jobSchema = (): Record<string, unknown> =>
  documentSchema('Even Tally job file, version 1', JOB_FORM);

/** A job with its keys in the order they are stated in. */
export const canonical = <T>(job: T): T => inOrderOf(job, JOB_FORM);
