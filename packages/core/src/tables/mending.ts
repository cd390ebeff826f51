/**
 * Filling a hole in an old wall. The hole is cut wider behind than before, so that what fills it cannot come out: each side goes out by one in so
 * many of how deep it is. A fixing of stainless steel to so much of face each way, drilled so deep into sound old work; stones that go into
 * the old work at both sides, one to so much of height, so far; limecrete behind in lifts no higher than this. mm; conservation
 * practice, from memory: what is drilled is for its maker to say.
 */
export const FILLING = {
  wedge: 10,
  facing: 2 / 3,
  fixings: 450,
  drilled: 100,
  tieEvery: 300,
  tieIn: 150,
  lift: 150,
} as const;

/** Past so wide, or so much of the wall's thickness, what stands over a hole is propped before anything is taken out, mm and a part. The usual caution. */
export const PROP = { wide: 600, deep: 0.5 } as const;
