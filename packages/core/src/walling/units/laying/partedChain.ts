import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { FREE, type RunEnd } from '../lines/ends.js';
import type { BondedRun } from './bond.js';
import type { Chain } from './chains.js';
import { mapRows, movedLine, movedRow } from './moved.js';
import type { Row } from './row.js';

/** What a chain's row is on one of its runs: pieces by where they begin, joints by their middle. */
function partOf(row: Row, from: number, to: number): Row {
  const here = (x: number): boolean => x >= from - SAME_PLACE && x < to - SAME_PLACE;
  return movedRow(
    {
      ...row,
      pieces: row.pieces.filter((p) => here(p.from)),
      perps: row.perps.filter((p) => here(p.at)),
      ...(row.shown ? { shown: row.shown.filter((s) => here(s.from)) } : {}),
      ...(row.strips ? { strips: row.strips.filter((s) => here(s.from)) } : {}),
      bedded: row.bedded.flatMap((b) => {
        const cut = { from: Math.max(b.from, from), to: Math.min(b.to, to) };
        return cut.to - cut.from > SAME_PLACE ? [cut] : [];
      }),
    },
    -from,
  );
}

const turned = (end: RunEnd, run: (chain: number) => number | undefined): RunEnd =>
  end.other === null ? end : { ...end, other: run(end.other) ?? end.other };

/** A chain laid as one run, parted again into the runs it is made of. */
export function parted(
  wall: SetWall,
  chains: readonly Chain[],
  chain: Chain,
  bonded: BondedRun,
): BondedRun[] {
  // Round a corner stands the last run of the chain before, or the first of the one after.
  const laid = {
    ...bonded,
    ends: {
      start: turned(bonded.ends.start, (k) => chains[k]?.runs.at(-1)),
      end: turned(bonded.ends.end, (k) => chains[k]?.runs[0]),
    },
  };
  if (chain.runs.length === 1) return [{ ...laid, index: chain.runs[0] ?? 0 }];
  const last = chain.runs.length - 1;
  return chain.runs.map((index, k): BondedRun => {
    const offset = chain.offsets[k] ?? 0;
    // The ends of the chain keep what stands past them.
    const from = k === 0 ? -Infinity : offset;
    const to = k === last ? Infinity : (chain.offsets[k + 1] ?? 0);
    const { rows, uses } = mapRows(laid.rows, (row) =>
      movedRow(partOf(row, Math.max(from, -1e9), Math.min(to, 1e9)), Math.max(from, -1e9) - offset),
    );
    return {
      index,
      ends: { start: k === 0 ? laid.ends.start : FREE, end: k === last ? laid.ends.end : FREE },
      lines: laid.lines.map((l) => ({
        ...movedLine(l, -offset),
        ...(l.own ? { own: movedLine(l.own, -offset) } : {}),
        shownAtStart: k === 0 && l.shownAtStart,
        shownAtEnd: k === last && l.shownAtEnd,
      })),
      from: k === 0 ? laid.from : 0,
      to: k === last ? laid.to - offset : (wall.runs[index]?.length ?? 0),
      rows,
      uses,
      piers: null,
      lost: k === 0 ? laid.lost : [],
    };
  });
}
