import type { Stroke, Unread } from '@even-tally/core';

export interface Drawing {
  layers: string[];
  strokes: Stroke[];
  unread: Unread[];
}

interface XY {
  x: number;
  y: number;
}
interface Vertex extends XY {
  bulge?: number;
}

/** An arc as the stroke between its ends, bowed to the left. */
function arcStroke(layer: string, centre: XY, radius: number, from: number, to: number): Stroke {
  const sweep = (to - from + 4 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
  const at = (a: number): XY => ({ x: centre.x + radius * Math.cos(a), y: centre.y + radius * Math.sin(a) });
  return { layer, from: at(from), to: at(from + sweep), bulge: Math.tan(sweep / 4) };
}

function fromVertices(layer: string, vertices: readonly Vertex[], closed: boolean): Stroke[] {
  const count = closed ? vertices.length : vertices.length - 1;
  return Array.from({ length: Math.max(0, count) }, (_, i): Stroke[] => {
    const [a, b] = [vertices[i], vertices[(i + 1) % vertices.length]];
    return a && b ? [{ layer, from: { x: a.x, y: a.y }, to: { x: b.x, y: b.y }, bulge: a.bulge ?? 0 }] : [];
  }).flat();
}

/**
 * The strokes of a DXF file, layer by layer, and what else it holds. Throws a plain sentence when it is no drawing.
 * The parser comes only when a file is read.
 */
export async function readDxf(text: string): Promise<Drawing> {
  const { default: DxfParser } = await import('dxf-parser');
  let parsed;
  try {
    parsed = new DxfParser().parseSync(text);
  } catch {
    parsed = null;
  }
  if (!parsed || parsed.entities.length === 0)
    throw new Error('Wanted a DXF drawing with lines in it; this file has none that can be read.');
  const strokes: Stroke[] = [];
  const unread: Unread[] = [];
  for (const entity of parsed.entities) {
    const { layer, type } = entity;
    const e = entity as unknown as {
      vertices?: Vertex[];
      shape?: boolean;
      center?: XY;
      radius?: number;
      startAngle?: number;
      endAngle?: number;
    };
    if ((type === 'LINE' || type === 'LWPOLYLINE' || type === 'POLYLINE') && e.vertices)
      strokes.push(...fromVertices(layer, e.vertices, e.shape ?? false));
    else if (type === 'ARC' && e.center && e.radius !== undefined)
      strokes.push(arcStroke(layer, e.center, e.radius, e.startAngle ?? 0, e.endAngle ?? 0));
    else unread.push({ layer, what: type });
  }
  const layers = [...new Set([...strokes, ...unread].map((s) => s.layer))].sort();
  return { layers, strokes, unread };
}
