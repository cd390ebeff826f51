import { stage } from '../stage.js';
import { setOutIssues } from './issues.js';
import { levelShapes } from './shapes.js';
import { siteLevels, type SiteLevels } from './site.js';
import { setOutWall, type SetWall } from './wall.js';

/** The wall as it is stated, every default filled in, and the levels of the site it stands on. */
export interface SetOutWork {
  wall: SetWall;
  site: SiteLevels;
}

export const setOut = stage<'set-out', object, SetOutWork>({
  id: 'set-out',
  shown: 'set-out',
  needs: [],
  work: (_, { job, index }) => {
    const wall = setOutWall(job, index);
    return { wall, site: siteLevels(job, wall.unitHeight + wall.bed) };
  },
  issues: (_, { wall }) => setOutIssues(wall),
  shapes: levelShapes,
});
