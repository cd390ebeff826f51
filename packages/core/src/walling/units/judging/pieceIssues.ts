import { SAYS } from './messages.js';
import { SAME_PLACE } from '../../../measure/length.js';
import { issue, type Issue } from '../../../findings/issue.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { onFace } from '../leaves/behind.js';
import type { JudgedLeaf } from './judgedLeaves.js';
import { SIXTY_FOURTH } from './laps.js';
import { headLimits, within } from '../lines/lines.js';
import type { Piece } from '../laying/row.js';
import { jambPlaces, lengthTries, snapTries } from './snap.js';
import { wayTries } from './ways.js';

interface Found {
  count: number;
  smallest: number;
  course: number;
  to: number;
  at: number;
}

/** `span`: first and last course of the row the piece stands in. */
function note(
  into: Map<number, Found>,
  opening: number,
  length: number,
  span: [number, number],
  uses: number,
  at: number,
): void {
  const was = into.get(opening);
  const [course, to] = span;
  if (!was) into.set(opening, { count: uses, smallest: length, course, to, at });
  else {
    was.count += uses;
    if (length < was.smallest - SAME_PLACE) Object.assign(was, { smallest: length, at });
    was.course = Math.min(was.course, course);
    was.to = Math.max(was.to, to);
  }
}

/** Which opening, if any, stands against a piece in its row. */
function besideOpening(wall: SetWall, run: number, from: number, to: number): number {
  return (
    wall.openings.find((o) => o.run === run && (Math.abs(o.from - to) < 1 || Math.abs(o.to - from) < 1))
      ?.index ?? -1
  );
}

/** Whether both jambs of an opening come within a joint of a perp of the run's own, in odd courses or in even ones. */
function standsOnPerps(wall: SetWall, run: BondedRun, o: SetOpening): boolean {
  const limits = headLimits(wall);
  const { left, right } = jambPlaces(run);
  const met = (places: readonly number[], x: number, wider: 1 | -1): boolean =>
    within(places, x - 50, x + 50).some((p) => {
      const off = wider * (x - p);
      return off <= limits.most - wall.head + SAME_PLACE && -off <= wall.head - limits.least + SAME_PLACE;
    });
  return met(left, o.from, 1) && met(right, o.to, -1);
}

/** Shorter than the least worth laying, by more than a 64th, and not the bond's own closer or what a slope leaves. */
const isSliver = (p: Piece, length: number, least: number): boolean =>
  length < least - SIXTY_FOURTH && p.kind !== 'closer' && !p.rake && !p.special && p.fitting !== 'soldier';

export function pieceIssues(wall: SetWall, run: BondedRun, leaf: JudgedLeaf): Issue[] {
  const least = leaf.leastPiece;
  const slivers = new Map<number, Found>();
  const cuts = new Map<number, Found>();
  for (const [row, uses] of leaf.uses) {
    const span: [number, number] = [leaf.rows.indexOf(row) + 1, leaf.rows.lastIndexOf(row) + 1];
    for (const p of row.pieces) {
      const length = p.to - p.from;
      const [from, to] = [onFace(leaf.behind, p.from), onFace(leaf.behind, p.to)];
      const at = (from + to) / 2;
      if (leaf.name === 'face' && p.opening >= 0 && p.kind !== 'closer')
        note(cuts, p.opening, length, span, uses, at);
      // A closer is the bond's own.
      if (isSliver(p, length, least)) {
        const opening = p.opening >= 0 ? p.opening : besideOpening(wall, run.index, from, to);
        note(slivers, opening, length, span, uses, at);
      }
    }
  }
  const list: Issue[] = [];
  for (const [index, f] of slivers) {
    const o = wall.openings[index];
    const said = { count: f.count, length: f.smallest, leaf: leaf.name, least };
    list.push(
      issue({
        code: 'sliver',
        stage: 'bond',
        severity: 'fault',
        course: f.course,
        to: f.to,
        run: run.index,
        at: f.at,
        opening: o?.id ?? null,
        says: o ? SAYS['sliver-against']({ ...said, opening: o.name }) : SAYS.sliver(said),
        source: wall.profile.leastPieceSource,
        // What nobody has to be asked about comes first: a room's width is somebody else's.
        tries: () => [...wayTries(wall), ...(o ? snapTries(wall, run, o) : lengthTries(wall, run.index))],
      }),
    );
  }
  // Where panels were laid to the reveals, joints may have taken all of it: the jambs stand off the bond all the same.
  if (leaf.name !== 'face') return list;
  for (const index of new Set([...cuts.keys(), ...(run.lines[0]?.off ?? [])])) {
    const o = wall.openings[index];
    // On the perps of one course or the other, what the rest are cut to is the bond's own.
    if (!o || standsOnPerps(wall, run, o)) continue;
    const f = cuts.get(index);
    list.push(
      issue({
        code: 'opening-off-bond',
        stage: 'bond',
        severity: 'choice',
        course: f?.course ?? 1,
        to: f?.to ?? null,
        run: run.index,
        at: (o.from + o.to) / 2,
        opening: o.id,
        says: f
          ? SAYS['opening-off']({ opening: o.name, count: f.count, smallest: f.smallest })
          : SAYS['jambs-off']({ opening: o.name }),
        source: 'the perps of odd and even courses against the jambs',
        tries: () => snapTries(wall, run, o),
      }),
    );
  }
  return list;
}
