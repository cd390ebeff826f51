import { placedWalls, siteShapes, type BenchView, type Job, type StageName } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { useMemo, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { look } from '../state/view';
import { useTell } from '../state/words';
import { Fitted } from './Fitted';

interface Props {
  job: Job;
  view: BenchView;
  stage: StageName;
  stem: string;
  /** Among what the paper says, and not over its corner. */
  among?: true;
}

const [WIDE, HIGH] = [132, 96];
/** A run is a thin stroke: what can be pressed of it is as wide as anything else to press, px. */
const PRESSED = 24;
const TURN = 'min-h-6 grow px-2 py-[2px] text-center text-small font-semibold text-chalk hover:bg-chalk-pale';

/** The job's walls from above in the paper's corner: press a wall, or a run of the one that is up, to stand before it. */
export function KeyPlan({ job, view, stage, stem, among }: Props): ReactNode {
  const tell = useTell();
  const navigate = useNavigate();
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const jobStem = base.slice(0, base.lastIndexOf('/'));
  const walls = useMemo(() => placedWalls(job), [job]);
  const here = walls.find((w) => w.index === view.wall.index);
  // A stroke for each run; round a curve there are more strokes than runs, and none can be pressed.
  const points = here?.points ?? [];
  const strokes =
    points.length - 1 === view.runs.length
      ? points.slice(1).map((b, i) => [points[i] as typeof b, b] as const)
      : [];
  const live = strokes[view.run];
  // At a corner two strokes lie on one another: one that is long enough leaves it to its neighbour, to be pressed there.
  const between = ([a, b]: (typeof strokes)[number], scale: number): readonly [typeof a, typeof a] => {
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const short = long * scale < 2 * PRESSED ? 0 : PRESSED / 2 / scale / long;
    const along = (share: number): typeof a => ({
      x: a.x + (b.x - a.x) * share,
      y: a.y + (b.y - a.y) * share,
    });
    return [along(short), along(1 - short)];
  };
  const go = (to: string): void => {
    look({ paper: null });
    void navigate(to);
  };
  const press = (label: string, to: string, isHere: boolean) => ({
    role: 'button',
    tabIndex: 0,
    'aria-label': label,
    'aria-current': isHere ? ('true' as const) : undefined,
    className: 'cursor-pointer',
    onClick: () => go(to),
    onKeyDown: (k: { key: string }) => void ((k.key === 'Enter' || k.key === ' ') && go(to)),
  });
  return (
    <nav
      aria-label={tell(PAPER.keyPlan)}
      className={`no-print border border-rule bg-sheet max-[699px]:hidden ${among ? 'mt-4 w-fit' : 'absolute bottom-2 left-2 z-10'}`}
    >
      <Fitted
        draws={(px) => siteShapes(walls, view.wall.index, px).filter((s) => s.type !== 'text')}
        wide={WIDE}
        high={HIGH}
        room={12}
        label={tell(PAPER.keyPlan)}
      >
        {({ left, base: foot, scale }) => (
          <>
            {live && (
              <line
                x1={left + live[0].x * scale}
                y1={foot - live[0].y * scale}
                x2={left + live[1].x * scale}
                y2={foot - live[1].y * scale}
                stroke="var(--color-live)"
                strokeWidth="5"
              />
            )}
            {walls
              .filter((w) => w !== here)
              .map((w) => (
                <polyline
                  key={w.id}
                  {...press(
                    tell(PAPER.goToWall({ wall: w.name })),
                    `${jobStem}/${encodeURIComponent(w.id)}/0/${stage}`,
                    false,
                  )}
                  points={w.points.map((p) => `${left + p.x * scale},${foot - p.y * scale}`).join(' ')}
                  fill="none"
                  stroke="transparent"
                  strokeWidth={PRESSED}
                />
              ))}
            {strokes.map((stroke, i) => {
              const run = view.runs[i];
              const [a, b] = between(stroke, scale);
              return (
                run && (
                  <line
                    key={run.id}
                    {...press(
                      tell(PAPER.goToRun({ run: run.name })),
                      `${base}/${i}/${stage}`,
                      i === view.run,
                    )}
                    x1={left + a.x * scale}
                    y1={foot - a.y * scale}
                    x2={left + b.x * scale}
                    y2={foot - b.y * scale}
                    stroke="transparent"
                    strokeWidth={PRESSED}
                  />
                )
              );
            })}
          </>
        )}
      </Fitted>
      <div className="flex divide-x divide-rule border-t border-rule">
        {view.runs.length > 1 && (
          <button className={TURN} onClick={() => look({ paper: 'unfolded' })}>
            {tell(PAPER.unfold)}
          </button>
        )}
        <button className={TURN} onClick={() => look({ paper: 'section' })}>
          {tell(PAPER.cutThrough)}
        </button>
      </div>
    </nav>
  );
}
