import {
  carriedCorner,
  INCH,
  millimetres,
  writeLength,
  type PlanCorner,
  type SetOutPlan,
} from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { Plus } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import { useJob, useOpenJob } from '../../state/job';
import { useInks } from '../../state/scheme';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { useAsked } from '../../workers/useAsked';
import { AsList } from '../AsList';
import { Near } from '../Near';
import { Shapes } from '../Shapes';
import { runEdit } from '../runEdits';
import { useGrip } from '../useGrip';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { useScenePaper, type ScenePlacing } from './useScenePaper';

const ROOM = { top: 84, side: 96, bottom: 84 };
/** A field for a length stands over its place, so wide and high, px. */
const FIELD = { wide: 96, high: 50 };
/** How much of it stands to the left of its place. */
const ACROSS = { start: 0, middle: 0.5, end: 1 } as const;

/** The plan to scale: corners are pulled, lengths typed where they stand, and what stands round the wall is seen. */
export function PlanPaper({ job, view, show, stem, planner }: PaperProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const asList = useViewing((s) => s.asList);
  // While a corner is pulled the plan follows; the paper it lies on stays as it was when it was taken hold of.
  const live = useOpenJob((s) => s.job);
  const calm = useAsked(planner, 'setOut', { wall: view.wall.index, show }, job);
  const moved = useAsked(planner, 'setOut', { wall: view.wall.index, show }, live);
  const plan = moved ?? calm;
  const { ref, inner, at } = useScenePaper(calm?.scene.box ?? null, ROOM);
  const path = `/walls/${view.wall.index}/line`;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const goOn = (): void => {
    const last = view.runs.at(-1);
    if (!last) return;
    const run = writeLength(millimetres(Math.max(view.wall.module, last.stated / 2)), show);
    edit([
      { op: 'add', path: `${path}/-`, value: { turn: 90 } },
      { op: 'add', path: `${path}/-`, value: { run } },
    ]);
  };
  return (
    <main ref={ref} className="relative min-h-0 min-w-0 grow touch-none overflow-hidden" data-job={job.name}>
      {plan && at && (
        <div ref={inner} className="absolute inset-0 origin-top-left" data-plan={view.runs.length}>
          <svg
            className="absolute inset-0"
            width={at.width}
            height={at.height}
            role="group"
            aria-label={tell(PAPER.planSays({ wall: view.wall.name, runs: view.runs.length }))}
          >
            <Shapes shapes={plan.scene.shapes} layout={at} />
            {plan.corners.map((c) => (
              <Corner key={c.corner} corner={c} at={at} view={view} show={show} />
            ))}
          </svg>
          <Typed plan={plan} names={view.runs.map((r) => r.name)} at={at}>
            {(l) => (
              <LengthField
                bare
                label={tell(PAPER.lengthOf({ run: view.runs[l.run]?.name ?? '' }))}
                name={`run-${l.run}`}
                value={l.stated}
                {...measure}
                counts="units"
                onChange={(value) => edit(runEdit(view, l.run, value))}
              />
            )}
          </Typed>
        </div>
      )}
      <PaperHead title={tell(PAPER.planOf({ wall: view.wall.name }))} aside={tell(PAPER.planHint)}>
        {!view.wall.closed && plan && plan.corners.length > 0 && (
          <button className="press-plain inline-flex items-center gap-1" onClick={goOn}>
            <Plus size={14} aria-hidden="true" /> {tell(PAPER.goOn)}
          </button>
        )}
        <button className="press-plain" onClick={() => look({ paper: 'wall' })} data-stem={stem}>
          {tell(PAPER.toTheFace)}
        </button>
        <Near />
      </PaperHead>
      {asList && <AsList view={view} show={show} />}
    </main>
  );
}

/** What stands over the drawing to be typed in, each where its length is. */
function Typed({
  plan,
  names,
  at,
  children,
}: {
  plan: SetOutPlan;
  names: readonly string[];
  at: ScenePlacing;
  children: (length: SetOutPlan['lengths'][number]) => ReactNode;
}): ReactNode {
  return plan.lengths.map((l) => (
    <div
      key={l.run}
      className="absolute"
      style={{
        width: FIELD.wide,
        left: at.left + l.x * at.scale - FIELD.wide * ACROSS[l.anchor],
        top: at.base - l.y * at.scale - FIELD.high / 2,
      }}
    >
      <span className="flex justify-center text-small font-bold whitespace-nowrap" aria-hidden="true">
        <span className="bg-paper px-1">{names[l.run]}</span>
      </span>
      {children(l)}
    </div>
  ));
}

type CornerProps = Pick<PaperProps, 'view' | 'show'> & { corner: PlanCorner; at: ScenePlacing };

/** A corner of the line, pulled by half units, or moved by the arrows: by a little, and with Shift by half a unit. */
function Corner({ corner, at, view, show }: CornerProps): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const ref = useRef<SVGGElement>(null);
  const carried = (from: CornerProps, x: number, y: number, step: number) => {
    const { runs, wall } = from.view;
    const changed = carriedCorner(runs, wall.closed, from.corner.corner, { x, y }, step);
    return [...(changed ?? [])].map(([run, mm]) => ({
      op: 'replace' as const,
      path: `/walls/${wall.index}/line/${runs[run]?.item ?? 0}/run`,
      value: writeLength(millimetres(Math.round(mm * 1000) / 1000), from.show),
    }));
  };
  const nudge = useGrip(ref, {
    now: { corner, at, view, show },
    dragged: (from, dx, dy) =>
      carried(from, dx / from.at.scale, -dy / from.at.scale, from.view.wall.module / 2),
    nudged: (is, way, event) => {
      const by = event.shiftKey ? is.view.wall.module / 2 : is.show === 'mm' ? 10 : INCH;
      return carried(is, way.x * by, way.y * by, 0);
    },
  });
  const [x, y] = [at.left + corner.x * at.scale, at.base - corner.y * at.scale];
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      transform={`translate(${x} ${y})`}
      data-corner={corner.corner}
      className="cursor-move touch-none"
      aria-label={tell(PAPER.cornerSays({ corner: corner.corner + 1 }))}
      onKeyDown={nudge}
    >
      <circle r="14" fill="transparent" />
      <circle r="7" fill={inks.sheet} stroke={inks.chalk} strokeWidth="3" />
    </g>
  );
}
