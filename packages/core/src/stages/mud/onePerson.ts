import type { JobDocument } from '../../job/types.js';
import { paceOf } from '../../mud/crew/crew.js';
import { largestRecipe, type Recipe } from '../../mud/recipe.js';
import type { SetWall } from '../set-out/wall.js';
import { asksOf, type MixMud, type WallMud } from './wallMud.js';

/** From the water to the first use, minutes: three to five of mixing, and to the board; common practice. */
export const BEFORE = 10;

/** What one person laying uses up while it lives. */
export interface OnePersonBatch {
  recipe: Recipe;
  /** Pieces it lays, and how long one person takes over them, minutes. */
  lays: number;
  minutes: number;
}

/** The most one person lays out before it dies, in the heat too; null where that is a whole batch, or not even a measure of each. */
export function onePersonBatch(
  job: JobDocument,
  { wall, mud }: { wall: SetWall; mud: WallMud },
  { mix, batch, keeps }: MixMud,
): OnePersonBatch | null {
  const perHour = paceOf(job.crew, wall.unit).perHour;
  const useful = ((mix.hotLife[mud.settings.basis] - BEFORE) / 60) * perHour * mud.perPiece;
  if (!batch || !keeps || batch.volume <= useful || useful <= 0 || mud.perPiece <= 0) return null;
  const recipe = largestRecipe({ ...asksOf(mix, mud.settings), most: useful });
  if (!recipe) return null;
  const lays = Math.floor(recipe.volume / mud.perPiece + 1e-6);
  return { recipe, lays, minutes: (recipe.volume / mud.perPiece / perHour) * 60 };
}
