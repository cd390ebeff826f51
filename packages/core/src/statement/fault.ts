/** One thing wrong with a job file: where (JSON pointer), what was wanted, what was got. */
export interface Fault {
  path: string;
  wanted: string;
  got: string;
}

export const sayFault = (f: Fault): string => `${f.path || '/'}: wanted ${f.wanted}, got ${f.got}`;

/** A value as it should be read back to a person: short, one line, no control characters. */
export function sayValue(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (value === null) return 'null';
  if (typeof value === 'number') return String(value);
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object') return 'an object';
  if (typeof value !== 'string') return typeof value === 'boolean' ? String(value) : `a ${typeof value}`;
  const text = JSON.stringify(value);
  const plain = text.toWellFormed();
  return plain.length > 80 ? `${plain.slice(0, 77)}…"` : plain;
}

export function pointer(path: string, key: string | number): string {
  const plain = typeof key === 'number' || !/[~/]/.test(key);
  return `${path}/${plain ? key : key.replace(/~/g, '~0').replace(/\//g, '~1')}`;
}
