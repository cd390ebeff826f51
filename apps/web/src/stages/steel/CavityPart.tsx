import { Typeset } from '../../ui/Typeset';
import { SCHEMES, sayMm, UNITS, type CavityAmounts } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Mark as DrawnMark } from '../../bench/Shapes';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

const Mark = ({ children }: { children: ReactNode }): ReactNode => (
  <svg width="24" height="16" aria-hidden className="mt-[2px] shrink-0">
    {children}
  </svg>
);

/** What goes across and into the cavity in the whole wall, each beside the mark it has on the drawing. */
function Crossing({
  amounts: a,
  dpc,
  say,
  metres,
}: {
  amounts: CavityAmounts;
  dpc: number | null;
  say: (n: number) => string;
  metres: (m: number) => string;
}): ReactNode {
  const lines: [ReactNode, string][] = [
    [
      <DrawnMark key="tie" role="tie" x={12} y={8} />,
      `${a.ties - a.edgeTies} ties in ${a.levels.levels.length} level rows, staggered, falling outward`,
    ],
  ];
  if (a.edgeTies > 0)
    lines.push([
      <DrawnMark key="edge" role="edge-tie" x={12} y={8} />,
      `${a.edgeTies} more at jambs, ends and joints`,
    ]);
  if (a.trays > 0) {
    lines.push([
      <path key="tray" d="M2 4V13H22V4" fill="none" stroke={SCHEMES.day.wet} strokeWidth="3" />,
      `${a.trays} ${a.trays === 1 ? 'tray' : 'trays'}, ${metres(a.trayLength)}, ${a.stopEnds} stop ends; look at each before the course that covers it`,
    ]);
    lines.push([
      <DrawnMark key="weep" role="weep" x={12} y={14} />,
      `${a.weeps} weeps: perps left open over the trays`,
    ]);
  }
  if (a.sleeves > 0)
    lines.push([
      <rect
        key="sleeve"
        x="3"
        y="3"
        width="18"
        height="10"
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="1.5"
        strokeDasharray="4 2"
      />,
      `${a.sleeves} sleeves for air bricks through both leaves, ${a.sleeveCuts} pieces of the inner leaf cut round them`,
    ]);
  lines.push([
    <line key="dpc" x1="1" x2="23" y1="8" y2="8" stroke="var(--color-ink)" strokeWidth="3" />,
    dpc === null
      ? `dpc ${metres(a.dpc)}: this wall does not come up 150 mm (6 in) over the ground`
      : `dpc ${metres(a.dpc)} in both leaves, on the bed at ${say(dpc)}, 150 mm (6 in) or more over the ground`,
  ]);
  return (
    <ul className="grid gap-1 text-small">
      {lines.map(([mark, says]) => (
        <li key={says} className="flex gap-2">
          <Mark>{mark}</Mark>
          <span>{says}</span>
        </li>
      ))}
    </ul>
  );
}

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
          <p className="text-small">
            Inner leaf {cavity.courses} courses, {cavity.pieces} pieces;{' '}
            <Typeset words={say(cavity.overall)} /> over all.{' '}
            {a && (
              <>
                <b>
                  <Typeset words={say(a.clear)} />
                </b>{' '}
                left clear: look at every course that it stays so.
              </>
            )}
          </p>
          {a && <Crossing amounts={a} dpc={cavity.places?.dpc ?? null} say={say} metres={metres} />}
          <button className="press-plain" onClick={() => clear('/build/cavity')}>
            Take the inner leaf away
          </button>
        </>
      )}
    </Fold>
  );
}
