import { planOf, straight } from '../../../test/jobs.js';

/** Brick with one opening so wide, two metres of wall to either side. */
const around = (wide: number, cuts: 'jamb' | 'panel') =>
  planOf({
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    line: straight(wide + 4013),
    height: 1500,
    build: { cuts },
    openings: [{ at: 2007, width: wide, sill: 450, head: 1200 }],
  });

test.each(['jamb', 'panel'] as const)(
  'an opening of 200 m is too much to search, and planned all the same, cuts at the %s',
  (cuts) => {
    const rows = around(200_000, cuts).runs[0]?.rows ?? [];
    expect(rows.length).toBe(20);
    expect(rows.every((row) => row.pieces.every((p) => p.to - p.from <= 215.01))).toBe(true);
  },
);

test('courses beside an opening stop at its jambs, one kind on the odd line and one on the even', () => {
  let found = 0;
  for (let wide = 1000; wide <= 1225; wide += 25) {
    const lines = around(wide, 'jamb').runs[0]?.lines ?? [];
    for (const line of lines) {
      for (const b of line.beside ?? []) {
        expect(b.stops).toEqual([0]);
        // The joint at the left jamb ends at 2 017, and the right jamb's unit begins where the opening ends.
        expect(b.u.filter((x) => x > 2017.01 && x < 2006.99 + wide)).toEqual([]);
        found++;
      }
      expect([0, 1]).toContain(line.beside?.length ?? 0);
    }
  }
  expect(found).toBeGreaterThan(0);
});
