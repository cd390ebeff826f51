import { toMillimetres, type Mm } from '../../../measure/length.js';
import { stated } from '../../../job/stated.js';
import type { FiledStone, JobDocument, Stated, Wall } from '../../../job/types.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Next } from './layInOrder.js';
import type { FitAsk, PileStone } from './pile.js';

const mm = (l: Stated): Mm => toMillimetres(stated(l));

type StatedFit = NonNullable<Wall['fit']>;

/** The smallest piece that is laid, and by how much tops of a course may differ, where nobody says, mm: common practice. */
const [LEAST, TOPS] = [100, 10] as const;
/** The least lap where nobody says, mm: a hand, common practice. */
const LAP = 75;
/** So many stones one by one are searched through: what is more is left in the pile. */
export const FITTED_MOST = 60;

/** Stones that serve for a use: those kept for it, and those kept for none. */
const serving = (pile: readonly FiledStone[], use: StatedFit['use']): FiledStone[] =>
  use === undefined ? [...pile] : pile.filter((s) => s.use === undefined || s.use === use);

function measured(pile: readonly FiledStone[]): PileStone[] {
  let left = FITTED_MOST;
  return pile.flatMap((s): PileStone[] => {
    const count = Math.min(s.count ?? 1, left);
    left -= count;
    if (count <= 0) return [];
    return [{ id: s.id, length: mm(s.length), height: mm(s.height), depth: mm(s.depth), count }];
  });
}

/** Where along its run a lay begins, mm. */
export const fitFrom = ({ from }: Pick<StatedFit, 'from'>): Mm => (from === undefined ? 0 : mm(from));

/** What a wall asks of the pile: where it is laid into, and by what. Null for a wall of units. */
export function fitAsk(job: JobDocument, wall: SetWall, fit: StatedFit): FitAsk | null {
  if (!wall.stone) return null;
  const run = wall.runs[fit.run ?? 0];
  const from = fitFrom(fit);
  const length = fit.length === undefined ? Math.max(0, (run?.length ?? 0) - from) : mm(fit.length);
  const height = fit.height === undefined ? wall.height : mm(fit.height);
  const around = wall.openings
    .filter((o) => o.run === (fit.run ?? 0) && o.from < from + length && o.to > from && o.sill < height)
    .map((o) => ({
      from: Math.max(0, o.from - from),
      to: Math.min(length, o.to - from),
      bottom: o.sill,
      top: o.head,
    }));
  return {
    pile: measured(serving(job.pile ?? [], fit.use)),
    length,
    height,
    ...(around.length > 0 ? { around } : {}),
    depth: wall.stone.base,
    joint: wall.stone.joint,
    lap: fit.lap === undefined ? LAP : mm(fit.lap),
    tops: fit.tops === undefined ? TOPS : mm(fit.tops),
    least: LEAST,
  };
}

/** An order as it is filed, of the stones there are: what is no longer in the pile is left out, what has come to it stands at its end. */
export function fitOrder(ask: FitAsk, order: StatedFit['order']): Next[] {
  const left = new Map(ask.pile.map((s) => [s.id, { stone: s, count: s.count ?? 1 }]));
  const taken = (order ?? []).flatMap(({ stone, along }): Next[] => {
    const own = left.get(stone);
    if (!own || own.count < 1) return [];
    own.count--;
    return [{ stone: own.stone, longIn: along !== true }];
  });
  const rest = [...left.values()].flatMap(({ stone, count }) =>
    Array.from({ length: count }, (): Next => ({ stone, longIn: true })),
  );
  return [...taken, ...rest];
}

/** An order as it is filed. */
export const filedOrder = (order: readonly Next[]): NonNullable<StatedFit['order']> =>
  order.map(({ stone, longIn }) => (longIn ? { stone: stone.id } : { stone: stone.id, along: true }));
