import { Inject, Injectable } from '@nestjs/common';
import type { Job, Said } from '@even-tally/core';
import type { Knex } from 'knex';
import { DATABASE_READ } from '../database/database.module.js';
import { Workers } from '../workers/workers.module.js';
import { JobsService, missing } from './jobs.service.js';

export interface VersionLine {
  revision: number;
  at: string;
  by: string | null;
  /** What it changed of the version before it; null where that is not kept or would take too long to say. */
  says: Said | null;
}

export interface Version extends VersionLine {
  document: Job;
}

interface VersionRow {
  revision: number;
  saved_at: Date;
  email: string | null;
  bytes: number;
}

/** So much of documents is read to say what changed. */
const MOST_READ = 3_000_000;

/** What a job was before: who saved it, when, and what changed. The newest is the job as it stands. */
@Injectable()
export class VersionsService {
  constructor(
    @Inject(DATABASE_READ) private readonly db: Knex,
    private readonly jobs: JobsService,
    private readonly workers: Workers,
  ) {}

  /** Newest first. */
  async list(yardId: string, id: string, leaves: AbortSignal): Promise<VersionLine[]> {
    const now = await this.jobs.parsed(yardId, id);
    const rows = await this.rows(id).orderBy('revision', 'desc');
    const by = await this.savedBy(id);
    const lines = [
      { revision: now.revision, at: now.savedAt, by, says: null },
      ...rows.map((r) => ({ revision: r.revision, at: r.saved_at.toISOString(), by: r.email, says: null })),
    ];
    const says = await this.changes(id, now.document, rows, leaves);
    return lines.map((line, i) => ({ ...line, says: says[i] ?? null }));
  }

  async read(yardId: string, id: string, revision: number): Promise<Version> {
    await this.jobs.parsed(yardId, id);
    const row = (await this.rows(id).where({ revision }).select('document').first()) as
      (VersionRow & { document: Job }) | undefined;
    if (!row) throw missing();
    return { revision, at: row.saved_at.toISOString(), by: row.email, says: null, document: row.document };
  }

  /** What each changed of the one before it, newest first, as far back as is soon read. */
  private async changes(
    id: string,
    now: Job,
    rows: VersionRow[],
    leaves: AbortSignal,
  ): Promise<(Said | null)[]> {
    let read = JSON.stringify(now).length;
    const near = rows.filter((r) => (read += r.bytes) <= MOST_READ);
    if (near.length === 0) return [];
    const texts = await this.db('job_versions')
      .where({ job_id: id })
      .where('revision', '>=', near.at(-1)?.revision ?? 0)
      .orderBy('revision')
      .select<{ text: string }[]>(this.db.raw('document::text as text'));
    const said = await this.workers.do(
      'changes',
      { texts: [...texts.map((t) => t.text), JSON.stringify(now)] },
      leaves,
    );
    return said.reverse();
  }

  private async savedBy(id: string): Promise<string | null> {
    const row = await this.db('jobs')
      .leftJoin('accounts', 'accounts.id', 'jobs.saved_by')
      .where({ 'jobs.id': id })
      .first<{ email: string | null } | undefined>('accounts.email');
    return row?.email ?? null;
  }

  private rows(id: string): Knex.QueryBuilder<object, VersionRow[]> {
    return this.db('job_versions')
      .leftJoin('accounts', 'accounts.id', 'job_versions.member')
      .where({ job_id: id })
      .select('revision', 'saved_at', 'accounts.email', 'bytes') as Knex.QueryBuilder<object, VersionRow[]>;
  }
}
