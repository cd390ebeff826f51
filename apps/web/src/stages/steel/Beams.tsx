import type { BeamCourse, Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { barOptions } from './barOptions';

type Where = 'top' | 'over-openings' | 'course';
const WHERE: readonly (readonly [Where, Message])[] = [
  ['top', AT_STEEL.inTheTopCourse],
  ['over-openings', AT_STEEL.overOpenings],
  ['course', AT_STEEL.inACourse],
];
const whereOf = (course: BeamCourse): Where => (typeof course === 'number' ? 'course' : course);

/** Beams in chosen courses: units with a trough, bars in it, grouted full. */
export function Beams({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set } = useWallFields(job, view);
  const beams = view.steel.steel?.beams ?? [];
  const path = `/walls/${view.wall.index}/steel/beams`;
  const bar = show === 'mm' ? 'T12' : '#4';
  const add = (): void => {
    const entry = { course: beams.some((b) => b.course === 'top') ? 'over-openings' : 'top', bar, count: 2 };
    if (job.walls[view.wall.index]?.steel?.beams) edit([{ op: 'add', path: `${path}/-`, value: entry }]);
    else set('/steel/beams', [entry]);
  };
  return (
    <Listed
      title={tell(AT_STEEL.beams)}
      one={AT_STEEL.beam}
      add={AT_STEEL.addBeam}
      none={tell(AT_STEEL.noneABeamTies)}
      items={beams}
      keyOf={(b) => String(b.index)}
      onAdd={add}
      onRemove={(b) => edit([{ op: 'remove', path: `${path}/${b.index}` }])}
    >
      {(b) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <Pick
            label={tell(AT_STEEL.where)}
            value={whereOf(b.course)}
            options={WHERE}
            onChange={(w) =>
              set(`/steel/beams/${b.index}/course`, w === 'course' ? Math.max(1, view.wall.count - 4) : w)
            }
          />
          {typeof b.course === 'number' ? (
            <NumberField
              label={tell(AT_STEEL.course)}
              value={b.course}
              most={view.wall.count}
              onChange={(n) => set(`/steel/beams/${b.index}/course`, n)}
            />
          ) : (
            <span />
          )}
          <Pick
            label={tell(AT_STEEL.bar)}
            value={b.bar}
            options={barOptions(show)}
            onChange={(v) => set(`/steel/beams/${b.index}/bar`, v)}
          />
          <NumberField
            label={tell(AT_STEEL.howMany)}
            value={b.count}
            most={20}
            onChange={(n) => set(`/steel/beams/${b.index}/count`, n)}
          />
        </div>
      )}
    </Listed>
  );
}
