import type { ReactNode } from 'react';

const COURSES = 6;
const UNIT = 64;
const HIGH = 28;

/** A stretch of half bond with the line pulled over its next course. Ornament only. */
export function DoorDrawing(): ReactNode {
  const rows = Array.from({ length: COURSES }, (_, c) => {
    const y = 210 - (c + 1) * HIGH;
    const rack = c < 3 ? 11 : 11 - (c - 2) * 2;
    return Array.from({ length: rack }, (_, i) => (
      <rect
        key={`${c}-${i}`}
        x={10 + i * UNIT + (c % 2 ? UNIT / 2 : 0)}
        y={y}
        width={UNIT - 2.5}
        height={HIGH - 2.5}
        fill={c % 2 && i === 0 ? 'var(--color-half-unit)' : 'var(--color-unit)'}
        stroke="var(--color-mortar)"
      />
    ));
  });
  return (
    <svg viewBox="0 0 760 230" className="mt-auto w-full max-w-4xl pt-10" aria-hidden="true">
      <rect x="0" y="210" width="760" height="20" fill="var(--color-soil)" />
      <rect x="0" y="207" width="750" height="9" fill="var(--color-concrete)" />
      {rows}
      <path d="M0 38H760" stroke="var(--color-live)" strokeWidth="2" />
      <rect x="2" y="31" width="12" height="14" fill="var(--color-peg)" />
      <rect x="744" y="31" width="12" height="14" fill="var(--color-peg)" />
    </svg>
  );
}
