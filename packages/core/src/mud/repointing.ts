import type { CubicMetres, Mm } from '../measure/length.js';
import { CUBIC_METRE_MM3 } from '../measure/length.js';
import type { Basis } from '../tables/mixes/materials.js';

/** Joints raked out and pointed again, all of them together as one length. */
export interface Joints {
  /** All there are to do, and how far it has come. */
  joints: Mm;
  raked: Mm;
  pointed: Mm;
  depth: Mm;
  width: Mm;
}

export interface Repointing extends Joints {
  toRake: Mm;
  toPoint: Mm;
  /** Filled one on another, each left until it holds: so many, so deep. */
  layers: number;
  layer: Mm;
  /** Mud of the last layer, and of what is behind it, m³: geometric, and with what falls; and what of it is still to go in. */
  face: CubicMetres;
  behind: CubicMetres;
  faceUsed: CubicMetres;
  behindUsed: CubicMetres;
  left: CubicMetres;
  /** Raked out less deep than holds a new joint, by figures-us MOR-27. */
  shallow: Mm | null;
}

/** Packed into a joint in layers no deeper: ¼ in (ASTM C270 appendix, from memory); 20 mm in lime practice, from memory. */
export const DEEPEST_LAYER: Readonly<Record<Basis, Mm>> = { us: 6.35, metric: 20 };
/** More of it falls than in laying: 15 %, common practice. */
export const POINTING_WASTE = 0.15;
/** A joint holds when it is raked at least ¾ in, or twice as deep as it is wide (BIA TN 46, from memory). */
const LEAST_DEPTH = 19.05;
const DEPTH_TO_WIDTH = 2;

/** What it takes to point so much joint again: the last layer of one mud, what is behind it of another or the same. */
export function repointing(j: Joints, basis: Basis): Repointing {
  const layers = Math.max(1, Math.ceil(j.depth / DEEPEST_LAYER[basis] - 1e-9));
  const layer = (j.depth / layers) as Mm;
  const inLayer = (j.joints * j.width * layer) / CUBIC_METRE_MM3;
  const behind = inLayer * (layers - 1);
  const used = 1 + POINTING_WASTE;
  const toPoint = Math.max(0, j.joints - j.pointed) as Mm;
  const least = Math.max(LEAST_DEPTH, DEPTH_TO_WIDTH * j.width);
  return {
    ...j,
    toRake: Math.max(0, j.joints - j.raked),
    toPoint,
    layers,
    layer,
    face: inLayer,
    behind,
    faceUsed: inLayer * used,
    behindUsed: behind * used,
    left: j.joints > 0 ? ((inLayer + behind) * used * toPoint) / j.joints : 0,
    shallow: j.depth < least - 1e-6 ? least : null,
  };
}
