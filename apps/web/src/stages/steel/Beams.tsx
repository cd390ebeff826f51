import { Typeset } from '../../ui/Typeset';
import type { BeamCourse } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { Fold } from '../../ui/Fold';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { barOptions } from './Uprights';

type Where = 'top' | 'over-openings' | 'course';
const WHERE: readonly (readonly [Where, string])[] = [
  ['top', 'in the top course'],
  ['over-openings', 'over openings'],
  ['course', 'in a course'],
];
const whereOf = (course: BeamCourse): Where => (typeof course === 'number' ? 'course' : course);

/** Beams in chosen courses: units with a trough, bars in it, grouted full. */
export function Beams({ job, view, show }: PanelProps): ReactNode {
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
      title="Beams"
      one="beam"
      none="None. A beam ties the wall’s top, or carries over openings."
      items={beams}
      keyOf={(b) => String(b.index)}
      onAdd={add}
      onRemove={(b) => edit([{ op: 'remove', path: `${path}/${b.index}` }])}
    >
      {(b) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <Pick
            label="Where"
            value={whereOf(b.course)}
            options={WHERE}
            onChange={(w) =>
              set(`/steel/beams/${b.index}/course`, w === 'course' ? Math.max(1, view.wall.count - 4) : w)
            }
          />
          {typeof b.course === 'number' ? (
            <NumberField
              label="Course"
              value={b.course}
              most={view.wall.count}
              onChange={(n) => set(`/steel/beams/${b.index}/course`, n)}
            />
          ) : (
            <span />
          )}
          <Pick
            label="Bar"
            value={b.bar}
            options={barOptions(show)}
            onChange={(v) => set(`/steel/beams/${b.index}/bar`, v)}
          />
          <NumberField
            label="How many"
            value={b.count}
            most={20}
            onChange={(n) => set(`/steel/beams/${b.index}/count`, n)}
          />
        </div>
      )}
    </Listed>
  );
}

const KINDS: readonly (readonly ['none' | 'ladder' | 'wire' | 'bars', string])[] = [
  ['none', 'nothing in the beds'],
  ['ladder', 'ladder or truss wire'],
  ['wire', 'plain wire'],
  ['bars', 'two bars'],
];

/** Reinforcement in the beds and straps at corners; bars in the footing. */
export function Beds({ job, view, show }: PanelProps): ReactNode {
  const { set, clear } = useWallFields(job, view);
  const { steel, bed } = view.steel;
  const now = steel?.bed ?? null;
  const bar = show === 'mm' ? 'T12' : '#4';
  const metres = (m: number): string =>
    show === 'mm' ? `${m.toFixed(1)} m` : `${(m / 0.3048).toFixed(0)} ft`;
  return (
    <Fold
      title="In the beds"
      aside={
        now ? `every ${now.every === 1 ? '' : `${now.every} `}course${now.every === 1 ? '' : 's'}` : 'none'
      }
    >
      <div className="grid grid-cols-2 gap-3">
        <Pick
          label="Laid in the bed"
          value={now?.kind ?? 'none'}
          options={KINDS}
          onChange={(k) =>
            k === 'none'
              ? clear('/steel/bed')
              : set('/steel/bed', {
                  every: now?.every ?? (view.wall.family === 'adobe' ? 3 : 2),
                  kind: k,
                  ...(k === 'bars' ? { bar } : {}),
                })
          }
        />
        {now && (
          <NumberField
            label="Courses apart"
            value={now.every}
            most={100}
            onChange={(n) => set('/steel/bed/every', n)}
          />
        )}
      </div>
      {bed && (
        <p className="text-small">
          {bed.courses} beds:{' '}
          <span className="figures">
            <Typeset words={metres(bed.net)} />
          </span>{' '}
          in the wall,{' '}
          <span className="figures">
            <Typeset words={metres(bed.withLaps)} />
          </span>{' '}
          with laps, in {bed.pieces} pieces
          {bed.corners > 0 ? ` and ${bed.corners} corner pieces` : ''}. Stopped at movement joints.
        </p>
      )}
      <Pick
        label="Straps round corners"
        value={steel?.straps ? String(steel.straps) : '0'}
        options={[0, 1, 2, 3, 4, 6].map(
          (n) => [String(n), n === 0 ? 'none' : n === 1 ? 'every course' : `every ${n} courses`] as const,
        )}
        onChange={(n) => (n === '0' ? clear('/steel/straps') : set('/steel/straps', { every: Number(n) }))}
      />
      <Pick
        label="In the footing"
        value={steel?.footing ? String(steel.footing.count) : '0'}
        options={[0, 1, 2, 3, 4, 5, 6].map(
          (n) => [String(n), n === 0 ? 'no bars' : n === 1 ? 'one bar' : `${n} bars`] as const,
        )}
        onChange={(n) =>
          n === '0'
            ? clear('/steel/footing')
            : set('/steel/footing', { bar: steel?.footing?.bar ?? bar, count: Number(n) })
        }
      />
      {steel?.footing && (
        <Pick
          label="Bar in the footing"
          value={steel.footing.bar}
          options={barOptions(show)}
          onChange={(v) => set('/steel/footing/bar', v)}
        />
      )}
    </Fold>
  );
}
