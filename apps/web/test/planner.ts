import type { Answer, Ask } from '../src/workers/protocol';

/** A planner on the test's own thread: the worker's code, with a plain object for its scope. */
export function startPlanner(): Worker {
  const listeners: { onmessage: ((e: { data: Answer }) => void) | null } = { onmessage: null };
  const scope: { onmessage?: (e: { data: Ask }) => void; postMessage: (m: Answer) => void } = {
    postMessage: (data) => listeners.onmessage?.({ data }),
  };
  const before = self.onmessage;
  Object.assign(self, { postMessage: scope.postMessage });
  jest.isolateModules(() => {
    jest.requireActual('../src/workers/planner.worker');
  });
  const handle = self.onmessage as unknown as (e: { data: Ask }) => void;
  Object.assign(self, { onmessage: before });
  return Object.assign(listeners, {
    postMessage: (data: Ask) => handle({ data }),
    terminate: () => undefined,
  }) as unknown as Worker;
}
