import type { Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { useWallList } from '../useWallList';
import { written } from '../written';

const BEAMS: readonly (readonly ['dowelled' | 'cut', Message])[] = [
  ['dowelled', AT_STEEL.dowelled],
  ['cut', AT_STEEL.stopNothingAcross],
];

/** A reason typed and kept when the field is left. */
function Reason({ value, onKeep }: { value: string; onKeep: (text: string) => void }): ReactNode {
  const tell = useTell();
  const [text, setText] = useState(value);
  return (
    <label className="col-span-2 block text-small text-soft">
      {tell(AT_STEEL.refusedBecause)}
      <input
        className="entry font-sans"
        value={text}
        maxLength={200}
        onChange={(e) => setText(e.currentTarget.value)}
        onBlur={() => text.trim() !== '' && text !== value && onKeep(text.trim())}
      />
    </label>
  );
}

/** Movement joints of this run: where they stand, what beams do there, and those refused with their reason. */
export function Joints({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const list = useWallList(job, view, 'joints', 'J');
  const { set, clear } = useWallFields(job, view);
  const { joints, jointEvery, jointRule } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const own = job.walls[view.wall.index]?.jointEvery !== undefined;
  const perp = view.jambs.reduce(
    (best, x) => (Math.abs(x - length / 2) < Math.abs(best - length / 2) ? x : best),
    length / 2,
  );
  return (
    <Listed
      title={tell(AT_STEEL.movementJoints)}
      one={AT_STEEL.joint}
      add={AT_STEEL.addJoint}
      none={tell(AT_STEEL.noneInThisRun)}
      items={joints}
      keyOf={(j) => j.id}
      onAdd={() => list.add({ run: view.run, at: written(perp + view.wall.head / 2, show) })}
      onRemove={(j) => list.remove(j.index)}
      after={
        <>
          {jointEvery !== null && (
            <p className="text-small text-soft">
              <Told said={AT_STEEL.jointsApart({ every: jointEvery, rule: jointRule })} />
            </p>
          )}
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label={tell(AT_STEEL.howFar)}
              value={own ? 'own' : 'rule'}
              options={[
                ['rule', AT_STEEL.byRule],
                ['own', AT_STEEL.byDrawing],
              ]}
              onChange={(v) =>
                v === 'own' ? set('/jointEvery', show === 'mm' ? 6000 : "60'") : clear('/jointEvery')
              }
            />
            {own && (
              <LengthField
                label={tell(AT_STEEL.jointToJoint)}
                counts="units"
                value={jointEvery ?? 0}
                {...measure}
                onChange={(v) => set('/jointEvery', v)}
              />
            )}
          </div>
        </>
      }
    >
      {(j) => (
        <div className="grid grid-cols-2 gap-x-3 gap-y-1">
          <LengthField
            label={tell(AT_STEEL.middleFromTheStart)}
            counts="units"
            value={(j.from + j.to) / 2}
            {...measure}
            onChange={(v) => list.set(j.index, 'at', v)}
          />
          <LengthField
            label={tell(AT_STEEL.width)}
            value={j.to - j.from}
            {...measure}
            onChange={(v) => list.set(j.index, 'width', v)}
          />
          {j.refused === null ? (
            <>
              <Pick
                label={tell(AT_STEEL.beamsThere)}
                value={j.beams}
                options={BEAMS}
                onChange={(v) => list.set(j.index, 'beams', v)}
              />
              <button
                className="press-plain self-end"
                onClick={() => list.set(j.index, 'refused', tell(AT_STEEL.notWanted))}
              >
                {tell(AT_STEEL.refuseIt)}
              </button>
            </>
          ) : (
            <>
              <Reason value={j.refused} onKeep={(text) => list.set(j.index, 'refused', text)} />
              <button className="press-plain col-span-2" onClick={() => clear(`/joints/${j.index}/refused`)}>
                {tell(AT_STEEL.haveItAfterAll)}
              </button>
            </>
          )}
        </div>
      )}
    </Listed>
  );
}
