import { issue, type Issue, type Try } from '../../findings/issue.js';
import { stated } from '../../job/stated.js';
import type { JobDocument, Stated } from '../../job/types.js';
import { writeLength } from '../../measure/format.js';
import { handy } from '../../measure/handy.js';
import { millimetres, toMillimetres, type Mm } from '../../measure/length.js';
import { line, rect, type SceneShape } from '../../shapes/shape.js';
import { RAIN } from '../../tables/earthWalls.js';
import { area, factor, length, type Workings } from '../figure.js';
import { dpcAlong, dpcSpans } from '../set-out/dampCourse.js';
import { centreLine } from '../set-out/footing.js';
import { faceArea } from '../../walling/units/counting/tally.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { SetWall } from '../set-out/wall.js';
import { EARTH } from './messages.js';

/** What keeps water off a wall of earth, as it was said; mm, null where nobody said. */
export interface Rain {
  base: Mm | null;
  dpc: boolean;
  eaves: Mm | null;
  coat: 'earth' | 'lime' | 'bare' | null;
}

const mm = (length: Stated | undefined): Mm | null =>
  length === undefined ? null : toMillimetres(stated(length));

/** What was said of a wall of earth; null where nothing was, or where it is of something else. */
export function rainOn(job: JobDocument, wall: SetWall): Rain | null {
  const said = job.walls[wall.index]?.rain;
  if (!said || wall.unit.family !== 'adobe') return null;
  return { base: mm(said.base), dpc: said.dpc === true, eaves: mm(said.eaves), coat: said.coat ?? null };
}

/** Ground as it was measured over or under the wall's base, the highest of it, mm; null where nobody did. */
function groundOver(job: JobDocument, wall: SetWall): Mm | null {
  const grounds = (job.site?.points ?? [])
    .filter((p) => p.is === 'ground')
    .map((p) => toMillimetres(stated(p.level)));
  return grounds.length === 0 ? null : Math.max(...grounds) - wall.base;
}

/** Water from under, beside and over it: what nobody has said, and what is too little. */
export function rainIssues(job: JobDocument, wall: SetWall): Issue[] {
  if (wall.unit.family !== 'adobe' || wall.retains) return [];
  const rain = rainOn(job, wall);
  const path = `/walls/${wall.index}/rain`;
  const at = { stage: 'set-out', severity: 'choice', course: 1, source: EARTH['base-source']() } as const;
  const write = (n: Mm): Stated => writeLength(millimetres(n), job.show);
  const put = (key: 'base' | 'eaves' | 'dpc' | 'coat', value: unknown): Try['edit'] => [
    { op: 'add', path: `${path}/${key}`, value },
  ];
  const [least, usual, reach, far] = [...RAIN.base, ...RAIN.eaves].map((n) => handy(n, job.show)) as [
    Mm,
    Mm,
    Mm,
    Mm,
  ];
  const found: Issue[] = [];
  if (!rain) {
    const foot = { base: write(usual), dpc: true };
    found.push(
      issue({
        ...at,
        code: 'earth-rain-unsaid',
        key: 'earth-rain-unsaid',
        says: EARTH['rain-unsaid'](),
        tries: () => [
          {
            says: EARTH['under-eaves']({ base: usual, eaves: far }),
            edit: [{ op: 'add', path, value: { ...foot, eaves: write(far) } }],
          },
          ...(['lime', 'earth'] as const).map((coat) => ({
            says: EARTH['coated-on-base']({ base: usual, coat }),
            edit: [{ op: 'add' as const, path, value: { ...foot, coat } }],
          })),
        ],
      }),
    );
  }
  // What was measured goes before what is meant to be.
  const ground = groundOver(job, wall);
  const over = ground === null ? (rain?.base ?? null) : -ground;
  if (over !== null && over < least - 0.5)
    found.push(
      issue({
        ...at,
        code: 'earth-base-low',
        key: 'earth-base-low',
        says: EARTH['base-low']({ over, least }),
        tries: () =>
          ground === null
            ? [{ says: EARTH['base-of']({ base: usual }), edit: put('base', write(usual)) }]
            : [],
      }),
    );
  if (rain && !rain.dpc)
    found.push(
      issue({
        ...at,
        code: 'earth-no-dpc',
        key: 'earth-no-dpc',
        says: EARTH['no-dpc'](),
        tries: () => [{ says: EARTH['lay-dpc'](), edit: put('dpc', true) }],
      }),
    );
  const stabilised = (job.earth?.making?.stabilised ?? 0) > 0;
  if (rain && (rain.eaves ?? 0) < reach - 0.5 && (rain.coat ?? 'bare') === 'bare' && !stabilised)
    found.push(
      issue({
        ...at,
        code: 'earth-bare',
        key: 'earth-bare',
        says: EARTH.bare({
          eaves: rain.eaves ?? 0,
          roof: (rain.eaves ?? 0) > 0 ? 'yes' : 'no',
          least: reach,
        }),
        tries: () => [
          { says: EARTH['eaves-of']({ eaves: far }), edit: put('eaves', write(far)) },
          ...(['lime', 'earth'] as const).map((coat) => ({
            says: EARTH['coat-of']({ coat }),
            edit: put('coat', coat),
          })),
        ],
      }),
    );
  return found;
}

/** A wall of earth against the rain. */
type Kept = Pick<SetOutWork, 'wall'> & GaugeWork & { rain: Rain | null };

/** The outside of it as it is laid, openings and what its tops take away out, m². */
const outside = ({ wall, gauge }: Kept): number =>
  wall.runs.reduce((sum, _, run) => sum + faceArea(wall, run, gauge), 0);

/** A door stands on the base: looked for so far over it, mm. */
const JUST_OVER = 2;

const coated = (w: Kept): number => (w.rain?.coat === 'earth' || w.rain?.coat === 'lime' ? outside(w) : 0);

export const RAIN_WORKINGS: Workings<Kept> = {
  'earth.base': ({ wall, rain }) => ({
    title: EARTH.base(),
    formula: EARTH['base-formula'](),
    inputs: [
      length(EARTH['base-high'](), rain?.base ?? 0, EARTH.stated()),
      length(EARTH['wall-thick'](), wall.thickness, EARTH['as-set-out']()),
      length(EARTH['wall-middle'](), centreLine(wall), EARTH['as-set-out']()),
    ],
    result: ((rain?.base ?? 0) * wall.thickness * centreLine(wall)) / 1e9,
    quantity: 'volume',
    source: EARTH['as-set-out'](),
  }),
  'earth.dpc': ({ wall, rain }) => ({
    title: EARTH.dpc({ wide: wall.thickness }),
    formula: EARTH['dpc-formula'](),
    inputs: [
      length(
        EARTH['plate-runs'](),
        wall.runs.reduce((s, r) => s + r.length, 0),
        EARTH['as-set-out'](),
      ),
    ],
    result: rain?.dpc ? dpcAlong(wall, JUST_OVER) : 0,
    quantity: 'length',
    source: EARTH['dpc-source'](),
  }),
  'earth.coat': (w) => ({
    title: EARTH.coat({ coat: w.rain?.coat === 'lime' ? 'lime' : 'earth' }),
    formula: EARTH['coat-formula'](),
    inputs: [area(EARTH['coat-face'](), outside(w), EARTH['as-set-out']())],
    result: coated(w),
    quantity: 'area',
    source: EARTH['as-set-out'](),
  }),
  'earth.coatMud': (w) => ({
    title: EARTH['coat-mud']({ coat: w.rain?.coat === 'lime' ? 'lime' : 'earth' }),
    formula: EARTH['coat-mud-formula'](),
    inputs: [
      area(EARTH['coat-face'](), coated(w), EARTH['as-set-out']()),
      factor(EARTH['coat-thick']({ thick: RAIN.coat }), RAIN.coat / 1000, EARTH.practice()),
    ],
    result: (coated(w) * RAIN.coat) / 1000,
    quantity: 'volume',
    source: EARTH.practice(),
  }),
};

/** The damp-proof course under the first bed, in the face of a run. */
export const dpcShown = ({ wall, rain }: Pick<Kept, 'wall' | 'rain'>, run: number): SceneShape[] =>
  rain?.dpc ? dpcSpans(wall, run, JUST_OVER).map(({ from, to }) => line('dpc', from, 0, to, 0)) : [];

/** What it stands on and what reaches out over it, where it is cut through. */
export const rainCut = ({ wall, rain }: Pick<Kept, 'wall' | 'rain'>, top: Mm): SceneShape[] =>
  rain
    ? [
        ...(rain.base ? [rect('footing', 0, -rain.base, wall.thickness, rain.base)] : []),
        ...(rain.dpc ? [line('dpc', 0, 0, wall.thickness, 0)] : []),
        ...(rain.eaves ? [line('eaves', -rain.eaves, top, wall.thickness, top)] : []),
      ]
    : [];
