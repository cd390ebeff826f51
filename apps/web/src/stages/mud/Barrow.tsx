import type { ReactNode } from 'react';
import { useInks } from '../../state/scheme';

/** A barrow as full as there is life left in its mud. */
export function Barrow({ full, dead }: { full: number; dead: boolean }): ReactNode {
  const inks = useInks();
  const [top, foot, high] = [6, 30, 24];
  const level = foot - high * full;
  const inset = (y: number): number => ((y - top) / high) * 8;
  return (
    <svg viewBox="0 0 58 46" className="h-11 w-14 shrink-0" aria-hidden="true">
      {full > 0 && (
        <path d={`M${4 + inset(level)} ${level} H${46 - inset(level)} L38 ${foot} H12 Z`} fill={inks.grout} />
      )}
      <path
        d={`M4 ${top} H46 L38 ${foot} H12 Z`}
        fill={dead ? inks.fault : 'none'}
        fillOpacity={0.3}
        stroke={inks.ink}
        strokeWidth={2.5}
      />
      <path d={`M42 14 L57 9`} stroke={inks.ink} strokeWidth={3} />
      <circle cx={20} cy={38} r={5.5} fill={inks.ink} />
    </svg>
  );
}
