import { createContext, use } from 'react';
import { useStore } from 'zustand';
import type { OpenJob, OpenJobHandle } from './openJob';

/** The job of the page: whatever stands under it reads and edits that one. */
export const JobContext = createContext<OpenJobHandle | null>(null);

export function useJob(): OpenJobHandle {
  const handle = use(JobContext);
  if (!handle) throw new Error('no job is open here');
  return handle;
}

export const useOpenJob = <T>(pick: (state: OpenJob) => T): T => useStore(useJob().store, pick);
