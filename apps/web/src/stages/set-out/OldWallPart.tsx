import { Typeset } from '../../ui/Typeset';
import { Measure } from '../../ui/Measure';
import {
  millimetres,
  sayMm,
  stated,
  toMillimetres,
  writeLength,
  type OldWall,
  type Stated,
} from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';

const ANSWERS = { keep: 'Keep your joint', take: 'Take theirs', share: 'Go half way' } as const;

/** The wall this one meets or stands on: its gauge against yours, its lean, and the way back to plumb. */
export function OldWallPart({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}/old`;
  const old = job.walls[view.wall.index]?.old;
  const say = (n: number): string => sayMm(n, show);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const mm = (s: Stated | undefined, otherwise: number): number =>
    s === undefined ? otherwise : toMillimetres(stated(s));
  const put = (key: keyof OldWall) => (value: Stated | number) =>
    edit([{ op: 'add', path: `${path}/${key}`, value }]);
  const text = (n: number): Stated => writeLength(millimetres(n), show);
  if (!old) {
    return (
      <Fold title="The old wall" aside="none">
        <button
          className="press"
          onClick={() =>
            edit([
              {
                op: 'add',
                path,
                value: {
                  height: text(view.wall.pitch * 4),
                  courses: 4,
                  gap: 0,
                  over: text(show === 'mm' ? 1200 : 1219.2),
                },
              },
            ])
          }
        >
          This wall meets an old one
        </button>
      </Fold>
    );
  }
  const { drifts, lean, fade } = view.survey;
  return (
    <Fold
      title="The old wall"
      aside={lean ? (lean.perMetre === 0 ? 'plumb' : `leans 1 in ${Math.abs(lean.oneIn).toFixed(0)}`) : ''}
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField label="Height over" value={mm(old.height, 0)} {...measure} onChange={put('height')} />
        <label className="block text-small text-soft">
          of its courses
          <input
            className="entry"
            type="number"
            min={1}
            max={1000}
            value={old.courses ?? 4}
            onChange={(e) => put('courses')(Math.max(1, Math.floor(Number(e.currentTarget.value) || 1)))}
          />
        </label>
      </div>
      {drifts.length > 0 && (
        <table className="w-full text-small">
          <caption className="text-left font-bold">Your gauge against theirs</caption>
          <tbody>
            {drifts.map((d) => (
              <tr key={d.answer} className="border-t border-rule">
                <td>
                  {ANSWERS[d.answer]}, <Measure mm={d.bed} show={show} said />
                </td>
                <td className="figures text-right">
                  {Math.abs(d.perCourse) < 0.05
                    ? 'runs level'
                    : `${say(Math.abs(d.atTop))} ${d.atTop > 0 ? 'over' : 'under'} at the top`}
                </td>
                <td className="text-right">
                  {d.meets !== null && Math.abs(d.perCourse) >= 0.05 ? `meets after ${d.meets}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField
          label="Gap, out (+) or in (−)"
          value={mm(old.gap, 0)}
          {...measure}
          signed
          onChange={put('gap')}
        />
        <LengthField label="over a level of" value={mm(old.over, 1200)} {...measure} onChange={put('over')} />
        <LengthField
          label="The old wall’s height"
          value={mm(old.wallHeight, 0)}
          {...measure}
          onChange={put('wallHeight')}
        />
        <label className="block text-small text-soft">
          Courses back to plumb
          <input
            className="entry"
            type="number"
            min={1}
            max={1000}
            value={old.fade ?? 6}
            onChange={(e) => put('fade')(Math.max(1, Math.floor(Number(e.currentTarget.value) || 1)))}
          />
        </label>
      </div>
      {lean && (
        <p>
          Leans <b className="figures">{lean.perMetre.toFixed(1)}</b> mm in a metre,{' '}
          <b className="figures">{((lean.perMetre / 1000) * 12).toFixed(3)}</b> in a foot,{' '}
          {lean.degrees.toFixed(2)}°.
        </p>
      )}
      {fade && (
        <>
          <table className="w-full text-small">
            <caption className="text-left font-bold">
              Fade to plumb: how far each course stands out of the old foot
            </caption>
            <tbody>
              {fade.courses.slice(0, (old.fade ?? 6) + 1).map((c) => (
                <tr
                  key={c.course}
                  className={`border-t border-rule ${c.inMiddleThird ? '' : 'font-semibold text-fault'}`}
                >
                  <td>course {c.course}</td>
                  <td className="figures text-right">
                    <Typeset words={say(c.offset)} />
                  </td>
                  <td className="figures text-right">
                    back <Typeset words={say(c.back)} />
                  </td>
                  <td className="text-right">{c.inMiddleThird ? '' : 'outside'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-small text-soft">
            The rival is to take it down to where it is plumb: up to {fade.takeDown.toFixed(2)} m³ for each
            metre of wall. Staying inside the middle third is no approval; it only says that this check found
            nothing.
          </p>
        </>
      )}
    </Fold>
  );
}
