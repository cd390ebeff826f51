import { Chance } from './random.js';
import { PROFILE_FACTS, unitFacts } from './trade.js';

type Json = Record<string, unknown>;

const BONDS = [
  'half',
  'half',
  'third',
  'stack',
  'english',
  'english-garden',
  'flemish',
  'flemish-garden',
] as const;

/** A brick wall of two leaves, tied or bonded: corners outside and inside, openings off gauge. */
export function twoLeafJob(seed: number): Json {
  const c = new Chance(seed ^ 0x2f6e2b1);
  const unit = c.pick(['brick-215x102.5x65', 'brick-modular-us'] as const);
  const facts = unitFacts(unit);
  const profile = c.pick(['us', 'uk'] as const);
  const { joint } = PROFILE_FACTS[profile];
  const half = (facts.length + joint) / 2;
  const long = (): number => (c.odds(0.5) ? c.int(12, 44) * half : c.int(130, 480) * 10);
  const turn = (): Json => ({ turn: c.pick([90, 90, -90]) });
  const runs = [long()];
  const line: Json[] = [{ run: runs[0] }];
  for (let k = c.int(0, 2); k > 0; k--) {
    runs.push(long());
    line.push(turn(), { run: runs.at(-1) });
  }
  const pitch = facts.height + joint;
  const height = c.int(6, 24) * pitch;
  const build: Json = { kind: 'units', unit, bond: c.pick(BONDS), wythes: 2 };
  if (c.odds(0.3)) build.start = c.pick(['whole', 'half']);
  const wall: Json = { id: 'a', name: 'A', lengths: 'actual', line, height, build };
  const openings: Json[] = [];
  const clear = 3 * facts.length;
  runs.forEach((length, run) => {
    let at = clear + c.int(0, 60) * 10;
    while (openings.length < 3 && c.odds(0.5)) {
      const width = c.int(9, 24) * 50;
      if (at + width > length - clear) break;
      const [sill, head] = c.odds(0.4)
        ? [c.int(0, 4) * pitch, c.int(8, 14) * pitch]
        : [c.int(0, 40) * 10, c.int(60, 120) * 10];
      const over = c.odds(0.2) ? { over: 'soldiers' } : {};
      openings.push({
        id: `o${openings.length + 1}`,
        run,
        at,
        width,
        sill,
        head: Math.min(height, head),
        ...over,
      });
      at += width + clear;
    }
  });
  if (openings.length > 0) wall.openings = openings;
  return {
    format: 'even-tally/job',
    version: 1,
    name: `two leaves ${seed}`,
    show: 'mm',
    profile,
    walls: [wall],
  };
}

/** A brick wall of two tied leaves on a line of runs and curves without a corner, openings off gauge among them. */
export function curvedTwoLeafJob(seed: number): Json {
  const c = new Chance(seed ^ 0x51ab3);
  const unit = 'brick-215x102.5x65';
  const long = (): number => c.int(120, 400) * 10;
  const arc = (): Json => ({ arc: c.int(300, 900) * 10, sweep: c.int(20, 110) * c.pick([1, 1, -1]) });
  const line: Json[] = c.odds(0.4)
    ? [arc()]
    : [{ run: long() }, arc(), ...(c.odds(0.5) ? [{ run: long() }] : [])];
  const pitch = 75;
  const height = c.int(8, 20) * pitch;
  const openings = line.flatMap((item, run): Json[] => {
    const length =
      'run' in item ? Number(item.run) : (Number(item.arc) * Math.abs(Number(item.sweep)) * Math.PI) / 180;
    const width = c.int(9, 18) * 50;
    const at = 700 + c.int(0, 40) * 10;
    if (!c.odds(0.6) || at + width > length - 700) return [];
    const head = Math.min(height, c.int(50, 120) * 10);
    return [{ id: `o${run}`, run, at, width, sill: c.int(0, 40) * 10, head }];
  });
  const build: Json = { kind: 'units', unit, bond: c.pick(['half', 'half', 'third']), wythes: 2 };
  const wall: Json = { id: 'a', name: 'A', lengths: 'actual', line, height, build };
  if (openings.length > 0) wall.openings = openings;
  return {
    format: 'even-tally/job',
    version: 1,
    name: `curve ${seed}`,
    show: 'mm',
    profile: 'uk',
    walls: [wall],
  };
}

/** A wall of two tied wythes, and one of one or two that is bonded into it from inside. */
export function teeTwoLeafJob(seed: number): Json {
  const c = new Chance(seed ^ 0x7ee01);
  const unit = 'brick-215x102.5x65';
  const half = 112.5;
  const pitch = 75;
  const long = c.odds(0.5) ? c.int(20, 44) * half - 10 : c.int(240, 480) * 10;
  const height = c.int(6, 20) * pitch;
  const at = c.odds(0.5)
    ? c.int(6, Math.floor(long / half) - 8) * half
    : c.int(70, Math.floor(long / 10) - 90) * 10;
  const stem = c.odds(0.5) ? c.int(10, 24) * half - 10 : c.int(120, 300) * 10;
  const build: Json = { kind: 'units', unit, bond: c.pick(['half', 'half', 'third']), wythes: 2 };
  return {
    format: 'even-tally/job',
    version: 1,
    name: `tee ${seed}`,
    show: 'mm',
    profile: 'uk',
    walls: [
      { id: 'a', name: 'A', lengths: 'actual', line: [{ run: long }], height, build },
      {
        id: 'b',
        name: 'B',
        lengths: 'actual',
        line: [{ run: stem }],
        height: c.odds(0.6) ? height : Math.min(height, c.int(3, 8) * pitch),
        build: { kind: 'units', unit, bond: 'half', wythes: c.pick([1, 2]) },
        meets: { wall: 'a', run: 0, at, how: 'bonded', on: c.pick(['even', 'odd']) },
      },
    ],
  };
}
