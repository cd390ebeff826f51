import { readFileSync } from 'node:fs';

/** What the process is told from outside. Read once, at the edge. */
export interface Settings {
  /** As whom requests are answered. */
  databaseUrl: string;
  /** As whom the schema is brought up to date: the same where none is named. */
  ownerUrl: string;
  /** A replica that what is only read may be read from, or null. */
  readUrl: string | null;
  host: string;
  port: number;
  /** Certificate and key, PEM, where this server speaks TLS itself. */
  tls: { cert: Buffer; key: Buffer } | null;
  /** How many proxies in front are ours, whose word on address and protocol counts. */
  proxies: number;
  /** Folder of the built web application, or null to serve the API alone. */
  webFolder: string | null;
  /** Whether visitors may look round the demo yard. */
  demo: boolean;
  sessionSecret: string;
  /** What one piece of work in a thread may take, seconds and MB, and how many may wait for one. */
  work: { seconds: number; heapMb: number; waiting: number };
  logLevel: string;
  /** Where the log is written, or null for where everything else is said. */
  logFile: string | null;
}

export const SETTINGS = Symbol('settings');

export const onLoopback = ({ host }: Pick<Settings, 'host'>): boolean =>
  ['127.0.0.1', '::1', 'localhost'].includes(host);

/** Whether browsers reach it by TLS, here or at a proxy: cookies are then sent by nothing else. */
export const isSecure = (settings: Pick<Settings, 'tls' | 'proxies'>): boolean =>
  settings.tls !== null || settings.proxies > 0;

/** Settings that leave everything at its usual, for what the caller does not say. */
export const usualSettings = (given: Partial<Settings> & Pick<Settings, 'databaseUrl'>): Settings => ({
  ownerUrl: given.databaseUrl,
  readUrl: null,
  host: '127.0.0.1',
  port: 0,
  tls: null,
  proxies: 0,
  webFolder: null,
  demo: false,
  sessionSecret: '',
  work: { seconds: 60, heapMb: 900, waiting: 60 },
  logLevel: 'info',
  logFile: null,
  ...given,
});

/** A setting that cannot be: the server does not start, and starting it again would not help. */
export class WrongSetting extends Error {}

function wholeNumber(env: NodeJS.ProcessEnv, name: string, usual: number, most: number): number {
  const value = Number(env[name] ?? usual);
  if (Number.isInteger(value) && value >= 0 && value <= most) return value;
  throw new WrongSetting(`${name} must be a whole number from 0 to ${most}, received ${env[name]}`);
}

function readTls(env: NodeJS.ProcessEnv): Settings['tls'] {
  const { TLS_CERT: cert, TLS_KEY: key } = env;
  if (!cert && !key) return null;
  if (!cert || !key) throw new WrongSetting('TLS_CERT and TLS_KEY go together, received one of them');
  try {
    return { cert: readFileSync(cert), key: readFileSync(key) };
  } catch (error) {
    throw new WrongSetting(
      `TLS_CERT and TLS_KEY must name files that can be read: ${(error as Error).message}`,
    );
  }
}

export function readSettings(env: NodeJS.ProcessEnv): Settings {
  if (!env.DATABASE_URL)
    throw new WrongSetting('DATABASE_URL must name a PostgreSQL database, received nothing');
  if (!env.SESSION_SECRET || env.SESSION_SECRET.length < 16) {
    throw new WrongSetting('SESSION_SECRET must be at least 16 characters');
  }
  const settings = usualSettings({
    databaseUrl: env.DATABASE_URL,
    ownerUrl: env.DATABASE_OWNER_URL || env.DATABASE_URL,
    readUrl: env.DATABASE_READ_URL || null,
    host: env.HOST || '127.0.0.1',
    port: wholeNumber(env, 'PORT', 4600, 65_535),
    tls: readTls(env),
    proxies: wholeNumber(env, 'TRUST_PROXY', 0, 9),
    webFolder: env.WEB_FOLDER ?? null,
    demo: env.TALLY_DEMO === '1',
    sessionSecret: env.SESSION_SECRET,
    logLevel: env.LOG_LEVEL ?? 'info',
    logFile: env.LOG_FILE || null,
  });
  // Passwords do not go over a wire that anybody on it can read.
  if (!onLoopback(settings) && !isSecure(settings))
    throw new WrongSetting(
      `HOST ${settings.host} is not this machine alone: wanted TLS_CERT and TLS_KEY, or TRUST_PROXY with a proxy that speaks TLS`,
    );
  return settings;
}
