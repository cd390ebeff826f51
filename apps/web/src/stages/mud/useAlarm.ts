import { batchState, type BatchClock, type BatchState } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { useEffect, useRef } from 'react';
import { useTell } from '../../state/words';

/** Two short tones: nothing is fetched for them. */
function ring(): void {
  try {
    const audio = new AudioContext();
    for (const at of [0, 0.35]) {
      const tone = audio.createOscillator();
      const loud = audio.createGain();
      tone.frequency.value = 660;
      loud.gain.value = 0.2;
      tone.connect(loud).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.25);
    }
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // A page nobody has touched yet may make no sound.
  }
}

/** When a batch is getting on, and when it has died: rung, written in the tab, and notified where that was allowed, while this page is open. */
export function useAlarm(clocks: readonly BatchClock[], now: number): void {
  const tell = useTell();
  const states = useRef(new Map<string, BatchState>());
  useEffect(() => {
    for (const clock of clocks) {
      const state = batchState(clock, now);
      const before = states.current.get(clock.id);
      states.current.set(clock.id, state);
      // What was found so when the page came up is seen, not rung.
      if (before === undefined || before === state || state === 'ended' || state === 'good') continue;
      const says = tell(
        state === 'dead' ? AT_MUD.hasDied({ n: clock.number }) : AT_MUD.gettingOn({ n: clock.number }),
      );
      ring();
      if (typeof Notification !== 'undefined' && Notification.permission === 'granted')
        new Notification(says, { tag: clock.id });
    }
  }, [clocks, now, tell]);
  const worst = clocks.find((c) => batchState(c, now) === 'dead');
  const title = worst && tell(AT_MUD.hasDied({ n: worst.number }));
  useEffect(() => {
    if (!title) return;
    const before = document.title;
    document.title = title;
    return () => {
      document.title = before;
    };
  }, [title]);
}
