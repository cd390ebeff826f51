import { Typeset } from '../../ui/Typeset';
import {
  bareWall,
  copiedRun,
  PROFILES,
  reversedRun,
  sayLost,
  sayMm,
  withLine,
  withoutItem,
  type Rehung,
  type LineItem,
} from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useJob, useOpenJob } from '../../state/job';
import { copyId, newId } from '../../state/newId';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { NameField } from '../../ui/NameField';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { AssumedPart } from './AssumedPart';
import { DrawLine } from './DrawLine';
import { CopyWall } from './CopyWall';
import { BasePlanPart } from './BasePlanPart';
import { FromDrawing } from './FromDrawing';
import { Meets } from './Meets';
import { FootingPart } from './FootingPart';
import { Levels } from './Levels';
import { LinePlan } from './LinePlan';
import { OldWallPart } from './OldWallPart';
import { Poured } from './Poured';
import { SitePlan } from './SitePlan';
import { Square } from './Square';
import { Steps } from './Steps';
import { Turns } from './Turns';
import { lineFor, shapeOf, type LineShape } from './shapes';

const SHAPES: readonly (readonly [LineShape, string])[] = [
  ['straight', 'A straight run'],
  ['corner', 'Two runs and a corner'],
  ['closed', 'Four runs, closed'],
];

/** What belongs to the ground one wall stands on, and is not taken along to the next. */
const OF_THAT_WALL = ['square', 'meets', 'place', 'old'] as const;

/** The line and the height. A closed rectangle's opposite sides go together. */
export function SetOut(props: PanelProps): ReactNode {
  const { edit, store } = useJob();
  const { job, view, show, stem } = props;
  const { set, path } = useWallFields(job, view);
  const navigate = useNavigate();
  const refusal = useOpenJob((s) => s.refusal);
  const shape = shapeOf(view);
  const wall = job.walls[view.wall.index];
  const base = stem.slice(0, stem.lastIndexOf('/'));
  // What goes with a run is said as long as the job stands as that left it.
  const [lost, setLost] = useState<{ says: string; of: unknown } | null>(null);
  const change = (by: Rehung): boolean => {
    if (!edit(by.job)) return false;
    setLost({ says: sayLost(by.lost), of: store.getState().job });
    return true;
  };
  const redraw = (to: LineShape): void => {
    if (!wall || to === 'other') return;
    void navigate(`${base}/0/set-out`);
    change(withLine(job, view.wall.index, lineFor(to, wall.line)));
  };
  const [drawing, setDrawing] = useState<'line' | 'wall' | 'drawing' | null>(null);
  const drawn = (line: LineItem[]): boolean => {
    if (drawing !== 'wall') {
      void navigate(`${base}/0/set-out`);
      return change(withLine(job, view.wall.index, line));
    }
    const { id } = newId('wall-', job.walls);
    if (!wall) return false;
    const value = { ...bareWall(wall), id, name: `Wall ${job.walls.length + 1}`, line, openings: [] };
    for (const key of OF_THAT_WALL) delete value[key];
    if (!edit([{ op: 'add', path: '/walls/-', value }])) return false;
    void navigate(`${base.slice(0, base.lastIndexOf('/'))}/${id}/0/set-out`);
    return true;
  };
  const run = view.runs[view.run];
  const runName = view.runs.length > 1 ? (run?.name ?? 'this run') : 'it';
  const again = (): void => {
    if (run && change(copiedRun(job, view.wall.index, run.item, copyId)))
      void navigate(`${base}/${view.run + 1}/set-out`);
  };
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <>
      <DrawLine
        open={drawing === 'line' || drawing === 'wall'}
        title={drawing === 'wall' ? 'Draw another wall' : `Draw the line of ${view.wall.name}`}
        show={show}
        module={view.wall.module}
        pitch={view.wall.pitch}
        onDrawn={drawn}
        onClose={() => setDrawing(null)}
      />
      {drawing === 'drawing' && <FromDrawing show={show} onTaken={drawn} onClose={() => setDrawing(null)} />}
      {job.walls.length > 1 && <SitePlan {...props} />}
      <Section title="The line">
        <NameField label="Wall" value={view.wall.name} onChange={(v) => set('/name', v)} />
        <Pick
          label="Shape"
          value={shape}
          options={shape === 'other' ? [...SHAPES, ['other', 'As drawn in the file']] : SHAPES}
          onChange={redraw}
        />
        <LinePlan view={view} go={(run) => void navigate(`${base}/${run}/set-out`)} />
        <p className="flex flex-wrap gap-2">
          <button className="press" onClick={() => setDrawing('line')}>
            Draw the line
          </button>
          <button className="press-plain" onClick={() => setDrawing('wall')}>
            Draw another wall
          </button>
          <button className="press-plain" onClick={() => setDrawing('drawing')}>
            Take it from a DXF
          </button>
        </p>
        <p className="flex flex-wrap gap-2">
          <button className="press-plain" onClick={() => change(reversedRun(job, view.wall.index, view.run))}>
            Read {runName} from its other end
          </button>
          <button className="press-plain" onClick={again}>
            Lay {runName} once more
          </button>
        </p>
        {lost?.of === job && lost.says !== '' && (
          <p role="status" className="text-small text-soft">
            {lost.says}
          </p>
        )}
        {shape === 'other' ? (
          <Turns {...props} takeOut={(item) => change(withoutItem(job, view.wall.index, item))} />
        ) : (
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {view.runs.map((r) => (
              <LengthField
                key={r.id}
                label={r.name}
                counts="units"
                name={`run-${r.index}`}
                value={r.stated}
                {...measure}
                onChange={(v) => {
                  const opposite =
                    view.wall.closed && view.runs.length === 4 ? view.runs[(r.index + 2) % 4] : undefined;
                  const steps = [r, ...(opposite ? [opposite] : [])].map((one) => ({
                    op: 'replace' as const,
                    path: `${path}/line/${one.item}/run`,
                    value: v,
                  }));
                  return edit(steps);
                }}
              />
            ))}
          </div>
        )}
        <Pick
          label="Lengths are"
          value={view.wall.nominal ? 'nominal' : 'actual'}
          options={[
            ['nominal', 'nominal: a joint longer than the tape'],
            ['actual', 'actual: what the tape reads'],
          ]}
          onChange={(v) => set('/lengths', v)}
        />
        <p className="text-small text-soft">
          On the tape this run reads{' '}
          <span className="figures text-ink">
            <Typeset words={sayMm(view.runs[view.run]?.length ?? 0, show)} />
          </span>{' '}
          on its outside face.
        </p>
      </Section>
      <Section title="The height">
        <LengthField
          label="From the top of the footing"
          counts="courses"
          name="height"
          value={view.wall.height}
          {...measure}
          onChange={(v) => set('/height', v)}
        />
      </Section>
      <Section title="The job">
        <NameField
          label="Job"
          value={job.name}
          onChange={(value) => edit([{ op: 'replace', path: '/name', value }])}
        />
        <Pick
          label="Rules for joints, laps and waste"
          value={job.profile}
          options={Object.values(PROFILES).map((p) => [p.id, p.name] as const)}
          onChange={(value) => edit([{ op: 'replace', path: '/profile', value }])}
        />
      </Section>
      <Levels {...props} />
      <FootingPart {...props} />
      <Steps {...props} />
      <Poured {...props} />
      <Square {...props} />
      <OldWallPart {...props} />
      <Meets {...props} />
      <BasePlanPart {...props} onTaken={drawn} />
      <CopyWall {...props} />
      <AssumedPart {...props} />
      <p role="alert" className="px-4 pt-2 font-semibold text-fault">
        {refusal}
      </p>
    </>
  );
}
