import { applyPatch } from './edits/patch.js';
import { bareWall, withoutItem } from './edits/runs.js';
import { copiedRun, copiedWall } from './edits/copied.js';
import { reversedRun } from './edits/reversed.js';
import { carry, editOf } from './edits/edit.js';
import { same } from '../statement/same.js';
import { faultsOf, soundJob, sayFor } from '../test/jobs.js';
import { plan, type WallPlan } from '../plan/plan.js';
import { planJson } from '../plan/json.js';
import type { JobDocument, Wall } from './types.js';

const STEEL = { vertical: { bar: '#4', every: '48"' } };
function document(wall: Partial<Wall>): JobDocument {
  return {
    format: 'even-tally/job',
    version: 1,
    name: 'Places',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'w',
        name: 'Wall',
        line: [{ run: "24'", id: 'n' }],
        height: "8'",
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half', start: 'whole', corners: 'in-turn' },
        held: 'floors',
        ...wall,
      },
    ],
  };
}
const planned = (d: JobDocument): WallPlan => {
  const [p] = plan(soundJob(d), [], { advise: false }).walls;
  if (!p) throw new Error('no wall');
  return p;
};
const json = (d: JobDocument): Record<string, unknown> => {
  const [wall] = planJson(plan(soundJob(d), [], { advise: false }), sayFor('mm')).walls as Record<
    string,
    unknown
  >[];
  return wall ?? {};
};
interface Piece {
  kind: string;
  from: number;
  to: number;
  place: string;
}
const pieces = (d: JobDocument, course: number): Piece[] =>
  (json(d).rows as { course: number; pieces: Piece[] }[]).find((r) => r.course === course)?.pieces ?? [];
const lost = (d: JobDocument): string[] =>
  planned(d)
    .findings.filter((f) => f.code === 'place-lost')
    .map((f) => sayFor('mm')(f.says));

/** Everything the plan says but the addresses and the sentences. */
const laid = (d: JobDocument): unknown => {
  const { rows, bars, cells, units } = json(d);
  return { rows, bars, cells, units };
};

const BUILD = {
  kind: 'units',
  unit: 'cmu-8x8x16',
  bond: 'half',
  start: 'whole',
  corners: 'in-turn',
} as const;
const byPlace = (place: string, more: Partial<Wall> = {}): JobDocument =>
  document({ ...more, build: { ...BUILD, pieces: [{ id: 'U1', place, do: 'split' }] } });

test('a unit changed by its place is the unit changed by run, course, middle and length', () => {
  const piece = pieces(document({}), 3)[4];
  if (!piece) throw new Error('no piece');
  const older = document({
    build: {
      ...BUILD,
      pieces: [
        {
          id: 'U1',
          run: 0,
          course: 3,
          at: (piece.from + piece.to) / 2,
          length: piece.to - piece.from,
          do: 'split',
        },
      ],
    },
  });
  expect(laid(byPlace(piece.place))).toEqual(laid(older));
  expect(laid(byPlace(piece.place))).not.toEqual(laid(document({})));
});

test('a place survives edits elsewhere in its row: windows come and go, the run is lengthened', () => {
  const piece = pieces(document({}), 6)[2];
  if (!piece) throw new Error('no piece');
  const window = { id: 'W', at: "16'", width: "3'", sill: '3\' 4"', head: '6\' 8"' };
  for (const more of [{ openings: [window] }, { line: [{ run: "32'", id: 'n' }] }, { height: '9\' 4"' }]) {
    const d = byPlace(piece.place, more);
    expect(lost(d)).toEqual([]);
    // It is in two, with a joint between.
    const own = pieces(d, 6).filter((p) => p.from >= piece.from - 1 && p.to <= piece.to + 1);
    expect(own).toHaveLength(2);
  }
});

test('a cell by its column is the cell by its middle, and survives a window elsewhere', () => {
  const cells = json(document({ steel: STEEL, grout: { fill: 'steel' } })).cells as {
    at: number;
    place: string;
    grouted: boolean;
  }[];
  const dry = cells.find((c) => !c.grouted && c.at > 1200);
  if (!dry) throw new Error('no empty cell');
  const window = { id: 'W', at: "16'", width: "3'", sill: '3\' 4"', head: '6\' 8"' };
  for (const more of [{}, { openings: [window] }]) {
    const with2 = (entry: object): JobDocument =>
      document({
        ...more,
        grout: { fill: 'steel' },
        steel: { ...STEEL, cells: [{ id: 'K1', ...entry, bar: true }] },
      });
    expect(laid(with2({ place: dry.place }))).toEqual(laid(with2({ run: 0, at: dry.at })));
    expect(lost(with2({ place: dry.place }))).toEqual([]);
    expect(
      planned(with2({ place: dry.place })).steel.verticals[0]?.bars.some((b) => Math.abs(b.at - dry.at) < 1),
    ).toBe(true);
  }
});

test('every piece, bar, cell and finding has an address, and no two pieces or cells the same', () => {
  const d = document({
    line: [
      { run: "24'", id: 'n' },
      { turn: 90 },
      { run: "16'" },
      { turn: 90 },
      { run: "24'", id: 's/2' },
      { turn: 90 },
      { run: "16'" },
    ],
    steel: STEEL,
    grout: { fill: 'steel' },
    openings: [{ id: 'W', run: 1, at: "6'", width: "3'", sill: '3\' 4"', head: '6\' 8"' }],
  });
  const { rows, cells, bars, findings } = json(d) as Record<
    string,
    { place: string; pieces: Piece[]; bottom: number }[]
  >;
  const own = (rows ?? []).flatMap((r) => r.pieces.map((p) => p.place));
  expect(new Set(own).size).toBe(own.length);
  expect(own.some((p) => p.startsWith('w/s%2F2/leaf:0/course:1/piece:'))).toBe(true);
  expect(own.some((p) => p.startsWith('w/#1/leaf:0/course:1/piece:'))).toBe(true);
  const columns = (cells ?? []).map((c) => `${c.place}@${c.bottom}`);
  expect(new Set(columns).size).toBe(columns.length);
  for (const one of [...(bars ?? []), ...(findings ?? [])]) expect(one.place).toMatch(/^w(\/|$)/);
});

test.each([
  ['another wall', 'v/n/leaf:0/course:1/piece:0+397'],
  ['a run that is not there', 'w/e/leaf:0/course:1/piece:0+397'],
  ['a number past the runs', 'w/#4/leaf:0/course:1/piece:0+397'],
  ['no address', 'somewhere on the left'],
  ['another piece', 'w/n/leaf:0/course:1/piece:0+100'],
  ['a course there is not', 'w/n/leaf:0/course:99/piece:0+397'],
])('what points nowhere is said once, changes nothing and can be forgotten: %s', (_what, place) => {
  const d = byPlace(place);
  expect(lost(d)).toHaveLength(1);
  expect(laid(d)).toEqual(laid(document({})));
  const [p] = plan(soundJob(d)).walls;
  const fix = p?.findings.find((f) => f.code === 'place-lost')?.fixes[0];
  const after = fix && applyPatch(d, fix.edit);
  expect(after?.ok && lost(after.value)).toEqual([]);
});

test('an address stands instead of the rest, and one of the two is wanted', () => {
  const place = 'w/n/leaf:0/course:1/piece:0+397';
  const entry = (own: object): string[] =>
    faultsOf(document({ build: { ...BUILD, pieces: [{ id: 'U', do: 'split', ...own }] as never } }));
  expect(entry({ place })).toEqual([]);
  expect(entry({ place, run: 0 })).toEqual([
    '/walls/0/build/pieces/0/run: wanted nothing beside a place, got both',
  ]);
  expect(entry({ run: 0, course: 1, at: 200 })).toEqual([
    '/walls/0/build/pieces/0/length: wanted length, or a place, got nothing',
  ]);
});

const TWO: Partial<Wall> = {
  line: [{ run: "8'" }, { turn: 90 }, { run: "24'" }, { turn: 90 }, { run: "8'" }],
};
const two = (run: string): JobDocument =>
  document({
    ...TWO,
    build: { ...BUILD, pieces: [{ id: 'U', place: `w/${run}/leaf:0/course:3/piece:1219+397`, do: 'split' }] },
  });
const placeOf = (d: JobDocument): string | undefined => d.walls[0]?.build.pieces?.[0]?.place;

test('a run taken out takes what is filed for it, and later ones keep their own', () => {
  expect(placeOf(withoutItem(two('#1'), 0, 0).job)).toBe('w/#0/leaf:0/course:3/piece:1219+397');
  expect(withoutItem(two('#1'), 0, 2).lost.map(sayFor('mm'))).toEqual(['a changed piece']);
  expect(bareWall(two('#1').walls[0] as Wall).build.pieces).toEqual([]);
});

test('a run laid once more has a copy of it, and one read from the other end has it in a mirror', () => {
  const copied = copiedRun(two('#1'), 0, 2).job.walls[0]?.build.pieces?.map((p) => p.place);
  expect(copied).toEqual(['w/#1/leaf:0/course:3/piece:1219+397', 'w/#2/leaf:0/course:3/piece:1219+397']);
  // 24 ft nominal is 7305.675 mm on the face.
  expect(placeOf(reversedRun(two('#1'), 0, 1).job)).toBe(
    `w/#1/leaf:0/course:3/piece:${Math.round(7305.675 - 1219 - 397)}+397`,
  );
});

test('a wall copied is called by its new id in its addresses', () => {
  const d = two('#1');
  const { job, id } = copiedWall(d, 0, d);
  expect(job.walls[1]?.build.pieces?.[0]?.place).toBe(`${id}/#1/leaf:0/course:3/piece:1219+397`);
});

test('an edit that speaks of a run without a name by its address asks where the line goes otherwise', () => {
  const base = two('#1');
  const mine = document({
    ...TWO,
    build: {
      ...BUILD,
      pieces: [
        ...(base.walls[0]?.build.pieces ?? []),
        { id: 'V', place: 'w/#1/leaf:0/course:5/piece:1219+397', do: 'split' },
      ],
    },
  });
  const edit = editOf(base, mine);
  expect(carry(edit, withoutItem(base, 0, 0).job).ok).toBe(false);
  const over = carry(edit, base);
  expect(over.ok && same(over.document, mine)).toBe(true);
});

/** One of everything that can stand on a run, filed for a place. */
const on = (place: string): JobDocument => {
  const at = { place };
  return document({
    line: [{ run: "24'", id: 'n' }],
    openings: [{ id: 'W', ...at, at: "6'", width: "3'", sill: '3\' 4"', head: '6\' 8"' }],
    tops: [{ id: 'T', ...at, kind: 'raked', from: 0, to: 1000, left: 2000, right: 2400 }],
    steps: [{ id: 'S', ...at, from: 4000, to: 5000, up: 1 }],
    vents: [{ id: 'V', place: `${place}/leaf:0/course:2`, what: 'vent', every: 1800 }],
    piers: [{ id: 'P', ...at, at: 5600, width: 400 }],
    joints: [{ id: 'J', ...at, at: 5300 }],
    poured: [{ ...at, at: 100, level: 2 }],
    footing: { width: '1\' 4"', depth: '8"' },
    steel: { ...STEEL, starters: [{ id: 'B', ...at, at: 96.8375 }] },
    grout: { fill: 'steel' },
  });
};
/** The same by the run's number. */
const byRun = (d: JobDocument): JobDocument =>
  JSON.parse(
    JSON.stringify(d).replace(
      /"place":"w\/n(?:\/leaf:0\/course:(\d+))?"/g,
      (_all, course?: string) => `"run":0${course ? `,"course":${course}` : ''}`,
    ),
  ) as JobDocument;

test('whatever stands on a run may be filed for it by its address', () => {
  const placed = on('w/n');
  expect(faultsOf(placed)).toEqual([]);
  expect(lost(placed)).toEqual([]);
  expect(json(placed)).toEqual(json(byRun(placed)));
});

test('whatever is filed for a run that is gone is said, each for itself, and the rest of the wall stands', () => {
  const gone = on('w/gone');
  expect(faultsOf(gone)).toEqual([]);
  expect(lost(gone)).toHaveLength(8);
  const [p] = plan(soundJob(gone)).walls;
  expect(p?.runs).toHaveLength(1);
});

test('read from the other end and back what is filed by address is as it was', () => {
  const placed = on('w/n');
  const back = reversedRun(reversedRun(placed, 0, 0).job, 0, 0).job;
  expect(laid(back)).toEqual(laid(placed));
});
