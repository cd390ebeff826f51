import { BARS } from '../tables/bars.js';
import { bondById } from '../tables/bonds.js';
import { UNITS } from '../tables/units.js';
import { builtOf } from '../job/edits/builtOf.js';
import { stoneName } from '../walling/stone/names.js';
import type { UnitBuild, Opening, Wall } from '../job/types.js';
import type { Message } from '../messages/message.js';
import type { Mm } from '../measure/length.js';
import type { Draft } from './draft.js';
import { SAYING } from './messages.js';
import { Wants } from './reader.js';
import type { OpeningWord, PlaceSaid, Saying } from './said.js';
import type { SaidLength } from './tokens.js';

type Of<I extends Saying['is']> = Extract<Saying, { is: I }>;
type Apply<I extends Saying['is']> = (d: Draft, said: Of<I>, at: number) => Message;

/** Heads of doors and windows nobody gave a head: 6 ft 8 in, 2100 mm; of garage doors 7 ft (common practice). */
const HEAD = { 'ft-in': { door: 80 * 25.4, garage: 84 * 25.4 }, mm: { door: 2100, garage: 2100 } } as const;
/** A cavity nobody gave a width: 2 in, 100 mm (common practice). */
const CAVITY = { 'ft-in': '2"', mm: 100 } as const;

const bySide = (d: Draft, said: SaidLength): Mm => d.lengths.mm(said, 'amount');
const back = (d: Draft, mm: Mm): Message => d.lengths.back(mm);

/** Generic names of units, by the rules of the place. */
const GENERIC: Record<string, Record<'us' | 'uk' | 'earth', string>> = {
  brick: { us: 'brick-modular-us', uk: 'brick-215x102.5x65', earth: 'adobe-10x14x4' },
  block: { us: 'cmu-8x8x16', uk: 'block-440x215x100', earth: 'cmu-8x8x16' },
  hollow: { us: 'cmu-8x8x16', uk: 'hollow-440x215x215', earth: 'cmu-8x8x16' },
};
export const unitIdOf = (unit: string, profile: 'us' | 'uk' | 'earth'): string =>
  GENERIC[unit]?.[profile] ?? unit;

/** Sets a part of a wall, or forgets it. */
function put<K extends keyof Wall>(wall: Wall, key: K, value: Wall[K] | undefined): void {
  if (value === undefined) delete wall[key];
  else wall[key] = value;
}

function placed(d: Draft, at: PlaceSaid, run: number, width: Mm): { at: Opening['at']; says: Message } {
  const room = d.runLength(run) - width;
  if (at.from === 'middle') return { at: d.written(room / 2), says: SAYING['in-middle']() };
  const says = d.lengths.said(at.length, 'place');
  if (at.from === 'start')
    return { at: d.lengths.stated(at.length, 'place'), says: SAYING['from-start']({ at: says }) };
  return { at: d.written(room - d.lengths.mm(at.length, 'place')), says: SAYING['from-end']({ at: says }) };
}

/** Sill and head of a new opening, from what is said of it. */
function heights(
  d: Draft,
  word: OpeningWord,
  high: SaidLength | null,
  at: number,
  name: string,
): Pick<Opening, 'sill' | 'head'> {
  const usual = HEAD[d.job.show];
  const top = word === 'garage-door' ? usual.garage : usual.door;
  const tall = high && d.lengths.mm(high, 'size');
  switch (word) {
    case 'window': {
      if (tall === null) throw new Wants(SAYING['wants-window-height']({ name }), at);
      const sill = Math.max(0, top - tall);
      return { sill: d.written(sill), head: d.written(sill + tall) };
    }
    case 'door':
    case 'garage-door':
      return { sill: 0, head: high && tall !== null ? d.lengths.stated(high, 'size') : d.written(top) };
    default:
      return { sill: 0, head: high ? d.lengths.stated(high, 'size') : d.wall.height };
  }
}

const isHeaderBond = (bond: string): boolean => bondById(bond as UnitBuild['bond']).family === 'header';

/** A unit that is said, or how it is bonded, makes a wall of units of whatever it was. */
function ofUnits(d: Draft): UnitBuild {
  const { build } = d.wall;
  if (build.kind === 'units') return build;
  const units: UnitBuild = { kind: 'units', unit: unitIdOf('block', d.job.profile), bond: 'half' };
  d.wall.build = units;
  return units;
}

/** Its head stays where it is when its sill is said: the rest stand on their sills as high as they are. */
const isDoor = (o: Opening): boolean => o.id.startsWith('D') || /door/i.test(o.name ?? '');

/** What each thing that is said does to the wall, and how it is read back. */
const APPLY: { [I in Saying['is']]: Apply<I> } = {
  size: (d, { long, high }) => {
    APPLY.long(d, { is: 'long', long }, 0);
    APPLY.high(d, { is: 'high', high }, 0);
    return SAYING.size({ long: d.lengths.said(long, 'run'), high: d.lengths.said(high, 'height') });
  },
  long: (d, { long }) => {
    const item = d.wall.line[d.itemOf(d.run)];
    if (item && 'run' in item) item.run = d.lengths.stated(long, 'run');
    return SAYING.long({ long: d.lengths.said(long, 'run') });
  },
  high: (d, { high }) => {
    d.wall.height = d.lengths.stated(high, 'height');
    return SAYING.high({ high: d.lengths.said(high, 'height') });
  },
  building: (d, { long, wide }) => {
    const [a, b] = [d.lengths.stated(long, 'run'), d.lengths.stated(wide, 'run')];
    d.wall.line = [a, b, a, b].flatMap((run, i) => (i === 0 ? [{ run }] : [{ turn: 90 }, { run }]));
    return SAYING.building({ long: d.lengths.said(long, 'run'), wide: d.lengths.said(wide, 'run') });
  },
  turn: (d, { way, then }) => {
    d.wall.line.push({ turn: way === 'left' ? 90 : -90 }, { run: d.lengths.stated(then, 'run') });
    return SAYING.turn({ way, then: d.lengths.said(then, 'run') });
  },
  unit: (d, { unit, wythes }) => {
    const build = ofUnits(d);
    const id = unitIdOf(unit, d.job.profile);
    build.unit = id;
    if (wythes === 2) {
      build.wythes = 2;
      if (unit === 'brick' && build.bond === 'half') build.bond = 'english';
    } else if (wythes === 1) delete build.wythes;
    return SAYING.unit({
      unit: UNITS.find((u) => u.id === id)?.name ?? id,
      wythes: build.wythes === 2 ? 'two' : 'one',
    });
  },
  stone: (d, { kind, stone }) => {
    const at = d.job.walls.indexOf(d.wall);
    const build = builtOf(d.job, at, kind) ?? d.wall.build;
    if (build.kind !== 'units') d.wall.build = stone === null ? build : { ...build, stone };
    return SAYING.stone({ kind, stone: stoneName(d.wall.build.kind === 'units' ? '' : d.wall.build.stone) });
  },
  cavity: (d, { width }) => {
    const build = ofUnits(d);
    const us = d.job.profile === 'us';
    build.unit = unitIdOf('brick', d.job.profile);
    build.cavity = {
      inner: us ? 'cmu-8x8x16' : 'block-440x215x100',
      width: width ? d.lengths.stated(width, 'joint') : CAVITY[d.job.show],
    };
    const wide = width ? d.lengths.mm(width, 'joint') : d.job.show === 'mm' ? 100 : 50.8;
    return SAYING.cavity({ width: back(d, wide) });
  },
  bond: (d, { bond }) => {
    const build = ofUnits(d);
    build.bond = bond;
    const unit = UNITS.find((u) => u.id === build.unit);
    if (isHeaderBond(bond) && unit?.family === 'brick' && !build.cavity) build.wythes = 2;
    return SAYING.bond({ bond: bondById(bond).name });
  },
  opening: (d, said, at) => {
    const run = said.run === null ? d.run : said.run > 0 ? said.run - 1 : d.runs - 1;
    const width = d.lengths.mm(said.width, 'size');
    const there = placed(d, said.at, run, width);
    const { sill, head } = heights(d, said.word, said.high, at, said.word.replace('-', ' '));
    const o = d.add(said.word, said.name, {
      run,
      at: there.at,
      width: d.lengths.stated(said.width, 'size'),
      sill,
      head,
    });
    return SAYING.opening({
      name: o.name ?? o.id,
      width: d.lengths.said(said.width, 'size'),
      high: back(d, d.mm(o, 'head') - d.mm(o, 'sill')),
      sill: back(d, d.mm(o, 'sill')),
      at: there.says,
    });
  },
  sill: (d, said, at) => {
    const o = d.find(said.of, at);
    const high = d.mm(o, 'head') - d.mm(o, 'sill');
    o.sill = d.lengths.stated(said.at, 'size');
    // The height it was said to have stays; a door's head stays where it is.
    if (!isDoor(o)) o.head = d.written(d.lengths.mm(said.at, 'size') + high);
    return SAYING.sill({ name: o.name ?? o.id, at: d.lengths.said(said.at, 'size') });
  },
  'opening-head': (d, said, at) => {
    const o = d.find(said.of, at);
    const high = d.mm(o, 'head') - d.mm(o, 'sill');
    const to = d.lengths.mm(said.at, 'size');
    if (d.mm(o, 'sill') > 0) o.sill = d.written(Math.max(0, to - high));
    o.head = d.lengths.stated(said.at, 'size');
    return SAYING['opening-head']({ name: o.name ?? o.id, at: d.lengths.said(said.at, 'size') });
  },
  bars: (d, { bar, every }, at) => {
    if (!BARS.some((b) => b.size === bar)) throw new Wants(SAYING['no-such-bar']({ bar }), at);
    d.wall.steel = {
      ...d.wall.steel,
      vertical: { ...d.wall.steel?.vertical, bar, every: d.lengths.stated(every, 'spacing') },
    };
    d.wall.grout ??= { fill: 'steel' };
    return SAYING.bars({ bar, every: SAYING.spacing({ length: d.lengths.mm(every, 'spacing') }) });
  },
  beam: (d, { course, bar, count }, at) => {
    const size = bar ?? d.wall.steel?.vertical?.bar;
    if (size === undefined) throw new Wants(SAYING['wants-bar'](), at);
    if (!BARS.some((b) => b.size === size)) throw new Wants(SAYING['no-such-bar']({ bar: size }), at);
    const others = (d.wall.steel?.beams ?? []).filter((b) => b.course !== course);
    d.wall.steel = { ...d.wall.steel, beams: [...others, { course, bar: size, count }] };
    d.wall.grout ??= { fill: 'steel' };
    return SAYING.beam({
      where: typeof course === 'number' ? 'course' : course,
      course: typeof course === 'number' ? course : 0,
      bar: size,
      count,
    });
  },
  'no-bars': (d) => {
    if (d.wall.steel) delete d.wall.steel.vertical;
    return SAYING['no-bars']();
  },
  grout: (d, { fill }) => {
    d.wall.grout = { ...d.wall.grout, fill };
    return SAYING.grout({ fill });
  },
  held: (d, { held }) => {
    d.wall.held = held;
    return SAYING.held({ held });
  },
  retains: (d, { high }) => {
    d.wall.held ??= 'soil';
    d.wall.retains = { ...d.wall.retains, height: d.lengths.stated(high, 'height') };
    return SAYING.retains({ high: d.lengths.said(high, 'height') });
  },
  joints: (d, { every }) => {
    put(d.wall, 'jointEvery', d.lengths.stated(every, 'run'));
    return SAYING.joints({ every: d.lengths.said(every, 'run') });
  },
  bed: (d, { joint }) => {
    const says = SAYING.bed({ joint: d.lengths.said(joint, 'joint') });
    d.wall.build.bed = d.lengths.stated(joint, 'joint');
    return says;
  },
  head: (d, { joint }) => {
    const says = SAYING.head({ joint: d.lengths.said(joint, 'joint') });
    d.wall.build.head = d.lengths.stated(joint, 'joint');
    return says;
  },
  corners: (d, { corners }) => {
    d.wall.build.corners = corners;
    return SAYING.corners({ corners });
  },
  start: (d, { start }) => {
    d.wall.build.start = start;
    return SAYING.start({ start });
  },
  called: (d, { name }) => {
    d.wall.name = name;
    return SAYING.called({ name });
  },
  shift: (d, { of, side, by }, at) => {
    const o = d.find(of, at);
    const mm = bySide(d, by);
    const sign = side === 'left' || side === 'down' ? -1 : 1;
    if (side === 'left' || side === 'right') o.at = d.written(Math.max(0, d.mm(o, 'at') + sign * mm));
    else {
      const [sill, head] = [d.mm(o, 'sill'), d.mm(o, 'head')];
      o.sill = d.written(Math.max(0, sill + sign * mm));
      o.head = d.written(head + sign * mm);
    }
    return SAYING.shift({ name: o.name ?? o.id, by: back(d, mm), side });
  },
  place: (d, { of, at: where }, at) => {
    const o = d.find(of, at);
    const there = placed(d, where, o.run ?? 0, d.mm(o, 'width'));
    o.at = there.at;
    return SAYING.place({ name: o.name ?? o.id, at: there.says });
  },
  resize: (d, { of, what, to, by, sign }, at) => {
    const o = d.find(of, at);
    const was = what === 'width' ? d.mm(o, 'width') : d.mm(o, 'head') - d.mm(o, 'sill');
    const now = to ? d.lengths.mm(to, 'size') : was + sign * (by ? bySide(d, by) : 0);
    if (what === 'width') o.width = to ? d.lengths.stated(to, 'size') : d.written(now);
    else o.head = d.written(d.mm(o, 'sill') + now);
    return SAYING.resize({ name: o.name ?? o.id, what, to: back(d, now) });
  },
  lift: (d, { part, of, by, sign }, at) => {
    const mm = sign * bySide(d, by);
    if (part === 'wall') {
      const to = d.height + mm;
      d.wall.height = d.written(to);
      return SAYING.lift({ part, name: d.wall.name, to: back(d, to) });
    }
    const o = d.find(of, at);
    const to = Math.max(0, d.mm(o, part) + mm);
    o[part] = d.written(to);
    return SAYING.lift({ part, name: o.name ?? o.id, to: back(d, to) });
  },
  grow: (d, { by, sign }) => {
    const to = d.runLength(d.run) + sign * bySide(d, by);
    const item = d.wall.line[d.itemOf(d.run)];
    if (item && 'run' in item) item.run = d.written(to);
    return SAYING.grow({ to: back(d, to) });
  },
  remove: (d, { of }, at) => {
    const o = d.find(of, at);
    d.drop(o);
    return SAYING.remove({ name: o.name ?? o.id });
  },
};

/** Does to the wall what was said, and says it back. Throws what is still wanted. `at` is where in the sentence it was said. */
export const apply = (d: Draft, said: Saying, at: number): Message =>
  (APPLY[said.is] as Apply<Saying['is']>)(d, said, at);
