import { FIRST_CAVITY, sayMm, UNITS, type CavityAmounts, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { Mark } from '../../bench/Shapes';
import { useInks } from '../../state/scheme';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { KeyMark } from '../../ui/KeyMark';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** What goes across and into the cavity in the whole wall, each beside the mark it has on the drawing. */
function Crossing({ amounts: a, dpc }: { amounts: CavityAmounts; dpc: number | null }): ReactNode {
  const inks = useInks();
  const lines: [ReactNode, Message][] = [];
  if (a.trays > 0) {
    lines.push([
      <path key="tray" d="M2 4V13H22V4" fill="none" stroke={inks.wet} strokeWidth="3" />,
      AT_STEEL.trays({ count: a.trays, length: a.trayLength, stopEnds: a.stopEnds }),
    ]);
    lines.push([<Mark key="weep" role="weep" x={12} y={14} />, AT_STEEL.weeps({ count: a.weeps })]);
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
        stroke={inks.ink}
        strokeWidth="1.5"
        strokeDasharray="4 2"
      />,
      AT_STEEL.sleeves({ count: a.sleeves, cuts: a.sleeveCuts }),
    ]);
  lines.push([
    <line key="dpc" x1="1" x2="23" y1="8" y2="8" stroke={inks.ink} strokeWidth="3" />,
    dpc === null ? AT_STEEL.dpcNone({ length: a.dpc }) : AT_STEEL.dpcAt({ length: a.dpc, at: dpc }),
  ]);
  if (a.dpcUp > 0)
    lines.push([
      <line key="dpc-up" x1="12" x2="12" y1="1" y2="15" stroke={inks.ink} strokeWidth="3" />,
      AT_STEEL.dpcUp({ length: a.dpcUp }),
    ]);
  return (
    <ul className="grid gap-1 text-small">
      {lines.map(([mark, says]) => (
        <li key={says.code} className="flex gap-2">
          <KeyMark>{mark}</KeyMark>
          <span>
            <Told said={says} />
          </span>
        </li>
      ))}
    </ul>
  );
}

/** A leaf of another unit behind a cavity, and everything that goes into and across it. */
export function CavityPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const { cavity } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const say = (n: number): string => sayMm(n, show);
  const units = [
    ...(job.units ?? []).map((u) => [u.id, u.name ?? u.id] as const),
    ...UNITS.map((u) => [u.id, u.name] as const),
  ];
  const first = FIRST_CAVITY[job.profile];
  const a = cavity?.amounts;
  return (
    <Fold
      title={tell(AT_STEEL.cavity)}
      aside={cavity ? say(cavity.width) : tell(AT_STEEL.none)}
      open={cavity !== null}
    >
      {!cavity && (
        <button className="press-plain" onClick={() => set('/build/cavity', first)}>
          {tell(AT_STEEL.buildAnInnerLeaf)}
        </button>
      )}
      {cavity && (
        <>
          <Pick
            label={tell(AT_STEEL.innerLeafOf)}
            value={cavity.unit}
            options={units}
            onChange={(v) => set('/build/cavity/inner', v)}
          />
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label={tell(AT_STEEL.cavity)}
              value={cavity.width}
              {...measure}
              onChange={(v) => set('/build/cavity/width', v)}
            />
            <LengthField
              label={tell(AT_STEEL.boardInIt)}
              value={cavity.board}
              {...measure}
              onChange={(v) => (v === 0 ? clear('/build/cavity/board') : set('/build/cavity/board', v))}
            />
          </div>
          <p className="text-small">
            <Told
              said={AT_STEEL.innerLeaf({
                courses: cavity.courses,
                pieces: cavity.pieces,
                overall: cavity.overall,
              })}
            />{' '}
            {a && <Told said={AT_STEEL.leftClear({ clear: a.clear })} />}
          </p>
          {a && <Crossing amounts={a} dpc={cavity.places?.dpc ?? null} />}
          <button className="press-plain" onClick={() => clear('/build/cavity')}>
            {tell(AT_STEEL.takeTheInnerLeaf)}
          </button>
        </>
      )}
    </Fold>
  );
}
