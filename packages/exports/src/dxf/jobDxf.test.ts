import * as parser from 'dxf-parser';
import { allotments, asked, boatClub, planned, textOf } from '../test/jobs.js';

interface Entity {
  type: string;
  layer: string;
  vertices?: { x: number; y: number }[];
  text?: string;
}
interface Drawing {
  entities: Entity[];
  header: Record<string, unknown>;
  tables: { layer: { layers: Record<string, unknown> } };
}
const DxfParser = (parser as unknown as { default: new () => { parseSync(text: string): Drawing } }).default;
const read = (text: string): Drawing => new DxfParser().parseSync(text);

const on = (d: Drawing, ...layers: string[]): Entity[] => d.entities.filter((e) => layers.includes(e.layer));
const span = (e: Entity, way: 'x' | 'y'): number => {
  const all = (e.vertices ?? []).map((v) => v[way]);
  return Math.max(...all) - Math.min(...all);
};

describe('the boat club as a drawing file, read back by another program', () => {
  const drawing = read(textOf('dxf', asked(boatClub)));
  const walls = planned(boatClub);

  test('is in millimetres, on layers that are all there', () => {
    // $INSUNITS 4 is millimetres (DXF reference).
    expect(drawing.header.$INSUNITS).toBe(4);
    for (const e of drawing.entities) expect(Object.keys(drawing.tables.layer.layers)).toContain(e.layer);
  });

  test('has every unit at true size: so much area as the units on all faces', () => {
    const areaOf = (e: Entity): number =>
      Math.abs(
        (e.vertices ?? []).reduce((sum, a, i, all) => {
          const b = all[(i + 1) % all.length] ?? a;
          return sum + (a.x * b.y - b.x * a.y) / 2;
        }, 0),
      );
    const drawn = on(drawing, 'units', 'units-sawn').reduce((sum, e) => sum + areaOf(e), 0);
    // Worked from the rows, which the drawing is not made from: length times height of each piece, and what other runs show.
    const block = walls[0];
    if (!block) throw new Error('no wall');
    const one = read(textOf('dxf', asked(boatClub, { wall: 0 })));
    const shown =
      block.runs.length * block.gauge.courses.reduce((s, c) => s + block.wall.unitWidth * c.unitHeight, 0);
    const own = block.runs.reduce(
      (sum, r) =>
        sum +
        r.rows.reduce(
          (s, row, i) =>
            s +
            row.pieces.reduce((t, p) => t + (p.to - p.from) * (block.gauge.courses[i]?.unitHeight ?? 0), 0),
          0,
        ),
      0,
    );
    const alone = on(one, 'units', 'units-sawn').reduce((sum, e) => sum + areaOf(e), 0);
    expect(alone).toBeCloseTo(own + shown, 0);
    expect(drawn).toBeGreaterThan(alone);
  });

  test('has every opening twice, on its elevation and in plan, as large as it is', () => {
    const openings = walls.flatMap((p) => p.wall.openings);
    expect(on(drawing, 'openings').filter((e) => e.type === 'LWPOLYLINE')).toHaveLength(2 * openings.length);
    for (const o of openings)
      expect(
        on(drawing, 'openings').some(
          (e) =>
            Math.abs(span(e, 'x') - (o.to - o.from)) < 0.01 &&
            Math.abs(span(e, 'y') - (o.head - o.sill)) < 0.01,
        ),
      ).toBe(true);
  });

  test('has every upright that a face shows, where it stands', () => {
    const [p] = walls;
    if (!p) throw new Error('no wall');
    const one = read(textOf('dxf', asked(boatClub, { wall: 0 })));
    const upright = on(one, 'bars').filter((e) => e.type === 'LINE' && span(e, 'x') < 0.01);
    const counted = p.steel.verticals.reduce((sum, v) => sum + v.bars.length, 0);
    // Each corner's bar is seen on the face that ends there too.
    const corners = p.wall.line.corners.length;
    expect(upright).toHaveLength(counted + corners);
  });

  test('has the plan to scale: each run as long as it is built', () => {
    const [p] = walls;
    const one = read(textOf('dxf', asked(boatClub, { wall: 0 })));
    const faces = on(one, 'plan').map((e) => Math.max(span(e, 'x'), span(e, 'y')));
    p?.wall.runs.forEach((r) => expect(faces.some((f) => Math.abs(f - r.length) < 0.01)).toBe(true));
  });
});

test('ties, trays and the inner leaf are on layers of their own', () => {
  const drawing = read(textOf('dxf', asked(allotments)));
  expect(on(drawing, 'ties').length).toBeGreaterThan(10);
  expect(on(drawing, 'cavity').length).toBeGreaterThan(4);
  const store = planned(allotments)[0];
  const one = read(textOf('dxf', asked(allotments, { wall: 0 })));
  expect(on(one, 'plan')).toHaveLength((store?.wall.runs.length ?? 0) * 2);
});
