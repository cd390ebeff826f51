import { Inject, Injectable } from '@nestjs/common';
import {
  Folded,
  holdsOf,
  oldRow,
  refusalOf,
  workWall,
  type Hold,
  type Job,
  type RecordEntry,
} from '@even-tally/core';
import type { Knex } from 'knex';
import type { Visitor } from '../accounts/session.js';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { JobsService } from '../jobs/jobs.service.js';

interface RecordRow {
  id: string;
  job_id: string;
  at: Date;
  member: string | null;
  /** The entry as it was sent, without its id; rows from before devices said when have no `happened`. */
  body: Omit<RecordEntry, 'id'> | Record<string, unknown>;
}

function answer({ id, at, member, body }: RecordRow): RecordEntry {
  const received = at.toISOString();
  if (!('happened' in body)) return oldRow({ ...body, id, at: received });
  return { ...body, id, received, ...(member === null ? {} : { member }) } as RecordEntry;
}

/** A hold is signed and a step done only where the wall as it is planned lets them be; all else is what happened. */
type Held = Extract<RecordEntry, { kind: 'hold-signed' | 'step-done' }>;
const isHeld = (e: RecordEntry): e is Held => e.kind === 'hold-signed' || e.kind === 'step-done';

/** What happened on site, row by row. Rows are added and read, never changed: a correction is another row. */
@Injectable()
export class RecordsService {
  constructor(
    @Inject(DATABASE) private readonly db: Knex,
    private readonly jobs: JobsService,
  ) {}

  async list(yardId: string, jobId: string): Promise<RecordEntry[]> {
    await this.jobs.read(yardId, jobId);
    return (await this.of(this.db, yardId, jobId)).map(answer);
  }

  /**
   * Adds one, unless a hold stands against it. One at a time for each job, so that two phones cannot pass a hold between them;
   * and a hold is decided on the document as it stands under the same lock, not as it was a moment before.
   */
  async add(visitor: Visitor, jobId: string, entry: RecordEntry): Promise<RecordEntry> {
    const { yardId } = visitor;
    // Planning is long: it is done before the lock is taken, and again only where somebody has saved meanwhile.
    const seen = await this.jobs.read(yardId, jobId);
    let holds = isHeld(entry) ? holdsFor(seen.document, entry) : [];
    return this.db.transaction(async (trx) => {
      const now = await this.jobs.lock(trx, yardId, jobId);
      if (isHeld(entry) && now.revision !== seen.revision) holds = holdsFor(now.document, entry);
      const rows = await this.of(trx, yardId, jobId);
      const same = rows.find((r) => r.id === entry.id);
      if (same) return answer(same);
      if (isHeld(entry)) {
        const why = refusalOf(holds, new Folded(rows.map(answer)), { ...entry, wall: entry.wall ?? '' });
        if (why !== null) throw new Refusal(409, { says: why });
      }
      // A signature says on which revision of the job it was decided.
      const said = entry.kind === 'hold-signed' ? { ...entry, revision: now.revision } : entry;
      return this.insert(trx, visitor, jobId, said);
    });
  }

  private async insert(
    trx: Knex.Transaction,
    { yardId, accountId }: Visitor,
    jobId: string,
    entry: RecordEntry,
  ): Promise<RecordEntry> {
    const { id, ...body } = entry;
    const [row] = await trx<RecordRow & { yard_id: string }>('records')
      .insert({
        id,
        yard_id: yardId,
        job_id: jobId,
        member: accountId,
        body: JSON.stringify(body) as unknown as RecordRow['body'],
      })
      .onConflict('id')
      .ignore()
      .returning('*');
    if (!row) throw new Refusal(409, { says: 'Wanted an id of its own, got one that is in use.' });
    return answer(row);
  }

  private of(db: Knex, yardId: string, jobId: string): Knex.QueryBuilder<RecordRow, RecordRow[]> {
    return db<RecordRow & { yard_id: string }>('records')
      .where({ yard_id: yardId, job_id: jobId })
      .orderBy('place') as Knex.QueryBuilder<RecordRow, RecordRow[]>;
  }
}

function holdsFor(document: Job, { wall }: Held): Hold[] {
  const index = document.walls.findIndex((w) => w.id === wall);
  if (index < 0) throw new Refusal(404, { says: 'There is no such wall in this job.' });
  return holdsOf(workWall(document, index));
}
