import type { Fault, JobDocument, OwnUnit, RecordEntry, Said } from '@even-tally/core';
import { KEEPING } from '@even-tally/words';
import { Failure } from './failure';
import { asked } from './reading';
import { heardTime } from './serverClock';

/** What somebody may do in a yard, each with all that stands before it. */
export const ROLES = ['reads', 'logs', 'plans', 'owns'] as const;
export type Role = (typeof ROLES)[number];

export interface InYard {
  id: string;
  name: string;
  demo: boolean;
  role: Role;
}

export interface Session {
  signedIn: boolean;
  email: string | null;
  yard: InYard | null;
  yards: InYard[];
  /** Whether there is a demo yard to look round. */
  demo: boolean;
}

/** A job as a line of the yard's list. */
export interface JobLine {
  id: string;
  revision: number;
  savedAt: string;
  name: string;
  walls: number;
  putAway: boolean;
}

/** What a job was before, or is: who saved it and what changed; newest first. */
export interface VersionLine {
  revision: number;
  at: string;
  by: string | null;
  says: string | null;
}

export interface Member {
  account: string;
  email: string | null;
  role: Role;
  since: string;
  you: boolean;
}

export interface InviteLine {
  id: string;
  role: Role;
  by: string | null;
  expires: string;
}

export interface SessionLine {
  id: string;
  agent: string;
  made: string;
  seen: string;
  here: boolean;
}

export interface KeptJob {
  id: string;
  revision: number;
  savedAt: string;
  document: JobDocument;
}

/** The server answered, and said no. `newer` comes with a stale write. */
export class Refused extends Failure {
  constructor(
    readonly status: number,
    says: Said,
    readonly faults: Fault[] = [],
    readonly newer: KeptJob | null = null,
  ) {
    super(says);
  }
}

/** The server did not answer: work goes on and what is pending is held on this device. */
export class Away extends Failure {
  constructor() {
    super(KEEPING.noAnswer);
  }
}

/** Asks the server, and refuses or is away where it does. */
async function fetched(method: string, path: string, body?: unknown): Promise<Response> {
  const plain = body instanceof Blob;
  const type = plain ? 'application/x-ndjson' : 'application/json';
  const response = await fetch(path, {
    method,
    // Whoever saves a document has it: the answer need not bring it back.
    headers: {
      'Accept-Language': asked(),
      ...(body === undefined ? {} : { 'Content-Type': type, Prefer: 'return=minimal' }),
    },
    ...(body === undefined ? {} : { body: plain ? body : JSON.stringify(body) }),
    credentials: 'same-origin',
  }).catch(() => null);
  // A gateway or a restarting server is no answer either.
  if (!response || (response.status >= 502 && response.status !== 503)) throw new Away();
  heardTime(response.headers.get('Date'));
  if (response.ok) return response;
  const answer = (await response.json().catch(() => ({}))) as {
    says?: string;
    faults?: Fault[];
    newer?: KeptJob;
  };
  if (response.status === 503 && response.headers.get('Retry-After') === null) throw new Away();
  throw new Refused(response.status, answer.says ?? KEEPING.refused, answer.faults, answer.newer ?? null);
}

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  const response = await fetched(method, path, body);
  return (response.status === 204 ? undefined : await response.json().catch(() => ({}))) as T;
}

/** Every page of a list: each says where the next is. */
async function every<T>(path: string): Promise<T[]> {
  const all: T[] = [];
  for (let next: string | undefined = path; next !== undefined;) {
    const page: Response = await fetched('GET', next);
    all.push(...((await page.json()) as T[]));
    next = /<([^>]+)>; rel="next"/.exec(page.headers.get('Link') ?? '')?.[1];
  }
  return all;
}

export const readSession = (): Promise<Session> => ask('GET', '/api/session');
export const openDemo = (): Promise<Session> => ask('POST', '/api/demo');
export const signIn = (email: string, password: string): Promise<Session> =>
  ask('POST', '/api/session', { email, password });
export const openAccount = (email: string, password: string, yard: string): Promise<Session> =>
  ask('POST', '/api/accounts', { email, password, yard });
export const openToJoin = (email: string, password: string, invite: string): Promise<Session> =>
  ask('POST', '/api/accounts', { email, password, invite });
export const enterYard = (yard: string): Promise<Session> => ask('POST', '/api/session/yard', { yard });
export const listSessions = (): Promise<SessionLine[]> => ask('GET', '/api/sessions');
export const endSession = (id: string): Promise<void> => ask('DELETE', `/api/sessions/${id}`);
export const signOutEverywhere = (): Promise<void> => ask('POST', '/api/sessions/end');
export const changePassword = (old: string, password: string): Promise<Session> =>
  ask('POST', '/api/account/password', { old, password });
export const closeAccount = (password: string): Promise<void> =>
  ask('POST', '/api/account/close', { password });
export const closeYard = (password: string): Promise<void> => ask('POST', '/api/yard/close', { password });

export const listMembers = (): Promise<Member[]> => ask('GET', '/api/members');
export const setRole = (account: string, role: Role): Promise<void> =>
  ask('PUT', `/api/members/${account}`, { role });
export const removeMember = (account: string): Promise<void> => ask('DELETE', `/api/members/${account}`);
export const listInvites = (): Promise<InviteLine[]> => ask('GET', '/api/invites');
export const makeInvite = (role: Role): Promise<InviteLine & { invite: string }> =>
  ask('POST', '/api/invites', { role });
export const takeInviteBack = (id: string): Promise<void> => ask('DELETE', `/api/invites/${id}`);
export const lookAtInvite = (invite: string): Promise<{ yard: string; role: Role }> =>
  ask('POST', '/api/invites/look', { invite });
export const joinYard = (invite: string): Promise<Session> => ask('POST', '/api/invites/join', { invite });
/** A whole yard brought in from a file: how much came. */
export const loadYard = (file: Blob): Promise<{ jobs: number; entries: number }> =>
  ask('POST', '/api/yard/file', file);
export const signOut = (): Promise<void> => ask('POST', '/api/session/end');
export const listJobs = (): Promise<JobLine[]> => every('/api/jobs');
export const listPutAway = (): Promise<JobLine[]> => every('/api/jobs?away=1');
export const readJobById = (id: string): Promise<KeptJob> => ask('GET', `/api/jobs/${id}`);
export const addJob = (document: unknown): Promise<KeptJob> => ask('POST', '/api/jobs', { document });
/** `save`: an id of its own, the same when it is sent again. `keep`: what stands there now is kept as a version. */
export const saveJob = (
  id: string,
  revision: number,
  document: JobDocument,
  how: { save?: string; keep?: boolean } = {},
): Promise<Omit<KeptJob, 'document'>> => ask('PUT', `/api/jobs/${id}`, { revision, document, ...how });
export const putJobAway = (id: string): Promise<void> => ask('DELETE', `/api/jobs/${id}`);
export const bringJobBack = (id: string): Promise<void> => ask('POST', `/api/jobs/${id}/back`);
export const removeJob = (id: string): Promise<void> => ask('DELETE', `/api/jobs/${id}/away`);
export const listVersions = (id: string): Promise<VersionLine[]> => ask('GET', `/api/jobs/${id}/versions`);
export const readVersion = (id: string, revision: number): Promise<{ document: JobDocument }> =>
  ask('GET', `/api/jobs/${id}/versions/${revision}`);

export const readRecord = (job: string): Promise<RecordEntry[]> => ask('GET', `/api/jobs/${job}/record`);
export const addRecord = (job: string, entry: RecordEntry): Promise<RecordEntry> =>
  ask('POST', `/api/jobs/${job}/record`, entry);

/** Tells when a job’s record has grown. The browser comes back by itself and is told what it missed. Gives what stops it. */
export function recordEvents(job: string, heard: () => void): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource(`/api/jobs/${job}/record/events`);
  source.onmessage = heard;
  return () => source.close();
}

/** The yard’s own units. */
export const listYardUnits = (): Promise<OwnUnit[]> => ask('GET', '/api/yard/units');
export async function keepYardUnit(unit: OwnUnit): Promise<void> {
  await fetched('PUT', '/api/yard/units', unit);
}

/** An export of a kept job, made by the server: one of the kinds there are. */
export async function exported(id: string, kind: string, asked: Record<string, string>): Promise<Blob> {
  const path = `/api/jobs/${id}/exports/${encodeURIComponent(kind)}?${new URLSearchParams(asked)}`;
  return (await fetched('GET', path)).blob();
}
