import { type Message, sayMm, type Top } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';
import { useWallList } from '../useWallList';
import { written } from '../written';

const KINDS: readonly (readonly [Top['kind'], Message])[] = [
  ['raked', AT_BOND.rakedAStraightSlope],
  ['stepped', AT_BOND.steppedInCourses],
  ['scallop', AT_BOND.scallop],
  ['ramp', AT_BOND.aRampSweptUp],
];

/** What the saw is set to for a top: length on the bed, and the height of either end. */
function CutList({ view, show }: PanelProps): ReactNode {
  const tell = useTell();
  if (view.raked.length === 0) return null;
  const say = (mm: number): string => sayMm(mm, show);
  return (
    <table className="w-full text-small">
      <caption className="text-left font-bold">
        {tell(AT_BOND.cutList({ count: view.raked.reduce((sum, c) => sum + c.count, 0) }))}
      </caption>
      <thead>
        <tr className="text-left text-soft">
          <th className="font-normal">{tell(AT_BOND.courseHead)}</th>
          <th className="text-right font-normal">{tell(AT_BOND.no)}</th>
          <th className="text-right font-normal">{tell(AT_BOND.onTheBed)}</th>
          <th className="text-right font-normal">{tell(AT_BOND.leftRight)}</th>
        </tr>
      </thead>
      <tbody>
        {view.raked.map((c, i) => (
          <tr key={i} className="border-t border-rule">
            <td className="figures">
              {c.courses[0]}
              {c.courses[1] > c.courses[0] ? `–${c.courses[1]}` : ''}
            </td>
            <td className="figures text-right">{c.count}</td>
            <td className="figures text-right">
              <Typeset words={say(c.bed)} />
            </td>
            <td className="figures text-right">
              <Typeset words={say(c.left)} /> × <Typeset words={say(c.right)} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Gables, steps, scallops and ramps of this run, and the list of their cuts. */
export function Tops(props: PanelProps): ReactNode {
  const tell = useTell();
  const { job, view, show } = props;
  const list = useWallList(job, view, 'tops', 'T');
  const stated = job.walls[view.wall.index]?.tops ?? [];
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const add = (): void => {
    const from = Math.max(0, ...view.tops.map((t) => t.to));
    const clear = from < length - view.wall.module ? from : 0;
    list.add({
      run: view.run,
      kind: 'raked',
      from: written(clear, show),
      to: written(length, show),
      left: written(view.wall.height, show),
      right: written(Math.max(view.wall.pitch * 2, view.wall.height - view.wall.pitch * 4), show),
    });
  };
  const change = (index: number, kind: Top['kind']): void => {
    const dip = written(view.wall.pitch * 3, show);
    if (kind === 'scallop' && stated[index]?.dip === undefined) list.set(index, 'dip', dip);
    list.set(index, 'kind', kind);
  };
  return (
    <Listed
      title={tell(AT_BOND.tops)}
      one={AT_BOND.top}
      add={AT_BOND.addTop}
      none={tell(AT_BOND.levelAllAlongA)}
      items={view.tops}
      keyOf={(t) => t.id}
      onAdd={add}
      onRemove={(t) => list.remove(t.index)}
      after={<CutList {...props} />}
    >
      {(t) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <div className="col-span-2">
            <Pick
              label={tell(AT_BOND.topNo({ id: t.id }))}
              value={t.kind}
              options={KINDS}
              onChange={(k) => change(t.index, k)}
            />
          </div>
          <LengthField
            label={tell(AT_BOND.from)}
            counts="units"
            value={t.from}
            {...measure}
            onChange={(v) => list.set(t.index, 'from', v)}
          />
          <LengthField
            label={tell(AT_BOND.to)}
            counts="units"
            value={t.to}
            {...measure}
            onChange={(v) => list.set(t.index, 'to', v)}
          />
          <LengthField
            label={tell(AT_BOND.heightWhereItBegins)}
            counts="courses"
            value={t.segments[0]?.left ?? 0}
            {...measure}
            onChange={(v) => list.set(t.index, 'left', v)}
          />
          <LengthField
            label={tell(AT_BOND.heightWhereItEnds)}
            counts="courses"
            value={t.segments.at(-1)?.right ?? 0}
            {...measure}
            onChange={(v) => list.set(t.index, 'right', v)}
          />
          {t.kind === 'stepped' && (
            <NumberField
              label={tell(AT_BOND.coursesInAStep)}
              value={stated[t.index]?.step ?? 1}
              most={100}
              onChange={(n) => list.set(t.index, 'step', n)}
            />
          )}
          {t.kind === 'scallop' && (
            <LengthField
              label={tell(AT_BOND.hangsBy)}
              value={Math.max(
                0,
                ((t.segments[0]?.left ?? 0) + (t.segments.at(-1)?.right ?? 0)) / 2 -
                  (t.segments[t.segments.length / 2]?.left ?? 0),
              )}
              {...measure}
              onChange={(v) => list.set(t.index, 'dip', v)}
            />
          )}
        </div>
      )}
    </Listed>
  );
}
