import {
  bareWall,
  drawnBeside,
  millimetres,
  withLine,
  writeLength,
  type BenchView,
  type Job,
  type LineItem,
  type PatchStep,
  type Point,
  type Rehung,
  type Show,
  type SitePlace,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useNavigate } from 'react-router';
import { useJob } from '../state/job';
import { newId } from '../state/newId';
import { look } from '../state/view';
import { useTell } from '../state/words';

/** What belongs to the ground one wall stands on, and is not taken along to the next. */
const OF_THAT_WALL = ['square', 'meets', 'place', 'old'] as const;

interface DrawnLine {
  /** Lays the wall that is up on another line, where it was drawn on its plan: false where it cannot be. */
  lay: (line: LineItem[], from?: readonly [Point, Point]) => boolean;
  /** Lays another wall on a line, where it was drawn on the plan of this one; left out, wherever there is room. */
  layAnother: (line: LineItem[], from?: readonly [Point, Point]) => boolean;
  /** An edit that takes things with it: what went is said as long as the job stands as that left it. */
  rehang: (by: Rehung) => boolean;
}

/** A line that was drawn, read from a file or carried over, made the line of this wall or of another. */
export function useDrawnLine({
  job,
  view,
  show,
  stem,
}: {
  job: Job;
  view: BenchView;
  show: Show;
  stem: string;
}): DrawnLine {
  const tell = useTell();
  const navigate = useNavigate();
  const { edit, store } = useJob();
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const written = ({ x, y, heading }: SitePlace) => {
    const at = (mm: number) => writeLength(millimetres(mm), show);
    return { x: at(x), y: at(y), heading };
  };
  const rehang = (by: Rehung): boolean => {
    if (!edit(by.job)) return false;
    look({
      gone:
        by.lost.length === 0
          ? null
          : { says: AT_SET_OUT.goneWithIt({ what: by.lost }), of: store.getState().job },
    });
    return true;
  };
  const lay = (line: LineItem[], from?: readonly [Point, Point]): boolean => {
    const { index } = view.wall;
    const by = withLine(job, index, line);
    const stands = from && drawnBeside(job, index, from)?.stands;
    // A wall that meets another stands where that has it; one that goes east from where it began stands as it did.
    const stood = job.walls[index]?.place !== undefined || stands?.heading !== 0;
    const walls = by.job.walls.map((w, i) =>
      i === index && stands && stood && w.meets === undefined ? { ...w, place: written(stands) } : w,
    );
    void navigate(`${base}/0/set-out`);
    return rehang({ ...by, job: { ...by.job, walls } });
  };
  const layAnother = (line: LineItem[], from?: readonly [Point, Point]): boolean => {
    const wall = job.walls[view.wall.index];
    if (!wall) return false;
    const { id } = newId('wall-', job.walls);
    const value = {
      ...bareWall(wall),
      id,
      name: tell(AT_SET_OUT.wallNo({ n: job.walls.length + 1 })),
      line,
      openings: [],
    };
    for (const key of OF_THAT_WALL) delete value[key];
    const drawn = from ? drawnBeside(job, view.wall.index, from) : null;
    if (drawn) value.place = written(drawn.stands);
    const steps: PatchStep[] = [{ op: 'add', path: '/walls/-', value }];
    // Where a wall stands to another is known of both or of neither.
    if (drawn?.host)
      steps.push({ op: 'add', path: `/walls/${view.wall.index}/place`, value: written(drawn.host) });
    if (!edit(steps)) return false;
    void navigate(`${base.slice(0, base.lastIndexOf('/'))}/${id}/0/set-out`);
    return true;
  };
  return { lay, layAnother, rehang };
}
