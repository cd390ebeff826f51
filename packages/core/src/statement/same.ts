const isHolder = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null;

/** Whether two values read from JSON are equal, whatever the order of their keys. The same object is looked at once. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!isHolder(a) || !isHolder(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((k) => Object.hasOwn(b, k) && same(a[k], b[k]));
}

/**
 * A value read from JSON in which every part that equals what stands at its place in another is that other's own object: what was found
 * sound of the one need not be looked at again in the other. What is new is changed in place, and nobody else has it yet.
 */
export function sharing<T>(now: T, before: unknown): T {
  if (now === before || !isHolder(now) || !isHolder(before) || Array.isArray(now) !== Array.isArray(before))
    return now;
  const keys = Object.keys(now);
  let all = keys.length === Object.keys(before).length;
  for (const key of keys) {
    if (Object.hasOwn(before, key)) (now as Record<string, unknown>)[key] = sharing(now[key], before[key]);
    all &&= Object.hasOwn(before, key) && now[key] === before[key];
  }
  return all ? (before as T) : now;
}
