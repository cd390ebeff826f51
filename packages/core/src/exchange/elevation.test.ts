import { planOf, straight, type OneWall, sayFor } from '../test/jobs.js';
import { plan } from '../plan/plan.js';
import { working } from '../plan/working.js';
import { documentOf, jobOf, soundJob } from '../test/jobs.js';
import { CAUTION } from '../stages/paper.js';
import { elevationPages } from './pages/elevationPages.js';
import { pagesSvg } from './svg.js';
import { tallyRows } from './csv.js';
import { SCHEMES } from '../scene/theme.js';
import type { WallPlan } from '../plan/plan.js';

const { print } = SCHEMES;
const sheetSvg = (p: WallPlan, run: number, show: 'ft-in' | 'mm'): string =>
  pagesSvg(elevationPages(p, run, show, sayFor(show)), p.wall.name);

const wall = {
  line: straight("24'"),
  height: "9'",
  openings: [{ at: '14\' 3"', width: "4'", sill: '3\' 4"', head: '6\' 8"' }],
};

test('the sheet as SVG holds every piece, the letters, the caution, and escapes names', () => {
  const document = documentOf(wall);
  Object.assign(document.walls[0] ?? {}, { name: '<script>&"' });
  const p = plan(soundJob(document)).walls[0];
  if (!p) throw new Error('no wall');
  const svg = sheetSvg(p, 0, 'ft-in');
  expect(svg).not.toContain('<script>');
  expect(svg).toContain('&lt;script&gt;&amp;&quot;');
  expect(svg).toContain('A  FAULT: 13 courses');
  expect(svg).toContain(sayFor('mm')(CAUTION).slice(0, 40));
  const [, units = ''] = /<g class="units"[^>]*>(.*?)<\/g>/.exec(svg) ?? [];
  expect(units.match(/<(rect|polygon) /g)).toHaveLength(p.tally.total);
  expect(svg).not.toMatch(/NaN|undefined/);
});

test('the sheet shows the bars, the filled cells, the joints, and what crosses a cavity', () => {
  const sheet = (more: OneWall['wall'], w: Partial<OneWall> = {}): string => {
    const p = planOf({ ...wall, ...w, wall: more ?? {} });
    return sheetSvg(p, 0, 'ft-in');
  };
  const drawn = (svg: string, ink: RegExp): number => (svg.match(ink) ?? []).length;
  const GROUT = new RegExp(`fill="${print.grout}" fill-opacity`, 'g');
  const steel = { vertical: { bar: '#4', every: '32"' }, bed: { every: 2, kind: 'ladder' as const } };
  const bare = sheet({});
  const full = sheet({ steel, grout: { fill: 'steel' }, joints: [{ id: 'J', run: 0, at: "10'" }] });
  const p = planOf({ ...wall, wall: { steel, joints: [{ id: 'J', run: 0, at: "10'" }] } });
  const lines = (svg: string): number => drawn(svg, /<line /g);
  expect(drawn(bare, GROUT)).toBe(0);
  expect(drawn(full, GROUT)).toBe(p.steel.verticals[0]?.bars.length);
  // Every bar, every stretch of wire in the beds, one joint: all of them lines the bare sheet has not.
  expect(lines(full)).toBeGreaterThan(lines(bare) + (p.steel.verticals[0]?.bars.length ?? 0));
  const cavity = sheet(
    {},
    {
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      build: { cavity: { inner: 'block-440x215x100', width: 100 } },
    },
  );
  // A tray is a line bent up at its ends, a weep a mark.
  expect(drawn(cavity, /<polyline /g)).toBeGreaterThanOrEqual(1);
  expect(drawn(cavity, /<path /g)).toBeGreaterThanOrEqual(5);
  expect(cavity).not.toMatch(/NaN|undefined/);
});

test('letters of findings about one place stand side by side', () => {
  // No footing, no way it is held, no starters: three findings about course 1 of the whole wall.
  const p = planOf({ ...wall, wall: { steel: { vertical: { bar: '#4', every: '30"' } } } });
  const svg = sheetSvg(p, 0, 'ft-in');
  const places = [
    ...svg.matchAll(/<g class="mark">.*?<text x="([\d.-]+)" y="([\d.-]+)"[^>]*>([A-Z])<\/text><\/g>/g),
  ].map((m) => `${m[1]},${m[2]}`);
  expect(places.length).toBeGreaterThan(3);
  expect(new Set(places).size).toBe(places.length);
});

test('the tally as rows names wall, run, what and measure', () => {
  const rows = tallyRows(plan(jobOf(wall)), sayFor('mm'));
  expect(rows[0]).toEqual(['wall', 'run', 'what', 'unit', 'net', 'order', 'measure']);
  expect(rows.every((r) => r.length === 7)).toBe(true);
  expect(rows.map((r) => r[2])).toEqual(
    expect.arrayContaining(['Stretchers', 'Sawn to length', 'To order: stretchers', 'Mortar to mix']),
  );
});

test.each([
  [
    { line: straight(2240), height: 2130, unit: 'brick-215x102.5x65', profile: 'uk' } as const,
    /÷ courses/,
    2130 / 28 - 65,
  ],
  [wall, /no number of whole courses/, 9.525],
  [{ ...wall, openings: [], build: { gauge: { sawn: 1 } } }, /sawn course/, 9.525],
])('the working of a bed says which way it was got', (w, formula, wanted) => {
  const made = working(jobOf(w), [], 'w/wall/bed');
  expect(sayFor('mm')(made?.formula ?? '')).toMatch(formula);
  expect(made?.result).toBeCloseTo(wanted, 6);
});

test('every figure has a working whose result is the figure, with a source for every input', () => {
  const job = jobOf(wall);
  const p = planOf(wall, true);
  const keys = [
    'pieces.stretcher',
    'buy.stretcher',
    'mortar.geometric',
    'mortar.used',
    'mortar.ordered',
    'area',
    'bed',
  ];
  const say = sayFor('mm');
  for (const key of keys) {
    const w = working(job, [], `w/wall/${key}`);
    expect(w?.inputs.every((i) => say(i.source).length > 3 && say(i.name).length > 1)).toBe(true);
    expect(say(w?.formula ?? '').length).toBeGreaterThan(5);
  }
  expect(working(job, [], 'w/wall/mortar.used')?.result).toBe(p.tally.mortar.used);
  expect(working(job, [], 'w/0/pieces.stretcher')?.result).toBe(p.runTallies[0]?.pieces.stretcher);
  expect(working(job, [], 'nobody/wall/area')).toBeNull();
  expect(working(job, [], 'w/9/area')).toBeNull();
  expect(working(job, [], 'w/wall/nothing')).toBeNull();
});
