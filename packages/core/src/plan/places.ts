import type { Finding } from '../findings/finding.js';
import { placeIn } from '../stages/set-out/addresses.js';
import type { SetWall } from '../stages/set-out/wall.js';

/** Where a finding is: what it is of, as near as it says. */
export const findingPlace = (wall: SetWall, f: Finding): string =>
  placeIn(wall, f.run, {
    ...(f.opening === null || !wall.openings.some((o) => o.id === f.opening) ? {} : { opening: f.opening }),
    ...(f.opening === null && f.course !== null ? { course: f.course } : {}),
  });
