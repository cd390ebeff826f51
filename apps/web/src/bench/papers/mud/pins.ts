import type { MudDayView, Pin } from '@even-tally/core';

export type OnPins = (pins: readonly Pin[]) => void;

/** Batches before one stay as they are, that one as it is wanted; what comes after is planned anew. */
export const pinsTo = ({ batches }: MudDayView, batch: number, pin: Pin): Pin[] => [
  ...batches.slice(0, batch).map(({ made }) => ({ made })),
  pin,
];
