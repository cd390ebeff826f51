import type { SetStone } from '../../stages/set-out/stone.js';
import { CUBIC_METRE_MM3, type CubicMetres, type Kilograms, type Mm } from '../../measure/length.js';
import { DRY_VOIDS, HEARTING, RUBBLE_SHARE, STONE_WASTE, TIPPED_VOIDS } from '../../tables/stoneWalls.js';

/** What a stone wall is made of, without its copes and its footing. Solid volumes, m³: together they are the whole of it. */
export interface StoneVolumes {
  gross: CubicMetres;
  face: CubicMetres;
  back: CubicMetres;
  /** Between the faces, pins with it. */
  hearting: CubicMetres;
  mortar: CubicMetres;
  voids: CubicMetres;
  /** Its stone as it stands, and as it is bought. */
  mass: Kilograms;
  ordered: Kilograms;
}

interface Made {
  gross: CubicMetres;
  /** Of the stone without a void, kg/m³. */
  density: number;
  /** Part of the stone that lies between the faces. */
  hearting?: number;
  /** Bought over what is built in, as a part of it. */
  waste?: number;
}

function volumes(
  { gross, density, hearting = HEARTING, waste = STONE_WASTE }: Made,
  solid: CubicMetres,
  faces: 1 | 2,
): Omit<StoneVolumes, 'mortar' | 'voids'> {
  const inside = solid * hearting;
  const outside = solid - inside;
  const face = faces === 2 ? outside / 2 : outside;
  const mass = solid * density;
  return { gross, face, back: outside - face, hearting: inside, mass, ordered: mass * (1 + waste) };
}

/** A dry wall: stone, and what is left open between. */
export function dryVolumes(made: Made & { voids?: number }): StoneVolumes {
  const voids = made.gross * (made.voids ?? DRY_VOIDS);
  return { ...volumes(made, made.gross - voids, 2), mortar: 0, voids };
}

/** A mortared wall: stone, and mortar for all the rest. A facing of one face has nothing between. */
export function mortaredVolumes(made: Made & { share?: number; faces?: 1 | 2 }): StoneVolumes {
  const faces = made.faces ?? 2;
  const solid = made.gross * (made.share ?? RUBBLE_SHARE);
  const hearting = made.hearting ?? (faces === 2 ? HEARTING : 0);
  return { ...volumes({ ...made, hearting }, solid, faces), mortar: made.gross - solid, voids: 0 };
}

/** The room so much stone takes as it was tipped, m³. */
export const heapOf = (solid: CubicMetres): CubicMetres => solid / (1 - TIPPED_VOIDS);

/** Between copes set on edge: common practice, from memory. */
export const COPE_VOIDS = 0.2;

/** What copes weigh along a length, kg: as wide as the top, so high, and what is open between them. */
export const copesWeigh = (
  { length, width, height }: { length: Mm; width: Mm; height: Mm },
  density: number,
  voids = COPE_VOIDS,
): Kilograms => ((length * width * height) / CUBIC_METRE_MM3) * (1 - voids) * density;

/** What a wall is made of by what is stated of it. Of ashlar the stone is what its joints leave: `share` says how much. */
export const stoneVolumes = (
  gross: CubicMetres,
  { kind, stone, share, hearting, voids, waste, faces }: SetStone,
): StoneVolumes =>
  kind === 'dry'
    ? dryVolumes({ gross, density: stone.density, hearting, waste, voids })
    : mortaredVolumes({ gross, density: stone.density, hearting, waste, share, faces });
