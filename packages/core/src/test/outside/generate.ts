import { Chance } from './random.js';
import { PROFILE_FACTS, unitFacts } from './trade.js';

const UNITS = [
  'cmu-8x8x16',
  'cmu-6x8x16',
  'cmu-10x8x16',
  'cmu-12x8x16',
  'block-440x215x100',
  'block-440x215x140',
  'block-440x215x215',
  'brick-215x102.5x65',
  'brick-modular-us',
  'adobe-10x14x4',
  'cmu-6x6x18',
] as const;

type Json = Record<string, unknown>;

/** Lengths of lines: on the unit's module or as somebody taped them. */
function lengthNear(c: Chance, module: number, from: number, to: number): number {
  if (c.odds(0.4))
    return Math.round(c.int(Math.ceil(from / module), Math.floor(to / module)) * module * 2) / 2;
  return c.int(Math.ceil(from / 10), Math.floor(to / 10)) * 10;
}

function lineOf(c: Chance, module: number, turn: number): { line: Json[]; runs: number[] } {
  const long = (): number => lengthNear(c, module, 1600, 9000);
  const kind = c.pick(['straight', 'straight', 'corner', 'u', 'closed']);
  const [a, b, d] = [long(), long(), long()];
  if (kind === 'straight') return { line: [{ run: a }], runs: [a] };
  if (kind === 'corner') return { line: [{ run: a }, { turn }, { run: b }], runs: [a, b] };
  if (kind === 'u')
    return { line: [{ run: a }, { turn }, { run: b }, { turn }, { run: d }], runs: [a, b, d] };
  return {
    line: [{ run: a }, { turn: 90 }, { run: b }, { turn: 90 }, { run: a }, { turn: 90 }, { run: b }],
    runs: [a, b, a, b],
  };
}

/** Openings of a run that keep clear of its ends and of one another by so much. */
function openingsOf(c: Chance, runs: readonly number[], clear: number, height: number): Json[] {
  const list: Json[] = [];
  runs.forEach((length, run) => {
    let at = clear + c.int(0, 120) * 10;
    while (list.length < 4 && c.odds(0.6)) {
      const width = c.int(5, 24) * 50;
      if (at + width > length - clear) break;
      const sill = c.odds(0.5) ? 0 : c.int(2, 9) * 100;
      const head = Math.min(height, sill + c.int(4, 20) * 100);
      list.push({ id: `o${list.length + 1}`, run, at, width, sill, head });
      at += width + Math.max(250, c.int(2, 30) * 50);
    }
  });
  return list;
}

/** An ordinary wall: a unit of the library, openings clear of the corners, steel where there are cells. */
export function ordinaryJob(seed: number): Json {
  const c = new Chance(seed);
  const unit = c.pick(UNITS);
  const facts = unitFacts(unit);
  const profile = unit.startsWith('adobe') ? 'earth' : c.pick(['us', 'uk'] as const);
  const joint = PROFILE_FACTS[profile].joint;
  const [module, pitch] = [(facts.length + joint) / 2, facts.height + joint];
  const { line, runs } = lineOf(c, module, c.pick([90, 90, -90]));
  const height = c.odds(0.6) ? c.int(3, 14) * pitch : c.int(6, 32) * 100;
  const build: Json = {
    kind: 'units',
    unit,
    bond: c.pick(['half', 'half', 'half', 'third', 'quarter', 'stack']),
  };
  if (c.odds(0.3)) build.start = c.pick(['whole', 'half']);
  if (c.odds(0.15)) build.corners = c.pick(['in-turn', 'in-pairs']);
  if (c.odds(0.15)) build.closers = true;
  if (c.odds(0.2)) build.cuts = c.pick(['panel', 'jamb']);
  const wall: Json = { id: 'a', name: 'A', line, height, build };
  if (c.odds(0.5)) wall.openings = openingsOf(c, runs, 2 * facts.length + facts.width, height);
  if (facts.cores && c.odds(0.6)) {
    wall.steel = {
      vertical: {
        bar: profile === 'us' ? '#4' : 'T12',
        every: c.pick([400, 406.4, 600, 609.6, 800, 812.8, 1219.2]),
      },
      ...(c.odds(0.6) ? { beams: beamsOf(c, profile) } : {}),
    };
    wall.grout = { fill: 'steel' };
  }
  const walls = [wall];
  if (c.odds(0.1) && build.bond === 'half') {
    const at = lengthNear(c, module, facts.width + 500, (runs[0] as number) - facts.width - 500);
    if (at > 0 && at + facts.width < (runs[0] as number) - 300)
      walls.push({
        id: 'b',
        name: 'B',
        line: [{ run: lengthNear(c, module, 1200, 4000) }],
        height: c.odds(0.5) ? height : Math.max(3 * pitch, Math.min(height, c.int(3, 8) * pitch)),
        build: { kind: 'units', unit, bond: 'half' },
        meets: { wall: 'a', run: 0, at, how: 'bonded', on: c.pick(['even', 'odd']) },
      });
    if (walls.length > 1) delete wall.openings;
  }
  return { format: 'even-tally/job', version: 1, name: `ordinary ${seed}`, show: 'mm', profile, walls };
}

function beamsOf(c: Chance, profile: string): Json[] {
  const bar = profile === 'us' ? '#4' : 'T12';
  const list: Json[] = [{ course: c.pick(['top', 'over-openings', 2]), bar, count: c.int(1, 2) }];
  if (c.odds(0.3)) list.push({ course: c.pick(['top', 'over-openings']), bar, count: 1 });
  return list;
}

/** Anything a file may say: openings at corners, odd turns, header bonds, low and short walls, tops, second leaves. */
export function wildJob(seed: number): Json {
  const c = new Chance(seed ^ 0x5bd1e995);
  const unit = c.pick(UNITS);
  const facts = unitFacts(unit);
  const profile = c.pick(['us', 'uk', 'earth'] as const);
  const turn = c.pick([90, -90, 45, 135, 100, -60]);
  const [a, b] = [c.int(2, 60) * 100 + c.int(0, 99), c.int(2, 60) * 100 + c.int(0, 99)];
  const line = c.odds(0.5) ? [{ run: a }] : [{ run: a }, { turn }, { run: b }];
  const height = c.int(2, 25) * 100 + c.int(0, 99);
  const square = turn === 90 || turn === -90;
  const build: Json = {
    kind: 'units',
    unit,
    bond: c.pick(['half', 'half', 'third', 'quarter', 'stack', 'english', 'flemish', 'flemish-garden']),
  };
  if (c.odds(0.3)) build.start = c.pick(['whole', 'half']);
  if (c.odds(0.2)) build.closers = true;
  if (c.odds(0.2)) build.cuts = c.pick(['panel', 'jamb']);
  if (c.odds(0.2)) build.head = c.int(4, 18);
  if (c.odds(0.2)) build.gauge = c.pick<Json>([{ meet: true }, { meet: true, allow: ['half-high', 'sawn'] }]);
  if (c.odds(0.15) && (line.length === 1 || square)) build.wythes = 2;
  const wall: Json = { id: 'a', name: 'A', line, height, build };
  const openings: Json[] = [];
  let at = c.int(0, 20) * 50 + c.int(1, 49);
  while (build.wythes === undefined && openings.length < 3 && c.odds(0.6)) {
    const width = c.int(3, 24) * 50 + c.int(0, 49);
    if (at + width >= a - 20) break;
    const sill = c.odds(0.5) ? 0 : c.int(1, 9) * 100 + c.int(0, 99);
    const head = Math.min(height, sill + c.int(2, 20) * 100);
    if (head > sill) openings.push({ id: `o${openings.length + 1}`, run: 0, at, width, sill, head });
    at += width + c.int(10, 900);
  }
  if (openings.length > 0) wall.openings = openings;
  if (facts.cores && c.odds(0.5))
    wall.steel = {
      vertical: { bar: '#4', every: c.int(2, 13) * 100 },
      ...(c.odds(0.5)
        ? { beams: [{ course: c.pick(['top', 'over-openings', 1, 3]), bar: '#5', count: c.int(1, 2) }] }
        : {}),
    };
  return { format: 'even-tally/job', version: 1, name: `wild ${seed}`, show: 'mm', profile, walls: [wall] };
}
