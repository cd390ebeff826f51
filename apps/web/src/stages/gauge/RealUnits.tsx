import { Typeset } from '../../ui/Typeset';
import { sayMm, stated, toMillimetres, type Stated } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { MeasuredField } from '../../ui/MeasuredField';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const read = (list: readonly Stated[] | undefined): number[] =>
  (list ?? []).map((s) => toMillimetres(stated(s)));

/** Units measured before the first course: mean, spread and the least joint that hides it. */
export function RealUnits({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const samples = job.walls[view.wall.index]?.build.samples;
  const say = (n: number): string => sayMm(n, show);
  const keep =
    (key: 'height' | 'length') =>
    (values: Stated[]): boolean => {
      if (values.length > 0) {
        if (samples) return set(`/build/samples/${key}`, values);
        return edit([{ op: 'add', path: `${path}/build/samples`, value: { [key]: values } }]);
      }
      return samples?.[key] ? edit([{ op: 'remove', path: `${path}/build/samples/${key}` }]) : true;
    };
  return (
    <Section title="Real units">
      <MeasuredField
        label="Heights measured, ten or more"
        values={read(samples?.height)}
        show={show}
        onChange={keep('height')}
      />
      <MeasuredField
        label="Lengths measured"
        values={read(samples?.length)}
        show={show}
        onChange={keep('length')}
      />
      {view.samples.map((s) => (
        <p key={s.size} className="text-small text-soft">
          {s.count} {s.size === 'height' ? 'heights' : 'lengths'}: mean{' '}
          <b className="figures text-ink">
            <Typeset words={say(s.mean)} />
          </b>
          , from <Typeset words={say(s.least)} /> to <Typeset words={say(s.most)} />. A{' '}
          {s.size === 'height' ? 'bed' : 'perp'} of at least{' '}
          <b className="figures text-ink">
            <Typeset words={say(s.leastJoint)} />
          </b>{' '}
          hides that; this one is <Typeset words={say(s.joint)} />.
        </p>
      ))}
    </Section>
  );
}
