import { carriedCorner, INCH, millimetres, writeLength, type PlanCorner } from '@even-tally/core';
import { AT_SET_OUT, PAPER } from '@even-tally/words';
import { useRef, useState, type ReactNode } from 'react';
import { useJob, useOpenJob } from '../../state/job';
import { useInks } from '../../state/scheme';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { useNarrow } from '../../ui/useNarrow';
import { useAsked } from '../../workers/useAsked';
import { AsList } from '../AsList';
import { Near } from '../Near';
import { OpeningOnPlan } from './OpeningOnPlan';
import { NextRun } from './NextRun';
import { DrawOnPlan } from './DrawOnPlan';
import { Shapes } from '../Shapes';
import { runEdit } from '../runEdits';
import { useGrip } from '../useGrip';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { OnPlan } from './plan/OnPlan';
import { SpotOnPlan, SpotTyped } from './plan/SpotOnPlan';
import { TapesOnPlan } from './plan/TapesOnPlan';
import { tapesBegun } from '../../stages/set-out/groundEdits';
import { ScenePaper, SceneSheet } from './ScenePaper';
import { useScenePaper, type ScenePlacing } from './useScenePaper';

const ROOM = { top: 84, side: 108, left: 156, bottom: 76 };
/** Tapes stand in a row over a building too small to hold them. */
const ROOM_TAPED = { ...ROOM, top: 136 };
const ROOM_NARROW = { top: 210, side: 84, bottom: 70 };
/** How wide a length is typed, px: as wide as one is, or on a phone as leaves the plan room. */
const [FIELD, FIELD_NARROW] = [96, 78];
/** The plan to scale: corners are pulled, lengths typed where they stand, and what stands round the wall is seen. */
export function PlanPaper(props: PaperProps): ReactNode {
  const drawing = useViewing((s) => s.drawing);
  return drawing ? <Drawing {...props} drawing={drawing} /> : <SetOutPaper {...props} />;
}

/** The plan as it stands under a line that is being drawn. */
function Drawing(props: PaperProps & { drawing: 'line' | 'wall' }): ReactNode {
  const { planner, view, show, job } = props;
  const plan = useAsked(planner, 'setOut', { wall: view.wall.index, show }, job);
  return <DrawOnPlan key={props.drawing} {...props} plan={plan} />;
}

function SetOutPaper({ job, view, show, stem, planner }: PaperProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const asList = useViewing((s) => s.asList);
  // While a corner is pulled the plan follows; the paper it lies on stays as it was when it was taken hold of.
  const live = useOpenJob((s) => s.job);
  const calm = useAsked(planner, 'setOut', { wall: view.wall.index, show }, job);
  const moved = useAsked(planner, 'setOut', { wall: view.wall.index, show }, live);
  const plan = moved ?? calm;
  const narrow = useNarrow(700);
  const paper = useScenePaper(
    calm?.scene.box ?? null,
    narrow ? ROOM_NARROW : calm?.taped === 'yes' ? ROOM_TAPED : ROOM,
  );
  const { at } = paper;
  const path = `/walls/${view.wall.index}/line`;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const on = at && { job, view, show, at };
  // Of the levels taken one is typed on at a time: there may be many beside one another.
  const [spot, setSpot] = useState(0);
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
    <ScenePaper
      paper={paper}
      job={job}
      drawing={
        plan &&
        at &&
        on && (
          <>
            <SceneSheet
              at={at}
              role="group"
              says={tell(PAPER.planSays({ wall: view.wall.name, runs: view.runs.length }))}
              data-plan={view.runs.length}
            >
              <Shapes shapes={plan.scene.shapes} layout={at} />
              {plan.corners.map((c) => (
                <Corner key={c.corner} corner={c} turn={plan.turn} at={at} view={view} show={show} />
              ))}
              {plan.openings.map((o) => (
                <OpeningOnPlan key={o.id} place={o} at={at} view={view} show={show} />
              ))}
              {plan.spots.map((s) => (
                <SpotOnPlan
                  key={s.index}
                  spot={s}
                  at={at}
                  view={view}
                  show={show}
                  choose={() => setSpot(s.index)}
                />
              ))}
              {plan.end && <NextRun end={plan.end} at={at} view={view} show={show} goOn={goOn} />}
            </SceneSheet>
            {plan.lengths.map((l) => (
              <OnPlan
                key={l.run}
                at={at}
                {...l}
                wide={narrow ? FIELD_NARROW : FIELD}
                says={view.runs[l.run]?.name ?? ''}
              >
                <LengthField
                  bare
                  label={tell(PAPER.lengthOf({ run: view.runs[l.run]?.name ?? '' }))}
                  name={`run-${l.run}`}
                  value={l.stated}
                  {...measure}
                  counts="units"
                  onChange={(value) => edit(runEdit(view, l.run, value))}
                />
              </OnPlan>
            ))}
            {plan.spots
              .filter((s) => s.index === spot)
              .map((s) => (
                <SpotTyped key={s.index} {...on} spot={s} />
              ))}
            {/* Where there is no room on the drawing they are in the slip. */}
            {!narrow && <TapesOnPlan {...on} tapes={plan.tapes} />}
            {!narrow && plan.taped === 'not-yet' && (
              <p
                className="absolute w-56 -translate-x-1/2 text-center"
                style={{
                  left: at.left + (plan.scene.box.x + plan.scene.box.w / 2) * at.scale,
                  top: at.base - (plan.scene.box.y + plan.scene.box.h / 2) * at.scale + 24,
                }}
              >
                <button className="press-plain" data-enter-tapes onClick={() => edit(tapesBegun(view, show))}>
                  {tell(AT_SET_OUT.enterWhatTheTape)}
                </button>
              </p>
            )}
          </>
        )
      }
    >
      <PaperHead title={tell(PAPER.planOf({ wall: view.wall.name }))} aside={tell(PAPER.planHint)}>
        <button className="press-plain" onClick={() => look({ drawing: 'line' })}>
          {tell(AT_SET_OUT.drawTheLine)}
        </button>
        <button className="press-plain" onClick={() => look({ drawing: 'wall' })}>
          {tell(AT_SET_OUT.drawAnotherWall)}
        </button>
        <button className="press-plain" onClick={() => look({ paper: 'wall' })} data-stem={stem}>
          {tell(PAPER.toTheFace)}
        </button>
        <Near />
      </PaperHead>
      {asList && <AsList view={view} show={show} />}
    </ScenePaper>
  );
}

type CornerProps = Pick<PaperProps, 'view' | 'show'> & {
  corner: PlanCorner;
  turn: number;
  at: ScenePlacing;
};

/** A corner of the line, pulled by half units, or moved by the arrows: by a little, and with Shift by half a unit. */
function Corner({ corner, turn, at, view, show }: CornerProps): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const ref = useRef<SVGGElement>(null);
  const carried = (from: CornerProps, x: number, y: number, step: number) => {
    const { runs, wall } = from.view;
    // The plan lies as the site does; runs go by the wall's own axes.
    const [cos, sin] = [Math.cos(from.turn), Math.sin(from.turn)];
    const own = { x: x * cos + y * sin, y: y * cos - x * sin };
    const changed = carriedCorner(runs, wall.closed, from.corner.corner, own, step);
    return [...(changed ?? [])].map(([run, mm]) => ({
      op: 'replace' as const,
      path: `/walls/${wall.index}/line/${runs[run]?.item ?? 0}/run`,
      value: writeLength(millimetres(Math.round(mm * 1000) / 1000), from.show),
    }));
  };
  const nudge = useGrip(ref, {
    now: { corner, turn, at, view, show },
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
