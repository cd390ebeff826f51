import type { UnfoldedRun } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { memo, useEffect, useRef, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useInks } from '../../state/scheme';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import { useAsked } from '../../workers/useAsked';
import { Near } from '../Near';
import { Shapes } from '../Shapes';
import { paintElevation } from '../paint';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { useScenePaper, type ScenePlacing } from './useScenePaper';

/** Room a letter of a name takes, px: a name wider than its opening is left out. */
const LETTER = 7.5;
const ROOM = { top: 90, side: 40, bottom: 70 };

/** Every run of the wall side by side, its corners between: one long elevation. */
export function UnfoldedPaper({ job, view, show, stage, stem, planner }: PaperProps): ReactNode {
  const tell = useTell();
  const navigate = useNavigate();
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const all = useAsked(planner, 'unfolded', { wall: view.wall.index, show }, job);
  const { ref, inner, at } = useScenePaper(all?.box ?? null, ROOM);
  const go = (run: number): void => {
    look({ paper: null });
    void navigate(`${base}/${run}/${stage}`);
  };
  return (
    <main ref={ref} className="relative min-h-0 min-w-0 grow touch-none overflow-hidden" data-job={job.name}>
      {all && at && (
        <div ref={inner} className="absolute inset-0 origin-top-left" data-unfolded={all.runs.length}>
          {all.runs.map((run) => (
            <FoldedOut key={run.index} run={run} at={at} here={run.index === view.run} go={go} />
          ))}
        </div>
      )}
      <PaperHead title={tell(PAPER.unfoldedTitle({ wall: view.wall.name, runs: view.runs.length }))}>
        <button className="press-plain" onClick={() => look({ paper: null })}>
          {tell(PAPER.fold)}
        </button>
        <Near />
      </PaperHead>
    </main>
  );
}

const FoldedOut = memo(FoldedRun);

function FoldedRun({
  run,
  at,
  here,
  go,
}: {
  run: UnfoldedRun;
  at: ScenePlacing;
  here: boolean;
  go: (run: number) => void;
}): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [x, w] = [at.left + run.x * at.scale, run.length * at.scale];
  const placed = { ...at, width: Math.ceil(w) + 2, left: 1 };
  const { width } = placed;
  useEffect(() => {
    if (canvas.current)
      paintElevation(
        canvas.current,
        { ...run.scene, shapes: run.scene.shapes.filter((s) => s.role !== 'ground' && s.role !== 'footing') },
        { ...at, width, left: 1 },
        { inks, lite: at.scale < 0.05 },
      );
  }, [run, at, width, inks]);
  const wide = (id: string | undefined): number => {
    const o = run.scene.shapes.find((s) => s.type === 'rect' && s.role === 'opening' && s.id === id);
    return o?.type === 'rect' ? o.w * at.scale : 0;
  };
  const over = run.scene.shapes.filter(
    (s) =>
      s.role === 'opening' ||
      (s.type === 'text' && s.role === 'opening-name' && tell(s.text).length * LETTER < wide(s.id)),
  );
  return (
    <>
      <canvas
        ref={canvas}
        aria-hidden="true"
        className="absolute top-0"
        style={{ left: x - 1, width, height: at.height }}
      />
      <svg className="pointer-events-none absolute inset-0" width={at.width} height={at.height}>
        <Shapes shapes={over} layout={{ ...at, left: x }} />
        <line x1={x} x2={x + w} y1={at.base} y2={at.base} stroke={inks.ink} strokeWidth="2" />
        {run.turn !== null && (
          <text
            x={x + w + 4}
            y={at.base - run.scene.box.h * at.scale - 8}
            textAnchor="middle"
            className="fill-soft text-fine"
          >
            {run.turn === 0 ? '—' : `${Math.round(Math.abs(run.turn))}° ${run.turn > 0 ? '↰' : '↱'}`}
          </text>
        )}
        <g
          role="button"
          tabIndex={0}
          aria-label={tell(PAPER.goToRun({ run: run.name }))}
          aria-current={here ? 'true' : undefined}
          className="pointer-events-auto cursor-pointer"
          onClick={() => go(run.index)}
          onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && go(run.index)}
        >
          <rect
            x={x}
            y={at.base - run.scene.box.h * at.scale}
            width={w}
            height={run.scene.box.h * at.scale + 34}
            fill="transparent"
            stroke={here ? inks.live : 'none'}
            strokeWidth="3"
          />
          <text x={x + w / 2} y={at.base + 22} textAnchor="middle" className="fill-ink text-small font-bold">
            {run.name}
          </text>
        </g>
      </svg>
    </>
  );
}
