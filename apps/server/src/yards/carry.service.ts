import { Inject, Injectable } from '@nestjs/common';
import { checkUnit, sayFault, type OwnUnit, type RecordEntry } from '@even-tally/core';
import type { Knex } from 'knex';
import type { Visitor } from '../accounts/session.js';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { MOST_BYTES, MOST_ENTRIES, MOST_JOBS } from '../jobs/quota.js';
import { RecordsService } from '../records/records.service.js';
import type { Carried } from '../workers/carried.js';
import { Workers } from '../workers/workers.module.js';
import { UnitsService } from '../units/units.service.js';
import { linesOf } from './lines.js';

/** A job of 5 MB with a full record. */
const MOST_LINE = 16 * 1024 * 1024;

type Job = Extract<Carried, { ok: true }>;

/** A whole yard as one file, line by line: what it is, then every job with its record. */
@Injectable()
export class CarryService {
  constructor(
    @Inject(DATABASE) private readonly db: Knex,
    private readonly records: RecordsService,
    private readonly workers: Workers,
    private readonly units: UnitsService,
  ) {}

  /** The file's lines. A job is read with its record as it is met; what is thrown away for good is in none. */
  async *out(yardId: string): AsyncGenerator<string> {
    const yard = await this.db('yards').where({ id: yardId }).first<{ name: string }>('name');
    const units = await this.units.list(yardId);
    const own = units.length > 0 ? { units } : {};
    yield `${JSON.stringify({ format: 'even-tally/yard', version: 1, name: yard.name, ...own })}\n`;
    const ids = await this.db('jobs')
      .where({ yard_id: yardId })
      .whereNull('deleted_at')
      .orderBy('place')
      .select<{ id: string }[]>('id');
    for (const { id } of ids) {
      const row = await this.db('jobs')
        .where({ id })
        .whereNull('deleted_at')
        .first<{ text: string; away: boolean } | undefined>(
          this.db.raw('document::text as text, put_away_at is not null as away'),
        );
      if (!row) continue;
      const job = await this.workers.do('file', { text: row.text });
      const record = await this.records.list(yardId, id);
      yield `{"job":${job},"putAway":${row.away},"record":${JSON.stringify(record)}}\n`;
    }
  }

  /** Adds every job of a file to the yard, or none of them. */
  async in(
    visitor: Visitor,
    stream: AsyncIterable<Buffer>,
    leaves: AbortSignal,
  ): Promise<{ jobs: number; entries: number }> {
    return this.db.transaction(async (trx) => {
      // One file at a time, and what is held is added up once.
      await trx('yards').where({ id: visitor.yardId }).forUpdate().first('id');
      const held = await this.held(trx, visitor.yardId);
      let [line, jobs, entries] = [0, 0, 0];
      try {
        for await (const text of linesOf(stream, MOST_LINE)) {
          line += 1;
          if (line === 1) {
            await this.units.keep(visitor.yardId, unitsOf(text), trx);
            continue;
          }
          if (text.trim() === '') continue;
          const job = await this.workers.do('carried', { line: text }, leaves);
          if (!job.ok) throw new Refusal(400, { says: `Line ${line}: ${job.says}. Nothing was changed.` });
          held.jobs += 1;
          held.bytes += job.text.length;
          refuseTooMuch(held, job, line);
          await this.keep(trx, visitor, job);
          jobs += 1;
          entries += job.record.length;
        }
      } catch (error) {
        if (error instanceof RangeError)
          throw new Refusal(413, {
            says: `Line ${line + 1}: wanted at most 16 MB, got more. Nothing was changed.`,
          });
        if (error instanceof TypeError)
          throw new Refusal(400, {
            says: `Line ${line + 1}: wanted UTF-8, got bytes that are not. Nothing was changed.`,
          });
        throw error;
      }
      if (line === 0) unitsOf('');
      return { jobs, entries };
    });
  }

  private async held(trx: Knex.Transaction, yardId: string): Promise<{ jobs: number; bytes: number }> {
    const row = await trx('jobs')
      .where({ yard_id: yardId })
      .whereNull('deleted_at')
      .first<{ jobs: number; bytes: number }>(
        trx.raw('count(*)::int as jobs, coalesce(sum(bytes), 0)::float8 as bytes'),
      );
    return { ...row };
  }

  private async keep(trx: Knex.Transaction, { yardId, accountId }: Visitor, job: Job): Promise<void> {
    const [row] = await trx('jobs')
      .insert({
        yard_id: yardId,
        document: job.text,
        name: job.name,
        walls: job.walls,
        bytes: job.text.length,
        saved_by: accountId,
        ...(job.putAway ? { put_away_at: trx.fn.now() } : {}),
      })
      .returning<{ id: string }[]>('id');
    if (!row) throw new Error('insert returned no row');
    const rows = job.record.map(({ id, ...body }: RecordEntry) => ({
      id,
      yard_id: yardId,
      job_id: row.id,
      member: accountId,
      body: JSON.stringify(body),
    }));
    if (rows.length > 0) await trx.batchInsert('records', rows, 500);
  }
}

/** What the first line of a yard's file says: the yard's own units. Refused where it is no such line. */
function unitsOf(text: string): OwnUnit[] {
  let head: { format?: unknown; version?: unknown; units?: unknown } = {};
  try {
    head = (JSON.parse(text) ?? {}) as typeof head;
  } catch {
    // Said below: whatever it is, it is not the first line of a yard's file.
  }
  if (head.format !== 'even-tally/yard' || head.version !== 1)
    throw new Refusal(400, {
      says: 'Line 1: wanted a file of a yard, version 1, got something else. Nothing was changed.',
    });
  const units: unknown[] = Array.isArray(head.units) ? head.units : [];
  return units.map((one, i) => {
    const checked = checkUnit(one);
    if (checked.ok) return checked.unit;
    const [fault] = checked.faults;
    throw new Refusal(400, {
      says: `Line 1, unit ${i + 1}: ${fault ? sayFault(fault) : 'unsound'}. Nothing was changed.`,
    });
  });
}

function refuseTooMuch(held: { jobs: number; bytes: number }, job: Job, line: number): void {
  const says =
    held.jobs > MOST_JOBS
      ? `wanted at most ${MOST_JOBS} jobs in a yard`
      : held.bytes > MOST_BYTES
        ? `wanted at most ${MOST_BYTES / 1_048_576} MB of jobs in a yard`
        : job.record.length > MOST_ENTRIES
          ? `wanted at most ${MOST_ENTRIES} entries on the record of a job`
          : null;
  if (says) throw new Refusal(409, { says: `Line ${line}: ${says}, got more. Nothing was changed.` });
}
