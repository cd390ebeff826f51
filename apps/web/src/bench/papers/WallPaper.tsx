import { familyOf, type BenchView, type Message, type StoneView } from '@even-tally/core';
import { AT_STONE, BENCH, PAPER } from '@even-tally/words';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { Measure } from '../../ui/Measure';
import { AsList } from '../AsList';
import { Elevation } from '../Elevation';
import { Pole } from '../Pole';
import { SectionBeside } from '../SectionBeside';
import { Tape } from '../Tape';
import { layOut, sameLayout, type Layout } from '../layout';
import { FIT, through, useLens } from '../lens';
import { Near } from '../Near';
import { paperHold } from '../paperHold';
import { PaperHead } from './PaperHead';
import type { PaperProps } from './paper';
import { useSection } from './useSection';
import { useSize } from './useSize';

function useLayout(view: BenchView, size: { width: number; height: number }): Layout | null {
  const [layout, setLayout] = useState<Layout | null>(null);
  const now = useMemo(() => (size.width > 0 ? layOut(view, size.width, size.height) : null), [view, size]);
  const shared = now && sameLayout(layout, now);
  if (shared !== layout) setLayout(shared);
  return shared;
}

const NO_SIZE = { width: 0, height: 0, scale: 1 };

/** A wall of stone in a few words. */
const stoneSaid = ({ name, batter }: StoneView): Message =>
  batter === null ? AT_STONE.plainly({ name }) : AT_STONE.leansIn({ name, batter: Math.round(batter) });

/** The face of a run, the pole beside it on the same scale, the tape and two courses under it. */
export function WallPaper({ job, view, show, stage, planner }: PaperProps): ReactNode {
  const tell = useTell();
  const [node, ref, size] = useSize();
  const asList = useViewing((s) => s.asList);
  const fitted = useLayout(view, size);
  const { lens, inner } = useLens(node, fitted ?? NO_SIZE);
  const layout = useMemo(() => fitted && through(fitted, lens), [fitted, lens]);
  const section = useSection({ job, view, show, planner });
  useNearRow(view);
  const near = lens !== FIT && lens.k > 1.001;
  const run = view.runs[view.run];
  const { bondName, start, corners } = view.wall;
  const family = familyOf(view.wall);
  const how = view.stone
    ? stoneSaid(view.stone)
    : view.wall.freeStart
      ? BENCH.beginsOn({ bond: bondName, start, family })
      : BENCH.cornersBy({ bond: bondName, how: corners });
  return (
    <>
      <aside
        className="shrink-0 overflow-hidden border-r border-rule bg-shade max-[699px]:hidden"
        aria-label={tell(BENCH.storyPole)}
      >
        {layout && <Pole view={view} layout={layout} show={show} />}
      </aside>
      <main
        ref={ref}
        className="relative min-h-0 min-w-0 grow touch-none overflow-hidden"
        data-job={job.name}
      >
        {layout && (
          <>
            <div ref={inner} className="absolute inset-0 origin-top-left">
              <Elevation view={view} layout={layout} show={show} stage={stage} />
            </div>
            {near && (
              <div
                className="absolute right-0 bottom-0 left-0 border-t border-rule bg-paper"
                style={{ top: layout.tapeTop - 8 }}
              />
            )}
            <Tape view={view} layout={layout} show={show} />
          </>
        )}
        <PaperHead
          title={tell(BENCH.runSeen({ run: run?.name ?? '' }))}
          aside={
            <>
              {tell(how)}; <Measure mm={run?.length ?? 0} show={show} said />
            </>
          }
        >
          <button className="press-plain" onClick={() => look({ saying: true, finding: false })}>
            {tell(PAPER.sayIt)}
          </button>
          <button className="press-plain" onClick={() => look({ paper: 'course' })}>
            {tell(PAPER.fromAbove)}
          </button>
          <Near />
        </PaperHead>
        {asList && <AsList view={view} show={show} />}
      </main>
      {layout && section?.tells && <SectionBeside section={section} layout={layout} run={run?.name ?? ''} />}
    </>
  );
}

/** What was found by its name is brought near once its run is up. */
function useNearRow(view: BenchView): void {
  const row = useViewing((s) => s.row);
  const { run } = view;
  useEffect(() => {
    const [spot] = row?.near ? row.spots.filter((s) => s.run === run) : [];
    if (spot) paperHold()?.show(spot);
  }, [row, run]);
}
