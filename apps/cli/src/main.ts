import { bench } from './bench.js';
import { check, plan } from './commands.js';

const COMMANDS: Record<string, (args: string[]) => number> = { check, plan, bench };

const [name = '', ...args] = process.argv.slice(2);
const command = COMMANDS[name];
if (!command) {
  process.stderr.write(`Wanted check, plan or bench, got "${name}".\n`);
  process.exitCode = 2;
} else {
  process.exitCode = command(args);
}
