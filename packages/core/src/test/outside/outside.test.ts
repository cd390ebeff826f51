import { defectsOf } from './check.js';
import type { JobFile, PlanFile } from './files.js';
import { ordinaryJob, wildJob } from './generate.js';
import { curvedTwoLeafJob, teeTwoLeafJob, twoLeafJob } from './generateTwoLeaf.js';
import { plannedJson, triedOn } from './run.js';

/** A few in a plain run, all of it with --long. */
const LONG = process.env.LONG === '1';
const COUNTS = LONG
  ? { ordinary: 20_000, wild: 6_000, twoLeaves: 5_000, tees: 2_000, curves: 1_000 }
  : { ordinary: 150, wild: 50, twoLeaves: 50, tees: 50, curves: 50 };
/** Many short tests, so that none runs into a time limit and a defect names its lot. */
const LOT = 50;

const lots = (count: number): number[] =>
  Array.from({ length: Math.ceil(count / LOT) }, (_, i) => 1 + i * LOT);

const wrongIn = (from: number, make: (seed: number) => unknown): string[] =>
  Array.from({ length: LOT }, (_, i) => from + i).flatMap((seed) =>
    (triedOn(make(seed)) ?? []).map((d) => `${seed}: ${d}`),
  );

test.each(lots(COUNTS.ordinary))('ordinary walls from %p on: nothing wrong', (from) => {
  expect(wrongIn(from, ordinaryJob)).toEqual([]);
});

test.each(lots(COUNTS.wild))('wild walls from %p on: nothing wrong', (from) => {
  expect(wrongIn(from, wildJob)).toEqual([]);
});

test.each(lots(COUNTS.twoLeaves))('walls of two leaves from %p on: nothing wrong', (from) => {
  expect(wrongIn(from, twoLeafJob)).toEqual([]);
});

test.each(lots(COUNTS.tees))('walls bonded into two leaves from %p on: nothing wrong', (from) => {
  expect(wrongIn(from, teeTwoLeafJob)).toEqual([]);
});

test.each(lots(COUNTS.curves))('curved walls of two leaves from %p on: nothing wrong', (from) => {
  expect(wrongIn(from, curvedTwoLeafJob)).toEqual([]);
});

describe('the checker itself', () => {
  /** A reinforced wall the checker has nothing against, to be spoilt. */
  const job = {
    format: 'even-tally/job',
    version: 1,
    name: 'sound',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'a',
        name: 'A',
        line: [{ run: 6502.4 }, { turn: 90 }, { run: 4876.8 }],
        height: 2032,
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', start: 'whole' },
        openings: [{ id: 'o', run: 0, at: 2438.4, width: 1219.2, sill: 812.8, head: 1625.6 }],
        steel: { vertical: { bar: '#4', every: 812.8 }, beams: [{ course: 'top', bar: '#4', count: 1 }] },
        grout: { fill: 'steel' },
      },
    ],
  } as unknown as JobFile;
  const sound = (): PlanFile => plannedJson(job) as PlanFile;
  const spoilt = (spoil: (p: PlanFile) => void): string[] => {
    const p = sound();
    spoil(p);
    return defectsOf(job, p);
  };
  const first = (p: PlanFile): PlanFile['walls'][number] => p.walls[0] as PlanFile['walls'][number];
  const piece = (p: PlanFile, course: number, n: number) =>
    first(p).rows[course - 1]?.pieces[n] as { from: number; to: number; kind: string };

  test('has nothing against a sound wall', () => expect(defectsOf(job, sound())).toEqual([]));

  test.each<[string, (p: PlanFile) => void, RegExp]>([
    ['a piece longer than its unit', (p) => (piece(p, 2, 2).to += 60), /from a unit of/],
    ['a piece of no length', (p) => (piece(p, 2, 2).to = piece(p, 2, 2).from), /of 0\.00 mm/],
    ['a hole', (p) => first(p).rows[2]?.pieces.splice(3, 1), /of nothing at/],
    ['an overlap', (p) => (piece(p, 3, 3).from -= 30), /overlap/],
    [
      'a unit in an opening',
      (p) => {
        const row = first(p).rows[5];
        row?.pieces.push({ ...(row.pieces[0] as object), from: 2600, to: 2996.875 } as never);
      },
      /stands in an opening/,
    ],
    ['a short count', (p) => ((first(p).units.stretcher as number) -= 1), /stretcher/],
    [
      'a course that does not stand on the one below',
      (p) => {
        const c = first(p).courses[4];
        if (c) c.bottom += 5;
      },
      /begins at/,
    ],
    [
      'a straight joint nobody speaks of',
      (p) => {
        // Every even row laid as the odd one.
        first(p).rows.forEach((row, i, all) => {
          if (i % 2 === 1) row.pieces = structuredClone(all[0]?.pieces.filter((x) => x.run === 0) ?? []);
        });
      },
      /no straight-joint/,
    ],
    [
      'a bar in a web',
      (p) => {
        const bar = first(p).bars.find((b) => b.at !== undefined && b.bottom < 1);
        if (bar) bar.at = (bar.at as number) + 90;
      },
      /stands in no cell/,
    ],
    [
      'a bar left out',
      (p) => {
        const bars = first(p).bars;
        const k = bars.findIndex((b) => b.run === 1 && b.at !== undefined && b.at > 1500);
        bars.splice(k, 1);
      },
      /apart at/,
    ],
    ['grout counted twice', (p) => (p.tally.grout.geometric *= 2), /grout/],
    ['mortar left out', (p) => (p.tally.mortar.geometric *= 0.9), /mortar/],
  ])('sees %s', (_name, spoil, says) => {
    expect(spoilt(spoil).join('\n')).toMatch(says);
  });
});
