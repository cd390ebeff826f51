import type { Fault } from './fault.js';

/** Deepest nesting of a JSON text, read without recursion so that depth itself can do no harm. */
export function nesting(text: string): number {
  let [depth, deepest, quoted] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (quoted) {
      if (c === 0x5c) i++;
      else if (c === 0x22) quoted = false;
    } else if (c === 0x22) quoted = true;
    else if (c === 0x7b || c === 0x5b) deepest = Math.max(deepest, ++depth);
    else if (c === 0x7d || c === 0x5d) depth--;
  }
  return deepest;
}

/** Reads JSON, a mark at its beginning left off; what is not JSON is a fault and not an exception. */
export function parseJson(text: string, wanted: string): { value: unknown } | { fault: Fault } {
  try {
    return { value: JSON.parse(text.replace(/^\ufeff/, '')) as unknown };
  } catch (error) {
    const why = error instanceof Error ? error.message.replace(/\p{Cc}/gu, ' ') : 'not JSON';
    return { fault: { path: '', wanted, got: why.slice(0, 120) } };
  }
}
