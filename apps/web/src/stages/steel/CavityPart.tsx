import { sayMm, UNITS } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** A leaf of another unit behind a cavity, and everything that goes into and across it. */
export function CavityPart({ job, view, show }: PanelProps): ReactNode {
  const { set, clear } = useWallFields(job, view);
  const { cavity } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const say = (n: number): string => sayMm(n, show);
  const metres = (m: number): string =>
    show === 'mm' ? `${m.toFixed(1)} m` : `${(m / 0.3048).toFixed(0)} ft`;
  const units = [
    ...(job.units ?? []).map((u) => [u.id, u.name ?? u.id] as const),
    ...UNITS.map((u) => [u.id, u.name] as const),
  ];
  const first =
    show === 'mm'
      ? { inner: 'block-440x215x100', width: 100, board: 50 }
      : { inner: 'cmu-4x8x16', width: '2 1/2"' };
  const a = cavity?.amounts;
  return (
    <Fold title="Cavity" aside={cavity ? say(cavity.width) : 'none'} open={cavity !== null}>
      {!cavity && (
        <button className="press-plain" onClick={() => set('/build/cavity', first)}>
          Build an inner leaf behind a cavity
        </button>
      )}
      {cavity && (
        <>
          <Pick
            label="Inner leaf of"
            value={cavity.unit}
            options={units}
            onChange={(v) => set('/build/cavity/inner', v)}
          />
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label="Cavity"
              value={cavity.width}
              {...measure}
              onChange={(v) => set('/build/cavity/width', v)}
            />
            <LengthField
              label="Board in it"
              value={cavity.board}
              {...measure}
              onChange={(v) => (v === 0 ? clear('/build/cavity/board') : set('/build/cavity/board', v))}
            />
            <LengthField
              label="Tie to tie, along"
              value={cavity.across}
              {...measure}
              onChange={(v) => set('/build/cavity/across', v)}
            />
            <LengthField
              label="Tie to tie, up"
              value={cavity.up}
              {...measure}
              onChange={(v) => set('/build/cavity/up', v)}
            />
          </div>
          <p className="text-[13px]">
            Inner leaf {cavity.courses} courses, {cavity.pieces} pieces; {say(cavity.overall)} over all.{' '}
            {a && (
              <>
                <b>{say(a.clear)}</b> left clear: look at every course that it stays so. {a.ties} ties in{' '}
                {a.levels.levels.length} level rows, {a.edgeTies} of them at jambs, ends and joints
                {a.trays > 0
                  ? `; ${a.trays} trays, ${metres(a.trayLength)}, with ${a.stopEnds} stop ends and ${a.weeps} weeps`
                  : ''}
                ; dpc {metres(a.dpc)} in both leaves, at least 150 mm (6 in) above the ground.
              </>
            )}
          </p>
          <button className="press-plain" onClick={() => clear('/build/cavity')}>
            Take the inner leaf away
          </button>
        </>
      )}
    </Fold>
  );
}
