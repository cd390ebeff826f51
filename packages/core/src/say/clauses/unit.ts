import { UNITS } from '../../tables/units.js';
import type { Message } from '../../messages/message.js';
import { SAYING } from '../messages.js';
import { Wants, type Reader } from '../reader.js';
import type { StoneKind } from '../../job/types.js';
import type { Saying } from '../said.js';
import type { SaidLength } from '../tokens.js';
import { BONDS_SAID } from '../vocabulary.js';

type UnitSaid = Extract<Saying, { is: 'unit' }>;

const unit = (id: string, of: UnitSaid['of'], wythes: 1 | 2 | null = null): UnitSaid => ({
  is: 'unit',
  unit: id,
  wythes,
  of,
});

/** Units of the library by their sizes in the order a mason says them: through, up and along for block, as listed else. */
const BY_SIZES: readonly (readonly [RegExp, UnitSaid['of']])[] = [
  [/^cmu-(.+)$/, 'us'],
  [/^block-(.+)$/, 'uk'],
  [/^hollow-(.+)$/, 'uk'],
  [/^brick-(\d.+)$/, 'uk'],
  [/^adobe-(.+)$/, 'earth'],
];

const known = (): Message[] => UNITS.map((u) => u.name).filter((n): n is Message => typeof n !== 'string');
const noUnit = (said: string, at: number): Wants =>
  new Wants(SAYING['no-such-unit']({ said, units: known() }), at);

function bySizes(r: Reader): UnitSaid | null {
  const at = r.from;
  const sizes = r.sizes();
  if (!sizes) return null;
  const said = sizes.join('x');
  const hollow = r.words('hollow');
  const kind = r.word(/^(blocks?|cmus?|bricks?|adobes?)$/)?.[0];
  for (const { id } of UNITS)
    for (const [pattern, of] of BY_SIZES) {
      if (pattern.exec(id)?.[1] !== said) continue;
      if (kind?.startsWith('adobe') && !id.startsWith('adobe')) continue;
      if (hollow && id.startsWith('block-')) continue;
      return unit(id, of);
    }
  throw noUnit(said, at);
}

/** A block by how thick it is: 8 inch, 140 mm, or a bare 140, which no block is in inches. */
function byThickness(r: Reader): UnitSaid | null {
  return r.attempt(() => {
    const at = r.from;
    const thick: SaidLength | null = r.length();
    if (!thick || thick.unit === 'units' || thick.unit === 'courses') return null;
    r.words('thick|wide');
    r.words('concrete|cinder|solid|dense');
    const hollow = r.words('hollow');
    const kind = r.word(/^(blocks?|blockwork|cmus?|adobes?)$/)?.[0];
    if (!kind) return null;
    const n = thick.unit === 'metric' && thick.text.endsWith(' cm') ? thick.n * 10 : thick.n;
    const imperial = thick.unit === 'inches' || (thick.unit === 'bare' && n <= 16);
    const id = kind.startsWith('adobe')
      ? { 10: 'adobe-10x14x4', 14: 'adobe-14x10x4' }[n]
      : imperial
        ? `cmu-${n}x8x16`
        : hollow
          ? `hollow-440x215x${n}`
          : `block-440x215x${n}`;
    if (!UNITS.some((u) => u.id === id)) throw noUnit(`${thick.text || n} ${kind}`, at);
    return unit(id ?? '', kind.startsWith('adobe') ? 'earth' : imperial ? 'us' : 'uk');
  });
}

/** Units that are called by their name alone: which of them it is the rules of the place say. */
function byName(r: Reader): UnitSaid | null {
  return r.attempt(() => {
    if (r.words('brick', 'and', 'a', 'half') || r.words('one-and-a-half', 'brick'))
      throw new Wants(SAYING['brick-and-a-half'](), r.from);
    const wythes =
      r.words('double-wythe|two-wythe|double-skin') ||
      r.words('double', 'wythe') ||
      r.words('two', 'wythes', 'of')
        ? 2
        : null;
    if (r.words('half-brick') || r.words('half', 'a', 'brick') || r.words('half', 'brick')) {
      r.words('thick');
      return unit('brick', null, 1);
    }
    if (r.words('one-brick') || r.words('one', 'brick')) {
      r.words('thick');
      return unit('brick', null, 2);
    }
    if (r.words('modular', 'brick|bricks')) return unit('brick-modular-us', 'us', wythes);
    r.words('clay|facing|common|red|engineering');
    if (r.words('brick|bricks|brickwork')) return unit('brick', null, wythes);
    r.words('concrete|cinder');
    if (r.words('hollow', 'block|blocks')) return unit('hollow', null, wythes);
    if (r.words('block|blocks|blockwork|cmu')) return unit('block', null, wythes);
    if (r.words('adobe|adobes')) {
      r.words('brick|bricks');
      return unit('adobe-10x14x4', 'earth', wythes);
    }
    return null;
  });
}

/** Stone by its name alone, where one is said. */
const STONE_SAID = 'granite|limestone|sandstone|basalt';

/** A wall of stone: dry, rubble, squared or ashlar, with what stone it is of before or behind. */
export function ofStone(r: Reader): Saying | null {
  return r.attempt(() => {
    if (!r.words('of|in|from|using')) r.words('built', 'of|in');
    r.words('a|an');
    const named = (): string | null => r.word(new RegExp(`^(${STONE_SAID})$`))?.[0] ?? null;
    const before = named();
    const kind = stoneKind(r);
    if (kind === null) return null;
    r.words('stone|stonework|masonry');
    r.words('wall|walls|walling');
    if (before !== null || !r.words('of|in')) return { is: 'stone', kind, stone: before };
    const behind = named();
    return behind === null ? null : { is: 'stone', kind, stone: behind };
  });
}

function stoneKind(r: Reader): StoneKind | null {
  if (r.words('dry-stone|drystone') || r.words('dry', 'stone') || r.words('dry')) return 'dry';
  if (r.words('random|coursed', 'rubble') || r.words('rubble')) return 'rubble';
  if (r.words('squared', 'rubble|stone') || r.words('squared')) return 'squared';
  return r.words('ashlar') ? 'ashlar' : null;
}

/** What the wall is built of. */
export function ofUnit(r: Reader): Saying | null {
  return r.attempt(() => {
    if (!r.words('of|in|from|using')) r.words('built', 'of|in');
    r.words('a|an');
    const said = bySizes(r) ?? byThickness(r) ?? byName(r);
    if (said) {
      r.words('wall|walls|laid');
      return said;
    }
    return null;
  });
}

/** Brick outside and block inside, with how wide the cavity is where that is said. */
export function cavity(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('a');
    if (r.words('brick', 'and', 'block') || r.words('brick', 'outside', 'block', 'inside')) {
      r.words('cavity');
      r.words('wall');
      return { is: 'cavity', width: null };
    }
    const width = r.length();
    if (width) return r.words('cavity') ? { is: 'cavity', width } : null;
    if (!r.words('cavity')) return null;
    r.words('wall');
    r.words('of');
    return { is: 'cavity', width: r.length() };
  });
}

export function bond(r: Reader): Saying | null {
  return r.attempt(() => {
    r.words('in|laid');
    r.words('in');
    const said = r.oneOf(BONDS_SAID);
    return said && { is: 'bond', bond: said };
  });
}

/** How joints, corners and the first unit are to be. */
export function laying(r: Reader): Saying | null {
  return r.attempt(() => {
    if (r.words('corners', 'in')) {
      const corners = r.words('turn') ? 'in-turn' : r.words('pairs') ? 'in-pairs' : null;
      return corners && { is: 'corners', corners };
    }
    if (r.words('begin|start|beginning|starting|begins|starts', 'with|on')) {
      r.words('a');
      const start = r.words('half') ? 'half' : r.words('whole|full') ? 'whole' : null;
      if (start) r.words('block|brick|unit|one');
      return start && { is: 'start', start };
    }
    if (r.words('bed|beds')) {
      r.words('joint|joints');
      r.words('of|at');
      const joint = r.length();
      return joint && { is: 'bed', joint };
    }
    if (r.words('head', 'joint|joints') || r.words('perps|perpends|perp')) {
      r.words('of|at');
      const joint = r.length();
      return joint && { is: 'head', joint };
    }
    const joint = r.length();
    if (!joint) return null;
    if (r.words('bed|beds')) {
      r.words('joint|joints');
      return { is: 'bed', joint };
    }
    if (r.words('head', 'joint|joints') || r.words('perps|perpends')) return { is: 'head', joint };
    return null;
  });
}
