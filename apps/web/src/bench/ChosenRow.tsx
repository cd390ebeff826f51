import type { BenchView } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useViewing } from '../state/view';
import type { Layout } from './layout';

/** Everything a pressed line of a list speaks of, lit on the wall as one mark. */
export function ChosenRow({ view, layout }: { view: BenchView; layout: Layout }): ReactNode {
  const inks = useInks();
  const row = useViewing((s) => s.row);
  const here = row?.spots.filter((s) => s.run === view.run) ?? [];
  if (!row || here.length === 0) return null;
  const d = here
    .map((s) => {
      const [x, y] = [layout.left + s.x * layout.scale, layout.base - (s.y + s.h) * layout.scale];
      return `M${x} ${y}h${s.w * layout.scale}v${s.h * layout.scale}h${-s.w * layout.scale}z`;
    })
    .join('');
  return (
    <path
      d={d}
      data-lit={here.length}
      fill={inks.chalk}
      fillOpacity="0.28"
      stroke={inks.chalk}
      strokeWidth="2"
      pointerEvents="none"
    />
  );
}
