import type { Severity } from '../../findings/finding.js';
import type { Said } from '../../messages/message.js';
import { hasCement, typeOf, weakerThan } from '../../mud/strength.js';
import type { StandsIn } from '../../job/types.js';
import type { Basis } from '../../tables/mixes/materials.js';
import type { Mix } from '../../tables/mixes/mixes.js';
import type { UnitFamily } from '../../tables/units.js';
import { PAIRING } from './messages.js';

/** What a mix is held against: the unit it beds, and where the wall stands. */
export interface Bedded {
  family: UnitFamily;
  basis: Basis;
  /** Soil stands against it, it is old lime work, a flue passes… */
  stands: ReadonlySet<StandsIn>;
  /** Seismic design category, where somebody said it. */
  seismic: string | undefined;
}

/** Why a mix does not serve there, or serves under a condition; and the mixes of the library that would. */
export interface Objection {
  /** A fault is refused, a choice cautioned, a note only said. */
  severity: Severity;
  says: Said;
  /** The first that nothing is said against is offered. */
  serves: readonly string[];
  source: string;
}

/** Where earthquakes decide (seismic design categories D to F). */
const SHAKEN = ['D', 'E', 'F'];
/** Walls that fire or its fumes reach. */
const FIRE: readonly StandsIn[] = ['flue', 'fireface'];
/** Masonry of its own lime, oldest practice first. */
const LIMES = ['nhl-3.5', 'nhl-2', 'putty-3'];

/** Everything that speaks against a mix in a wall, worst first. */
export function objections(mix: Mix, name: Said, wall: Bedded): Objection[] {
  const { family, stands, seismic } = wall;
  const cement = hasCement(mix);
  const type = typeOf(mix);
  const shaken = seismic !== undefined && SHAKEN.includes(seismic);
  const strong = family === 'adobe' ? [] : ['cement-lime-s', 'cement-sand-4'];
  const found: Objection[] = [];
  const no = (severity: Severity, says: Said, serves: readonly string[], source: string): void =>
    void found.push({ severity, says, serves, source });

  if (FIRE.some((place) => stands.has(place)))
    no(
      'fault',
      PAIRING['not-where-fire-is']({ mix: name }),
      [],
      'common practice: refractory mortar, by its maker’s rule',
    );
  if (mix.for.includes('stove') && !stands.has('stove-mass'))
    no(
      'fault',
      PAIRING['stove-only']({ mix: name }),
      usualFor(wall),
      'one practice for a warm stove mass; from memory',
    );
  else if (!mix.for.includes('bed') && !mix.for.includes('stove'))
    no(
      'fault',
      PAIRING['not-for-beds']({ mix: name }),
      usualFor(wall),
      'ASTM C476 and C270: grout is no mortar; from memory',
    );
  if (cement && family === 'adobe')
    no(
      'fault',
      PAIRING['cement-on-earth']({ mix: name }),
      ['earth'],
      'common practice: a bed no harder than its unit',
    );
  if (cement && stands.has('old-lime'))
    no('fault', PAIRING['cement-on-lime']({ mix: name }), LIMES, 'conservation practice; from memory');
  // What is damp dries through its joints, or it does not dry.
  if (cement && stands.has('damp') && !stands.has('old-lime') && family !== 'adobe')
    no('fault', PAIRING['cement-on-damp']({ mix: name }), LIMES, 'conservation practice; from memory');
  if (stands.has('damp') && mix.parts.some((p) => p.of === 'lime-putty') && !stands.has('soil'))
    no(
      'choice',
      PAIRING['putty-in-the-wet']({ mix: name }),
      ['nhl-3.5'],
      'lime putty sets by air, conservation practice; from memory',
    );
  if (cement && family === 'stone' && !stands.has('old-lime') && !stands.has('damp'))
    no('choice', PAIRING['cement-on-stone']({ mix: name }), LIMES, 'conservation practice; from memory');
  if (type && shaken && mix.parts.some((p) => p.of === 'masonry-cement'))
    no(
      'fault',
      PAIRING['masonry-cement-shaken']({ mix: name, category: seismic }),
      ['cement-lime-s'],
      TMS_SEISMIC,
    );
  else if (shaken && family !== 'adobe' && (type === null || weakerThan(type, 'S')))
    no('fault', PAIRING['too-weak-shaken']({ mix: name, category: seismic }), ['cement-lime-s'], TMS_SEISMIC);
  if (stands.has('soil')) {
    if (mix.parts.some((p) => p.of === 'lime-putty'))
      no(
        'fault',
        PAIRING['putty-in-the-wet']({ mix: name }),
        stands.has('old-lime') ? ['nhl-5'] : strong,
        'lime putty sets by air, conservation practice; from memory',
      );
    else if (type && weakerThan(type, 'S') && family !== 'adobe')
      no(
        'choice',
        PAIRING['too-weak-in-soil']({ mix: name }),
        strong,
        'ASTM C270 appendix X1 and BS 5628-3 table 13; from memory',
      );
  }
  if (
    stands.has('frost') &&
    family !== 'adobe' &&
    (type === 'O' || mix.id === 'nhl-2' || mix.parts.some((p) => p.of === 'lime-putty'))
  )
    no(
      'choice',
      PAIRING['weak-in-frost']({ mix: name }),
      stands.has('old-lime') ? ['nhl-5'] : strong,
      'BS 5628-3 table 13; from memory',
    );
  if (stands.has('sulfate') && cement)
    no('note', PAIRING.sulfate({ mix: name }), [], 'BS 5628-3 5.6.4: sulfate-resisting cement; from memory');
  if (mix.id === 'earth' && family !== 'adobe' && !stands.has('stove-mass'))
    no('choice', PAIRING['earth-washes']({ mix: name }), usualFor(wall), 'common practice');
  if (type === 'M' && family !== 'adobe' && !stands.has('soil') && !stands.has('old-lime'))
    no(
      'note',
      PAIRING['only-as-drawn']({ mix: name }),
      shaken ? ['cement-lime-s'] : ['cement-lime-s', 'cement-lime-n'],
      'ASTM C270 appendix X1: no stronger than is needed; from memory',
    );
  return found;
}

const TMS_SEISMIC = 'TMS 402 chapter 7, seismic design categories D to F; from memory';

/** What nothing is said against anywhere usual. */
const usualFor = ({ family, stands, basis }: Bedded): readonly string[] =>
  family === 'adobe'
    ? ['earth']
    : stands.has('old-lime') || stands.has('damp') || family === 'stone'
      ? LIMES
      : basis === 'us'
        ? ['cement-lime-s', 'cement-lime-n']
        : ['cement-lime-n', 'cement-lime-s'];
