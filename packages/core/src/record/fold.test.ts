import { chanceOf } from '../test/anyEdit.js';
import type { RecordEntry } from './entries.js';
import { Folded } from './fold.js';
import { checkRecord, oldRow } from './record.js';

const ROUNDS = process.env.LONG === '1' ? 4000 : 400;
let n = 0;
const laid = (id: string, happened: string, units = 10): RecordEntry => ({
  id,
  kind: 'course-laid',
  wall: 'n',
  happened,
  by: 'R. Alder',
  run: 0,
  course: 1,
  units,
});
const corrects = (of: string, happened: string, units: number | null, id = `c${n++}`): RecordEntry => ({
  id,
  kind: 'correction',
  wall: 'n',
  happened,
  by: 'R. Alder',
  of,
  why: 'counted again',
  ...(units === null ? { entry: null } : { entry: { kind: 'course-laid', run: 0, course: 1, units } }),
});
const at = (minute: number): string => `2026-12-01T10:${String(minute).padStart(2, '0')}:00-07:00`;

test('entries apply by when they happened, then by id, whatever the order they come in', () => {
  const all = [laid('b', at(3)), laid('a', at(3)), laid('z', '2026-12-01T18:01:00+01:00'), laid('y', at(2))];
  expect(new Folded(all).entries().map((e) => e.id)).toEqual(['z', 'y', 'a', 'b']);
  expect(new Folded([...all].reverse()).entries().map((e) => e.id)).toEqual(['z', 'y', 'a', 'b']);
});

test('a correction takes the place of its entry whenever it comes, and may leave nothing', () => {
  const [entry, right, none] = [
    laid('a', at(1), 10),
    corrects('a', at(5), 12, 'c'),
    corrects('b', at(6), null),
  ];
  for (const order of [
    [entry, right],
    [right, entry],
  ])
    expect(new Folded(order).entries()).toEqual([{ ...entry, units: 12 }]);
  expect(new Folded([laid('b', at(1)), none]).entries()).toEqual([]);
  // The last stands; one that was itself taken back counts no more.
  const again = corrects('a', at(9), 14, 'd');
  expect(new Folded([again, entry, right]).entries()).toMatchObject([{ units: 14 }]);
  expect(new Folded([again, entry, right, corrects('d', at(10), null)]).entries()).toMatchObject([
    { units: 12 },
  ]);
  expect(new Folded([entry, corrects('a', at(2), null, 'e'), corrects('e', at(3), null)]).entries()).toEqual([
    entry,
  ]);
});

test('corrections that point at one another, or nowhere, lose nothing', () => {
  const entry = laid('a', at(1));
  const [x, y] = [corrects('y', at(2), 3, 'x'), corrects('x', at(3), 3, 'y')];
  expect(new Folded([entry, x, y, corrects('gone', at(4), 5)]).entries()).toEqual([entry]);
});

test('one at a time and in any order it comes out as all at once', () => {
  for (let seed = 1; seed <= ROUNDS; seed++) {
    const chance = chanceOf(seed);
    const ids: string[] = [];
    const all: RecordEntry[] = [];
    for (let i = 0; i < 12; i++) {
      const id = `e${i}`;
      const happened = at(Math.floor(chance() * 8));
      const of = ids[Math.floor(chance() * ids.length)];
      all.push(
        of === undefined || chance() < 0.5
          ? laid(id, happened, i)
          : corrects(of, happened, chance() < 0.3 ? null : 100 + i, id),
      );
      ids.push(id);
    }
    const whole = new Folded(all);
    const bit = new Folded();
    for (const e of [...all].sort(() => chance() - 0.5)) {
      bit.add([e]);
      // Asked on the way, so that what it knows already has to be put right.
      bit.entries();
    }
    expect([seed, bit.entries()]).toEqual([seed, whole.entries()]);
    expect(bit.rows()).toEqual(whole.rows());
  }
});

test('the same entry sent twice is one', () => {
  expect(new Folded([laid('a', at(1)), laid('a', at(1))]).size).toBe(1);
});

test('a row kept before devices said when happened when it was received', () => {
  const old = {
    id: 'o',
    kind: 'hold-signed',
    wall: 'n',
    hold: 'h',
    by: 'R. Alder',
    seen: [],
    at: '2026-05-04T08:00:00Z',
  };
  const entry = oldRow(old);
  expect(entry).toMatchObject({ happened: '2026-05-04T08:00:00Z', received: '2026-05-04T08:00:00Z' });
  expect(
    checkRecord({ format: 'even-tally/record', version: 1, job: 'Boat store', entries: [entry] }),
  ).toMatchObject({ ok: true });
});
