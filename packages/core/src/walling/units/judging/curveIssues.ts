import { SAYS } from './messages.js';
import type { Said } from '../../../messages/message.js';
import { INCH, SAME_PLACE } from '../../../measure/length.js';
import { writeLength } from '../../../measure/format.js';
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
  /** Whether it is what is seen, or stands behind it. */
  name: 'face' | 'inner';
  behind: number;
}

/** What is wrong with the wedge joints of a leaf, said, and from what radius of the face on they are sound, mm. */
interface TooTight {
  says: Said;
  base: number;
}

/** A leaf of a curved run whose joints are too tight inside or too wide outside for straight units; null where they are neither. */
function tooTight(run: BondedRun, { wall, joint, name, behind }: CurvedLeaf): TooTight | null {
  const set = wall.runs[run.index];
  if (!set || set.radius === null) return null;
  const limits = headLimits(wall);
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
    says: SAYS.curve({
      run: set.name,
      leaf: name,
      outside,
      closed: inside > 0 ? 'no' : 'yes',
      inside,
      least: limits.least,
      most: limits.most,
      whole,
      half,
      off: facet(wall.unitLength, radius),
    }),
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
      says: SAYS.curves({ leaves: found.map((f) => f.says) }),
      source: 'geometry of wedge joints; limits of the profile',
      tries: () =>
        radii.map((asked) => ({
          says: SAYS['ask-radius']({ radius: asked }),
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
        says: SAYS.squint({
          run: wall.runs[c.from]?.name ?? '',
          angle,
          courses,
          inside: c.turn < 0 ? 'yes' : 'no',
          own: legs?.own ?? 0,
          shown: legs?.shown ?? 0,
          mitre: angle / 2,
        }),
        source: 'common practice: a three-quarter and a quarter',
      });
    });
}
