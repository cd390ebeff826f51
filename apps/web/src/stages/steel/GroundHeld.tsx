import { sayMm, type Retains, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const MORE: readonly (readonly [keyof Retains & ('surcharge' | 'slope' | 'water' | 'building'), Message])[] =
  [
    ['surcharge', AT_STEEL.somethingStandsOrDrives],
    ['slope', AT_STEEL.slopesUp],
    ['water', AT_STEEL.waterComes],
    ['building', AT_STEEL.aBuildingIsNear],
  ];

/** Ground the wall holds back: asked for, drained, and never approved. */
export function GroundHeld({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const { retains, behind } = view.steel;
  const stated = job.walls[view.wall.index]?.retains;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <Fold
      title={tell(AT_STEEL.groundHeldBack)}
      aside={retains ? sayMm(retains.height, show) : tell(AT_STEEL.none)}
      open={retains !== null}
    >
      {!retains && (
        <button
          className="press-plain"
          onClick={() => set('/retains', { height: show === 'mm' ? 300 : "1'" })}
        >
          {tell(AT_STEEL.itHoldsGroundBack)}
        </button>
      )}
      {retains && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label={tell(AT_STEEL.groundHeld)}
              value={retains.height}
              {...measure}
              onChange={(v) => set('/retains/height', v)}
            />
            <Pick
              label={tell(AT_STEEL.onWhichSide)}
              value={retains.side}
              options={[
                ['outside', AT_STEEL.outside],
                ['inside', AT_STEEL.inside],
              ]}
              onChange={(v) => set('/retains/side', v)}
            />
            <LengthField
              label={tell(AT_STEEL.drainageStone)}
              value={retains.stone}
              {...measure}
              onChange={(v) => set('/retains/stone', v)}
            />
            <LengthField
              label={tell(AT_STEEL.backACourse)}
              value={retains.stepBack}
              {...measure}
              onChange={(v) => set('/retains/stepBack', v)}
            />
            <Pick
              label={tell(AT_STEEL.waterComesOutBy)}
              value={retains.weeps}
              options={[
                ['open-perps', AT_STEEL.openPerps],
                ['pipes', AT_STEEL.weepPipes],
              ]}
              onChange={(v) => set('/retains/weeps', v)}
            />
            <LengthField
              label={tell(AT_STEEL.noFurtherApartThan)}
              value={retains.weepsEvery}
              {...measure}
              onChange={(v) => set('/retains/weepsEvery', v)}
            />
          </div>
          <fieldset>
            <legend className="text-small text-soft">{tell(AT_STEEL.and)}</legend>
            {MORE.map(([key, says]) => (
              <label key={key} className="flex min-h-7 items-center gap-2">
                <input
                  type="checkbox"
                  className="h-4 w-4 accent-chalk"
                  checked={stated?.[key] === true}
                  onChange={() => (stated?.[key] ? clear(`/retains/${key}`) : set(`/retains/${key}`, true))}
                />
                {tell(says)}
              </label>
            ))}
          </fieldset>
          {behind && (
            <p className="text-small">
              <Told
                said={AT_STEEL.behindIt({
                  stone: behind.stone,
                  pipe: behind.pipe,
                  fabric: behind.fabric,
                  proof: behind.waterproofing,
                  weeps: behind.weeps,
                  kind: retains.weeps === 'pipes' ? 'pipes' : 'perps',
                  leans: behind.lean > 0 ? 'yes' : 'no',
                  lean: behind.lean,
                })}
              />
            </p>
          )}
          <button className="press-plain" onClick={() => clear('/retains')}>
            {tell(AT_STEEL.itHoldsNoneBack)}
          </button>
        </>
      )}
    </Fold>
  );
}
