import { SAYS } from './messages.js';
import { SAME_PLACE } from '../../measure/length.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { SetWall } from './wall.js';

/** Near enough to have been meant to close, too far to be one joint: half a unit. */
const nearlyClosed = (wall: SetWall): boolean =>
  !wall.line.closed &&
  wall.runs.length > 2 &&
  wall.line.gap > SAME_PLACE &&
  wall.line.gap < wall.unitLength / 2;

/** A corner turning more than this leaves a point no unit can make, degrees: common practice. */
const SHARPEST = 150;

export function setOutIssues(wall: SetWall): Issue[] {
  const list: Issue[] = [];
  if (nearlyClosed(wall)) {
    list.push(
      issue({
        code: 'line-not-closed',
        stage: 'set-out',
        severity: 'fault',
        run: wall.runs.length - 1,
        at: wall.runs.at(-1)?.length ?? 0,
        says: SAYS['not-closed']({ gap: wall.line.gap }),
        source: 'geometry: the runs and turns added up',
      }),
    );
  }
  const sharp = wall.line.corners.filter((c) => Math.abs(c.turn) > SHARPEST);
  if (sharp.length > 0) {
    list.push(
      issue({
        code: 'run-not-planned',
        stage: 'set-out',
        severity: 'note',
        says: SAYS['too-sharp']({
          corners: sharp.map((c) =>
            SAYS['corner-turns']({ run: wall.runs[c.from]?.name ?? '', turn: c.turn }),
          ),
        }),
        source: 'what this edition works out',
      }),
    );
  }
  for (const { path, place } of wall.lost)
    list.push(
      issue({
        code: 'place-lost',
        stage: 'set-out',
        severity: 'choice',
        key: `place-lost|${path}`,
        says: SAYS['place-lost']({ place }),
        source: 'the addresses in the file, against the wall as it is',
        tries: () => [{ says: SAYS.forget(), edit: [{ op: 'remove', path: `/walls/${wall.index}${path}` }] }],
      }),
    );
  return list;
}
