import type { JobDocument } from '../../../job/types.js';
import type { Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { greedyOrder } from './fit.js';
import { layInOrder, type Next } from './layInOrder.js';
import { fitAsk, fitFrom, fitOrder } from './ofWall.js';
import type { FitAsk, Lay } from './pile.js';

/** Measured stones as they were laid into a wall and kept, beside what is laid without looking ahead. */
export interface KeptLay {
  ask: FitAsk;
  run: number;
  /** Where the stretch begins along its run. */
  from: Mm;
  order: Next[];
  lay: Lay;
  greedy: Lay;
  pins: readonly number[];
}

/** The lay a wall keeps; null where none is asked for, or the pile is empty. */
export function keptLay(job: JobDocument, wall: SetWall): KeptLay | null {
  const fit = job.walls[wall.index]?.fit;
  const ask = fit ? fitAsk(job, wall, fit) : null;
  if (!fit || !ask || ask.pile.length === 0) return null;
  const order = fit.order === undefined ? greedyOrder(ask) : fitOrder(ask, fit.order);
  const lay = layInOrder(ask, order);
  const greedy = layInOrder(ask, greedyOrder(ask));
  if (!lay || !greedy) return null;
  const run = fit.run ?? 0;
  return {
    ask,
    run,
    from: fitFrom(fit),
    order,
    lay,
    greedy,
    pins: (fit.pins ?? []).filter((at) => at < order.length),
  };
}
