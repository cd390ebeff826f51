import { SERVER } from '@even-tally/words';
import type { Said } from '@even-tally/core';
import type { Knex } from 'knex';
import { Refusal } from '../errors/refusal.js';

/** What one yard may hold. A busy crew of years has some hundred jobs of 20 to 200 kB. */
export const MOST_JOBS = 500;
export const MOST_BYTES = 200 * 1024 * 1024;
/** Entries on the record of one job, and of all jobs of a yard. A wall of a year has some thousand. */
export const MOST_ENTRIES = 20_000;
const MOST_ENTRIES_OF_YARD = 100_000;
/** So large an entry is added up with the others; smaller ones are few enough by their count. Characters. */
const LARGE_ENTRY = 2000;
/** The yard's entries are counted every so many of a job's. */
const COUNTED_EVERY = 50;
/** All jobs of a yard may be so large without anybody adding up: 500 of them are a quarter of what a yard may hold. */
const NOT_COUNTED = 100_000;

const mb = (bytes: number): string => `${(bytes / 1_048_576).toFixed(1)} MB`;

/** Refuses what would make a yard hold more than it may. `instead` is the job that is written over. */
export async function roomFor(
  db: Knex,
  yardId: string,
  instead: string | null,
  bytes: number,
  counts: boolean,
): Promise<void> {
  if (!counts && bytes <= NOT_COUNTED) return;
  const { rows } = await db.raw<{ rows: { jobs: number; bytes: number }[] }>(
    `select (count(*) filter (where id is distinct from :instead))::int as jobs,
            coalesce(sum(bytes) filter (where id is distinct from :instead), 0)::float8 as bytes
       from jobs where yard_id = :yardId and deleted_at is null`,
    { yardId, instead },
  );
  const held = rows[0] ?? { jobs: 0, bytes: 0 };
  if (counts && held.jobs >= MOST_JOBS)
    throw new Refusal(409, {
      says: SERVER.jobsAtMost({ most: MOST_JOBS }),
    });
  if (held.bytes + bytes > MOST_BYTES)
    throw new Refusal(409, {
      says: SERVER.jobBytes({ most: mb(MOST_BYTES), got: mb(held.bytes + bytes) }),
    });
}

/** Refuses an entry that would make the record of a job, or of its yard, more than it may be. */
export async function roomForEntry(db: Knex, yardId: string, jobId: string, size: number): Promise<void> {
  const refuse = (says: Said): never => {
    throw new Refusal(409, { says });
  };
  const [{ count = 0 } = {}] = await db('records').where({ job_id: jobId }).count<{ count: string }[]>();
  if (Number(count) >= MOST_ENTRIES) refuse(SERVER.entriesAtMost({ most: MOST_ENTRIES }));
  if (Number(count) % COUNTED_EVERY !== 0 && size <= LARGE_ENTRY) return;
  const { rows } = await db.raw<{ rows: { entries: number; bytes: number }[] }>(
    `select count(*)::int as entries, coalesce(sum(pg_column_size(body)), 0)::float8 as bytes from records where yard_id = ?`,
    [yardId],
  );
  const held = rows[0] ?? { entries: 0, bytes: 0 };
  if (held.entries >= MOST_ENTRIES_OF_YARD) refuse(SERVER.entriesOfYard({ most: MOST_ENTRIES_OF_YARD }));
  if (held.bytes + size > MOST_BYTES)
    refuse(SERVER.recordBytes({ most: mb(MOST_BYTES), got: mb(held.bytes + size) }));
}
