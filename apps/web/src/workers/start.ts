/** Alone in its file: Jest cannot read `import.meta`, so tests put their own planner here. */
export const startPlanner = (): Worker =>
  new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
