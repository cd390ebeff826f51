import type { MudDayView, Pin } from '@even-tally/core';

export type OnPins = (pins: readonly Pin[]) => void;

/** Batches before one stay as they are, that one as it is wanted; what comes after is planned anew. `pins`: those that are wanted already. */
export const pinsTo = ({ batches }: MudDayView, pins: readonly Pin[], batch: number, pin: Pin): Pin[] => [
  ...batches.slice(0, batch).map(({ made }, i) => pins[i] ?? { made }),
  pin,
];
