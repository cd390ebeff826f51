/** The greatest of `low`, `low + step`, … up to `high` for which something still holds, by halving; NaN where it never does. */
export function lastThat(low: number, high: number, step: number, holds: (at: number) => boolean): number {
  let [yes, no] = [-1, Math.round((high - low) / step) + 1];
  while (no - yes > 1) {
    const middle = Math.floor((yes + no) / 2);
    if (holds(low + middle * step)) yes = middle;
    else no = middle;
  }
  return yes < 0 ? NaN : low + yes * step;
}

/** The least for which something holds. */
export const firstThat = (
  low: number,
  high: number,
  step: number,
  holds: (at: number) => boolean,
): number => {
  const last = lastThat(low, high, step, (at) => !holds(at));
  return Number.isNaN(last) ? low : last + step;
};
