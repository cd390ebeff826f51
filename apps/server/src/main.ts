import 'reflect-metadata';
import { writeFileSync } from 'node:fs';
import type { Knex } from 'knex';
import { buildApp } from './app.js';
import { DATABASE } from './database/database.module.js';
import { loadDemo } from './database/demo.js';
import { readSettings, WrongSetting } from './settings.js';

/** How long those who are being answered are waited for. ms. */
const PATIENCE = 4000;
/** How long stopping may take in all. */
const DEADLINE = 7000;

/** Exit status for what starting again would not mend; anything else may pass. */
const WRONG = 78;

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const app = await buildApp(settings);
  if (settings.demo && process.env.DEMO_FOLDER)
    await loadDemo(app.get<Knex>(DATABASE), process.env.DEMO_FOLDER);
  await app.listen(settings.port, settings.host);
  const server = app.getHttpServer();
  let closing = false;
  const close = (): void => {
    if (closing) return;
    closing = true;
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), PATIENCE).unref();
    setTimeout(() => process.exit(0), DEADLINE).unref();
    void app.close().then(() => process.exit(0));
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, close);
  // When the starter is killed outright, nobody is left to stop this: it notices and goes.
  const starter = process.ppid;
  setInterval(() => process.ppid !== starter && close(), 1000).unref();
  const { port } = server.address() as { port: number };
  // Whoever starts it again starts it where it was.
  if (process.env.READY_FILE) writeFileSync(process.env.READY_FILE, `${port}\n`);
  process.stdout.write(
    `Even Tally is ready at ${settings.tls ? 'https' : 'http'}://${settings.host}:${port}\n`,
  );
}

main().catch((error: unknown) => {
  const { code } = error as { code?: string };
  const taken = code === 'EADDRINUSE';
  const says = error instanceof Error ? error.message || code || error.name : String(error);
  process.stderr.write(
    `${taken ? `Port ${process.env.PORT} is taken by another program. Choose another: --port N` : says}\n`,
  );
  process.exit(taken || error instanceof WrongSetting ? WRONG : 1);
});
