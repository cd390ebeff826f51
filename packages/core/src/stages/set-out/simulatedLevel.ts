/** A level for practice, demonstration and tests. It says of itself that it is not a real one. */
export interface SimulatedLevel {
  simulated: true;
  /** What the staff reads at a place along the run, mm. The same place reads the same. */
  read(at: number): number;
}

interface Setting {
  /** Height of the instrument above the datum, mm. */
  instrument: number;
  /** The ground, or the footing, above the datum at a place. */
  ground: (at: number) => number;
  /** How far a reading may be out either way, mm. */
  noise: number;
  seed: number;
}

/** A number from 0 to 1 that depends only on what it is given: no chance, so that practice can be repeated. */
function scatter(seed: number, at: number): number {
  let h = Math.imul(Math.round(at * 10) ^ Math.imul(seed, 0x9e3779b1), 0x85ebca6b) >>> 0;
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

export const simulatedLevel = ({ instrument, ground, noise, seed }: Setting): SimulatedLevel => ({
  simulated: true,
  read: (at) => instrument - ground(at) + (2 * scatter(seed, at) - 1) * noise,
});

/** Spot levels shot with it every `step` along a run, as levels above the wall's base. */
export function shootSpots(
  level: SimulatedLevel,
  instrument: number,
  base: number,
  length: number,
  step: number,
): { at: number; level: number }[] {
  const count = Math.max(1, Math.round(length / step));
  return Array.from({ length: count + 1 }, (_, i) => {
    const at = (length * i) / count;
    return { at, level: instrument - level.read(at) - base };
  });
}
