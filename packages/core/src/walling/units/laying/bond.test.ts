import {
  closed,
  corner,
  documentOf,
  inWords,
  kinds,
  lengths,
  planOf,
  sayFor,
  soundJob,
  straight,
} from '../../../test/jobs.js';
import { planJson } from '../../../plan/json.js';
import { plan } from '../../../plan/plan.js';

const W = 193.675;
/** What the bond has to say: movement joints are another stage's. */
const codes = (p: ReturnType<typeof planOf>): string[] =>
  p.findings.filter((f) => f.stage !== 'steel').map((f) => f.code);

test('a straight wall begins whole and half in turn, and half and whole when so asked', () => {
  const whole = planOf({ line: straight("8'"), height: "4'" });
  expect(kinds(whole, 1)).toEqual(Array(6).fill('stretcher'));
  expect(kinds(whole, 2)).toEqual(['half', ...Array<string>(5).fill('stretcher'), 'half']);
  const half = planOf({ line: straight("8'"), height: "4'", build: { start: 'half' } });
  expect(kinds(half, 1)).toEqual(kinds(whole, 2));
});

test('corners: the earlier run owns them on odd courses, the last run the closing one, and each unit stands once', () => {
  const p = planOf({ line: closed('8\' 8"', "6'"), height: '1\' 4"' });
  const json = planJson({ walls: [p] }, sayFor('mm')) as {
    walls: {
      rows: {
        pieces: {
          kind: string;
          run: number;
          from: number;
          to: number;
          shows?: { run: number; from: number; to: number };
        }[];
      }[];
    }[];
  };
  const [odd, even] = json.walls[0]?.rows.map((r) => r.pieces.filter((x) => x.kind === 'corner')) ?? [];
  expect(odd?.map((c) => [c.run, c.shows?.run])).toEqual([
    [0, 1],
    [1, 2],
    [2, 3],
    [3, 0],
  ]);
  expect(odd?.every((c) => c.shows?.from === 0 && c.shows.to === W)).toBe(true);
  expect(even?.map((c) => [c.run, c.shows?.run])).toEqual([
    [0, 3],
    [1, 0],
    [2, 1],
    [3, 2],
  ]);
  expect(even?.every((c) => c.from === 0)).toBe(true);
  expect(even?.[0]?.shows?.to).toBeCloseTo(6 * 304.8 - 9.525, 6);
});

test('an odd number of half units round the building bonds without a cut or a straight joint', () => {
  const p = planOf({ line: closed('24\' 8"', '16\' 8"'), height: '8\' 8"' });
  expect(codes(p)).toEqual([]);
  expect(p.tally.pieces).toMatchObject({ cut: 0, half: 0, corner: 52 });
});

test('an even number needs a broken bond when corners are taken in turn, and none when in pairs', () => {
  const inTurn = planOf({ line: closed("24'", "16'"), height: "8'", build: { corners: 'in-turn' } }, true);
  expect(inTurn.tally.pieces['three-quarter']).toBeGreaterThan(0);
  expect(codes(inTurn)).not.toContain('straight-joint');
  const bond = inTurn.choices.filter((c) => c.stage === 'bond');
  // What is stated stands, and what is cheaper leads the list.
  expect(bond[0]).toMatchObject({ kind: 'corners-in-pairs', applied: false, rank: 1 });
  expect(bond[1]).toMatchObject({ kind: 'corners-in-turn', applied: true });
  expect(bond[0]?.cost).toBeLessThan(bond[1]?.cost ?? 0);
  // Left open, rank 1 is what the plan does.
  const open = planOf({ line: closed("24'", "16'"), height: "8'" }, true);
  expect(open.wall.corners).toBe('in-pairs');
  expect(open.choices.filter((c) => c.stage === 'bond')[0]).toMatchObject({
    kind: 'corners-in-pairs',
    applied: true,
    rank: 1,
  });
  const inPairs = planOf({ line: closed("24'", "16'"), height: "8'", build: { corners: 'in-pairs' } });
  expect(inPairs.tally.pieces).toMatchObject({ 'three-quarter': 0, cut: 0, half: 0 });
  expect(codes(inPairs)).toEqual([]);
});

test.each(['cmu-4x8x16', 'cmu-6x8x16', 'cmu-10x8x16', 'cmu-12x8x16'])(
  '%s, whose return is not half a unit, laps at least a quarter round a corner',
  (unit) => {
    const p = planOf({ line: corner("12'", "8'"), height: "4'", unit });
    expect(codes(p)).not.toContain('straight-joint');
    expect(codes(p)).not.toContain('lap-short');
  },
);

test('at an inside corner the owner fills the corner square and the other stops a joint short', () => {
  const p = planOf({ line: corner("8'", "8'", -90), height: '1\' 4"' });
  const first = p.runs[0]?.rows[0]?.pieces.at(-1);
  expect(first?.to).toBeCloseTo(8 * 304.8 - 9.525 + W, 6);
  // The joints of this run are eased, so the one at the corner is too.
  const joint = p.runs[1]?.rows[0]?.perps[0]?.width ?? NaN;
  expect(p.runs[1]?.rows[0]?.pieces[0]?.from).toBeCloseTo(joint, 6);
  expect(joint).toBeGreaterThan(3.175);
  expect(p.runs[1]?.rows[1]?.pieces[0]?.from).toBeCloseTo(-W, 6);
});

test('a jamb off the perps is cut to, never moved, and each fix offered brings it back', () => {
  const p = planOf(
    {
      line: straight("24'"),
      height: '8\' 8"',
      openings: [{ at: '14\' 3"', width: "4'", sill: '3\' 4"', head: '6\' 8"' }],
    },
    true,
  );
  expect(p.wall.openings[0]?.from).toBeCloseTo(171 * 25.4 - 9.525, 6);
  const off = p.findings.find((f) => f.code === 'opening-off-bond');
  expect(off).toMatchObject({ severity: 'choice', opening: 'O1', course: 6, to: 10 });
  // A jamb 3 in off its perp would leave slivers of 2 5/8 in: the piece beside takes part, and none is under 4 in.
  expect(off?.says).toMatch(/pieces are sawn .* smallest (4|5|6|7) /);
  expect(off?.fixes[0]).toMatchObject({
    says: 'Move O1 3″ left',
    edit: [{ op: 'replace', path: '/walls/0/openings/0/at', value: "14'" }],
  });
  expect(codes(p)).not.toContain('sliver');
});

test('a jamb within a joint of the perps is met by easing the joints', () => {
  const p = planOf({
    line: straight("24'"),
    height: '8\' 8"',
    openings: [{ at: '14\' 1/8"', width: "4'", sill: '3\' 4"', head: '6\' 8"' }],
  });
  expect(codes(p)).toEqual(['lintel-not-designed']);
  expect(p.tally.pieces.cut).toBe(0);
});

test('a sill and a head off the courses are cut to in height, and said', () => {
  const p = planOf(
    {
      line: straight("16'"),
      height: "8'",
      openings: [{ at: "4'", width: "4'", sill: '3\' 2"', head: '6\' 4"' }],
    },
    true,
  );
  const off = p.findings.find((f) => f.code === 'opening-off-gauge');
  expect(off?.says).toMatch(/sill at 3′-2″ is 2″ and head at 6′-4″ is 4″ off the courses/);
  const bands = p.runs[0]?.rows.flatMap((r) => r.pieces.filter((x) => x.band !== null)) ?? [];
  expect(bands.length).toBeGreaterThan(0);
  expect(bands.every((b) => b.kind === 'cut')).toBe(true);
  expect(off?.fixes.length).toBeGreaterThanOrEqual(1);
});

test('the first course over a head is beam, and a note says no lintel is designed', () => {
  const p = planOf({
    line: straight("24'"),
    height: '8\' 8"',
    openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
  });
  expect(p.runs[0]?.rows[10]?.pieces.filter((x) => x.kind === 'beam').map((x) => x.from)).toHaveLength(3);
  expect(p.runs[0]?.rows[11]?.pieces.some((x) => x.kind === 'beam')).toBe(false);
  expect(codes(p)).toEqual(['lintel-not-designed']);
  const gate = planOf({
    line: straight("24'"),
    height: "4'",
    openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: "4'" }],
  });
  expect(codes(gate)).toEqual([]);
});

test('course 1 begins as asked, also where that breaks the bond before a corner, and the other start ranks first', () => {
  const p = planOf({ line: corner("12'", "8'"), height: "8'", build: { start: 'half' } }, true);
  expect(kinds(p, 1)[0]).toBe('half');
  // The three-quarter that makes up for it stands at the free end, where nothing is bonded to it.
  expect(kinds(p, 2)[0]).toBe('three-quarter');
  expect(p.tally.pieces['three-quarter']).toBeGreaterThan(0);
  expect(codes(p)).not.toContain('straight-joint');
  const bond = p.choices.filter((c) => c.stage === 'bond');
  expect(bond.map((c) => [c.kind, c.applied])).toEqual([
    ['start-whole', false],
    ['start-half', true],
  ]);
});

test('perps that stand in line through three courses or more are a fault, counted and placed', () => {
  // The mason splits the unit astride a perp, course after course: 1 570 is the perp of the even courses.
  const pieces = [1, 3, 5, 7].map((course) => ({
    id: `P${course}`,
    run: 0,
    course,
    at: 1570,
    length: 440,
    do: 'split' as const,
  }));
  const p = planOf({
    line: straight(4490),
    height: 1575,
    lengths: 'actual',
    unit: 'block-440x215x215',
    profile: 'uk',
    show: 'mm',
    build: { start: 'whole', pieces },
  });
  const bad = p.findings.filter((f) => f.code === 'straight-joint');
  expect(bad.length).toBeGreaterThan(0);
  for (const f of bad) {
    expect(f).toMatchObject({ severity: 'fault', course: 1, to: 7 });
    expect(f.says).toMatch(/7 perps stand in line .* courses 1 to 7/);
    // Every course really has a perp within a joint of the place named.
    const rows = p.runs[f.run ?? 0]?.rows ?? [];
    expect(rows.every((r) => r.perps.some((x) => Math.abs(x.at - (f.at ?? 0)) <= 10))).toBe(true);
  }
});

test('a line that nearly closes is told by how much', () => {
  const p = planOf({
    line: [
      { run: 5000 },
      { turn: 90 },
      { run: 4000 },
      { turn: 90 },
      { run: 5000 },
      { turn: 90 },
      { run: 3900 },
    ],
    height: 1000,
    lengths: 'actual',
    show: 'mm',
  });
  expect(p.findings.find((f) => f.code === 'line-not-closed')?.says).toMatch(/100 mm/);
});

test('a short leftover is shared with the unit beside it, and a sliver only where nothing else will go', () => {
  const p = planOf(
    { line: straight(1850), height: 900, unit: 'block-440x215x215', profile: 'uk', show: 'mm' },
    true,
  );
  // 1 850 is four blocks and 50 mm: two pieces share it, 5 cuts of two sizes where a sliver would be one and 30 more.
  const [last, before] = lengths(p, 1).slice(-2).reverse();
  expect((last ?? 0) + (before ?? 0)).toBeCloseTo(440 + 10 + 50 - 10, 6);
  expect(Math.min(last ?? 0, before ?? 0)).toBeGreaterThanOrEqual(100);
  expect(codes(p)).not.toContain('sliver');
  // 90 mm of wall has room for no better.
  const stub = planOf(
    { line: straight(90), height: 900, unit: 'block-440x215x215', profile: 'uk', show: 'mm' },
    true,
  );
  expect(codes(stub)).toContain('sliver');
});

describe('a wall that ends on another', () => {
  const meeting = (run: number, at: string): ReturnType<typeof planOf>['findings'] => {
    const document = documentOf({ line: straight("8'"), height: "4'" });
    const first = document.walls[0] as (typeof document.walls)[number];
    const walls = [
      { ...first, meets: { wall: 'other', run, at } },
      { ...first, id: 'other', name: 'Long wall' },
    ];
    const p = plan(soundJob({ ...document, walls })).walls[0];
    return p ? inWords(p).findings : [];
  };
  test('is tied every second course: six courses take three', () => {
    expect(meeting(0, "4'").find((f) => f.code === 'wall-meets')?.says).toMatch(/Long wall.* 3 ties/);
  });
  test.each([
    ['past its end', 0, "9'"],
    ['on a run it has not', 3, "4'"],
  ])('%s is a fault', (_name, run, at) => {
    expect(meeting(run, at).find((f) => f.code === 'meets-nowhere')?.severity).toBe('fault');
  });
});
