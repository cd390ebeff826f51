import { planOf, straight } from '../testing/jobs.js';
import { plan } from '../plan/plan.js';
import { working } from '../plan/working.js';
import { documentOf, jobOf, soundJob } from '../testing/jobs.js';
import { CAUTION, sheetSvg } from './sheet.js';
import { tallyRows } from './csv.js';

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
  expect(svg).toContain(CAUTION.slice(0, 40));
  const units = svg.match(/fill="#(cfcabd|e0d2ad|e3b98a|9da7a4)"\/>/g) ?? [];
  expect(units).toHaveLength(p.tally.total);
  expect(svg).not.toMatch(/NaN|undefined/);
});

test('the tally as rows names wall, run, what and measure', () => {
  const rows = tallyRows(plan(jobOf(wall)));
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
  expect(made?.formula).toMatch(formula);
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
  for (const key of keys) {
    const w = working(job, [], `w/wall/${key}`);
    expect(w?.inputs.every((i) => i.source.length > 3 && i.name.length > 1)).toBe(true);
    expect(w?.formula.length).toBeGreaterThan(5);
  }
  expect(working(job, [], 'w/wall/mortar.used')?.result).toBe(p.tally.mortar.used);
  expect(working(job, [], 'w/0/pieces.stretcher')?.result).toBe(p.runTallies[0]?.pieces.stretcher);
  expect(working(job, [], 'nobody/wall/area')).toBeNull();
  expect(working(job, [], 'w/9/area')).toBeNull();
  expect(working(job, [], 'w/wall/nothing')).toBeNull();
});
