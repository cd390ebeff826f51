/** Alone in their file: Jest cannot read `import.meta`, so tests put their own workers here. */
export const startPlanner = (): Worker =>
  new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });

export const startCutter = (): Worker =>
  new Worker(new URL('./cut.worker.ts', import.meta.url), { type: 'module' });

export const startFitter = (): Worker =>
  new Worker(new URL('./fitter.worker.ts', import.meta.url), { type: 'module' });
