import { SERVER } from '@even-tally/words';
import { Inject, Injectable } from '@nestjs/common';
import {
  Folded,
  oldRow,
  refusalOf,
  same,
  type Hold,
  type Job,
  type RecordEntry,
  type Say,
} from '@even-tally/core';
import { createWords, languageOf } from '@even-tally/words';
import { isUUID } from 'class-validator';
import type { Knex } from 'knex';
import type { Visitor } from '../accounts/session.js';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { JobsService } from '../jobs/jobs.service.js';
import { roomForEntry } from '../jobs/quota.js';
import { noticeOf } from './notices.js';
import { Workers } from '../workers/workers.module.js';

interface RecordRow {
  id: string;
  /** In the order rows came in. */
  place: string;
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

/** Corrections of corrections, at most. */
const MOST_CORRECTED = 20;
/** How often a hold is planned anew because somebody saved meanwhile, before whoever signs is asked to try again. */
const MOST_PLANNED = 4;

/** What happened on site, row by row. Rows are added and read, never changed: a correction is another row. */
@Injectable()
export class RecordsService {
  constructor(
    @Inject(DATABASE) private readonly db: Knex,
    private readonly jobs: JobsService,
    private readonly workers: Workers,
  ) {}

  /** Of a job thrown away for good as well: what was signed of it stays. */
  async list(yardId: string, jobId: string): Promise<RecordEntry[]> {
    await this.jobs.exists(yardId, jobId);
    return (await this.of(this.db, yardId, jobId)).map(answer);
  }

  /** How far a job’s record has come: its last row’s place; 0 where it has none. */
  async place(yardId: string, jobId: string): Promise<number> {
    await this.jobs.exists(yardId, jobId);
    const row = await this.db('records')
      .where({ yard_id: yardId, job_id: jobId })
      .max<{ last: string | null }>({ last: 'place' })
      .first();
    return Number(row?.last ?? 0);
  }

  /**
   * Adds one, unless a hold stands against it. One at a time for each job, so that two phones cannot pass a hold between them;
   * and a hold is decided on the document as it stands under the same lock. Planning is long: it is done before the lock is taken,
   * and where somebody has saved meanwhile the lock is let go and it is done again.
   */
  async add(visitor: Visitor, jobId: string, entry: RecordEntry, leaves: AbortSignal): Promise<RecordEntry> {
    for (let tried = 0; tried < MOST_PLANNED; tried++) {
      const { document, revision } = await this.jobs.parsed(visitor.yardId, jobId, this.db);
      const holds = isHeld(entry) ? await this.holds(document, entry, leaves) : [];
      const { say } = createWords(languageOf(document.profile), document.show);
      const added = await this.db.transaction(async (trx) => {
        const now = await this.jobs.lock(trx, visitor.yardId, jobId);
        if (isHeld(entry) && now !== revision) return null;
        return this.addHeld(trx, visitor, jobId, entry, { holds, say }, now);
      });
      if (added) return added;
    }
    throw new Refusal(409, {
      says: SERVER.othersChanging,
    });
  }

  private async addHeld(
    trx: Knex.Transaction,
    visitor: Visitor,
    jobId: string,
    entry: RecordEntry,
    { holds, say }: { holds: Hold[]; say: Say },
    revision: number,
  ): Promise<RecordEntry> {
    const same = await this.of(trx, visitor.yardId, jobId).where({ id: entry.id }).first();
    if (same) return answer(same);
    await roomForEntry(trx, visitor.yardId, jobId, JSON.stringify(entry).length);
    if (entry.kind === 'correction') await this.refuseDeep(trx, visitor.yardId, jobId, entry);
    if (!isHeld(entry)) return this.insert(trx, visitor, jobId, entry);
    const rows = await this.of(trx, visitor.yardId, jobId);
    const again = rows.find((row) => signedAlready(row, visitor, entry, revision));
    const folded = new Folded(rows.map(answer));
    if (again && folded.standing(again.id)) return answer(again);
    const why = refusalOf(holds, folded, { ...entry, wall: entry.wall ?? '' });
    if (why !== null) throw new Refusal(409, { says: say(why) });
    // A signature says on which revision of the job it was decided.
    return this.insert(trx, visitor, jobId, entry.kind === 'hold-signed' ? { ...entry, revision } : entry);
  }

  /** A correction may be corrected, but not without end: each is walked back to what it is of. */
  private async refuseDeep(
    trx: Knex.Transaction,
    yardId: string,
    jobId: string,
    entry: RecordEntry,
  ): Promise<void> {
    let of: unknown = 'of' in entry ? entry.of : undefined;
    for (let deep = 0; typeof of === 'string' && isUUID(of); deep++) {
      if (deep >= MOST_CORRECTED)
        throw new Refusal(409, {
          says: `of: wanted what was corrected at most ${MOST_CORRECTED} times, got it once more`,
        });
      const row = await this.of(trx, yardId, jobId).where({ id: of }).first();
      of = row && 'of' in row.body ? row.body.of : undefined;
    }
  }

  private async holds(document: Job, { wall }: Held, leaves: AbortSignal): Promise<Hold[]> {
    const holds = await this.workers.do('holds', { document, wall: wall ?? '' }, leaves);
    if (!holds) throw new Refusal(404, { says: SERVER.noSuchWall });
    return holds;
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
      .onConflict(['job_id', 'id'])
      .ignore()
      .returning('*');
    if (!row) throw new Refusal(409, { says: SERVER.idInUse });
    await noticeOf(trx, jobId, Number(row.place));
    return answer(row);
  }

  private of(db: Knex, yardId: string, jobId: string): Knex.QueryBuilder<RecordRow, RecordRow[]> {
    return db<RecordRow & { yard_id: string }>('records')
      .where({ yard_id: yardId, job_id: jobId })
      .orderBy('place') as Knex.QueryBuilder<RecordRow, RecordRow[]>;
  }
}

/** Whether a row is the same signature: the same hold, by the same person, for the same revision, of the same things seen. */
function signedAlready(row: RecordRow, { accountId }: Visitor, entry: Held, revision: number): boolean {
  const body = row.body as Partial<Extract<RecordEntry, { kind: 'hold-signed' }>>;
  return (
    entry.kind === 'hold-signed' &&
    body.kind === entry.kind &&
    row.member === accountId &&
    body.wall === entry.wall &&
    body.hold === entry.hold &&
    body.by === entry.by &&
    body.revision === revision &&
    same(body.seen, entry.seen)
  );
}
