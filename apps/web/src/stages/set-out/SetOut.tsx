import { copiedRun, PROFILES, reversedRun, withLine, withoutItem, type Message } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useDrawnLine } from '../../bench/useDrawnLine';
import { useJob, useOpenJob } from '../../state/job';
import { copyId } from '../../state/newId';
import { useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { AssumedPart } from './AssumedPart';
import { BasePlanPart } from './BasePlanPart';
import { BearsPick } from './BearsPick';
import { CopyWall } from './CopyWall';
import { FootingPart } from './FootingPart';
import { FromDrawing } from './FromDrawing';
import { Levels } from './Levels';
import { LinePlan } from './LinePlan';
import { Meets } from './Meets';
import { OwnRulesPart } from './OwnRulesPart';
import { OldWallPart } from './OldWallPart';
import { Poured } from './Poured';
import { RainPart } from './RainPart';
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

/** The line. A closed rectangle's opposite sides go together. */
export function SetOut(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { lay, rehang: change } = useDrawnLine(props);
  const gone = useViewing((s) => s.gone);
  const { job, view, stem } = props;
  const { set } = useWallFields(job, view);
  const navigate = useNavigate();
  const refusal = useOpenJob((s) => s.refusal);
  const shape = shapeOf(view);
  const wall = job.walls[view.wall.index];
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const redraw = (to: LineShape): void => {
    if (!wall || to === 'other') return;
    void navigate(`${base}/0/set-out`);
    change(withLine(job, view.wall.index, lineFor(to, wall.line)));
  };
  const [fromDrawing, setFromDrawing] = useState(false);
  const run = view.runs[view.run];
  const runName = view.runs.length > 1 ? (run?.name ?? tell(AT_SET_OUT.thisRun)) : tell(AT_SET_OUT.it);
  const again = (): void => {
    if (run && change(copiedRun(job, view.wall.index, run.item, copyId)))
      void navigate(`${base}/${view.run + 1}/set-out`);
  };
  return (
    <>
      {fromDrawing && (
        <FromDrawing show={props.show} onTaken={(line) => lay(line)} onClose={() => setFromDrawing(false)} />
      )}
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
          <button className="press-plain" onClick={() => setFromDrawing(true)}>
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
        {gone?.of === job && (
          <p role="status" className="text-small text-soft">
            {tell(gone.says)}
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
        <BearsPick {...props} />
        <p className="text-small text-soft">
          <Told said={AT_SET_OUT.onTheTape({ length: view.runs[view.run]?.length ?? 0 })} />
        </p>
      </Section>
      <RainPart {...props} />
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
      <BasePlanPart {...props} onTaken={(line) => lay(line)} />
      <CopyWall {...props} />
      <AssumedPart {...props} />
      <p role="alert" className="px-4 pt-2 font-semibold text-fault">
        {refusal && tell(refusal)}
      </p>
    </>
  );
}
