import type { Export, ExportAsk } from '../ask.js';
import { pagesPdf } from './pdf.js';
import { pagesPng } from './png.js';

/** An export as the bytes of a file. Null where it has nothing to show: no such wall, no such run. */
export async function exportBytes(kind: Export, ask: ExportAsk): Promise<Uint8Array | null> {
  const made = kind.make(ask);
  if ('text' in made) return new TextEncoder().encode(made.text);
  if (made.pages.length === 0) return null;
  return kind.drawn === 'png' ? pagesPng(made.pages, made.title) : pagesPdf(made.pages, made.title);
}
