import { BRICK_TABLE, COUNTS, MODULAR, SIZES } from './counts.js';
import { BOND_COUNTS } from './bonds.js';
import { EARTH_CHECKS } from './earth.js';
import { GROUND } from './ground.js';
import { GAUGE } from './gauge.js';
import { MORTAR } from './mortar.js';
import { GROUT } from './grout.js';
import { MOVEMENT } from './movement.js';
import { COVER } from './cover.js';
import { CROSSING } from './crossing.js';
import { MUD_CHECKS } from './mud.js';
import { WEATHER_CHECKS } from './weather.js';
import { OPENINGS } from './openings.js';
import { RETAIN } from './retain.js';
import { STANDING } from './standing.js';
import { STEEL } from './steel.js';
import { STONE_CHECKS } from './stone.js';
import { tolerance, type PublishedCheck } from './list.js';

/** Every check against the world outside, by subject. */
export const CHECKS: Record<string, PublishedCheck[]> = {
  'Units and rules': SIZES,
  'Lengths on the tape': MODULAR,
  Counts: COUNTS,
  'Brick lengths': BRICK_TABLE,
  Bonds: BOND_COUNTS,
  'Ground and old work': GROUND,
  Gauge: GAUGE,
  Mortar: MORTAR,
  Mud: MUD_CHECKS,
  Weather: WEATHER_CHECKS,
  Stone: STONE_CHECKS,
  Earth: EARTH_CHECKS,
  'Movement joints': MOVEMENT,
  Steel: STEEL,
  Grout: GROUT,
  'Ground held back': RETAIN,
  'Standing free': STANDING,
  'Over openings': OPENINGS,
  'Between leaves': CROSSING,
  'Cover and footings': COVER,
};

const cell = (text: string): string => text.replace(/\|/g, '\\|');

/** `docs/checks.md`, written from the same list the tests run. */
export function checksDocument(): string {
  const total = Object.values(CHECKS).reduce((n, list) => n + list.length, 0);
  const sections = Object.entries(CHECKS).flatMap(([name, list]) => [
    `## ${name} (${list.length})`,
    '',
    '| row | what | wanted | within | source |',
    '| --- | --- | --- | --- | --- |',
    ...list.map(
      (c) =>
        `| ${c.id} | ${cell(c.what)} | ${c.wanted} ${c.unit} | ${c.within === 0 ? 'exact' : `± ${Number(tolerance(c).toPrecision(3))}`} | ${cell(c.source)} |`,
    ),
    '',
  ]);
  return [
    '# Checks against the world outside',
    '',
    `${total} figures, each compared by a test with what the program works out. Written from the tests by \`UPDATE_DOCS=1 ./tally test core\`;`,
    'a test fails when this page and the list differ. "From memory" means that no printed standard was open when the figure was written down.',
    '',
    ...sections,
  ].join('\n');
}
