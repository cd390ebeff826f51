/**
 * Long work in steps: between two of them it can be left, or left off. Whoever has all the time there is runs it to
 * its end; a worker gives way to what comes in.
 */
export type Steps<T> = Generator<undefined, T, undefined>;

export function toTheEnd<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
