import { planJson } from '../../plan/json.js';
import { plan, type Plan } from '../../plan/plan.js';
import { mudView } from '../../scene/mudView.js';
import { checkJob } from '../../job/check.js';
import { closed, documentOf, sayFor, soundJob, straight, type OneWall } from '../../test/jobs.js';

interface MudFile {
  walls: {
    wall: string;
    mix: string;
    courses: { run: number; leaf: number; course: number; geometric: number; used: number; mix?: string }[];
    batch: {
      measures: { of: string; count: number; measure: string }[];
      volume: number;
      water: number;
      lays: number;
      error: number;
    } | null;
    batches: { full: number; last: { volume: number } | null };
    others?: { mix: string; batches: { full: number } }[];
  }[];
}
interface TallyFile {
  mortar: { geometric: number; used: number };
  materials: { of: string; volume: number; mass: number; ordered: Record<string, number> }[];
}
const planned = (w: OneWall, more: object = {}): Plan =>
  plan(soundJob({ ...documentOf(w), ...more }), [], { advise: false });
const filed = (w: OneWall, more: object = {}): { mud: MudFile; tally: TallyFile } =>
  planJson(planned(w, more), sayFor('mm')) as unknown as { mud: MudFile; tally: TallyFile };

const BRICK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height: 1500,
};
const BLOCK: OneWall = { line: closed("16'", "12'"), height: "8'" };
const DRY = { state: 'dry' };

test.each<[string, OneWall]>([
  ['half a brick', BRICK],
  ['a brick in English bond', { ...BRICK, build: { bond: 'english', wythes: 2 } }],
  ['two tied wythes', { ...BRICK, build: { wythes: 2 } }],
  [
    'brick and block with a cavity',
    { ...BRICK, build: { cavity: { inner: 'block-440x215x100', width: 100 } } },
  ],
  [
    'block with bars and an opening',
    {
      ...BLOCK,
      openings: [{ id: 'D', run: 0, at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
      wall: { steel: { vertical: { bar: '#4', every: '32"' } }, grout: { fill: 'steel' } },
    },
  ],
])('courses add up to the wall, geometric and used: %s', (_name, w) => {
  const { mud, tally } = filed(w);
  const sum = (of: 'geometric' | 'used'): number =>
    mud.walls.flatMap((x) => x.courses).reduce((s, c) => s + c[of], 0);
  expect(sum('geometric')).toBeCloseTo(tally.mortar.geometric, 7);
  expect(sum('used')).toBeCloseTo(tally.mortar.used, 7);
  expect(tally.mortar.used).toBeGreaterThan(0);
});

test('a course of half bricks takes what its bed and its perps hold', () => {
  const { mud } = filed(BRICK);
  // Twenty bricks less a joint: 4490 by 102.5 by a bed of 10, and nineteen or twenty perps of 10 by 65.
  const second = mud.walls[0]?.courses.find((c) => c.course === 2);
  const bed = 4490 * 102.5 * 10;
  const perps = 20 * 10 * 65 * 102.5;
  expect((second?.geometric ?? 0) * 1e9).toBeCloseTo(bed + perps, -2);
});

test('materials are those of the mortar used, and the batches make it', () => {
  const job = { mud: { mix: 'cement-sand-4', sand: DRY } };
  const { mud, tally } = filed(BRICK, job);
  const [w] = mud.walls;
  const of = (what: string) => tally.materials.find((m) => m.of === what);
  // Model S by hand: 1.07 m³ of sand a cubic metre, a quarter of it cement at 1440 kg/m³, in bags of 25 kg.
  const cement = ((tally.mortar.used * 1.07) / 4) * 1440;
  expect(of('sand')?.volume).toBeCloseTo(tally.mortar.used * 1.07, 7);
  expect(of('portland')?.mass).toBeCloseTo(cement, 4);
  expect(of('portland')?.ordered).toEqual({ '25 kg bag': Math.ceil(cement / 25) });
  expect(w?.mix).toBe('cement-sand-4');
  expect(w?.batch?.error).toBe(0);
  const made = (w?.batch?.volume ?? 0) * (w?.batches.full ?? 0) + (w?.batches.last?.volume ?? 0);
  expect(made).toBeGreaterThanOrEqual(tally.mortar.used - 1e-9);
  expect(made - tally.mortar.used).toBeLessThan(w?.batch?.volume ?? 0);
  // A 130 L drum filled to seven tenths.
  expect(w?.batch?.volume).toBeLessThanOrEqual(0.091);
});

test('a wall, its inner leaf and a place may have mixes of their own', () => {
  const { mud } = filed(
    {
      ...BRICK,
      build: { mix: 'nhl-3.5', cavity: { inner: 'block-440x215x100', width: 100, mix: 'cement-lime-n' } },
    },
    { mud: { places: [{ place: 'w/#0/leaf:0/course:1', mix: 'cement-sand-3' }] } },
  );
  const [w] = mud.walls;
  expect(w?.mix).toBe('nhl-3.5');
  expect(w?.others?.map((o) => o.mix).sort()).toEqual(['cement-lime-n', 'cement-sand-3']);
  expect(w?.courses.find((c) => c.course === 1 && c.leaf === 0)?.mix).toBe('cement-sand-3');
  expect(w?.courses.filter((c) => c.leaf === 1).every((c) => c.mix === 'cement-lime-n')).toBe(true);
});

test('grout and footing concrete are mixed on site where the job says so, and add to what is had in', () => {
  const grouted: OneWall = {
    ...BLOCK,
    wall: {
      steel: { vertical: { bar: '#4', every: '32"' } },
      grout: { fill: 'steel' },
      footing: { width: '20"', depth: '10"' },
    },
  };
  const cement = (job: object): number =>
    filed(grouted, job).tally.materials.find((m) => m.of === 'portland')?.mass ?? 0;
  expect(cement({ mud: { grout: 'grout-fine' } })).toBeGreaterThan(cement({}) * 1.2);
  expect(cement({ mud: { concrete: 'concrete-1-2-3' } })).toBeGreaterThan(cement({}) * 1.2);
});

test('a yield measured on site rules: what made less takes more', () => {
  const own = (made: string) => ({
    mixes: [
      {
        id: 'ours',
        parts: [
          { of: 'portland', parts: 1 },
          { of: 'sand', parts: 4 },
        ],
        yield: { model: 'measured', put: '100 L', made },
      },
    ],
    mud: { mix: 'ours', sand: DRY },
  });
  const sand = (made: string): number =>
    filed(BRICK, own(made)).tally.materials.find((m) => m.of === 'sand')?.volume ?? 0;
  // A hundred litres of sand laid as much as ninety of mud: ten ninths of it are had in.
  const { used } = filed(BRICK).tally.mortar;
  expect(sand('90 L')).toBeCloseTo((used * 100) / 90, 7);
  expect(sand('80 L')).toBeCloseTo((used * 100) / 80, 7);
});

test('what the file gets wrong of mud is said with its place', () => {
  const faults = (more: object): string[] => {
    const checked = checkJob({ ...documentOf(BRICK), ...more });
    return checked.ok ? [] : checked.faults.map((f) => f.path);
  };
  expect(faults({ mud: { mix: 'cement-sand-4' } })).toEqual([]);
  expect(faults({ mud: { mix: 'porridge' } })).toEqual(['/mud/mix']);
  expect(faults({ mud: { places: [{ place: 'w', mix: 'x' }] } })).toEqual(['/mud/places/0/mix']);
  expect(faults({ mud: { mixer: { kind: 'drum', holds: '6 feet' } } })).toEqual(['/mud/mixer/holds']);
  const part = { of: 'sand', parts: 3 };
  const yields = { model: 'sand' };
  expect(faults({ mixes: [{ id: 'earth', parts: [part], yield: yields }] })).toEqual(['/mixes/0/id']);
  expect(faults({ mixes: [{ id: 'a', parts: [part, part], yield: yields }] })).toEqual([
    '/mixes/0/parts/1/of',
  ]);
  expect(faults({ mixes: [{ id: 'a', parts: [{ of: 'portland', parts: 1 }], yield: yields }] })).toEqual([
    '/mixes/0/parts',
  ]);
});

test('pigment and admixture go by the binder of the mud alone, and coloured mud is not wetted again', () => {
  const mud = {
    colour: { name: 'buff', share: 0.05 },
    admixture: { name: 'retarder', perKg: '2 ml' },
    sand: DRY,
  };
  const plain = filed(BRICK, { mud: { sand: DRY } }).tally.materials;
  const { materials } = filed(BRICK, { mud }).tally;
  const mass = (of: string): number => plain.find((m) => m.of === of)?.mass ?? 0;
  const binder = mass('portland') + mass('lime-hydrated');
  expect(binder).toBeGreaterThan(10);
  expect(materials.find((m) => m.of === 'pigment')?.mass).toBeCloseTo(binder * 0.05, 4);
  expect(materials.find((m) => m.of === 'admixture')?.volume).toBeCloseTo(binder * 0.000002, 8);
  expect(materials.slice(0, plain.length)).toEqual(plain);
  // A footing's concrete takes none of it.
  const footed = { ...BRICK, wall: { footing: { width: 450, depth: 200 } } };
  const more = filed(footed, { mud: { ...mud, concrete: 'ballast-5' } }).tally.materials;
  expect(more.find((m) => m.of === 'pigment')?.mass).toBeCloseTo(binder * 0.05, 4);
  const [wall] = planned(BRICK, { mud }).walls;
  if (!wall) throw new Error('no wall');
  const job = soundJob({ ...documentOf(BRICK), mud });
  expect(mudView(job, wall).batches[0]?.retemper).toBe(false);
  expect(mudView(soundJob(documentOf(BRICK)), planned(BRICK).walls[0] ?? wall).batches[0]?.retemper).toBe(
    true,
  );
});
