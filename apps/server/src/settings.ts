/** What the process is told from outside. Read once, at the edge. */
export interface Settings {
  databaseUrl: string;
  port: number;
  /** Folder of the built web application, or null to serve the API alone. */
  webFolder: string | null;
  /** Whether visitors may look round the demo yard. */
  demo: boolean;
  sessionSecret: string;
  logLevel: string;
}

export const SETTINGS = Symbol('settings');

export function readSettings(env: NodeJS.ProcessEnv): Settings {
  const port = Number(env.PORT ?? 4600);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
    throw new Error(`PORT must be a whole number from 0 to 65535, received ${env.PORT}`);
  }
  if (!env.DATABASE_URL) throw new Error('DATABASE_URL must name a PostgreSQL database, received nothing');
  if (!env.SESSION_SECRET || env.SESSION_SECRET.length < 16) {
    throw new Error('SESSION_SECRET must be at least 16 characters');
  }
  return {
    databaseUrl: env.DATABASE_URL,
    port,
    webFolder: env.WEB_FOLDER ?? null,
    demo: env.TALLY_DEMO === '1',
    sessionSecret: env.SESSION_SECRET,
    logLevel: env.LOG_LEVEL ?? 'info',
  };
}
