import type { Fault, JobDocument, PaperKind, RecordEntry } from '@even-tally/core';

export interface Session {
  signedIn: boolean;
  email: string | null;
  yard: { name: string; demo: boolean } | null;
  demo: boolean;
}

export interface KeptJob {
  id: string;
  revision: number;
  savedAt: string;
  document: JobDocument;
}

/** The server answered, and said no. `newer` comes with a stale write. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    says: string,
    readonly faults: Fault[] = [],
    readonly newer: KeptJob | null = null,
  ) {
    super(says);
  }
}

/** The server did not answer: work goes on and what is pending is held on this device. */
export class Away extends Error {
  constructor() {
    super('The server does not answer.');
  }
}

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      credentials: 'same-origin',
    });
  } catch {
    throw new Away();
  }
  if (response.status === 204) return undefined as T;
  const answer = (await response.json().catch(() => ({}))) as {
    says?: string;
    faults?: Fault[];
    newer?: KeptJob;
  };
  if (response.ok) return answer as T;
  // A gateway or a restarting server is no answer either.
  if (response.status >= 502) throw new Away();
  throw new Refused(
    response.status,
    answer.says ?? 'The server refused.',
    answer.faults,
    answer.newer ?? null,
  );
}

export const readSession = (): Promise<Session> => ask('GET', '/api/session');
export const openDemo = (): Promise<Session> => ask('POST', '/api/demo');
export const signIn = (email: string, password: string): Promise<Session> =>
  ask('POST', '/api/session', { email, password });
export const openAccount = (email: string, password: string, yard: string): Promise<Session> =>
  ask('POST', '/api/accounts', { email, password, yard });
export const signOut = (): Promise<void> => ask('POST', '/api/session/end');
export const listJobs = (): Promise<KeptJob[]> => ask('GET', '/api/jobs');
export const readJobById = (id: string): Promise<KeptJob> => ask('GET', `/api/jobs/${id}`);
export const addJob = (document: unknown): Promise<KeptJob> => ask('POST', '/api/jobs', { document });
export const saveJob = (id: string, revision: number, document: JobDocument): Promise<KeptJob> =>
  ask('PUT', `/api/jobs/${id}`, { revision, document });
export const removeJob = (id: string): Promise<void> => ask('DELETE', `/api/jobs/${id}`);

export const readRecord = (job: string): Promise<RecordEntry[]> => ask('GET', `/api/jobs/${job}/record`);
export const addRecord = (job: string, entry: RecordEntry): Promise<RecordEntry> =>
  ask('POST', `/api/jobs/${job}/record`, entry);

/** What the server prints: the pole of a wall, the dry-lay tape of a run, and sheets of tables. */
export type Printed = 'pole' | 'tape' | `papers/${PaperKind}`;

/** A printed sheet of a kept job. */
export async function printed(id: string, what: Printed, asked: Record<string, string>): Promise<Blob> {
  const response = await fetch(`/api/jobs/${id}/${what}.pdf?${new URLSearchParams(asked)}`).catch(() => null);
  if (!response || response.status >= 502) throw new Away();
  if (response.ok) return response.blob();
  const { says } = (await response.json().catch(() => ({}))) as { says?: string };
  throw new Refused(response.status, says ?? 'The server refused.');
}
