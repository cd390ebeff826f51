// Fails when the lockfile names an address, or lacks an optional package that a package in it asks for.
import { readFileSync } from 'node:fs';

const { packages } = JSON.parse(readFileSync(new URL('../package-lock.json', import.meta.url), 'utf8'));
const faults = [];
for (const [path, entry] of Object.entries(packages)) {
  if (typeof entry.resolved === 'string' && /^[a-z+]+:\/\//.test(entry.resolved))
    faults.push(`${path} names an address`);
  for (const name of Object.keys(entry.optionalDependencies ?? {})) {
    const places = [`${path}/node_modules/${name}`, `node_modules/${name}`];
    const parents = path
      .split('/node_modules/')
      .slice(0, -1)
      .map((_, i, all) => `${all.slice(0, i + 1).join('/node_modules/')}/node_modules/${name}`);
    if (![...places, ...parents].some((p) => packages[p]))
      faults.push(`${path} wants ${name}, which has no entry`);
  }
}
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exit(1);
}
