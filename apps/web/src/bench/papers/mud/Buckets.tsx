import type { MaterialId } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useInks } from '../../../state/scheme';

/** One bucket: its top and foot, how high it is, and from one to the next, as the drawing has them. */
const [TOP, FOOT, HIGH, NEXT, UP] = [46, 36, 48, 54, 74];
/** Names and counts stand to the left. */
const NAMES = 150;
/** So many stand in a row before the next begins. */
const IN_ROW = 6;

/** How full a bucket is of something, and what that looks like. */
const INKS: Readonly<Record<MaterialId, 'cement' | 'lime' | 'sand' | 'stone'>> = {
  portland: 'cement',
  'masonry-cement': 'cement',
  preblended: 'cement',
  'lime-hydrated': 'lime',
  'lime-putty': 'lime',
  nhl: 'lime',
  quicklime: 'lime',
  soil: 'sand',
  sand: 'sand',
  gravel: 'stone',
  ballast: 'stone',
  water: 'lime',
};

/** What goes into a batch, drawn as buckets in a row: one for each measure, half full for half of one. */
export function Buckets({
  rows,
  label,
}: {
  rows: readonly { of: MaterialId; by: 'measure' | 'bag'; name: string; count: number; said: string }[];
  label: string;
}): ReactNode {
  const inks = useInks();
  const fills = { cement: inks.soft, lime: inks.sheet, sand: inks.timber, stone: inks.concrete };
  const lines = rows.map((r) => Math.max(1, Math.ceil(r.count / IN_ROW)));
  const most = Math.min(IN_ROW, Math.max(...rows.map((r) => Math.ceil(r.count))));
  const wide = NAMES + Math.max(5, most) * NEXT;
  const high = lines.reduce((s, n) => s + n * UP, 0);
  const tops = lines.map((_, i) => lines.slice(0, i).reduce((s, n) => s + n * UP, 0));
  return (
    <svg
      viewBox={`0 0 ${wide} ${high}`}
      role="img"
      aria-label={label}
      className="mt-2 block w-full max-w-[760px]"
    >
      {rows.map((r, i) => (
        <g key={r.of} transform={`translate(0 ${tops[i] ?? 0})`}>
          <text x="0" y="24" fontSize="20" fontWeight="700" fill={inks.ink}>
            {r.name}
          </text>
          <text x="0" y="50" fontSize="27" fontWeight="700" fill={inks.ink} className="figures">
            {r.said}
          </text>
          {Array.from({ length: Math.ceil(r.count) }, (_, k) => (
            <Filled
              key={k}
              shape={r.by}
              x={NAMES + (k % IN_ROW) * NEXT}
              y={8 + Math.floor(k / IN_ROW) * UP}
              full={Math.min(1, r.count - k)}
              fill={fills[INKS[r.of]]}
              ink={inks.ink}
              paper={inks.paper}
            />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** A bucket tapers to its foot; a bag stands square, tied off above. Half of either is half full. */
function Filled({
  shape: by,
  x,
  y,
  full,
  fill,
  ink,
  paper,
}: {
  shape: 'measure' | 'bag';
  x: number;
  y: number;
  full: number;
  fill: string;
  ink: string;
  paper: string;
}): ReactNode {
  const inset = by === 'bag' ? 0 : (TOP - FOOT) / 2;
  const neck = by === 'bag' ? 7 : 0;
  const at = (up: number): number => inset * (1 - up);
  const shape = (up: number): string =>
    `M${x + at(up)} ${y + neck + (HIGH - neck) * (1 - up)} H${x + TOP - at(up)} L${x + TOP - inset} ${y + HIGH} H${x + inset} Z`;
  return (
    <>
      {by === 'bag' && (
        <path
          d={`M${x + TOP * 0.3} ${y} H${x + TOP * 0.7} L${x + TOP * 0.58} ${y + neck} H${x + TOP * 0.42} Z`}
          fill={paper}
          stroke={ink}
          strokeWidth="2"
        />
      )}
      <path d={shape(1)} fill={paper} stroke={ink} strokeWidth="2" />
      <path d={shape(full)} fill={fill} stroke={ink} strokeWidth="2" />
    </>
  );
}
