import { stated, toMillimetres, type Stated } from '@even-tally/core';
import { AT_GAUGE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { MeasuredField } from '../../ui/MeasuredField';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const read = (list: readonly Stated[] | undefined): number[] =>
  (list ?? []).map((s) => toMillimetres(stated(s)));

/** Units measured before the first course: mean, spread and the least joint that hides it. */
export function RealUnits({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const samples = job.walls[view.wall.index]?.build.samples;
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
    <Section title={tell(AT_GAUGE.realUnits)}>
      <MeasuredField
        label={tell(AT_GAUGE.heightsMeasuredTenOr)}
        values={read(samples?.height)}
        show={show}
        onChange={keep('height')}
      />
      <MeasuredField
        label={tell(AT_GAUGE.lengthsMeasured)}
        values={read(samples?.length)}
        show={show}
        onChange={keep('length')}
      />
      {view.wall.family === 'adobe' && <p className="text-small text-soft">{tell(AT_GAUGE.sortAdobes)}</p>}
      {view.samples.map((s) => (
        <p key={s.size} className="text-small text-soft">
          <Told
            said={AT_GAUGE.sampleSays({
              count: s.count,
              size: s.size,
              mean: s.mean,
              from: s.least,
              to: s.most,
              least: s.leastJoint,
              joint: s.joint,
            })}
          />
        </p>
      ))}
    </Section>
  );
}
