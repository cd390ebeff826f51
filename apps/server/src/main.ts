import 'reflect-metadata';
import type { Knex } from 'knex';
import { buildApp } from './app.js';
import { DATABASE } from './database/database.module.js';
import { loadDemo } from './database/demo.js';
import { readSettings } from './settings.js';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const app = await buildApp(settings);
  if (settings.demo && process.env.DEMO_FOLDER)
    await loadDemo(app.get<Knex>(DATABASE), process.env.DEMO_FOLDER);
  await app.listen(settings.port, '127.0.0.1');
  let closing = false;
  const close = (): void => {
    if (closing) return;
    closing = true;
    void app.close().then(() => process.exit(0));
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, close);
  // When the starter is killed outright, nobody is left to stop this: it notices and goes.
  const starter = process.ppid;
  setInterval(() => process.ppid !== starter && close(), 1000).unref();
  const address = app.getHttpServer().address() as { port: number };
  process.stdout.write(`Even Tally is ready at http://127.0.0.1:${address.port}\n`);
}

main().catch((error: unknown) => {
  const taken = (error as { code?: string }).code === 'EADDRINUSE';
  const says = error instanceof Error ? error.message : String(error);
  process.stderr.write(
    `${taken ? `Port ${process.env.PORT} is taken by another program. Choose another: --port N` : says}\n`,
  );
  process.exit(1);
});
