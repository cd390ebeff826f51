import fc from 'fast-check';
import { lettersBeside, type LetterBox, type LetterPlace } from './letters.js';

const WITHIN = { left: 0, right: 900, top: 0, foot: 600 };
const place = fc.record({ x: fc.integer({ min: 0, max: 900 }), y: fc.integer({ min: 0, max: 600 }) });
const box = place.map(({ x, y }): LetterBox => ({ left: x - 40, right: x + 40, top: y - 20, foot: y + 24 }));
const onItsPlace = (at: LetterPlace, of: LetterPlace | undefined): boolean =>
  of !== undefined && Math.hypot(at.x - of.x, at.y - of.y) < 15;

test('a letter covers no place, no other letter and nothing it is kept off, wherever there is room for it', () => {
  fc.assert(
    fc.property(fc.array(place, { maxLength: 8 }), fc.array(box, { maxLength: 4 }), (places, clear) => {
      const at = lettersBeside(places, { clear, within: WITHIN });
      expect(at).toHaveLength(places.length);
      at.forEach((a, i) => {
        // One that found nowhere stands on its place, and is the only one that may cover anything.
        if (onItsPlace(a, places[i])) return;
        for (const p of places) expect(Math.hypot(p.x - a.x, p.y - a.y)).toBeGreaterThanOrEqual(14);
        for (const b of clear)
          expect(a.x > b.left && a.x < b.right && a.y > b.top && a.y < b.foot).toBe(false);
        at.forEach((b, k) => {
          if (k < i) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(28);
        });
      });
    }),
  );
});

test('ten findings of one place stand about it, each apart', () => {
  const places = Array.from({ length: 10 }, () => ({ x: 450, y: 300 }));
  const at = lettersBeside(places, { clear: [], within: WITHIN });
  expect(new Set(at.map((a) => `${a.x}|${a.y}`)).size).toBe(10);
  expect(at.some((a) => onItsPlace(a, places[0]))).toBe(false);
});
