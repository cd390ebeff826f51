import { planOf, straight, sayFor } from '../test/jobs.js';
import type { RecordEntry } from '../record/entries.js';
import { Folded } from '../record/fold.js';
import { holdsOf } from './says.js';
import type { Hold } from '../stages/hold.js';
import { holdStates, refusalOf as refusedBy, type NewEntry } from './holds.js';

const work = planOf({
  line: straight("16'"),
  height: "10'",
  wall: {
    jointEvery: "60'",
    held: 'soil',
    footing: { width: '1\' 4"', depth: '8"' },
    retains: { height: "2'" },
    steel: { vertical: { bar: '#4', every: '32"' }, footing: { bar: '#4', count: 2 } },
    grout: { fill: 'steel' },
  },
});
const holds = holdsOf(work);
const hold = (id: string): Hold => {
  const found = holds.find((h) => h.id === id);
  if (!found) throw new Error(id);
  return found;
};
const sign = (id: string, by = 'R. Alder', seen = hold(id).checks.map((c) => c.id)): NewEntry => ({
  kind: 'hold-signed',
  wall: 'w',
  hold: id,
  by,
  seen,
});
const done = (step: string): NewEntry => ({ kind: 'step-done', wall: 'w', step, by: 'R. Alder' });
let n = 0;
const kept = (e: NewEntry): RecordEntry => ({ ...e, id: String(n++), happened: '2026-05-04T08:00:00Z' });
const refusalOf = (all: typeof holds, record: RecordEntry[], e: NewEntry): string | null => {
  const why = refusedBy(all, new Folded(record), e);
  return why && sayFor('mm')(why);
};

test('holds come in the order of the work, and every cell with a bar is a line of its own', () => {
  expect(holds.map((h) => h.id)).toEqual([
    'before-concrete',
    'before-grout-1',
    'before-grout-2',
    'after-grout',
    'before-backfill',
  ]);
  const cells = hold('before-grout-1').checks.filter((c) => c.id.startsWith('w/#0/leaf:0/cell:'));
  expect(cells).toHaveLength(work.steel.verticals[0]?.bars.length ?? -1);
});

test('what is held cannot be done until it is signed, and cannot be signed until everything is seen', () => {
  expect(refusalOf(holds, [], done('footing'))).toContain('has to be signed first');
  const all = hold('before-concrete').checks.map((c) => c.id);
  expect(refusalOf(holds, [], sign('before-concrete', 'R. Alder', all.slice(1)))).toContain('1 of');
  expect(refusalOf(holds, [], sign('before-concrete', '  '))).toContain('name');
  expect(refusalOf(holds, [], sign('before-concrete'))).toBeNull();
  const record = [kept(sign('before-concrete'))];
  expect(refusalOf(holds, record, done('footing'))).toBeNull();
  expect(refusalOf(holds, [...record, kept(done('footing'))], done('footing'))).toContain('already');
});

test('steps wait for the ones before them', () => {
  const record = [kept(sign('before-grout-2'))];
  expect(refusalOf(holds, record, done('grout-2'))).toContain('not before');
  expect(refusalOf(holds, [kept(sign('before-backfill'))], done('backfill'))).toContain('not before');
});

test('a signature for less than the hold now asks is none, and another wall’s is none', () => {
  const short = kept(sign('before-concrete', 'R. Alder', ['trench']));
  expect(holdStates(holds, new Folded([short]), 'w')[0]?.signed).toBeNull();
  const other = { ...kept(sign('before-concrete')), wall: 'elsewhere' };
  expect(holdStates(holds, new Folded([other]), 'w')[0]?.signed).toBeNull();
});

test('holds and steps that are not this wall’s are refused', () => {
  expect(refusalOf(holds, [], { ...sign('before-concrete'), hold: 'nothing' } as NewEntry)).toContain(
    'Wanted a hold',
  );
  expect(refusalOf(holds, [], done('nothing'))).toContain('Wanted a step');
});
