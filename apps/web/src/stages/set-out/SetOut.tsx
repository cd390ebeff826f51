import { PROFILES, sayMm, type LineItem } from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { edit, useOpenJob } from '../../state/openJob';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { NameField } from '../../ui/NameField';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { AssumedPart } from './AssumedPart';
import { DrawLine } from './DrawLine';
import { FootingPart } from './FootingPart';
import { Levels } from './Levels';
import { LinePlan } from './LinePlan';
import { OldWallPart } from './OldWallPart';
import { Poured } from './Poured';
import { Square } from './Square';
import { Turns } from './Turns';
import { Walls } from './Walls';
import { lineFor, shapeOf, type LineShape } from './shapes';

const SHAPES: readonly (readonly [LineShape, string])[] = [
  ['straight', 'A straight run'],
  ['corner', 'Two runs and a corner'],
  ['closed', 'Four runs, closed'],
];

const freeId = (job: PanelProps['job']): string =>
  Array.from({ length: 2000 }, (_, i) => `wall-${i + 1}`).find((id) => !job.walls.some((w) => w.id === id)) ??
  'wall';

/** The line and the height. A closed rectangle's opposite sides go together. */
export function SetOut(props: PanelProps): ReactNode {
  const { job, view, show, stem } = props;
  const { set, path } = useWallFields(job, view);
  const navigate = useNavigate();
  const refusal = useOpenJob((s) => s.refusal);
  const shape = shapeOf(view);
  const wall = job.walls[view.wall.index];
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const redraw = (to: LineShape): void => {
    if (!wall || to === 'other') return;
    const line = lineFor(to, wall.line);
    const runs = line.filter((i) => 'run' in i).length;
    const openings = (wall.openings ?? []).filter((o) => o.run < runs);
    void navigate(`${base}/0/set-out`);
    edit([
      { op: 'replace', path: `${path}/line`, value: line },
      ...(wall.openings ? [{ op: 'replace' as const, path: `${path}/openings`, value: openings }] : []),
    ]);
  };
  const [drawing, setDrawing] = useState<'line' | 'wall' | null>(null);
  const drawn = (line: LineItem[]): boolean => {
    const runs = line.filter((i) => !('turn' in i)).length;
    if (drawing === 'line') {
      const openings = (wall?.openings ?? []).filter((o) => o.run < runs);
      void navigate(`${base}/0/set-out`);
      return edit([
        { op: 'replace', path: `${path}/line`, value: line },
        ...(wall?.openings ? [{ op: 'replace' as const, path: `${path}/openings`, value: openings }] : []),
      ]);
    }
    const id = freeId(job);
    const value = { ...structuredClone(wall), id, name: `Wall ${job.walls.length + 1}`, line, openings: [] };
    delete value.poured;
    delete value.square;
    delete value.meets;
    if (!edit([{ op: 'add', path: '/walls/-', value }])) return false;
    void navigate(`${base.slice(0, base.lastIndexOf('/'))}/${id}/0/set-out`);
    return true;
  };
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <>
      <DrawLine
        open={drawing !== null}
        title={drawing === 'wall' ? 'Draw another wall' : `Draw the line of ${view.wall.name}`}
        show={show}
        module={view.wall.module}
        pitch={view.wall.pitch}
        onDrawn={drawn}
        onClose={() => setDrawing(null)}
      />
      {job.walls.length > 1 && <Walls {...props} />}
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
        </p>
        {shape === 'other' ? (
          <Turns {...props} />
        ) : (
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {view.runs.map((r) => (
              <LengthField
                key={r.id}
                label={r.name}
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
        <p className="text-[13px] text-soft">
          On the tape this run reads{' '}
          <span className="figures text-ink">{sayMm(view.runs[view.run]?.length ?? 0, show)}</span> on its
          outside face.
        </p>
      </Section>
      <Section title="The height">
        <LengthField
          label="From the top of the footing"
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
      <Poured {...props} />
      <Square {...props} />
      <OldWallPart {...props} />
      <AssumedPart {...props} />
      <p role="alert" className="px-4 pt-2 font-semibold text-fault">
        {refusal}
      </p>
    </>
  );
}
