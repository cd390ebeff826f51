import { AT_GAUGE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import { Choices } from '../Choices';
import { Lock } from '../Lock';
import { ofSheet, TakeAway } from '../TakeAway';
import { Weights } from '../Weights';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { FixedHeights } from './FixedHeights';
import { Levels } from './Levels';
import { RealUnits } from './RealUnits';

/** The height against whole courses, and the ways to bring them together. */
export function Gauge(props: PanelProps): ReactNode {
  const tell = useTell();
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const refusal = useOpenJob((s) => s.refusal);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const beds = view.courses.map((c) => c.bed);
  const [from, to] = [Math.min(...beds), Math.max(...beds)];
  const [least, most] = view.wall.bedLimits;
  const rendered = view.wall.hiddenTo === Infinity;
  if (view.stone) return <Levels {...props} />;
  return (
    <>
      <Section
        title={tell(AT_GAUGE.courses)}
        aside={
          <span className="figures text-small">
            <Typeset
              words={tell(AT_GAUGE.coursesIn({ count: view.courses.length, height: view.wall.built }))}
            />
          </span>
        }
      >
        <LengthField
          label={tell(AT_GAUGE.bedTarget)}
          name="bed"
          value={view.wall.bed}
          {...measure}
          onChange={(v) => set('/build/bed', v)}
        />
        <p className="text-small text-soft">
          <Told
            said={
              to - from > 0.05
                ? AT_GAUGE.bedsComeFrom({ from, to, least, most })
                : AT_GAUGE.bedsComeTo({ from, least, most })
            }
          />{' '}
          <button
            className="min-h-6 font-semibold text-chalk underline"
            aria-haspopup="dialog"
            onClick={() => look({ figure: `${view.wall.id}/wall/bed` })}
          >
            {tell(AT_GAUGE.howTheBedIs)}
          </button>
        </p>
        <p role="alert" className="font-semibold text-fault">
          {refusal && tell(refusal)}
        </p>
      </Section>
      <Section title={tell(AT_GAUGE.waysToReachThe)} aside={<Lock {...props} stage="gauge" />}>
        <Choices
          choices={view.choices.filter((c) => c.stage === 'gauge')}
          weighed={view.weighed}
          show={show}
        />
      </Section>
      <Weights {...props} stage="gauge" />
      <FixedHeights {...props} />
      <Section title={tell(AT_GAUGE.whatWillBeSeen)}>
        <div className="grid grid-cols-2 gap-3">
          <Pick
            label={tell(AT_GAUGE.theFace)}
            value={rendered ? 'rendered' : 'fair'}
            options={[
              ['fair', AT_GAUGE.inSight],
              ['rendered', AT_GAUGE.rendered],
            ]}
            onChange={(v) => set('/build/face', { finish: v })}
          />
          {!rendered && (
            <LengthField
              label={tell(AT_GAUGE.hiddenUpTo)}
              counts="courses"
              value={view.wall.hiddenTo}
              {...measure}
              onChange={(v) => set('/build/face', { hiddenTo: v })}
            />
          )}
        </div>
        <p className="text-small text-soft">{tell(AT_GAUGE.bedsThatSoilA)}</p>
      </Section>
      <RealUnits {...props} />
      <TakeAway
        {...props}
        title={tell(AT_GAUGE.takeThePole)}
        which={ofSheet('pole')}
        says={tell(AT_GAUGE.cumulativeMarksFromThe)}
      />
    </>
  );
}
