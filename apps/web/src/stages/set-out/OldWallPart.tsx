import {
  millimetres,
  sayMm,
  stated,
  toMillimetres,
  writeLength,
  type OldWall,
  type Stated,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Told } from '../../ui/Told';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';

const ANSWERS = {
  keep: AT_SET_OUT.keepYourJoint,
  take: AT_SET_OUT.takeTheirs,
  share: AT_SET_OUT.goHalfWay,
} as const;

/** The wall this one meets or stands on: its gauge against yours, its lean, and the way back to plumb. */
export function OldWallPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
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
      <Fold title={tell(AT_SET_OUT.theOldWall)} aside={tell(AT_SET_OUT.none)}>
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
          {tell(AT_SET_OUT.thisWallMeetsAn)}
        </button>
      </Fold>
    );
  }
  const { drifts, lean, fade } = view.survey;
  return (
    <Fold
      title={tell(AT_SET_OUT.theOldWall)}
      aside={
        lean
          ? lean.perMetre === 0
            ? tell(AT_SET_OUT.plumb)
            : tell(AT_SET_OUT.leans1In({ n: Math.round(Math.abs(lean.oneIn)) }))
          : ''
      }
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField
          label={tell(AT_SET_OUT.heightOver)}
          value={mm(old.height, 0)}
          {...measure}
          onChange={put('height')}
        />
        <label className="block text-small text-soft">
          {tell(AT_SET_OUT.ofCourses)}
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
          <caption className="text-left font-bold">{tell(AT_SET_OUT.yourGaugeAgainstTheirs)}</caption>
          <tbody>
            {drifts.map((d) => (
              <tr key={d.answer} className="border-t border-rule">
                <td>
                  <Told said={AT_SET_OUT.answerBed({ answer: ANSWERS[d.answer], bed: d.bed })} />
                </td>
                <td className="figures text-right">
                  {Math.abs(d.perCourse) < 0.05
                    ? tell(AT_SET_OUT.runsLevel)
                    : tell(
                        AT_SET_OUT.driftAt({ by: Math.abs(d.atTop), way: d.atTop > 0 ? 'over' : 'under' }),
                      )}
                </td>
                <td className="text-right">
                  {d.meets !== null && Math.abs(d.perCourse) >= 0.05
                    ? tell(AT_SET_OUT.meetsAfter({ count: d.meets }))
                    : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <LengthField
          label={tell(AT_SET_OUT.gapOutOrIn)}
          value={mm(old.gap, 0)}
          {...measure}
          signed
          onChange={put('gap')}
        />
        <LengthField
          label={tell(AT_SET_OUT.overALevelOf)}
          value={mm(old.over, 1200)}
          {...measure}
          onChange={put('over')}
        />
        <LengthField
          label={tell(AT_SET_OUT.theOldWallsHeight)}
          value={mm(old.wallHeight, 0)}
          {...measure}
          onChange={put('wallHeight')}
        />
        <label className="block text-small text-soft">
          {tell(AT_SET_OUT.coursesBackToPlumb)}
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
          {tell(
            AT_SET_OUT.leansBy({
              metre: Number(lean.perMetre.toFixed(1)),
              foot: Number(((lean.perMetre / 1000) * 12).toFixed(3)),
              degrees: Number(lean.degrees.toFixed(2)),
            }),
          )}
        </p>
      )}
      {fade && (
        <>
          <table className="w-full text-small">
            <caption className="text-left font-bold">{tell(AT_SET_OUT.fadeToPlumbHow)}</caption>
            <tbody>
              {fade.courses.slice(0, (old.fade ?? 6) + 1).map((c) => (
                <tr
                  key={c.course}
                  className={`border-t border-rule ${c.inMiddleThird ? '' : 'font-semibold text-fault'}`}
                >
                  <td>{tell(AT_SET_OUT.courseNo({ course: c.course }))}</td>
                  <td className="figures text-right">
                    <Typeset words={say(c.offset)} />
                  </td>
                  <td className="figures text-right">
                    <Told said={AT_SET_OUT.backBy({ by: c.back })} />
                  </td>
                  <td className="text-right">{c.inMiddleThird ? '' : tell(AT_SET_OUT.outside)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-small text-soft">
            {tell(AT_SET_OUT.rival({ m3: Number(fade.takeDown.toFixed(2)) }))}
          </p>
        </>
      )}
    </Fold>
  );
}
