import {
  bareWall,
  copiedRun,
  PROFILES,
  reversedRun,
  withLine,
  withoutItem,
  type Rehung,
  type LineItem,
  type Message,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useJob, useOpenJob } from '../../state/job';
import { copyId, newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { AssumedPart } from './AssumedPart';
import { BasePlanPart } from './BasePlanPart';
import { CopyWall } from './CopyWall';
import { DrawLine } from './DrawLine';
import { FootingPart } from './FootingPart';
import { FromDrawing } from './FromDrawing';
import { Levels } from './Levels';
import { LinePlan } from './LinePlan';
import { Meets } from './Meets';
import { OwnRulesPart } from './OwnRulesPart';
import { OldWallPart } from './OldWallPart';
import { Poured } from './Poured';
import { SitePlan } from './SitePlan';
import { Square } from './Square';
import { Steps } from './Steps';
import { Turns } from './Turns';
import { lineFor, shapeOf, type LineShape } from './shapes';

const SHAPES: readonly (readonly [LineShape, Message])[] = [
  ['straight', AT_SET_OUT.aStraightRun],
  ['corner', AT_SET_OUT.twoRunsAndA],
  ['closed', AT_SET_OUT.fourRunsClosed],
];

/** What belongs to the ground one wall stands on, and is not taken along to the next. */
const OF_THAT_WALL = ['square', 'meets', 'place', 'old'] as const;

/** The line and the height. A closed rectangle's opposite sides go together. */
export function SetOut(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit, store } = useJob();
  const { job, view, show, stem } = props;
  const { set } = useWallFields(job, view);
  const navigate = useNavigate();
  const refusal = useOpenJob((s) => s.refusal);
  const shape = shapeOf(view);
  const wall = job.walls[view.wall.index];
  const base = stem.slice(0, stem.lastIndexOf('/'));
  // What goes with a run is said as long as the job stands as that left it.
  const [lost, setLost] = useState<{ says: Message | null; of: unknown } | null>(null);
  const change = (by: Rehung): boolean => {
    if (!edit(by.job)) return false;
    setLost({
      says: by.lost.length === 0 ? null : AT_SET_OUT.goneWithIt({ what: by.lost }),
      of: store.getState().job,
    });
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
    const value = {
      ...bareWall(wall),
      id,
      name: tell(AT_SET_OUT.wallNo({ n: job.walls.length + 1 })),
      line,
      openings: [],
    };
    for (const key of OF_THAT_WALL) delete value[key];
    if (!edit([{ op: 'add', path: '/walls/-', value }])) return false;
    void navigate(`${base.slice(0, base.lastIndexOf('/'))}/${id}/0/set-out`);
    return true;
  };
  const run = view.runs[view.run];
  const runName = view.runs.length > 1 ? (run?.name ?? tell(AT_SET_OUT.thisRun)) : tell(AT_SET_OUT.it);
  const again = (): void => {
    if (run && change(copiedRun(job, view.wall.index, run.item, copyId)))
      void navigate(`${base}/${view.run + 1}/set-out`);
  };
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <>
      <DrawLine
        open={drawing === 'line' || drawing === 'wall'}
        title={
          drawing === 'wall'
            ? tell(AT_SET_OUT.drawAnotherWall)
            : tell(AT_SET_OUT.drawLineOf({ wall: view.wall.name }))
        }
        show={show}
        module={view.wall.module}
        pitch={view.wall.pitch}
        onDrawn={drawn}
        onClose={() => setDrawing(null)}
      />
      {drawing === 'drawing' && <FromDrawing show={show} onTaken={drawn} onClose={() => setDrawing(null)} />}
      {job.walls.length > 1 && <SitePlan {...props} />}
      <Section title={tell(AT_SET_OUT.theLine)}>
        <NameField label={tell(AT_SET_OUT.wall)} value={view.wall.name} onChange={(v) => set('/name', v)} />
        <Pick
          label={tell(AT_SET_OUT.shape)}
          value={shape}
          options={shape === 'other' ? [...SHAPES, ['other', tell(AT_SET_OUT.asDrawnInThe)]] : SHAPES}
          onChange={redraw}
        />
        <LinePlan view={view} go={(run) => void navigate(`${base}/${run}/set-out`)} />
        <p className="flex flex-wrap gap-2">
          <button className="press" onClick={() => setDrawing('line')}>
            {tell(AT_SET_OUT.drawTheLine)}
          </button>
          <button className="press-plain" onClick={() => setDrawing('wall')}>
            {tell(AT_SET_OUT.drawAnotherWall)}
          </button>
          <button className="press-plain" onClick={() => setDrawing('drawing')}>
            {tell(AT_SET_OUT.takeItFromA)}
          </button>
        </p>
        <p className="flex flex-wrap gap-2">
          <button className="press-plain" onClick={() => change(reversedRun(job, view.wall.index, view.run))}>
            {tell(AT_SET_OUT.readFromOther({ run: runName }))}
          </button>
          <button className="press-plain" onClick={again}>
            {tell(AT_SET_OUT.layOnceMore({ run: runName }))}
          </button>
        </p>
        {lost?.of === job && lost.says && (
          <p role="status" className="text-small text-soft">
            {tell(lost.says)}
          </p>
        )}
        {shape === 'other' && (
          <Turns {...props} takeOut={(item) => change(withoutItem(job, view.wall.index, item))} />
        )}
        <Pick
          label={tell(AT_SET_OUT.lengthsAre)}
          value={view.wall.nominal ? 'nominal' : 'actual'}
          options={[
            ['nominal', AT_SET_OUT.nominal],
            ['actual', AT_SET_OUT.actual],
          ]}
          onChange={(v) => set('/lengths', v)}
        />
        <p className="text-small text-soft">
          <Told said={AT_SET_OUT.onTheTape({ length: view.runs[view.run]?.length ?? 0 })} />
        </p>
      </Section>
      <Section title={tell(AT_SET_OUT.theHeight)}>
        <LengthField
          label={tell(AT_SET_OUT.fromTheTopOf)}
          counts="courses"
          name="height"
          value={view.wall.height}
          {...measure}
          onChange={(v) => set('/height', v)}
        />
      </Section>
      <Section title={tell(AT_SET_OUT.theJob)}>
        <NameField
          label={tell(AT_SET_OUT.job)}
          value={job.name}
          onChange={(value) => edit([{ op: 'replace', path: '/name', value }])}
        />
        <Pick
          label={tell(AT_SET_OUT.rulesForJointsLaps)}
          value={job.profile}
          options={Object.values(PROFILES).map((p) => [p.id, p.name] as const)}
          onChange={(value) => edit([{ op: 'replace', path: '/profile', value }])}
        />
      </Section>
      <OwnRulesPart {...props} />
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
        {refusal && tell(refusal)}
      </p>
    </>
  );
}
