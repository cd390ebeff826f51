import { bench } from './bench.js';
import { check, plan } from './commands.js';
import { exportFile } from './exportFile.js';
import { mud } from './mud.js';
import { say } from './say.js';

const COMMANDS: Record<string, (args: string[]) => number | Promise<number>> = {
  check,
  plan,
  bench,
  say,
  mud,
  export: exportFile,
};

// A reader that has seen enough (`| head`) is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

const [name = '', ...args] = process.argv.slice(2);
const command = COMMANDS[name];
if (!command) {
  process.stderr.write(`Wanted check, plan, say, mud, export or bench, got "${name}".\n`);
  process.exitCode = 2;
} else {
  process.exitCode = await command(args);
}
