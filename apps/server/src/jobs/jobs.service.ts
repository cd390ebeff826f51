import { Inject, Injectable } from '@nestjs/common';
import { canonical, checkJob, sayFault, type Job } from '@even-tally/core';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';

interface JobRow {
  id: string;
  yard_id: string;
  document: Job;
  revision: number;
  updated_at: Date;
}

export interface JobAnswer {
  id: string;
  revision: number;
  savedAt: string;
  document: Job;
}

const answer = (row: JobRow): JobAnswer => ({
  id: row.id,
  revision: row.revision,
  savedAt: row.updated_at.toISOString(),
  document: canonical(row.document),
});

function checked(document: object): Job {
  const result = checkJob(document);
  if (result.ok) return result.job;
  const [first, ...more] = result.faults;
  const rest = more.length > 0 ? ` (and ${more.length} more)` : '';
  throw new Refusal(400, {
    says: `${first ? sayFault(first) : 'Not a job file'}${rest}`,
    faults: result.faults.slice(0, 100),
  });
}

const missing = (): Refusal => new Refusal(404, { says: 'There is no such job in this yard.' });

/** Jobs of one yard. Every query names the yard, so no row of another can be read or written. */
@Injectable()
export class JobsService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async list(yardId: string): Promise<JobAnswer[]> {
    return (await this.of(yardId).orderBy('place')).map(answer);
  }

  async read(yardId: string, id: string): Promise<JobAnswer> {
    const row = await this.of(yardId).where({ id }).first();
    if (!row) throw missing();
    return answer(row);
  }

  /** The job as it stands, and nobody else's to change until the transaction is over. */
  async lock(trx: Knex.Transaction, yardId: string, id: string): Promise<JobAnswer> {
    const row = await trx<JobRow>('jobs').where({ id, yard_id: yardId }).forUpdate().first();
    if (!row) throw missing();
    return answer(row);
  }

  async add(yardId: string, document: object): Promise<JobAnswer> {
    const text = JSON.stringify(checked(document));
    const [row] = await this.db<JobRow>('jobs')
      .insert({ yard_id: yardId, document: text as unknown as Job })
      .returning('*');
    if (!row) throw new Error('insert returned no row');
    return answer(row);
  }

  /** Writes only over the revision the edit was made on; otherwise answers 409 with the newer document. */
  async save(yardId: string, id: string, revision: number, document: object): Promise<JobAnswer> {
    const text = JSON.stringify(checked(document));
    const [row] = await this.of(yardId)
      .where({ id, revision })
      .update({
        document: text as unknown as Job,
        revision: revision + 1,
        updated_at: this.db.fn.now() as unknown as Date,
      })
      .returning('*');
    if (row) return answer(row);
    const newer = await this.read(yardId, id);
    throw new Refusal(409, {
      says: `Wanted an edit made on revision ${newer.revision}, got one made on ${revision}: somebody saved in between.`,
      newer,
    });
  }

  async remove(yardId: string, id: string): Promise<void> {
    if ((await this.of(yardId).where({ id }).delete()) === 0) throw missing();
  }

  private of(yardId: string): Knex.QueryBuilder<JobRow, JobRow[]> {
    return this.db<JobRow>('jobs').where({ yard_id: yardId });
  }
}
