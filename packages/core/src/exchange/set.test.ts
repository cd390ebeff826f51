import { closed, jobOf, planOf, sayFor, straight, type OneWall } from '../test/jobs.js';
import type { SceneShape } from '../shapes/shape.js';
import { SCHEMES } from '../scene/theme.js';
import { courseCards, coursePages } from './pages/coursePages.js';
import { PAPER_SIZES, type Page, type PaperSize } from './pages/page.js';
import { ruledScale } from './pages/scale.js';
import { sheetNamed, titledPages } from './sheets.js';

const SHED: OneWall = {
  line: closed("24'", "16'"),
  height: '8\' 8"',
  openings: [{ id: 'W', run: 0, at: "4'", width: '3\' 4"', sill: "2'", head: '6\' 8"' }],
  wall: {
    footing: { width: '16"', depth: '8"' },
    steel: { vertical: { bar: '#4', every: '32"' }, bed: { every: 2, kind: 'ladder' } },
    grout: { fill: 'steel' },
  },
};
const job = jobOf(SHED);
const say = sayFor('ft-in');

const setOn = (paper: PaperSize | null): Page[] => {
  const sheet = sheetNamed('set');
  if (!sheet) throw new Error('no set');
  return titledPages(sheet, { job, record: [], wall: 0, run: 0, show: 'ft-in', say, paper }, [
    { wall: 0, run: 0 },
  ]);
};
const shapesOn = (pages: readonly Page[]): SceneShape<string>[] =>
  pages.flatMap((p) => p.parts.flatMap((part) => part.scene.shapes));
const wordsOf = (pages: readonly Page[], role: SceneShape['role']): string[] =>
  shapesOn(pages).flatMap((s) => (s.type === 'text' && s.role === role ? [s.text] : []));
const textOn = (pages: readonly Page[]): string =>
  shapesOn(pages)
    .flatMap((s) => (s.type === 'text' ? [s.text] : []))
    .join('\n');

test('a set is the wall in the order of the work, each page titled, counted and with its caution', () => {
  const pages = setOn(null);
  const strip = wordsOf(pages, 'strip');
  expect(strip.filter((t) => t.startsWith('sheet '))).toEqual(
    pages.map((_, i) => `sheet ${i + 1} of ${pages.length}`),
  );
  const names = pages.map((p) => p.sheet ?? '').filter((n, i, all) => n !== all[i - 1]);
  expect(names).toEqual([
    'Plan',
    'Elevations unfolded',
    'Elevation',
    'Section',
    'Gauge rod',
    'Tape',
    'Course cards',
    'Starters',
    'Bars',
    'Lifts',
    'Holds',
    'Mixer card',
    'Tally',
  ]);
  for (const page of pages) {
    const template = wordsOf([page], 'template-number').length > 0;
    if (!template) expect(textOn([page])).toContain('licensed people');
  }
});

test('what a wall has nothing for is not in its set', () => {
  const plain = jobOf({ line: straight("12'"), height: "4'" });
  const sheet = sheetNamed('set');
  const pages = sheet?.pages({ job: plain, record: [], wall: 0, run: 0, show: 'ft-in', say }) ?? [];
  const names = new Set(pages.map((p) => p.sheet));
  for (const none of ['Elevations unfolded', 'Section', 'Starters', 'Bars', 'Lifts'])
    expect(names).not.toContain(none);
  for (const some of ['Plan', 'Elevation', 'Gauge rod', 'Course cards', 'Tally'])
    expect(names).toContain(some);
});

test.each(Object.keys(PAPER_SIZES) as PaperSize[])(
  'a set on %s is of that paper and stays inside its edges',
  (size) => {
    const [short, long] = PAPER_SIZES[size];
    for (const page of setOn(size)) {
      expect([Math.min(page.w, page.h), Math.max(page.w, page.h)]).toEqual([short, long]);
      for (const part of page.parts)
        for (const s of part.scene.shapes) {
          // Ground goes on past a drawing; it is tone, and a printer stops it.
          if (s.type !== 'text' && s.type !== 'line') continue;
          const [x, y] = s.type === 'text' ? [s.x, s.y] : [Math.max(s.x1, s.x2), s.y1];
          const [across, down] = [part.x + x * part.scale, part.y - y * part.scale];
          expect(across > 3 && across < page.w - 3 && down > 3 && down < page.h - 3).toBe(true);
        }
    }
  },
);

test('a scale bar is as long as what it stands for at the scale that is written', () => {
  const pages = setOn(null).filter((p) => p.sheet === 'Plan' || p.sheet === 'Elevation');
  for (const page of pages) {
    const [bar] = page.parts.flatMap((p) =>
      p.scene.shapes.flatMap((s) => (s.type === 'rect' && s.role === 'scale-dark' ? [s] : [])),
    );
    const drawn = page.parts.find((p) => p.scale !== 1);
    const names = wordsOf([page], 'scale-name');
    const ratio = Number(/1 : (\d+)/.exec(names.join(' '))?.[1]);
    // Half the bar is the dark part; feet are what is written at its end.
    const feet = Number(/(\d+)′/.exec(names.join(' '))?.[1]);
    expect((bar?.w ?? 0) * 2 * ratio).toBeCloseTo(feet * 304.8, 6);
    expect((drawn?.scale ?? 0) * ratio).toBeCloseTo(1, 9);
  }
});

test('a scale is of a rule and never larger than what there is room for', () => {
  // 1/4 in to the foot is 1 : 48, 1/8 in 1 : 96; 1 : 50 and 1 : 100 are the metric ones.
  expect([1 / 50, 1 / 48, 1 / 95.9].map((most) => Math.round(1 / ruledScale(most, 'ft-in')))).toEqual([
    64, 48, 96,
  ]);
  expect([1 / 50, 1 / 49.9, 1 / 99].map((most) => Math.round(1 / ruledScale(most, 'mm')))).toEqual([
    50, 50, 100,
  ]);
});

test('course cards are every course once, and those on one card are laid alike', () => {
  const p = planOf(SHED);
  const cards = courseCards(p, 'ft-in', 10);
  const all = cards.flatMap((c) => c.courses.map((x) => x.course)).sort((a, b) => a - b);
  expect(all).toEqual(p.gauge.courses.map((c) => c.number));
  expect(cards.length).toBeLessThan(all.length);
  for (const { courses } of cards) {
    const rows = courses.map(({ course }) =>
      JSON.stringify(p.runs.map((r) => r.rows[course - 1]?.pieces.map((x) => [x.kind, x.from, x.to]))),
    );
    expect(new Set(rows).size).toBe(1);
  }
  const units = cards.reduce((sum, c) => sum + c.above.units * c.courses.length, 0);
  expect(units).toBe(p.tally.total);
  const one = coursePages(p, { show: 'ft-in', say, each: 'one' });
  const several = coursePages(p, { show: 'ft-in', say, each: 'several' });
  expect(wordsOf(one, 'card-title')).toEqual(wordsOf(several, 'card-title'));
  expect(one.length).toBeGreaterThanOrEqual(cards.length);
  expect(several.length).toBeLessThan(one.length);
});

test('the tally on paper is the whole order: units, mortar and steel', () => {
  const pages = setOn(null).filter((p) => p.sheet === 'Tally');
  const text = textOn(pages);
  for (const what of ['Stretchers', 'Mortar to mix', 'Grout', 'Bars']) expect(text).toContain(what);
});

test('paper is black on white and shades between: nothing is told by colour alone', () => {
  for (const ink of Object.values(SCHEMES.print)) {
    const [r, g, b] = [1, 3, 5].map((i) => ink.slice(i, i + 2));
    expect([g, b]).toEqual([r, r]);
  }
});
