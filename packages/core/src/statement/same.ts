const isHolder = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null;

/** Whether two values read from JSON are equal, whatever the order of their keys. The same object is looked at once. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!isHolder(a) || !isHolder(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((k) => Object.hasOwn(b, k) && same(a[k], b[k]));
}
