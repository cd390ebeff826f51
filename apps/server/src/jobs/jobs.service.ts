import { SERVER } from '@even-tally/words';
import { Inject, Injectable } from '@nestjs/common';
import type { Job } from '@even-tally/core';
import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import type { Visitor } from '../accounts/session.js';
import { DATABASE, DATABASE_READ } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';
import { openEnvelope, type Envelope } from '../workers/envelope.js';
import { Workers } from '../workers/workers.module.js';
import { MOST_BYTES, roomFor } from './quota.js';

interface JobRow {
  id: string;
  revision: number;
  updated_at: Date;
  save_id?: string | null;
  /** The document as text: it goes out as it is, and is parsed only where something is worked out from it. */
  text: string;
}

/** A line of the yard's list. */
export interface JobLine {
  id: string;
  revision: number;
  savedAt: string;
  name: string;
  walls: number;
  putAway: boolean;
}

export interface JobAnswer {
  id: string;
  revision: number;
  savedAt: string;
  document: Job;
}

/** An answer that is JSON already, for a document that need not be read to be handed on. */
export type JsonText = string;

/** `brief`: for whoever has the document, having sent it. */
const said = ({ id, revision, updated_at, text }: JobRow, brief = false): JsonText =>
  `{"id":"${id}","revision":${revision},"savedAt":"${updated_at.toISOString()}"${brief ? '' : `,"document":${text}`}}`;

export const missing = (): Refusal => new Refusal(404, { says: SERVER.noSuchJob });

/** Up to here a document is checked at once; past it, in a thread of its own. Characters. */
const SMALL = 60_000;
/** How long one member's saves in a row make one version. */
const SPELL = '10 minutes';
export const PAGE = 100;

const COLUMNS = 'id, revision, updated_at, save_id, document::text as text';

/**
 * Jobs of one yard. What somebody goes on to change is read where it is written; lists, sheets and versions may come from a replica.
 * Every query names the yard, so no row of another can be read or written.
 */
@Injectable()
export class JobsService {
  /** Jobs as they were last found sound, by their ids: of what is saved every second most is as it was. */
  private readonly sound = new LRUCache<string, Job>({ maxSize: 4_000_000 });

  constructor(
    @Inject(DATABASE) private readonly db: Knex,
    @Inject(DATABASE_READ) private readonly reading: Knex,
    private readonly workers: Workers,
  ) {}

  /** A page of lines, in the order they came in; `after` is the place of the last one of the page before. */
  async list(
    yardId: string,
    { away, after }: { away: boolean; after: number },
  ): Promise<{ lines: JobLine[]; next: number | null }> {
    const rows = await this.reading('jobs')
      .where({ yard_id: yardId })
      .whereNull('deleted_at')
      .where('place', '>', after)
      .whereRaw(`put_away_at is ${away ? 'not null' : 'null'}`)
      .orderBy('place')
      .limit(PAGE + 1)
      .select<
        { id: string; place: string; revision: number; updated_at: Date; name: string; walls: number }[]
      >('id', 'place', 'revision', 'updated_at', 'name', 'walls');
    const lines = rows.slice(0, PAGE).map((r) => ({
      id: r.id,
      revision: r.revision,
      savedAt: r.updated_at.toISOString(),
      name: r.name,
      walls: r.walls,
      putAway: away,
    }));
    return { lines, next: rows.length > PAGE ? Number(rows[PAGE - 1]?.place) : null };
  }

  async read(yardId: string, id: string): Promise<JsonText> {
    return said(await this.row(this.db, yardId, id));
  }

  async parsed(yardId: string, id: string, db: Knex = this.reading): Promise<JobAnswer> {
    const row = await this.row(db, yardId, id);
    return {
      id: row.id,
      revision: row.revision,
      savedAt: row.updated_at.toISOString(),
      document: JSON.parse(row.text) as Job,
    };
  }

  async file(yardId: string, id: string): Promise<JsonText> {
    const { text } = await this.row(this.reading, yardId, id);
    return this.workers.do('file', { text });
  }

  /** Whether there is or was such a job: one thrown away for good keeps its record. */
  async exists(yardId: string, id: string): Promise<void> {
    const row = await this.db('jobs').where({ id, yard_id: yardId }).first<object | undefined>('id');
    if (!row) throw missing();
  }

  /** The job's revision as it stands, nobody else's to change until the transaction is over. */
  async lock(trx: Knex.Transaction, yardId: string, id: string): Promise<number> {
    const row = await trx('jobs')
      .where({ id, yard_id: yardId })
      .whereNull('put_away_at')
      .whereNull('deleted_at')
      .forUpdate()
      .first<{ revision: number } | undefined>('revision');
    if (!row) throw missing();
    return row.revision;
  }

  async add({ yardId, accountId }: Visitor, body: string): Promise<JsonText> {
    const { text, name, walls, save } = await this.opened(body, null);
    await roomFor(this.db, yardId, null, text.length, true);
    const { rows } = await this.db.raw<{ rows: JobRow[] }>(
      `insert into jobs (yard_id, document, name, walls, bytes, saved_by, add_id) values (?, ?, ?, ?, ?, ?, ?)
       on conflict (yard_id, add_id) do nothing returning id, revision, updated_at`,
      [yardId, text, name, walls, text.length, accountId, save],
    );
    const [row] = rows;
    if (row) return said({ ...row, text });
    // The answer to it was lost, and it is asked for once more: it is there.
    const there: JobRow | undefined = await this.db('jobs')
      .where({ yard_id: yardId, add_id: save })
      .first<JobRow | undefined>(this.db.raw(COLUMNS));
    if (!there?.text) throw missing();
    return said(there);
  }

  /** Writes only over the revision the edit was made on; otherwise answers 409 with the newer document. */
  async save({ yardId, accountId }: Visitor, id: string, body: string, brief = false): Promise<JsonText> {
    const { text, name, walls, revision: on, save, keep } = await this.opened(body, id);
    const revision = on ?? 0;
    await roomFor(this.db, yardId, id, text.length, false);
    // What stood before is kept as a version when another did it, or this one did it a while ago.
    const { rows } = await this.db
      .raw<{ rows: (JobRow & { spell: boolean })[] }>(
        `with was as (
         select id, revision, updated_at, saved_by, bytes, document,
                saved_by is distinct from :member::uuid or spell_began < now() - interval '${SPELL}' or :keep::boolean as spell
           from jobs
          where id = :id and yard_id = :yard and revision = :revision and put_away_at is null and deleted_at is null
            for update
       ), kept as (
         insert into job_versions (job_id, revision, saved_at, member, bytes, document)
         select id, revision, updated_at, saved_by, bytes, document from was where spell
         on conflict do nothing
       )
       update jobs set document = :text, name = :name, walls = :walls, bytes = :bytes, revision = jobs.revision + 1,
              updated_at = now(), saved_by = :member, save_id = :save,
              spell_began = case when was.spell then now() else jobs.spell_began end
         from was where jobs.id = was.id
       returning jobs.id, jobs.revision, jobs.updated_at, was.spell`,
        { id, yard: yardId, member: accountId, revision, text, name, walls, bytes: text.length, save, keep },
      )
      .options({ name: 'save-job' });
    const [row] = rows;
    if (row?.spell) await this.thin(yardId, id);
    if (row) return said({ ...row, text }, brief);
    const newer = await this.row(this.db, yardId, id);
    // Its answer was lost and it comes once more: it is what stands.
    if (save !== null && newer.save_id === save && newer.revision === revision + 1) return said(newer);
    throw new Refusal(409, {
      says: SERVER.staleEdit({ newer: newer.revision, got: revision }),
      newer: JSON.parse(said(newer)) as unknown,
    });
  }

  /** Off the yard's list, and nothing of it lost. */
  async putAway(yardId: string, id: string): Promise<void> {
    const changed = await this.standing(yardId, id).update({ put_away_at: this.db.fn.now() });
    if (changed === 0) throw missing();
  }

  async bringBack({ yardId }: Visitor, id: string): Promise<void> {
    await roomFor(this.db, yardId, id, 0, true);
    const changed = await this.away(yardId, id).update({ put_away_at: null });
    if (changed === 0) throw missing();
  }

  /** For good, its versions too. What was signed and recorded of it stays, under its name. */
  async remove(yardId: string, id: string): Promise<void> {
    await this.db.transaction(async (trx) => {
      const changed = await this.away(yardId, id)
        .transacting(trx)
        .update({ deleted_at: trx.fn.now(), document: null, bytes: 0, add_id: null });
      if (changed === 0) throw missing();
      await trx('job_versions').where({ job_id: id }).delete();
    });
  }

  /** `id`: the job it is of, where there is one; what was last found sound of it need not be checked again. */
  private async opened(body: string, id: string | null): Promise<Envelope> {
    const saved = id !== null;
    const opened =
      body.length > SMALL
        ? await this.workers.do('open', { body, saved })
        : openEnvelope(body, saved, saved ? this.sound.get(id) : undefined);
    if (!opened.ok)
      throw new Refusal(400, { says: opened.says, ...(opened.faults ? { faults: opened.faults } : {}) });
    if (saved && opened.job) this.sound.set(id, opened.job, { size: body.length });
    return opened.envelope;
  }

  /** A hundred versions of a job and 20 MB of them are enough to go back by, and of a yard as much as it holds of jobs. */
  private async thin(yardId: string, id: string): Promise<void> {
    await this.db.raw(
      `delete from job_versions v using (
         select revision, row_number() over w as newer, sum(bytes) over w as held
           from job_versions where job_id = :id window w as (order by revision desc)
       ) r where v.job_id = :id and v.revision = r.revision and (r.newer > 100 or r.held > 20000000)`,
      { id },
    );
    await this.db.raw(
      `delete from job_versions v using (
         select job_id, revision, sum(bytes) over (order by saved_at desc, job_id, revision) as held
           from job_versions where job_id in (select id from jobs where yard_id = :yardId)
       ) r where v.job_id = r.job_id and v.revision = r.revision and r.held > :most`,
      { yardId, most: MOST_BYTES },
    );
  }

  private async row(db: Knex, yardId: string, id: string): Promise<JobRow> {
    const row = await db('jobs')
      .where({ id, yard_id: yardId })
      .whereNull('put_away_at')
      .whereNull('deleted_at')
      .first<JobRow | undefined>(db.raw(COLUMNS));
    if (!row) throw missing();
    return row;
  }

  private standing(yardId: string, id: string): Knex.QueryBuilder {
    return this.db('jobs').where({ id, yard_id: yardId }).whereNull('put_away_at').whereNull('deleted_at');
  }

  private away(yardId: string, id: string): Knex.QueryBuilder {
    return this.db('jobs').where({ id, yard_id: yardId }).whereNotNull('put_away_at').whereNull('deleted_at');
  }
}
