import { millimetres, pulledRun, writeLength, type PatchStep, type PlanEnd } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { useRef, type ReactNode } from 'react';
import { useInks } from '../../state/scheme';
import { useTell } from '../../state/words';
import { useGrip } from '../useGrip';
import type { PaperProps } from './paper';
import type { ScenePlacing } from './useScenePaper';

/** The peg stands so far past the end it belongs to, px. */
const PAST = 34;

/** At the end of a line that does not close: another run is pulled out of it, or added by a press. */
export function NextRun({
  end,
  at,
  view,
  show,
  goOn,
}: Pick<PaperProps, 'view' | 'show'> & { end: PlanEnd; at: ScenePlacing; goOn: () => void }): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const ref = useRef<SVGGElement>(null);
  const moved = useRef(false);
  const way = (end.heading * Math.PI) / 180;
  const [px, py] = [PAST * Math.cos(way), -PAST * Math.sin(way)];
  const nudge = useGrip(ref, {
    now: { end, at, view, show },
    taken: () => (moved.current = false),
    dragged: (was, dx, dy): PatchStep[] => {
      const to = {
        x: was.end.x + (px + dx) / was.at.scale,
        y: was.end.y - (py + dy) / was.at.scale,
      };
      const run = pulledRun(was.end.heading, was.end, to, was.view.wall.module / 2);
      moved.current ||= Math.hypot(dx, dy) > 4;
      if (!run) return [];
      const path = `/walls/${was.view.wall.index}/line/-`;
      return [
        { op: 'add', path, value: { turn: run.turn } },
        { op: 'add', path, value: { run: writeLength(millimetres(run.length), was.show) } },
      ];
    },
    nudged: () => null,
  });
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      transform={`translate(${at.left + end.x * at.scale + px} ${at.base - end.y * at.scale + py})`}
      className="cursor-crosshair touch-none"
      data-next-run
      aria-label={tell(PAPER.goOn)}
      onClick={() => !moved.current && goOn()}
      onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ' ? goOn() : nudge(e))}
    >
      <circle r="13" fill={inks.sheet} stroke={inks.chalk} strokeWidth="2" />
      <path d="M-6 0h12M0 -6v12" stroke={inks.chalk} strokeWidth="2.4" />
    </g>
  );
}
