import fc from 'fast-check';
import { words, type Role, type SceneShape } from '../shapes/shape.js';
import { boxOfWords, wordsApart } from './apart.js';

const say = (s: unknown): string => String(s);
const SPARED: readonly Role[] = ['cut-length', 'opening-size', 'line-name'];
const label = fc.record({
  role: fc.constantFrom<Role>('opening-name', 'dimension-name', ...SPARED),
  x: fc.integer({ min: 0, max: 3000 }),
  y: fc.integer({ min: 0, max: 3000 }),
  text: fc.constantFrom('7′ 4 5⁄8″', 'Window', '1790 mm', 'Compost bays, second divider'),
  anchor: fc.constantFrom('start' as const, 'middle' as const, 'end' as const),
});
type Words = Extract<SceneShape<string>, { type: 'text' }>;
const overlap = (a: Words, b: Words, px: number): boolean => {
  const [p, q] = [boxOfWords(a, px, a.text), boxOfWords(b, px, b.text)];
  return p.left < q.right && q.left < p.right && p.low < q.high && q.low < p.high;
};

test('words that can be spared never lie on others, at any scale; those that cannot are all there', () => {
  fc.assert(
    fc.property(fc.array(label, { maxLength: 30 }), fc.constantFrom(0.5, 2, 10, 40), (labels, px) => {
      const shapes = labels.map((l) => words(l.role, l.x, l.y, l.text, l.anchor));
      const out = wordsApart<string>(shapes, px, say).filter((s): s is Words => s.type === 'text');
      const kept = (role: Role): number => out.filter((s) => s.role === role).length;
      for (const role of ['opening-name', 'dimension-name'] as const)
        expect(kept(role)).toBe(shapes.filter((s) => s.role === role).length);
      for (const [i, a] of out.entries())
        if (SPARED.includes(a.role))
          for (const [k, b] of out.entries()) if (k !== i) expect(overlap(a, b, px)).toBe(false);
    }),
    { numRuns: 300 },
  );
});

test('words that lie clear of one another stay where they were, and other shapes are left alone', () => {
  const shapes: SceneShape<string>[] = [
    words('cut-length', 0, 0, '6″', 'start'),
    words('cut-length', 1000, 0, '7″', 'start'),
    words('title', 0, 0, 'A title over all of it'),
  ];
  expect(wordsApart(shapes, 1, say)).toEqual(shapes);
  // The same two held so far away that they would run into one another: one goes up a line.
  const far = wordsApart(shapes, 90, say);
  expect(far.map((s) => (s.type === 'text' ? s.y : null))).not.toEqual([0, 0, 0]);
});
