import type { JobDocument } from '../../job/types.js';
import type { MeetHow } from '../../job/forms/outline.js';
import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { INTO_OLD } from '../../tables/stoneWalls.js';
import { stoneIn, type StoneRun } from './stretches.js';

/** How the end of a wall of stone is held by the wall it comes to. */
export interface IntoOld {
  run: number;
  how: MeetHow;
  /** The wall it comes to, by its name. */
  where: string;
  count: number;
  /** How far pockets are cut, or stones go, into it. */
  deep: Mm;
}

/** Pockets, bonders or ties, one to so much of height and, of ties, in both faces; null where it ends on nothing. */
export function intoOld(job: JobDocument, wall: SetWall, runs: readonly StoneRun[]): IntoOld | null {
  const meets = job.walls[wall.index]?.meets;
  const last = runs.at(-1);
  const end = last?.stretches.at(-1)?.ends[1];
  if (!meets || !last || !end) return null;
  const how = meets.how ?? 'tied';
  const up = Math.max(1, Math.ceil(end.height / INTO_OLD[how] - 1e-9));
  return {
    run: last.run,
    how,
    where: job.walls.find((w) => w.id === meets.wall)?.name ?? meets.wall,
    count: how === 'tied' ? up * stoneIn(wall).faces : up,
    deep: INTO_OLD.deep,
  };
}
