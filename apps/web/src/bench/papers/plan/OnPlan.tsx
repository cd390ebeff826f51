import type { Anchor } from '@even-tally/core';
import type { ReactNode } from 'react';
import type { ScenePlacing } from '../useScenePaper';

/** A field stands over its place, so high, px. */
const HIGH = 50;
/** How much of it stands to the left of its place. */
const ACROSS = { start: 0, middle: 0.5, end: 1 } as const;

/** Something typed where it stands on the plan, with what it is called over it. */
export function OnPlan({
  at,
  x,
  y,
  right = 0,
  down = 0,
  wide = 96,
  anchor = 'middle',
  says,
  children,
}: {
  at: ScenePlacing;
  /** Its place, mm. */
  x: number;
  y: number;
  /** So far off it on the screen, px. */
  right?: number;
  down?: number;
  wide?: number;
  anchor?: Anchor;
  says: string;
  children: ReactNode;
}): ReactNode {
  return (
    <div
      className="absolute"
      style={{
        width: wide,
        left: at.left + x * at.scale - wide * ACROSS[anchor] + right,
        top: at.base - y * at.scale - HIGH / 2 + down,
      }}
    >
      <span className="flex justify-center text-small font-bold whitespace-nowrap" aria-hidden="true">
        <span className="bg-paper px-1">{says}</span>
      </span>
      {children}
    </div>
  );
}
