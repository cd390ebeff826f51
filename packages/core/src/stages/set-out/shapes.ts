import { SAYS } from './messages.js';
import { showMm } from '../../measure/format.js';
import { line, words, type Role, type SceneShape } from '../../shapes/shape.js';
import type { SiteLevels } from './site.js';
import type { SetWall } from './wall.js';

type Level = 'ground' | 'plinth' | 'slab' | 'datum';

/** How far past the wall a level is drawn, mm. */
const PAST = 300;

/** What hangs from the datum, over the wall's base: ground, plinth, slab and the datum itself, the highest first. */
export function levelShapes({ wall, site }: { wall: SetWall; site: SiteLevels }, run: number): SceneShape[] {
  const length = wall.runs[run]?.length ?? 0;
  const ground = site.points.filter((p) => p.is === 'ground').map((p) => p.level);
  const levels: { role: Role; what: Level; level: number }[] = [];
  if (ground.length > 0) levels.push({ role: 'level-ground', what: 'ground', level: Math.max(...ground) });
  if (site.control) levels.push({ role: 'level-plinth', what: 'plinth', level: site.control.wanted });
  if (site.slab !== null) levels.push({ role: 'level-slab', what: 'slab', level: site.slab });
  if (site.datum !== '') levels.push({ role: 'level-datum', what: 'datum', level: 0 });
  return levels
    .map((l) => ({ ...l, up: l.level - wall.base }))
    .sort((a, b) => b.up - a.up)
    .flatMap(({ role, what, up }) => [
      line(role, -PAST, up, length + PAST, up),
      words(
        role,
        length + PAST,
        up,
        SAYS.level({ what, at: `${up < -0.5 ? '−' : ''}${showMm(Math.abs(up), wall.show)}` }),
        'end',
      ),
    ]);
}
