import { UNITS } from '../tables/units.js';
import { bondById } from '../tables/bonds.js';
import type { JobDocument, Opening, Stated, Wall } from '../job/types.js';
import { Draft, NAME, wordOf } from './draft.js';

/** Bonds as they are said; a plain half bond goes without saying. */
const BOND: Record<string, string> = {
  third: 'third bond',
  quarter: 'quarter bond',
  stack: 'stack bond',
  english: 'English bond',
  'english-garden': 'English garden wall bond',
  flemish: 'Flemish bond',
  'flemish-garden': 'Flemish garden wall bond',
};

/** What of a wall a sentence can say; a wall with anything else is not said back. */
const SAID: readonly string[] = [
  'id',
  'name',
  'line',
  'height',
  'build',
  'openings',
  'steel',
  'grout',
  'held',
  'retains',
  'jointEvery',
];
const SAID_OF_BUILD: readonly string[] = [
  'kind',
  'unit',
  'bond',
  'wythes',
  'bed',
  'head',
  'corners',
  'start',
];
const SAID_OF_OPENING: readonly string[] = ['id', 'name', 'run', 'at', 'width', 'sill', 'head'];

const only = (of: object, keys: readonly string[]): boolean =>
  Object.entries(of).every(([key, value]) => value === undefined || keys.includes(key));

const say = (stated: Stated): string => (typeof stated === 'number' ? `${stated} mm` : stated);

/** Its length along the wall's course and height: 8x8x16, 440x215x100. */
function unitSaid(id: string): string | null {
  if (!UNITS.some((u) => u.id === id)) return null;
  if (id === 'brick-modular-us') return 'modular brick';
  const m = /^(cmu|block|hollow|brick|adobe)-(.+)$/.exec(id);
  if (!m) return null;
  const kind = { cmu: 'block', block: 'block', hollow: 'hollow block', brick: 'brick', adobe: 'adobe' }[
    m[1] ?? ''
  ];
  return `${m[2]} ${kind}`;
}

function lineSaid(wall: Wall): string[] | null {
  const [first, ...rest] = wall.line;
  if (!first || !('run' in first) || first.id !== undefined || first.name !== undefined) return null;
  const runs = wall.line.filter((i) => 'run' in i).map((i) => say(i.run));
  const turns = wall.line.filter((i) => 'turn' in i).map((i) => i.turn);
  const closes =
    runs.length === 4 &&
    turns.length === 3 &&
    turns.every((t) => t === 90) &&
    runs[0] === runs[2] &&
    runs[1] === runs[3] &&
    wall.line.length === 7;
  if (closes) return [`building ${runs[0]} by ${runs[1]}`, `${say(wall.height)} high`];
  const said = [`${say(first.run)} by ${say(wall.height)}`];
  for (let i = 0; i < rest.length; i += 2) {
    const [turn, run] = [rest[i], rest[i + 1]];
    if (!turn || !run || !('turn' in turn) || !('run' in run) || Math.abs(turn.turn) !== 90) return null;
    said.push(`turn ${turn.turn > 0 ? 'left' : 'right'} ${say(run.run)}`);
  }
  return said;
}

function openingSaid(d: Draft, o: Opening): string[] | null {
  if (!only(o, SAID_OF_OPENING)) return null;
  const word = wordOf(o);
  const called = o.name !== undefined && !o.name.startsWith(NAME[word]) ? ` “${o.name}”` : '';
  const high = d.mm(o, 'head') - (word === 'door' || word === 'garage-door' ? 0 : d.mm(o, 'sill'));
  const run = (o.run ?? 0) > 0 || d.runs > 1 ? ` in run ${(o.run ?? 0) + 1}` : '';
  return [
    `${word.replace('-', ' ')}${called} ${say(o.width)} x ${say(d.written(high))} at ${say(o.at)}${run}`,
    ...(d.mm(o, 'sill') > 0 || word === 'window' ? [`sill ${say(o.sill)}`] : []),
  ];
}

function steelSaid({ steel, grout }: Wall): string[] | null {
  const said: string[] = [];
  if (steel) {
    if (!only(steel, ['vertical', 'beams'])) return null;
    const { vertical, beams } = steel;
    if (vertical) {
      if (!only(vertical, ['bar', 'every'])) return null;
      said.push(`${vertical.bar} bars at ${say(vertical.every)}`);
    }
    for (const { course, bar, count } of beams ?? [])
      said.push(
        `bond beam ${course === 'top' ? 'at the top' : course === 'over-openings' ? 'over openings' : `at course ${course}`} with ${count} ${bar}`,
      );
  }
  if (grout) {
    if (!only(grout, ['fill']) || typeof grout.fill !== 'string') return null;
    said.push({ none: 'no grout', steel: 'grout the steel', all: 'grouted solid' }[grout.fill]);
  }
  return said;
}

const HELD = {
  'free-standing': 'free standing',
  floors: 'held by floors',
  drawing: 'held by the drawing',
  soil: null,
} as const;

/**
 * A wall in one line, as it could be said to make it again; null where there is something of it that no sentence says.
 * Heard again it plans the same.
 */
export function sayWall(job: JobDocument, index: number): string | null {
  const wall = job.walls[index];
  if (!wall || wall.build.kind !== 'units' || !only(wall, SAID) || !only(wall.build, SAID_OF_BUILD))
    return null;
  const { build, held, retains, jointEvery } = wall;
  const unit = unitSaid(build.unit);
  const line = lineSaid(wall);
  const d = new Draft(job, index, 0);
  const openings = (wall.openings ?? []).map((o) => openingSaid(d, o));
  const steel = steelSaid(wall);
  if (unit === null || line === null || steel === null || openings.includes(null)) return null;
  const header = bondById(build.bond).family === 'header';
  // A brick in a header bond goes through the wall unless it is said that it does not.
  if (header !== (build.wythes === 2)) return null;
  if (held && HELD[held] === null && !retains) return null;
  if (retains && (held !== 'soil' || !only(retains, ['height']))) return null;
  const [size, ...rest] = line;
  return [
    `${size} of ${unit}`,
    ...rest,
    ...(build.bond === 'half' ? [] : [BOND[build.bond] ?? '']),
    ...(build.bed === undefined ? [] : [`bed ${say(build.bed)}`]),
    ...(build.head === undefined ? [] : [`head joints ${say(build.head)}`]),
    ...(build.corners === undefined
      ? []
      : [build.corners === 'in-turn' ? 'corners in turn' : 'corners in pairs']),
    ...(build.start === undefined ? [] : [`begin with a ${build.start}`]),
    ...openings.flatMap((o) => o ?? []),
    ...steel,
    ...(held && HELD[held] ? [HELD[held]] : []),
    ...(retains ? [`retaining ${say(retains.height)}`] : []),
    ...(jointEvery === undefined ? [] : [`joints every ${say(jointEvery)}`]),
    ...(wall.name === 'Wall' ? [] : [`called “${wall.name}”`]),
  ].join(', ');
}
