import { millimetres, stated, toMillimetres, writeLength, type OldWall, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';
import { OldGauge } from './OldGauge';
import { OldLean } from './OldLean';

/** The wall this one meets or stands on: its gauge against yours, its lean, and the way back to plumb. */
export function OldWallPart(props: PanelProps): ReactNode {
  const { job, view, show } = props;
  const tell = useTell();
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}/old`;
  const old = job.walls[view.wall.index]?.old;
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
  const { lean } = view.survey;
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
      <OldGauge {...props} />
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
      <OldLean {...props} fade={old.fade ?? 6} />
    </Fold>
  );
}
