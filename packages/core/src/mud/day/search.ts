import type { CubicMetres } from '../../measure/length.js';
import type { Day, Minutes } from './day.js';
import { SAME_TIME, type Demand } from './demand.js';
import type { Life } from './life.js';

/** A batch as the search has it: when it is first used and when it is gone, and the water of one that dies before it is. */
export interface Tried {
  first: Minutes;
  last: Minutes;
  made: CubicMetres;
  used: CubicMetres;
  /** Of a batch that dies: its water, which says when. Null where the water is still free. */
  water: Minutes | null;
}

/** Where a day stands after some of its batches. */
interface Node {
  parent: Node | null;
  batch: Tried | null;
  /** When the last batch is gone, and the earliest its mixers could have been free again, in order. */
  end: Minutes;
  free: readonly Minutes[];
  waited: Minutes;
  left: CubicMetres;
  count: number;
  /** Sizes in steps, in order. */
  sizes: readonly number[];
  /** The least that can still come of it. */
  leastLeft: CubicMetres;
  leastCount: number;
  done: boolean;
}

/** So many places looked at, and the answer is left unproved: no day anybody plans comes near. */
const MOST_NODES = 100_000;
/** Where waiting longer is tried too there is no end of ways: what was found in so many stands. */
const MOST_DELAYED = 600;

/** Below this a volume is nothing, as a part of a step. */
const SAME_VOLUME = 1e-9;

/** Larger sizes first; of two of which one begins the other, the shorter may still become the larger. */
function bySizes(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.min(a.length, b.length); i++) {
    const d = (b[i] as number) - (a[i] as number);
    if (d !== 0) return d;
  }
  return a.length - b.length;
}

/**
 * The batches of a day: least waiting, then least left, then fewest, then the larger first, by best-first search over when
 * each batch is gone. Sizes are counted in steps, so that most ways of reaching a moment come together there; one is kept
 * of those that waited, left and mixed no less and whose mixers were free no sooner. The bound of what is still to come is
 * the rest of the day rounded up to a step: it is never too high, so the first whole day found is the best one.
 */
export class DaySearch {
  private readonly most: number;
  private readonly delays: boolean;
  private readonly heap: Node[] = [];
  private readonly kept = new Map<number, Node[]>();
  looked = 0;

  constructor(
    private readonly day: Day,
    private readonly demand: Demand,
    private readonly life: Life,
    {
      most = Infinity,
      delays = false,
    }: {
      /** The most one batch may be, in steps. */
      most?: number;
      /** Whether a batch may also be waited for longer than it must be: see `delayed`. */
      delays?: boolean;
    } = {},
  ) {
    this.delays = delays;
    this.most = Math.min(most, Math.floor(day.batch / day.step + SAME_VOLUME));
  }

  /** The best day's batches; null where the search was ended before it was proved. */
  best(): Tried[] | null {
    const { day, demand } = this;
    this.push({
      parent: null,
      batch: null,
      end: day.from,
      // Before the day begins every mixer is free: mud may be mixed ahead as long as it lives.
      free: Array.from({ length: day.mixers }, () => -Infinity),
      waited: 0,
      left: 0,
      count: 0,
      sizes: [],
      leastLeft: 0,
      leastCount: 0,
      done: demand.next(day.from) === null,
    });
    for (let node = this.pop(); node; node = this.pop()) {
      if (node.done) return batchesOf(node);
      if (this.isWorse(node)) continue;
      if ((this.looked += 1) > (this.delays ? MOST_DELAYED : MOST_NODES)) return null;
      this.goOn(node);
    }
    return null;
  }

  /** A day that is never better than the best: the next is mixed, as large as it may be, when the last is gone. */
  plainly(): Tried[] {
    const { day, demand, life } = this;
    const batches: Tried[] = [];
    const free = Array.from({ length: day.mixers }, () => -Infinity);
    let end: Minutes | null = demand.next(day.from);
    while (end !== null && batches.length < 10_000) {
      const ready = (free[0] as number) + day.before;
      const first = demand.next(Math.max(end, ready + day.before)) ?? null;
      if (first === null) break;
      const water = first - day.before;
      const dies = life.expires(water);
      const all = demand.when(demand.by(first) + this.most * day.step);
      const last = Math.min(all, dies, demand.end);
      if (last <= first + SAME_TIME) break;
      batches.push({
        first,
        last,
        made: this.most * day.step,
        used: demand.by(last) - demand.by(first),
        water,
      });
      free.shift();
      free.push(water);
      end = demand.next(last);
    }
    return batches;
  }

  /** Every batch that may come next. */
  private goOn(node: Node): void {
    const { day, demand } = this;
    const wanted = demand.next(node.end);
    if (wanted === null) return;
    const free = node.free[0] as number;
    // No sooner than a mixer is free and the mud is fit to be used; waited for only where it must be.
    const first = demand.next(Math.max(wanted, free + day.before)) ?? null;
    if (first === null) return this.push(this.restWaited(node, wanted));
    this.from(node, wanted, first);
    if (!this.delays) return;
    for (const later of this.delayed(first)) this.from(node, wanted, later);
  }

  /**
   * Later first uses that may pay where waiting cannot be helped: with the water just when a longer life begins, or so that waters one mixing
   * apart fall on a moment at which something changes.
   */
  private delayed(first: Minutes): Minutes[] {
    const { day, demand, life } = this;
    const [water, most] = [first - day.before, Math.max(...day.lives.map((l) => l.life))];
    const edges = [
      day.to,
      demand.end,
      ...life.drops,
      ...[...day.breaks, ...day.demand].flatMap((s) => [s.from, s.to]),
    ];
    const onEdges = edges.map((e) => e - Math.floor((e - water) / day.before - SAME_TIME) * day.before);
    const rises = life.rises.filter((r) => r < water + most);
    return [...new Set([...onEdges, ...rises])].flatMap((w) => {
      const at = w > water + SAME_TIME ? demand.next(w + day.before) : null;
      return at === null ? [] : [at];
    });
  }

  /** Every batch that is first used then. */
  private from(node: Node, wanted: Minutes, first: Minutes): void {
    const { day, demand, life } = this;
    const free = node.free[0] as number;
    const latest = first - day.before;
    const waited = node.waited + this.wantedBetween(wanted, first);
    const sofar = demand.by(first);
    const longest = life.longest(free, latest);
    const dies = life.expires(longest);
    for (let steps = this.most; steps >= 1; steps--) {
      const made = steps * day.step;
      const gone = demand.when(sofar + made);
      const last = Math.min(gone, demand.end);
      const water = life.earliest(free, latest, last);
      if (water === null) continue;
      // More than is wanted is only thrown away: one step less would do.
      if (gone > last + SAME_TIME && demand.when(sofar + made - day.step) > last + SAME_TIME) continue;
      const used = demand.by(last) - sofar;
      this.push(this.after(node, { first, last, made, used, water: null }, water, waited, steps));
    }
    // One that dies before it is gone: no larger than what is used of it asks for.
    if (dies < demand.end - SAME_TIME && dies > first + SAME_TIME) {
      const used = demand.by(dies) - sofar;
      const steps = Math.ceil(used / day.step - SAME_VOLUME);
      if (steps <= this.most && steps * day.step - used > day.step * SAME_VOLUME)
        this.push(
          this.after(
            node,
            { first, last: dies, made: steps * day.step, used, water: longest },
            longest,
            waited,
            steps,
          ),
        );
    }
    // Mud that is dead before it can be used: nothing more is laid.
    if (dies <= first + SAME_TIME) this.push(this.restWaited(node, wanted));
  }

  private after(node: Node, batch: Tried, water: Minutes, waited: Minutes, steps: number): Node {
    const { day, demand } = this;
    const rest = demand.total - demand.by(batch.last);
    const batchesOfRest = Math.ceil(rest / (this.most * day.step) - SAME_VOLUME);
    const stepsOfRest = Math.ceil(rest / day.step - SAME_VOLUME);
    const left = node.left + batch.made - batch.used;
    const count = node.count + 1;
    const [, ...free] = node.free;
    return {
      parent: node,
      batch,
      end: batch.last,
      free: [...free, water + day.before],
      waited,
      left,
      count,
      sizes: [...node.sizes, steps],
      leastLeft: left + Math.max(0, stepsOfRest * day.step - rest),
      leastCount: count + Math.max(0, batchesOfRest),
      done: demand.next(batch.last) === null,
    };
  }

  /** The rest of the day without mud: where no batch can serve any of it. */
  private restWaited(node: Node, from: Minutes): Node {
    const waited = node.waited + this.wantedBetween(from, this.demand.end);
    return {
      ...node,
      parent: node,
      batch: null,
      end: this.demand.end,
      waited,
      leastLeft: node.left,
      leastCount: node.count,
      done: true,
    };
  }

  private wantedBetween(from: Minutes, to: Minutes): Minutes {
    return to <= from ? 0 : this.demand.wantedIn({ from, to }).reduce((sum, s) => sum + s.to - s.from, 0);
  }

  private compare(a: Node, b: Node): number {
    const waited = a.waited - b.waited;
    if (Math.abs(waited) > SAME_TIME) return waited;
    const left = a.leastLeft - b.leastLeft;
    if (Math.abs(left) > this.day.step * SAME_VOLUME * 10) return left;
    return a.leastCount - b.leastCount || bySizes(a.sizes, b.sizes);
  }

  /** Whether one kept where this ends is at least as good in everything that can matter from there on. */
  private isWorse(node: Node): boolean {
    const key = Math.round(node.end * 1e6);
    const here = this.kept.get(key) ?? [];
    const { step } = this.day;
    for (const k of here) {
      const noLater = k.free.every((t, i) => t <= (node.free[i] as number) + SAME_TIME);
      if (!noLater) continue;
      const waited = k.waited - node.waited;
      const left = k.left - node.left;
      if (waited < -SAME_TIME) return true;
      if (waited > SAME_TIME) continue;
      if (left < -step * SAME_VOLUME * 10) return true;
      if (left > step * SAME_VOLUME * 10) continue;
      if (k.count < node.count || (k.count === node.count && bySizes(k.sizes, node.sizes) <= 0)) return true;
    }
    here.push(node);
    this.kept.set(key, here);
    return false;
  }

  private push(node: Node): void {
    const { heap } = this;
    let i = heap.push(node) - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (this.compare(node, heap[up] as Node) >= 0) break;
      heap[i] = heap[up] as Node;
      i = up;
    }
    heap[i] = node;
  }

  private pop(): Node | null {
    const { heap } = this;
    const top = heap[0];
    const last = heap.pop();
    if (!top || !last) return null;
    if (heap.length === 0) return top;
    let i = 0;
    for (;;) {
      let down = 2 * i + 1;
      const left = heap[down];
      const right = heap[down + 1];
      if (!left) break;
      if (right && this.compare(right, left) < 0) down++;
      const least = heap[down] as Node;
      if (this.compare(least, last) >= 0) break;
      heap[i] = least;
      i = down;
    }
    heap[i] = last;
    return top;
  }
}

function batchesOf(node: Node): Tried[] {
  const all: Tried[] = [];
  for (let n: Node | null = node; n; n = n.parent) if (n.batch) all.push(n.batch);
  return all.reverse();
}
