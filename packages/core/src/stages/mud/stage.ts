import type { BondWork } from '../bond/stage.js';
import type { Figure, Made, MaterialRow } from '../figure.js';
import { factor, volume, count } from '../figure.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { Grouted } from '../grout/work.js';
import { groutInWall } from '../grout/workings.js';
import { CONCRETE_FACTOR, footingAmounts } from '../set-out/footing.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import type { TallyWork } from '../tally/stage.js';
import { makingOf, madeOfOnePart, looseOf } from '../../mud/making.js';
import { MATERIAL } from '../../tables/mixes/materials.js';
import { MUD, needName } from './messages.js';
import { repointingOf, type WallRepointing } from './repoint.js';
import { materialsFor, wallMud, type MaterialNeed, type MixNeed, type WallMud } from './wallMud.js';

/** A wall's mud: by course, by mix, in batches. */
export interface MudWork {
  mud: WallMud;
  /** Joints of the face that are pointed again. */
  repointing: WallRepointing | null;
}

type Needs = SetOutWork & GaugeWork & BondWork & Grouted & TallyWork;
type Work = Needs & MudWork;

/** Mud, and grout and concrete where they are mixed on site. */
export function mixNeeds(work: Work): MixNeed[] {
  const { settings, mixes } = work.mud;
  const { wall } = work;
  const grout = settings.grout && groutInWall(work) * wall.profile.grout.factor;
  const concrete =
    settings.concrete && wall.footing ? footingAmounts(wall, wall.footing).concrete * CONCRETE_FACTOR : 0;
  return [
    ...mixes.map(({ mix, used }) => ({ mix, used })),
    ...(work.repointing
      ? [
          { mix: work.repointing.mix, used: work.repointing.faceUsed },
          { mix: work.repointing.behindMix, used: work.repointing.behindUsed },
        ].filter(({ used }) => used > 0)
      : []),
    ...(settings.grout && grout ? [{ mix: settings.grout, used: grout }] : []),
    ...(settings.concrete && concrete ? [{ mix: settings.concrete, used: concrete }] : []),
  ];
}

export const wallMaterials = (work: Work): MaterialNeed[] => materialsFor(mixNeeds(work), work.mud.settings);

const ordersOf = (need: MaterialNeed): [string, number][] => Object.entries(need.ordered);

/** How many batches, of those that keep to their parts. */
const batchesOf = ({ mud: { mixes } }: Work): number =>
  mixes.reduce((sum, m) => (m.keeps ? sum + m.full + (m.last ? 1 : 0) : sum), 0);

function figures(work: Work, run: number | null): Figure[] {
  if (run !== null) return [];
  const batches = batchesOf(work);
  return [
    ...(batches > 0
      ? [{ key: 'mud.batches', name: MUD.batches(), value: batches, quantity: 'count' as const }]
      : []),
    ...wallMaterials(work).flatMap((need): Figure[] => {
      const what = needName(need);
      const packs = ordersOf(need).map(([pack, n]): Figure => ({
        key: `mud.${need.of}.ordered`,
        name: MUD.ordered({ what, pack: need.by ?? pack }),
        value: n,
        quantity: 'count',
      }));
      return [
        ...packs,
        { key: `mud.${need.of}`, name: MUD['to-have-in']({ what }), value: need.mass, quantity: 'mass' },
      ];
    }),
  ];
}

/** How much of a material a wall takes, opened: of the first mix that has it. */
function working(work: Work, figure: string, run: number | null): Made | null {
  if (run !== null) return null;
  const { settings, mixes } = work.mud;
  if (figure === 'mud.batches') {
    const [first] = mixes;
    if (!first) return null;
    return {
      title: MUD.batches(),
      formula: MUD['used-batch'](),
      inputs: [
        volume(MUD['mud-used'](), first.used, MUD['tally-of-courses']()),
        volume(MUD['in-a-batch'](), first.batch?.volume ?? 0, MUD['by-the-mix']()),
      ],
      result: batchesOf(work),
      quantity: 'count',
      source: MUD['by-the-mix'](),
    };
  }
  const [, of, ordered] = /^mud\.([a-z-]+?)(\.ordered)?$/.exec(figure) ?? [];
  const need = wallMaterials(work).find((n) => n.of === of);
  if (!need) return null;
  if (need.of === 'pigment' || need.of === 'admixture')
    return {
      title: MUD['to-have-in']({ what: needName(need) }),
      formula: MUD['by-binder'](),
      inputs: [
        volume(
          MUD['mud-used'](),
          mixes.reduce((sum, m) => sum + m.used, 0),
          MUD['tally-of-courses'](),
        ),
        factor(
          MUD['to-the-binder']({ what: needName(need) }),
          need.of === 'pigment' ? (settings.colour?.share ?? 0) : (settings.admixture?.perKg ?? 0) * 1000,
          MUD['by-the-mix'](),
        ),
      ],
      result: need.mass,
      quantity: 'mass',
      source: MUD['by-the-mix'](),
    };
  const user = mixNeeds(work).find(({ mix }) => mix.parts.some((p) => p.of === need.of)) ?? mixNeeds(work)[0];
  const part = user?.mix.parts.find((p) => p.of === need.of);
  const what = needName(need);
  const [pack] = ordersOf(need);
  return {
    title: ordered && pack ? MUD.ordered({ what, pack: need.by ?? pack[0] }) : MUD['to-have-in']({ what }),
    formula: MUD['used-part-made'](),
    inputs: [
      volume(MUD['mud-used'](), user?.used ?? 0, MUD['tally-of-courses']()),
      ...(part && user
        ? [
            factor(MUD['a-part']({ what }), part.parts, user.mix.source),
            factor(MUD['made-of-parts'](), madeOfOnePart(user.mix, settings.basis), user.mix.source),
            count(
              MUD['loose-weight']({ what }),
              Math.round(looseOf(part, settings.basis)),
              MATERIAL[need.of].source,
            ),
          ]
        : user
          ? [
              factor(
                MUD['a-part']({ what }),
                makingOf(user.mix, settings.basis, settings.sand).water,
                user.mix.source,
              ),
            ]
          : []),
    ],
    result: ordered && pack ? pack[1] : need.mass,
    quantity: ordered ? 'count' : 'mass',
    source: MUD['by-the-mix'](),
  };
}

const materials = (work: Work): MaterialRow[] =>
  wallMaterials(work).map((need) => {
    const [pack] = ordersOf(need);
    return {
      run: '',
      what: needName(need),
      unit: need.by ?? pack?.[0] ?? '',
      net: Number(need.mass.toFixed(3)),
      order: pack?.[1] ?? '',
      measure: 'kg',
    };
  });

/** Batches and what they are made of. It counts what the tally found in the joints. */
export const mud = stage<'mud', Needs, MudWork>({
  id: 'mud',
  shown: 'mud',
  needs: ['set-out', 'gauge', 'bond', 'grout', 'tally'],
  work: (made, { job, index }) => {
    const mud = wallMud(job, index, made.tallies);
    return {
      mud,
      repointing: repointingOf(job, made, mud.settings, mud.mixes[0]?.mix ?? mud.settings.mix),
    };
  },
  figures,
  working,
  materials,
});
