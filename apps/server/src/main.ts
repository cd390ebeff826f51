import 'reflect-metadata';
import type { Knex } from 'knex';
import { buildApp } from './app.js';
import { DATABASE } from './database/database.module.js';
import { loadDemo } from './database/demo.js';
import { readSettings } from './settings.js';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const app = await buildApp(settings);
  if (settings.demo && process.env.DEMO_FOLDER) await loadDemo(app.get<Knex>(DATABASE), process.env.DEMO_FOLDER);
  await app.listen(settings.port, '127.0.0.1');
  let closing = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      if (closing) return;
      closing = true;
      void app.close().then(() => process.exit(0));
    });
  }
  const address = app.getHttpServer().address() as { port: number };
  process.stdout.write(`Even Tally is ready at http://127.0.0.1:${address.port}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
