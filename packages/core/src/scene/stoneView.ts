import type { Said } from '../messages/message.js';
import type { JobDocument, StoneKind } from '../job/types.js';
import type { CubicMetres, Mm } from '../measure/length.js';
import type { WallPlan } from '../plan/plan.js';
import { fitView, type FitView } from './fitView.js';
import { gapSays, gapSteps } from '../stages/stone/gapSheet.js';
import type { SetStone } from '../stages/set-out/stone.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { fitAsk, fitFrom } from '../walling/stone/fitter/ofWall.js';
import { STONES } from '../tables/stones.js';
import { BONDERS } from '../tables/stoneWalls.js';
import { batterOf } from '../walling/stone/section.js';
import type { GapWork } from '../walling/stone/gap.js';
import { laidSo, stoneName, wallingName, weathersAs } from '../walling/stone/names.js';
import { treadsFor } from '../walling/stone/stiles.js';
import { endOf, stoneWork, toBring } from '../walling/stone/work.js';

/** What a part of a stone wall comes to, as a part of all of it. */
export interface StonePartView {
  part: 'face' | 'back' | 'hearting' | 'mortar' | 'voids';
  volume: CubicMetres;
  share: number;
}

/** A wall of stone as its settings show it: everything stated or as is usual, mm and parts. */
export interface StoneView extends Omit<SetStone, 'stone' | 'kind'> {
  kind: StoneKind;
  stone: string;
  name: Said;
  /** Stone there is to choose. */
  stones: { id: string; name: Said }[];
  porous: boolean;
  /** What its face is judged by. */
  laidSo: Said;
  /** How it weathers, and whether it is damped. */
  weathers: Said;
  /** Lorries it takes. */
  loads: number;
  /** Bonders as they are, or would be. */
  usualBonders: { along: Mm; up: Mm };
  parts: StonePartView[];
  /** One in so many that each face leans, where it does. */
  batter: number | null;
  throughsCounted: { at: Mm; count: number; length: Mm }[];
  /** Which run each line of it is, by its name, with where lines stand at its ends. */
  frames: boolean;
  /** A gable of it comes to a peak, with a template. */
  peaks: boolean;
  /** Treads of a stile where nobody says. */
  treadsUsual: number;
  /** Measured stones laid into it and kept. */
  fit: FitView | null;
  /** A stretch that goes up again. */
  gap: (Pick<GapWork, 'from' | 'to' | 'stripped'> & { says: Said[]; steps: Said[] }) | null;
  /** How far the old wall stands off the line at either end of it. */
  gapOut: { left: Mm; right: Mm };
  /** Where measured stones are laid, or would be. */
  fitting: { from: Mm; length: Mm; height: Mm; lap: Mm };
}

function fittingOf(job: JobDocument, wall: SetWall): StoneView['fitting'] {
  const stated = job.walls[wall.index]?.fit ?? {};
  const { length = 0, height = 0, lap = 0 } = fitAsk(job, wall, stated) ?? {};
  return { from: fitFrom(stated), length, height, lap };
}

export function stoneView(job: JobDocument, { wall, gauge, fit, gap }: WallPlan): StoneView | null {
  if (!wall.stone) return null;
  const { stone, ...set } = wall.stone;
  const work = stoneWork(wall, gauge);
  const { volumes: v } = work;
  const [first] = work.runs;
  const batter = first ? batterOf(endOf(first, 0)) : Infinity;
  return {
    ...set,
    stone: stone.id,
    name: wallingName(wall.stone),
    stones: [...(job.stones ?? []), ...STONES].map(({ id, ...own }) => ({
      id,
      name: 'name' in own && own.name !== undefined ? own.name : stoneName(id),
    })),
    porous: stone.porous,
    laidSo: laidSo(wall.stone),
    weathers: weathersAs(wall.stone),
    loads: Math.ceil(toBring(work) / wall.stone.load - 1e-9),
    usualBonders: set.bonders ?? BONDERS,
    parts: (['face', 'back', 'hearting', 'mortar', 'voids'] as const)
      .map((part) => ({ part, volume: v[part], share: v.gross > 0 ? v[part] / v.gross : 0 }))
      .filter((p) => p.volume > 0),
    batter: Number.isFinite(batter) ? batter : null,
    throughsCounted: work.throughs,
    fit: fitView(fit),
    gap: gap && { ...gap, says: gapSays(gap), steps: gapSteps(gap) },
    gapOut: gap?.out ?? { left: 0, right: 0 },
    fitting: fittingOf(job, wall),
    treadsUsual: treadsFor(wall.height),
    frames: set.kind === 'dry' || set.top < set.base - 1,
    peaks: work.peaks.length > 0,
  };
}
