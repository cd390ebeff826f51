import { Typeset } from '../../ui/Typeset';
import { showArea, showVolume, sayMm, type Retains } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const MORE: readonly (readonly [keyof Retains & ('surcharge' | 'slope' | 'water' | 'building'), string])[] = [
  ['surcharge', 'something stands or drives on it'],
  ['slope', 'it slopes up from the wall'],
  ['water', 'water comes to it'],
  ['building', 'a building is near'],
];

/** Ground the wall holds back: asked for, drained, and never approved. */
export function GroundHeld({ job, view, show }: PanelProps): ReactNode {
  const { set, clear } = useWallFields(job, view);
  const { retains, behind } = view.steel;
  const stated = job.walls[view.wall.index]?.retains;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const metres = (m: number): string =>
    show === 'mm' ? `${m.toFixed(1)} m` : `${(m / 0.3048).toFixed(0)} ft`;
  return (
    <Fold
      title="Ground held back"
      aside={retains ? sayMm(retains.height, show) : 'none'}
      open={retains !== null}
    >
      {!retains && (
        <button
          className="press-plain"
          onClick={() => set('/retains', { height: show === 'mm' ? 300 : "1'" })}
        >
          It holds ground back
        </button>
      )}
      {retains && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label="Ground held"
              value={retains.height}
              {...measure}
              onChange={(v) => set('/retains/height', v)}
            />
            <Pick
              label="On which side"
              value={retains.side}
              options={[
                ['outside', 'outside'],
                ['inside', 'inside'],
              ]}
              onChange={(v) => set('/retains/side', v)}
            />
            <LengthField
              label="Drainage stone"
              value={retains.stone}
              {...measure}
              onChange={(v) => set('/retains/stone', v)}
            />
            <LengthField
              label="Back a course"
              value={retains.stepBack}
              {...measure}
              onChange={(v) => set('/retains/stepBack', v)}
            />
            <Pick
              label="Water comes out by"
              value={retains.weeps}
              options={[
                ['open-perps', 'open perps'],
                ['pipes', 'weep pipes'],
              ]}
              onChange={(v) => set('/retains/weeps', v)}
            />
            <LengthField
              label="No further apart than"
              value={retains.weepsEvery}
              {...measure}
              onChange={(v) => set('/retains/weepsEvery', v)}
            />
          </div>
          <fieldset>
            <legend className="text-small text-soft">And</legend>
            {MORE.map(([key, says]) => (
              <label key={key} className="flex min-h-7 items-center gap-2">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-chalk"
                  checked={stated?.[key] === true}
                  onChange={() => (stated?.[key] ? clear(`/retains/${key}`) : set(`/retains/${key}`, true))}
                />
                {says}
              </label>
            ))}
          </fieldset>
          {behind && (
            <p className="text-small">
              Behind it: <span className="figures">{showVolume(behind.stone, show)}</span> of stone,{' '}
              <span className="figures">
                <Typeset words={metres(behind.pipe)} />
              </span>{' '}
              of pipe, <span className="figures">{showArea(behind.fabric, show)}</span> of fabric,{' '}
              <span className="figures">{showArea(behind.waterproofing, show)}</span> of waterproofing,{' '}
              {behind.weeps} {retains.weeps === 'pipes' ? 'weep pipes' : 'open perps'}
              {behind.lean > 0 ? `; the top stands ${sayMm(behind.lean, show)} back` : ''}.
            </p>
          )}
          <button className="press-plain" onClick={() => clear('/retains')}>
            It holds none back
          </button>
        </>
      )}
    </Fold>
  );
}
