import * as webIfc from 'web-ifc';
import { allotments, asked, boatClub, planned, soundJob, textOf } from '../test/jobs.js';
import { ifcGuid } from './guid.js';
import { stepText } from './step.js';

type Api = InstanceType<typeof webIfc.IfcAPI>;
interface Line {
  expressID: number;
  Name?: { value: string };
  [key: string]: unknown;
}

let api: Api;
beforeAll(async () => {
  api = new webIfc.IfcAPI();
  await api.Init();
});

function opened(text: string): { all: (type: number) => Line[]; volume: () => number; meshes: () => number } {
  const model = api.OpenModel(new TextEncoder().encode(text));
  const all = (type: number): Line[] => {
    const ids = api.GetLineIDsWithType(model, type);
    return Array.from({ length: ids.size() }, (_, i) => api.GetLine(model, ids.get(i), true) as Line);
  };
  /** Of everything that has a body, by its triangles, in mm³. */
  const volume = (): number => {
    let sum = 0;
    api.StreamAllMeshes(model, (mesh) => {
      for (let i = 0; i < mesh.geometries.size(); i++) {
        const placed = mesh.geometries.get(i);
        const g = api.GetGeometry(model, placed.geometryExpressID);
        const v = api.GetVertexArray(g.GetVertexData(), g.GetVertexDataSize());
        const t = api.GetIndexArray(g.GetIndexData(), g.GetIndexDataSize());
        const at = (k: number): number[] => [v[6 * k] ?? 0, v[6 * k + 1] ?? 0, v[6 * k + 2] ?? 0];
        for (let k = 0; k < t.length; k += 3) {
          const [a, b, c] = [at(t[k] ?? 0), at(t[k + 1] ?? 0), at(t[k + 2] ?? 0)] as [
            number[],
            number[],
            number[],
          ];
          const [ax = 0, ay = 0, az = 0] = a;
          const [bx = 0, by = 0, bz = 0] = b;
          const [cx = 0, cy = 0, cz = 0] = c;
          sum += (ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx)) / 6;
        }
      }
    });
    return Math.abs(sum);
  };
  let count = 0;
  const meshes = (): number => {
    count = 0;
    api.StreamAllMeshes(model, () => (count += 1));
    return count;
  };
  return { all, volume, meshes };
}

const valueOf = (v: unknown): unknown => (v as { value: unknown } | null)?.value;

describe('the boat club as a model, read back by another program', () => {
  const walls = planned(boatClub);
  let model: ReturnType<typeof opened>;
  beforeAll(() => {
    model = opened(textOf('ifc', asked(boatClub)));
  });

  test('has a wall for each run and an opening for each opening', () => {
    const runs = walls.reduce((sum, p) => sum + p.wall.runs.length, 0);
    expect(model.all(webIfc.IFCWALL)).toHaveLength(runs);
    const through = walls.reduce((sum, p) => sum + p.wall.openings.length * p.leaves.length, 0);
    expect(model.all(webIfc.IFCOPENINGELEMENT)).toHaveLength(through);
    expect(model.all(webIfc.IFCRELVOIDSELEMENT)).toHaveLength(through);
  });

  test('has every bar as thick as its size says and as long as the plan has it', () => {
    const bars = model.all(webIfc.IFCREINFORCINGBAR);
    const wanted = walls.reduce(
      (sum, p) =>
        sum +
        p.steel.verticals.reduce((s, v) => s + v.bars.length, 0) +
        p.steel.beams.reduce((s, b) => s + b.count * b.stretches.length, 0),
      0,
    );
    expect(bars).toHaveLength(wanted);
    // No. 5 is 5/8 in (ASTM A615).
    const upright = bars.filter((b) => valueOf(b.Name) === 'Upright #5');
    expect(upright.length).toBeGreaterThan(0);
    for (const b of upright) expect(valueOf(b.NominalDiameter)).toBeCloseTo(15.875, 3);
  });

  test('carries the base quantities the plan has', () => {
    const [p] = walls;
    const sets = model.all(webIfc.IFCELEMENTQUANTITY);
    const lengths = sets.map((s) => {
      const list = s.Quantities as Line[];
      const by = (name: string): unknown => list.find((q) => valueOf(q.Name) === name);
      return {
        length: Number(valueOf((by('Length') as { LengthValue?: unknown }).LengthValue)),
        area: Number(valueOf((by('NetSideArea') as { AreaValue?: unknown }).AreaValue)),
      };
    });
    p?.wall.runs.forEach((r, i) => {
      const area = p.runTallies[i]?.area ?? 0;
      expect(
        lengths.some((l) => Math.abs(l.length - r.length) < 0.01 && Math.abs(l.area - area) < 1e-4),
      ).toBe(true);
    });
    const names = model.all(webIfc.IFCPROPERTYSET).map((s) => valueOf(s.Name));
    expect(new Set(names)).toEqual(new Set(['EvenTally_Masonry']));
  });

  test('has no two things of one name, and the same names every time', () => {
    const ids = [...textOf('ifc', asked(boatClub)).matchAll(/=IFC[A-Z]+\('([0-9A-Za-z_$]{22})'/g)].map(
      (m) => m[1],
    );
    expect(ids.length).toBeGreaterThan(50);
    expect(new Set(ids).size).toBe(ids.length);
    expect(textOf('ifc', asked(boatClub))).toBe(textOf('ifc', asked(boatClub)));
  });
});

const wallJob = (more: object, wall: object = {}): ReturnType<typeof soundJob> =>
  soundJob({
    format: 'even-tally/job',
    version: 1,
    name: 'One',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'w',
        name: 'Wall',
        line: [{ run: "20'" }],
        height: "8'",
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        openings: [],
        ...wall,
      },
    ],
    ...more,
  });

test('a plain wall with a window is as much stone as length by height by thickness, less the window', () => {
  // 20 ft less a joint long as units are nominal: 239 5/8 in by 96 in by 7 5/8 in; the window 48 3/8 by 40 in clear.
  const job = wallJob(
    {},
    { openings: [{ id: 'o', run: 0, at: "8'", width: "4'", sill: '2\' 8"', head: "6'" }] },
  );
  const [p] = planned(job);
  const o = p?.wall.openings[0];
  if (!p || !o) throw new Error('no opening');
  const inch = 25.4;
  const wanted = (239.625 * 96 - ((o.to - o.from) / inch) * 40) * 7.625 * inch ** 3;
  expect(opened(textOf('ifc', asked(job))).volume() / 1e9).toBeCloseTo(wanted / 1e9, 4);
});

test('a gable is as much as its outline makes it', () => {
  const job = wallJob(
    {},
    {
      tops: [
        { id: 'a', run: 0, kind: 'raked', from: 0, to: "10'", left: "8'", right: "12'" },
        { id: 'b', run: 0, kind: 'raked', from: "10'", to: "20'", left: "12'", right: "8'" },
      ],
    },
  );
  const [p] = planned(job);
  if (!p) throw new Error('no gable');
  const level = p.gauge.courses[p.gauge.count - 1]?.top ?? 0;
  const over = p.wall.tops
    .flatMap((t) => t.segments)
    .reduce((sum, s) => sum + ((s.left + s.right) / 2 - level) * (s.to - s.from), 0);
  const wanted = ((p.wall.runs[0]?.length ?? 0) * level + over) * p.wall.unitWidth;
  expect(over).toBeGreaterThan(0);
  expect(opened(textOf('ifc', asked(job))).volume() / 1e9).toBeCloseTo(wanted / 1e9, 3);
});

test('a cavity wall is two leaves, each with its part of every opening', () => {
  const model = opened(textOf('ifc', asked(allotments, { wall: 0 })));
  const [p] = planned(allotments);
  expect(model.all(webIfc.IFCBUILDINGELEMENTPART)).toHaveLength(2 * (p?.wall.runs.length ?? 0));
  expect(model.all(webIfc.IFCOPENINGELEMENT)).toHaveLength(2 * (p?.wall.openings.length ?? 0));
  expect(model.meshes()).toBeGreaterThanOrEqual(2 * (p?.wall.runs.length ?? 0));
});

test('names keep their letters, and quotation marks do no harm', () => {
  // ISO 10303-21: an apostrophe doubled, what is not plain in \X2\ as UTF-16.
  expect(stepText("Mason's")).toBe("'Mason''s'");
  expect(stepText('Ñandú 3′')).toBe("'\\X2\\00D1\\X0\\and\\X2\\00FA\\X0\\ 3\\X2\\2032\\X0\\'");
  const job = wallJob({ name: "Ñ'); DROP" });
  const [project] = opened(textOf('ifc', asked(job))).all(webIfc.IFCPROJECT);
  expect(valueOf(project?.Name)).toBe("Ñ'); DROP");
  expect(ifcGuid('a')).toMatch(/^[0-3][0-9A-Za-z_$]{21}$/);
});
