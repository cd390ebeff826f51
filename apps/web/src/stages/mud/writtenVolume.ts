import { showMud, showWater, type Show } from '@even-tally/core';

/** A volume as it is stated in the job, where nobody has stated it: in the measure it is spoken of, and a small one exactly. */
export function writtenVolume(m3: number, show: Show): string {
  if (m3 < 0.01) return `${Number((m3 * 1e6).toFixed(1))} ml`;
  if (show === 'mm') return showMud(m3, 'mm');
  return m3 > 0.03 ? showMud(m3, 'ft-in').replace('³', '3') : showWater(m3, 'ft-in');
}
