import { sayValue, type Fault } from './fault.js';

/** Makes a document of one version into what the same says in the next. The one handed in is not changed. */
export interface Migration {
  from: number;
  step: (document: Record<string, unknown>) => Record<string, unknown>;
}

/**
 * A document brought to the version that is read now, a step at a time. What is not of this format, or says no version, is
 * given back as it is: its check says what is wrong with it.
 */
export function migrated(
  value: unknown,
  { format, version, steps }: { format: string; version: number; steps: readonly Migration[] },
): { ok: true; value: unknown } | { ok: false; fault: Fault } {
  if (typeof value !== 'object' || value === null || !('format' in value) || value.format !== format)
    return { ok: true, value };
  let document = value as Record<string, unknown>;
  while (typeof document.version === 'number' && document.version !== version) {
    const { version: old } = document;
    const step = steps.find((m) => m.from === old);
    if (!step) {
      const fault = { path: '/version', wanted: `version ${version}`, got: `version ${sayValue(old)}` };
      return { ok: false, fault };
    }
    document = { ...step.step(document), version: old + 1 };
  }
  return { ok: true, value: document };
}
