/**
 * Long work in steps: between two of them it can be left, or left off. Whoever has all the time there is runs it to
 * its end; a worker gives way to what comes in. Some hand out what they have so far (`P`) on the way.
 */
export type Steps<T, P = never> = Generator<P | undefined, T, undefined>;

export function toTheEnd<T, P>(steps: Steps<T, P>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The same steps, what they hand out on the way turned into something else; nothing is handed out where that is null. */
export function* handedOut<T, P, Q>(steps: Steps<T, P>, of: (sofar: P) => Q | null): Steps<T, Q> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    yield step.value === undefined ? undefined : (of(step.value) ?? undefined);
  }
}
