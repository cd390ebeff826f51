import { BARS, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';

/** Bars of the system the job is shown in come first. */
export const barOptions = (show: string): readonly (readonly [string, Message])[] =>
  [...BARS]
    .sort(
      (a, b) =>
        Number((b.system === 'metric') === (show === 'mm')) -
        Number((a.system === 'metric') === (show === 'mm')),
    )
    .map(
      (b) =>
        [
          b.size,
          b.system === 'us' ? AT_STEEL.barNumber({ n: b.number }) : AT_STEEL.barMm({ n: b.number }),
        ] as const,
    );
