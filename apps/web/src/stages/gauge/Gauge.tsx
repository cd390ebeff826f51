import { Typeset } from '../../ui/Typeset';
import { sayMm } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { look } from '../../state/view';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Choices } from '../Choices';
import { Lock } from '../Lock';
import { ofSheet, TakeAway } from '../TakeAway';
import { Weights } from '../Weights';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { FixedHeights } from './FixedHeights';
import { RealUnits } from './RealUnits';

/** The height against whole courses, and the ways to bring them together. */
export function Gauge(props: PanelProps): ReactNode {
  const { job, view, show } = props;
  const { set } = useWallFields(job, view);
  const refusal = useOpenJob((s) => s.refusal);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const beds = view.courses.map((c) => c.bed);
  const [least, most] = view.wall.bedLimits;
  const rendered = view.wall.hiddenTo === Infinity;
  return (
    <>
      <Section
        title="Courses"
        aside={
          <span className="figures text-small">
            {view.courses.length} in <Typeset words={sayMm(view.wall.built, show)} />
          </span>
        }
      >
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            label="Height"
            counts="courses"
            name="height"
            value={view.wall.height}
            {...measure}
            onChange={(v) => set('/height', v)}
          />
          <LengthField
            label="Bed, target"
            name="bed"
            value={view.wall.bed}
            {...measure}
            onChange={(v) => set('/build/bed', v)}
          />
        </div>
        <p className="text-small text-soft">
          Beds come to{' '}
          <span className="figures text-ink">
            <Typeset words={sayMm(Math.min(...beds), show)} />
          </span>
          {Math.max(...beds) - Math.min(...beds) > 0.05 && (
            <>
              {' '}
              to{' '}
              <span className="figures text-ink">
                <Typeset words={sayMm(Math.max(...beds), show)} />
              </span>
            </>
          )}
          ; they may be <Typeset words={sayMm(least, show)} /> to <Typeset words={sayMm(most, show)} />.{' '}
          <button
            className="min-h-6 font-semibold text-chalk underline"
            aria-haspopup="dialog"
            onClick={() => look({ figure: `${view.wall.id}/wall/bed` })}
          >
            How the bed is found
          </button>
        </p>
        <p role="alert" className="font-semibold text-fault">
          {refusal}
        </p>
      </Section>
      <Section title="Ways to reach the heights" aside={<Lock {...props} stage="gauge" />}>
        <Choices
          choices={view.choices.filter((c) => c.stage === 'gauge')}
          weighed={view.weighed}
          show={show}
        />
      </Section>
      <Weights {...props} stage="gauge" />
      <FixedHeights {...props} />
      <Section title="What will be seen">
        <div className="grid grid-cols-2 gap-3">
          <Pick
            label="The face"
            value={rendered ? 'rendered' : 'fair'}
            options={[
              ['fair', 'stays in sight'],
              ['rendered', 'is rendered'],
            ]}
            onChange={(v) => set('/build/face', { finish: v })}
          />
          {!rendered && (
            <LengthField
              label="Hidden up to"
              counts="courses"
              value={view.wall.hiddenTo}
              {...measure}
              onChange={(v) => set('/build/face', { hiddenTo: v })}
            />
          )}
        </div>
        <p className="text-small text-soft">
          Beds that soil, a skirting or render will hide may be fatter or thinner, and nobody counts the
          change.
        </p>
      </Section>
      <RealUnits {...props} />
      <TakeAway
        {...props}
        title="Take the pole"
        which={ofSheet('pole')}
        says="Cumulative marks from the base, nail spacing, and a small full-size gauge with a ruler to check the printer by."
      />
    </>
  );
}
