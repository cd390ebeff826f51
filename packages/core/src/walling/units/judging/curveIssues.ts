import { INCH, SAME_PLACE } from '../../../measure/length.js';
import { sayMm, writeLength } from '../../../measure/format.js';
import { millimetres } from '../../../measure/length.js';
import { issue, type Issue } from '../../../findings/issue.js';
import { isTangent } from '../../../stages/set-out/line.js';
import { facet, insideJoint, leastRadius } from '../../../stages/set-out/curve.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { laidDepth } from '../leaves/depth.js';
import { isSquare } from '../lines/ends.js';
import { headLimits } from '../lines/lines.js';

/** Radius of the bulging face of a curved run: its outside, or, where it hollows, its inside. */
const bulge = (wall: SetWall, radius: number): number => (radius > 0 ? radius : -radius + laidDepth(wall));

/** A leaf of a curved run: the wall it is laid as, with its own radius, and how far behind the face it stands. */
export interface CurvedLeaf {
  wall: SetWall;
  /** Its joint as laid, mm. */
  joint: number;
  /** What a sentence calls it, empty for the outer one. */
  name: string;
  behind: number;
}

/** What is wrong with the wedge joints of a leaf, said, and from what radius of the face on they are sound, mm. */
interface TooTight {
  says: string;
  base: number;
}

/** A leaf of a curved run whose joints are too tight inside or too wide outside for straight units; null where they are neither. */
function tooTight(run: BondedRun, { wall, joint, name, behind }: CurvedLeaf): TooTight | null {
  const set = wall.runs[run.index];
  if (!set || set.radius === null) return null;
  const limits = headLimits(wall);
  const say = (n: number): string => sayMm(n, wall.show);
  const depth = laidDepth(wall);
  const unit = { length: wall.unitLength, depth };
  const radius = bulge(wall, set.radius);
  // On a hollow face the joint that was laid is the inner one.
  const outside =
    set.radius > 0 ? joint : ((wall.unitLength + joint) * radius) / -set.radius - wall.unitLength;
  const inside = set.radius > 0 ? insideJoint(unit, radius, outside) : joint;
  if (inside >= limits.least - SAME_PLACE && outside <= limits.most + SAME_PLACE) return null;
  const whole = leastRadius(unit, limits.least, limits.most);
  const half = leastRadius({ length: wall.half, depth }, limits.least, limits.most);
  return {
    says: `Round ${set.name}${name === '' ? '' : `, in ${name},`} a perp of ${say(outside)} outside is ${inside > 0 ? say(inside) : 'closed'} inside; they may be ${say(limits.least)} to ${say(limits.most)}. Whole units want a radius of ${say(whole)}, halves ${say(half)}. Each stands ${say(facet(wall.unitLength, radius))} off the curve in its middle.`,
    // The file states the radius of the face.
    base: set.radius > 0 ? whole + behind : whole - depth - behind,
  };
}

/** A curve too tight for one of its leaves, or more: said once, and the radii to ask for are all leaves'. */
export function curveIssues(run: BondedRun, leaves: readonly CurvedLeaf[]): Issue[] {
  const found = leaves.flatMap((leaf) => tooTight(run, leaf) ?? []);
  const wall = leaves[0]?.wall;
  const set = wall?.runs[run.index];
  if (!wall || !set || found.length === 0) return [];
  const step = wall.show === 'mm' ? 10 : INCH;
  const base = Math.max(...found.map((f) => f.base));
  // The least radius only just does: a little more leaves the joints some room.
  const radii = [1, 1.1, 1.25, 1.5, 2].map((more) => Math.ceil((base * more) / step) * step);
  return [
    issue({
      code: 'curve-too-tight',
      stage: 'bond',
      severity: 'fault',
      run: run.index,
      at: set.length / 2,
      course: 1,
      says: found.map((f) => f.says).join(' '),
      source: 'geometry of wedge joints; limits of the profile',
      tries: () =>
        radii.map((asked) => ({
          says: `Ask for a radius of ${sayMm(asked, wall.show)}`,
          edit: [
            {
              op: 'replace',
              path: `/walls/${wall.index}/line/${set.item}/arc`,
              value: writeLength(millimetres(asked), wall.show),
            },
          ],
        })),
    }),
  ];
}

/** Corners that are not square: what special they take, how many, at what angle. */
export function squintIssues(wall: SetWall, runs: readonly BondedRun[]): Issue[] {
  const say = (n: number): string => sayMm(n, wall.show);
  return wall.line.corners
    .filter((c) => !isTangent(c.turn) && !isSquare(c.turn))
    .map((c) => {
      const legs = runs.find((r) => r.index === c.from)?.ends.end.legs;
      const courses = runs.find((r) => r.index === c.from)?.rows.length ?? 0;
      const angle = 180 - Math.abs(c.turn);
      return issue({
        code: 'squint-specials',
        stage: 'bond',
        severity: 'note',
        run: c.from,
        at: wall.runs[c.from]?.length ?? 0,
        course: 1,
        key: `squint-specials|${c.from}`,
        says: `The corner after ${wall.runs[c.from]?.name ?? ''} stands at ${angle.toFixed(angle % 1 === 0 ? 0 : 1)}°: ${courses} specials, ${say(legs?.own ?? 0)} on one face and ${say(legs?.shown ?? 0)} on the other, turned every course. Order two to spare; cut, each is mitred at ${(angle / 2).toFixed(1)}°.`,
        source: 'common practice: a three-quarter and a quarter',
      });
    });
}
