import { objectAmong, type Statement } from './statement.js';

/** A document with its keys in the order they are stated in, so that two exports of one are the same text. */
export function inOrderOf<T>(value: T, shape: Statement): T {
  if (shape.kind === 'object' && typeof value === 'object' && value !== null) {
    const from = value as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(shape.keys)
        .filter(([key]) => Object.hasOwn(from, key))
        .map(([key, k]) => [key, inOrderOf(from[key], k.shape)]),
    ) as T;
  }
  if (shape.kind === 'list' && Array.isArray(value))
    return (value as unknown[]).map((v) => inOrderOf(v, shape.of)) as T;
  if (shape.kind === 'named' && typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([name, of]) => [name, inOrderOf(of, shape.of)]),
    ) as T;
  if (shape.kind === 'byKey' && typeof value === 'object' && value !== null) {
    const name = Object.keys(shape.cases).find((key) => Object.hasOwn(value, key));
    const found = shape.cases[name ?? ''];
    return found ? inOrderOf(value, found) : value;
  }
  if (shape.kind === 'byTag' && typeof value === 'object' && value !== null) {
    const found = shape.cases[String((value as Record<string, unknown>)[shape.tag])];
    return found ? inOrderOf(value, found) : value;
  }
  if (shape.kind === 'either') {
    const own = objectAmong(shape.shapes);
    return own && typeof value === 'object' && value !== null ? inOrderOf(value, own) : value;
  }
  return value;
}
