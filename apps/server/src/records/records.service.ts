import { Inject, Injectable } from '@nestjs/common';
import {
  holdsOf,
  refusalOf,
  unreadableIn,
  workWall,
  type NewEntry,
  type RecordEntry,
} from '@even-tally/core';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { JobsService } from '../jobs/jobs.service.js';
import type { NewRecord } from './records.dto.js';

interface RecordRow {
  id: string;
  job_id: string;
  at: Date;
  body: NewEntry;
}

const answer = (row: RecordRow): RecordEntry => ({ ...row.body, id: row.id, at: row.at.toISOString() });

function entryOf(given: NewRecord): NewEntry {
  const { wall, by, note } = given;
  for (const [key, text] of Object.entries({ wall, by, note, hold: given.hold, step: given.step })) {
    const unreadable = text === undefined ? null : unreadableIn(text);
    if (unreadable) throw new Refusal(400, { says: `${key}: wanted ${unreadable[0]}, got ${unreadable[1]}` });
  }
  return given.kind === 'hold-signed'
    ? {
        kind: 'hold-signed',
        wall,
        by,
        hold: given.hold ?? '',
        seen: given.seen ?? [],
        ...(note === undefined ? {} : { note }),
      }
    : { kind: 'step-done', wall, by, step: given.step ?? '' };
}

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

  /** Adds one, unless a hold stands against it. One at a time for each job, so that two phones cannot pass a hold between them. */
  async add(yardId: string, jobId: string, given: NewRecord): Promise<RecordEntry> {
    const entry = entryOf(given);
    const { document } = await this.jobs.read(yardId, jobId);
    const index = document.walls.findIndex((w) => w.id === entry.wall);
    if (index < 0) throw new Refusal(404, { says: 'There is no such wall in this job.' });
    const holds = holdsOf(workWall(document, index));
    return this.db.transaction(async (trx) => {
      await trx('jobs').where({ id: jobId, yard_id: yardId }).forUpdate();
      const rows = await this.of(trx, yardId, jobId);
      const same = rows.find((r) => r.id === given.id);
      if (same) return answer(same);
      const why = refusalOf(holds, rows.map(answer), entry);
      if (why !== null) throw new Refusal(409, { says: why });
      const [row] = await trx<RecordRow & { yard_id: string }>('records')
        .insert({
          id: given.id,
          yard_id: yardId,
          job_id: jobId,
          body: JSON.stringify(entry) as unknown as NewEntry,
        })
        .onConflict('id')
        .ignore()
        .returning('*');
      if (!row) throw new Refusal(409, { says: 'Wanted an id of its own, got one that is in use.' });
      return answer(row);
    });
  }

  private of(db: Knex, yardId: string, jobId: string): Knex.QueryBuilder<RecordRow, RecordRow[]> {
    return db<RecordRow & { yard_id: string }>('records')
      .where({ yard_id: yardId, job_id: jobId })
      .orderBy('place') as Knex.QueryBuilder<RecordRow, RecordRow[]>;
  }
}
