import type { BenchView, Show, StageName } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useShown } from '../state/shown';
import { useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Measure } from '../ui/Measure';
import { AsList } from './AsList';
import { Elevation } from './Elevation';
import { Pole } from './Pole';
import { Tape } from './Tape';
import { layOut, sameLayout, type Layout } from './layout';

function useSize(): [(node: HTMLElement | null) => void, { width: number; height: number }] {
  const [node, setNode] = useState<HTMLElement | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!node) return;
    const watch = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }));
    watch.observe(node);
    return () => watch.disconnect();
  }, [node]);
  return [setNode, size];
}

function useLayout(view: BenchView, size: { width: number; height: number }): Layout | null {
  const [layout, setLayout] = useState<Layout | null>(null);
  const now = useMemo(() => (size.width > 0 ? layOut(view, size.width, size.height) : null), [view, size]);
  const shared = now && sameLayout(layout, now);
  if (shared !== layout) setLayout(shared);
  return shared;
}

export const Drawing = memo(DrawnSheet);

/** Pole, elevation and tape: what follows the hand every frame. */
function DrawnSheet(asked: { wallId: string } & Facing): ReactNode {
  const view = useShown((s) => s.view);
  return view?.wall.id === asked.wallId && <Faces {...asked} view={view} />;
}

interface Facing {
  jobName: string;
  show: Show;
  stage: StageName;
}

function Faces({ view, jobName, show, stage }: Facing & { view: BenchView }): ReactNode {
  const tell = useTell();
  const [ref, size] = useSize();
  const asList = useViewing((s) => s.asList);
  const layout = useLayout(view, size);
  const run = view.runs[view.run];
  const { bondName, start, family, corners } = view.wall;
  const how = view.wall.freeStart
    ? BENCH.beginsOn({ bond: bondName, start, family })
    : BENCH.cornersBy({ bond: bondName, how: corners });
  return (
    <>
      <aside className="border-r border-rule bg-shade" aria-label={tell(BENCH.storyPole)}>
        {layout && <Pole view={view} layout={layout} show={show} />}
      </aside>
      <main ref={ref} className="relative min-h-[420px] min-w-0 overflow-hidden" data-job={jobName}>
        {layout && (
          <>
            <Elevation view={view} layout={layout} show={show} stage={stage} />
            <Tape view={view} layout={layout} show={show} />
          </>
        )}
        <div className="pointer-events-none absolute top-3 right-5 left-5 flex items-baseline justify-between gap-4">
          <h1 className="truncate font-narrow text-xl font-bold">
            {tell(BENCH.runSeen({ run: run?.name ?? '' }))}
          </h1>
          <p className="shrink-0 text-small text-soft">
            {tell(how)}; <Measure mm={run?.length ?? 0} show={show} said />
          </p>
        </div>
        {asList && <AsList view={view} show={show} />}
      </main>
    </>
  );
}
