import type { Knex } from 'knex';
import { Refusal } from '../errors/refusal.js';

/** What one yard may hold. A busy crew of years has some hundred jobs of 20 to 200 kB. */
export const MOST_JOBS = 500;
export const MOST_BYTES = 200 * 1024 * 1024;
/** Entries on the record of one job. */
export const MOST_ENTRIES = 20_000;
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
      says: `Wanted at most ${MOST_JOBS} jobs in a yard, those put away among them, got one more.`,
    });
  if (held.bytes + bytes > MOST_BYTES)
    throw new Refusal(409, {
      says: `Wanted at most ${mb(MOST_BYTES)} of jobs in a yard, got ${mb(held.bytes + bytes)}.`,
    });
}
