import { isTangent } from '../../../stages/set-out/line.js';
import { laidDepth } from '../leaves/depth.js';
import type { SetOpening, SetRun, SetStep, SetTop, SetWall } from '../../../stages/set-out/wall.js';

/** Runs that go on from one another without a corner: they are laid as one, and parted again for their faces. */
export interface Chain {
  runs: number[];
  /** Where each of them begins along the chain, mm. */
  offsets: number[];
  length: number;
  /** It comes back on itself: a ring, with no end to begin from. */
  ring: boolean;
}

export function chainsOf(wall: SetWall): Chain[] {
  const tangent = wall.line.corners.filter((c) => isTangent(c.turn));
  const goesOn = (i: number): boolean => tangent.some((c) => c.from === i && c.to === i + 1);
  const chains: Chain[] = [];
  wall.runs.forEach((run, i) => {
    const last = chains.at(-1);
    if (last && i > 0 && goesOn(i - 1)) {
      last.runs.push(i);
      last.offsets.push(last.length);
      last.length += run.length;
    } else chains.push({ runs: [i], offsets: [0], length: run.length, ring: false });
  });
  const seam = tangent.some((c) => c.to === 0 && c.from === wall.runs.length - 1);
  const only = chains[0];
  if (seam && only && chains.length === 1) only.ring = true;
  return chains;
}

/**
 * The perp to aim for on the outside face of a chain, so that it is the wall's own in the middle of the thickness:
 * wider round a bulge, narrower in a hollow, shared by all the chain.
 */
function perpFor(wall: SetWall, chain: Chain): number {
  const middle = chain.runs.reduce((sum, i) => {
    const { length, radius } = wall.runs[i] as SetRun;
    return sum + (radius === null ? length : length * Math.abs((radius - laidDepth(wall) / 2) / radius));
  }, 0);
  return ((wall.unitLength + wall.head) * chain.length) / middle - wall.unitLength;
}

/** The wall with each chain as one run: corners and openings moved to where they stand along it. */
export function mergedWall(wall: SetWall, chains: readonly Chain[]): SetWall {
  const chainOf = (run: number): number => chains.findIndex((c) => c.runs.includes(run));
  const runs = chains.map((c): SetRun => ({
    ...(wall.runs[c.runs[0] ?? 0] as SetRun),
    length: c.length,
    perp: perpFor(wall, c),
  }));
  const moved = <T extends { run: number; from: number; to: number }>(o: T): T & { by: number } => {
    const k = chainOf(o.run);
    const chain = chains[k];
    const by = chain?.offsets[chain.runs.indexOf(o.run)] ?? 0;
    return { ...o, run: k, from: o.from + by, to: o.to + by, by };
  };
  const openings = wall.openings.map((o): SetOpening => moved(o));
  const steps = wall.steps.map((s): SetStep => moved(s));
  const tops = wall.tops.map((t): SetTop => {
    const { by, ...at } = moved(t);
    return { ...at, segments: t.segments.map((s) => ({ ...s, from: s.from + by, to: s.to + by })) };
  });
  const changes = wall.changes.map((c) => {
    const { run, from } = moved({ run: c.run, from: c.at, to: c.at });
    return { ...c, run, at: from };
  });
  const vents = wall.vents.map((v) => ({ ...v, run: chainOf(v.run) }));
  const piers = wall.piers.map((p) => moved(p));
  const branches = wall.branches.map((b) => moved(b));
  const joints = wall.joints.map((j) => moved(j));
  const corners = wall.line.corners
    .filter((c) => !isTangent(c.turn))
    .map((c) => ({ ...c, from: chainOf(c.from), to: chainOf(c.to) }));
  return {
    ...wall,
    runs,
    openings,
    steps,
    tops,
    changes,
    vents,
    piers,
    branches,
    joints,
    line: { ...wall.line, corners },
  };
}
