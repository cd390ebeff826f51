import { cornersOf, type CourseColumns, type Scene, type SceneShape } from '@even-tally/core';
import { LWPolylineFlags, point2d, point3d, TextHorizontalAlignment, type DxfWriter } from '@tarikjabiri/dxf';
import { LAYERS, SAWN, UNITS } from './layers.js';

/** Height of words in the drawing, mm. */
const WORDS = 100;
/** A mark has no size of its own: so far across, mm. */
const MARK = 40;

type XY = readonly [number, number];

interface Pen {
  dxf: DxfWriter;
  /** Where the scene's own nothing lies. */
  x: number;
  y: number;
}

function outline({ dxf, x, y }: Pen, points: readonly XY[], layerName: string, closed = true): void {
  dxf.addLWPolyline(
    points.map(([px, py]) => ({ point: point2d(x + px, y + py) })),
    { layerName, flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
  );
}

const box = (x: number, y: number, w: number, h: number): XY[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

function shapeIn(pen: Pen, s: SceneShape<string>): void {
  const layer = LAYERS[s.role];
  if (!layer) return;
  const { dxf, x, y } = pen;
  const layerName = layer.name;
  switch (s.type) {
    case 'rect':
      return outline(pen, box(s.x, s.y, s.w, s.h), layerName);
    case 'shape':
      return outline(pen, s.points, layerName);
    case 'path':
      return outline(pen, s.points, layerName, false);
    case 'line':
      return void dxf.addLine(point3d(x + s.x1, y + s.y1), point3d(x + s.x2, y + s.y2), { layerName });
    case 'mark':
      return outline(pen, box(s.x - MARK / 2, s.y - MARK / 2, MARK, MARK), layerName);
    case 'text': {
      if (s.text === '') return;
      const at = point3d(x + s.x, y + s.y);
      const middle = s.anchor === 'middle';
      dxf.addText(at, WORDS, s.text, {
        layerName,
        ...(s.anchor === 'start'
          ? {}
          : {
              secondAlignmentPoint: at,
              horizontalAlignment: middle ? TextHorizontalAlignment.Center : TextHorizontalAlignment.Right,
            }),
      });
    }
  }
}

function courseIn(pen: Pen, c: CourseColumns): void {
  for (let i = 0; i < c.count; i++) {
    const { name } = c.sawn[i] === 1 ? SAWN : UNITS;
    const corners = cornersOf(c, i);
    if (corners)
      outline(
        pen,
        Array.from({ length: corners.length / 2 }, (_, k) => [corners[2 * k] ?? 0, corners[2 * k + 1] ?? 0]),
        name,
      );
    else {
      const [from, bottom] = [c.from[i] ?? 0, c.bottom[i] ?? 0];
      outline(pen, box(from, bottom, (c.to[i] ?? 0) - from, (c.top[i] ?? 0) - bottom), name);
    }
  }
}

/** A scene at true scale, its own nothing at (x, y). */
export function drawScene(dxf: DxfWriter, scene: Scene<string>, x: number, y: number): void {
  const pen = { dxf, x, y };
  for (const c of scene.pieces ?? []) courseIn(pen, c);
  for (const s of scene.shapes) shapeIn(pen, s);
}
