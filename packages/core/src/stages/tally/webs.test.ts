import { planOf, straight, type OneWall } from '../../test/jobs.js';

const INCH = 25.4;
/** Face shells 1 1/4 in, webs 1 in, beds and units 3/8 and 7 5/8 in: between the shells 5 1/8 in. */
const block = (over: Partial<OneWall> = {}): OneWall => ({
  line: straight("16'"),
  height: "8'",
  unit: 'cmu-8x8x16',
  ...over,
});
const webs = (over: Partial<OneWall> = {}): number => planOf(block(over)).tally.mortar.webs * 1e9;
/** So many webs under one bed, mm³. */
const ofWebs = (count: number): number => count * 5.125 * 0.375 * INCH ** 3;

test('in the course a wall starts with all webs are bedded, in the others none', () => {
  // Twelve block of three webs: by hand.
  expect(webs()).toBeCloseTo(ofWebs(36), 0);
});

test('beside a cell that must hold its grout both webs are bedded, and one between two such cells once', () => {
  const at = (cells: number[]): number =>
    webs({
      wall: {
        held: 'free-standing',
        steel: { cells: cells.map((x, i) => ({ id: `K${i}`, run: 0, at: `${x}"`, grout: true })) },
        grout: { fill: 'steel' },
      },
    }) - webs();
  // Eleven courses over the first. The cell 3 13/16 in on stands alone: two webs a course.
  expect(at([3.8125])).toBeCloseTo(ofWebs(11 * 2), 0);
  // With the next on: three in courses whose block holds both, four where a joint stands between; six of those, five of these from course 2.
  expect(at([3.8125, 11.8125])).toBeCloseTo(ofWebs(5 * 3 + 6 * 4), 0);
});

test('piers are bedded on their webs as high as the openings beside them', () => {
  // 2 ft of wall between two doors as high as ten courses: a block and a half, and two halves beside a block, by turns.
  const doors = webs({
    line: straight("24'"),
    openings: [
      { at: "8'", width: '3\' 4"', sill: 0, head: '6\' 8"' },
      { at: '13\' 4"', width: '3\' 4"', sill: 0, head: '6\' 8"' },
    ],
  });
  const wide = webs({
    line: straight("24'"),
    openings: [
      { at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' },
      { at: "16'", width: '3\' 4"', sill: 0, head: '6\' 8"' },
    ],
  });
  expect(doors).toBeGreaterThan(wide);
  // A whole has three webs and a half two: five in each of the nine courses over the first.
  expect(doors - wide).toBeCloseTo(ofWebs(9 * 5), 0);
});

test('bedded full there is nothing more to count', () => {
  expect(webs({ unit: 'hollow-440x215x215', profile: 'uk', show: 'mm', lengths: 'actual' })).toBe(0);
});

describe('frogs', () => {
  const frogs = (count: 1 | 2, laid?: 'up' | 'down'): number =>
    planOf({
      line: straight(2240),
      height: 750,
      unit: 'own',
      profile: 'uk',
      show: 'mm',
      units: [
        {
          id: 'own',
          family: 'brick',
          actual: { length: 215, height: 65, width: 102.5 },
          frogs: { count, share: 0.1 },
        },
      ],
      build: laid ? { frogs: laid } : {},
    }).tally.mortar.frogs * 1e9;
  test('one laid up is filled, laid down it is not; of two one always is', () => {
    // Ten courses of ten bricks, by turns nine and two halves.
    const all = 100 * 0.1 * 215 * 102.5 * 65;
    expect(frogs(1)).toBeCloseTo(all - 5 * 0.1 * 10 * 102.5 * 65, -2);
    expect(frogs(1, 'down')).toBe(0);
    expect(frogs(2, 'down')).toBeCloseTo(frogs(2) / 2, 0);
  });
  test('into holes mortar goes as far as the bed is thick, up and down', () => {
    const p = planOf({
      line: straight(2240),
      height: 750,
      unit: 'own',
      profile: 'uk',
      show: 'mm',
      units: [
        { id: 'own', family: 'brick', actual: { length: 215, height: 65, width: 102.5 }, perforated: 0.25 },
      ],
    });
    const lengths = (p.runs[0]?.rows ?? []).map((r) => r.pieces.reduce((s, x) => s + x.to - x.from, 0));
    const holes = lengths.reduce((s, l, i) => s + l * 102.5 * 0.25 * (i === 0 ? 10 : 20), 0);
    expect(p.tally.mortar.frogs * 1e9).toBeCloseTo(holes, 0);
  });
});
