import { SAYS } from './messages.js';
import { issue, type Issue, type Try } from '../../../findings/issue.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { onFace } from '../leaves/behind.js';
import type { JudgedLeaf } from './judgedLeaves.js';
import { lapFaults, type Stacked } from './laps.js';
import { lineOf } from '../lines/lines.js';
import { lengthTries, snapTries } from './snap.js';
import { wayTries } from './ways.js';
import { toTheTape } from './toTheTape.js';

/** The two openings of a run nearest a place: a joint over there is not theirs to settle. */
const openingsNear = (wall: SetWall, run: number, at: number): SetWall['openings'] =>
  wall.openings
    .filter((o) => o.run === run)
    .sort((a, b) => Math.abs((a.from + a.to) / 2 - at) - Math.abs((b.from + b.to) / 2 - at))
    .slice(0, 2);

/** A wall bonded in goes astride the middle of a unit of the courses it stays out of: its nearest such places. */
function branchTries(wall: SetWall, run: BondedRun, at: number): Try[] {
  const near = wall.branches
    .filter((b) => b.run === run.index)
    .sort((a, b) => Math.abs(a.from - at) - Math.abs(b.from - at))[0];
  if (!near) return [];
  const { u, joint } = lineOf(run.lines, near.on === 'odd' ? 2 : 1);
  const width = near.to - near.from;
  return u
    .slice(0, -1)
    .map((x, i) => (x + (u[i + 1] ?? x) - joint) / 2 - width / 2)
    .filter((from) => from > wall.unitLength)
    .sort((a, b) => Math.abs(a - near.from) - Math.abs(b - near.from))
    .slice(0, 2)
    .map((from) => ({
      says: SAYS['bring-in']({ wall: near.name, at: from }),
      edit: [{ op: 'replace', path: `/walls/${near.index}/meets/at`, value: toTheTape(wall, from) }],
    }));
}

/** Units changed by hand about a place: put back as the bond has them. */
const byHand = (wall: SetWall, run: number, at: number, from: number, to: number): Try[] =>
  wall.changes
    .filter(
      (c) => c.run === run && c.course >= from && c.course <= to && Math.abs(c.at - at) <= wall.unitLength,
    )
    .map((c) => ({
      says: SAYS['put-back']({ course: c.course }),
      edit: [{ op: 'remove', path: `/walls/${wall.index}/build/pieces/${c.index}` }],
    }));

export function lapIssues(wall: SetWall, run: BondedRun, leaf: JudgedLeaf): Issue[] {
  if (leaf.rules.least === 0) return [];
  const { straight, short } = lapFaults(leaf.rows, leaf.rules);
  const groups = new Map<string, Stacked[]>();
  for (const stack of straight) {
    const key = `${stack.from}-${stack.to}`;
    groups.set(key, [...(groups.get(key) ?? []), stack]);
  }
  if (short.length > 0) groups.set('short', short);
  return [...groups].map(([key, found]) => {
    const first = found[0] as Stacked;
    const at = onFace(leaf.behind, first.at);
    const from = Math.min(...found.map((c) => c.from));
    const to = Math.max(...found.map((c) => c.to));
    const shared = {
      stage: 'bond' as const,
      course: from,
      to,
      run: run.index,
      at,
      source: wall.profile.leastLapSource,
      tries: () => [
        ...byHand(wall, run.index, at, from, to),
        ...wayTries(wall),
        ...lengthTries(wall, run.index),
        ...openingsNear(wall, run.index, at).flatMap((o) => snapTries(wall, run, o).slice(0, 2)),
        ...branchTries(wall, run, at),
      ],
    };
    if (key === 'short') {
      return issue({
        ...shared,
        code: 'lap-short',
        severity: 'note',
        says: SAYS['lap-short']({
          lap: Math.min(...found.map((c) => c.lap)),
          places: found.length,
          at,
          leaf: leaf.name,
          least: leaf.rules.least,
        }),
      });
    }
    const courses = first.to - first.from + 1;
    const changed = byHand(wall, run.index, at, from, to).length > 0;
    return issue({
      ...shared,
      code: 'straight-joint',
      severity: courses > 2 ? 'fault' : 'note',
      says: SAYS['in-line']({
        courses,
        places: found.length,
        at,
        leaf: leaf.name,
        from: first.from,
        to: first.to,
        hand: changed ? 'yes' : 'no',
      }),
    });
  });
}
