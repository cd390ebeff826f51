import { same } from '../../statement/same.js';
import { anyEdit, chanceOf } from '../../test/anyEdit.js';
import { threeRuns } from '../../test/threeRuns.js';
import type { JobDocument } from '../types.js';
import { carry, editOf, inverse, type Edit } from './edit.js';

/** Rounds in a plain run; eighty times as many with --long. */
const ROUNDS = process.env.LONG === '1' ? 20_000 : 250;

/** The three runs with names of their own, as the bench makes them, and without. */
function begun(named: boolean): JobDocument {
  const job = threeRuns();
  if (!named) return job;
  return {
    ...job,
    walls: job.walls.map((w) => ({
      ...w,
      line: w.line.map((item, i) => ('turn' in item ? item : { ...item, id: `${w.id}${i}` })),
    })),
  };
}

function several(from: JobDocument, seed: number, who: string): JobDocument {
  const chance = chanceOf(seed);
  let job = from;
  for (let n = 1 + Math.floor(chance() * 4); n > 0; n--) job = anyEdit(job, chance, who);
  return job;
}

/** The same with every list of things that have ids in the order of those. */
const inOrder = (value: unknown): unknown => {
  if (Array.isArray(value)) {
    const ids = value.every((one): one is { id: string } => typeof (one as { id?: unknown }).id === 'string');
    return (ids ? [...value].sort((a, b) => (a.id < b.id ? -1 : 1)) : value).map(inOrder);
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, inOrder(inner)]));
};

const carried = (edit: Edit, now: JobDocument): JobDocument => {
  const done = carry(edit, now);
  if (!done.ok) throw new Error(JSON.stringify(done.clashes));
  return done.document;
};
const filed = (edit: Edit): Edit => JSON.parse(JSON.stringify(edit)) as Edit;

test.each([true, false])(
  'an edit makes of its document what was made of it, and back, and again nothing (%p)',
  (named) => {
    for (let seed = 1; seed <= ROUNDS; seed++) {
      const before = begun(named);
      const after = several(before, seed, 'x');
      const edit = filed(editOf(before, after));
      if (!same(carried(edit, before), after)) throw new Error(`${seed}: not so`);
      if (!same(carried(inverse(edit), after), before)) throw new Error(`${seed}: not so`);
      if (!same(carried(edit, after), after)) throw new Error(`${seed}: not so`);
      if (!same(before, begun(named))) throw new Error(`${seed}: what was edited is changed itself`);
    }
  },
);

test.each([true, false])(
  'two people at once: the same end whoever is first, nothing lost, and a clash is one for both (%p)',
  (named) => {
    let [clear, clashed] = [0, 0];
    for (let seed = 1; seed <= ROUNDS; seed++) {
      const base = begun(named);
      const [a, b] = [several(base, seed, 'a'), several(base, seed + 1e6, 'b')];
      const [ea, eb] = [filed(editOf(base, a)), filed(editOf(base, b))];
      const [ab, ba] = [carry(eb, a), carry(ea, b)];
      // Where runs have no names a line that goes otherwise may be asked about by one and not by the other.
      if (named && ab.ok !== ba.ok) throw new Error(`${seed}: a clash for one only`);
      if (!ab.ok || !ba.ok) {
        clashed += 1;
        continue;
      }
      clear += 1;
      // In which order lists of things with ids stand says nothing of the wall.
      if (!same(inOrder(ab.document), inOrder(ba.document))) throw new Error(`${seed}: two ends`);
      // What each did stands in it: carried over it once more it changes nothing, but in lists whose entries have no ids.
      for (const e of [ea, eb]) {
        const again = carry(
          { ...e, changes: e.changes.filter(({ at }) => !/\/(line|poured)$/.test(at)) },
          ab.document,
        );
        if (!(again.ok && same(again.document, ab.document))) throw new Error(`${seed}: not so`);
      }
    }
    expect(clear).toBeGreaterThan(ROUNDS / 4);
    expect(clashed).toBeGreaterThan(ROUNDS / 50);
  },
);
