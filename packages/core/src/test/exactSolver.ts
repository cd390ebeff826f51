import highsLoader from 'highs';

/** What is used of HiGHS: its own types are wrong under this module resolution. */
export interface ExactSolver {
  /** A problem in the text form known as LP. */
  solve(problem: string, options?: { time_limit: number }): { Status: string; ObjectiveValue: number };
}

export const exactSolver = (): Promise<ExactSolver> =>
  (highsLoader as unknown as () => Promise<ExactSolver>)();
