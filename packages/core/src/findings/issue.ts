import type { PatchStep } from '../job/edits/patch.js';
import type { Said } from '../messages/message.js';
import type { Finding } from './finding.js';

/** A way out that might settle an issue. It is offered only once re-planning shows that it does. */
export interface Try {
  says: Said;
  edit: PatchStep[];
  /** Only where nothing else settles it: it moves what stays, or makes what is made to size another size. */
  lastly?: true;
}

/** A finding before its fixes are proved. `key` says when two issues are the same one after an edit. */
export interface Issue extends Omit<Finding, 'fixes'> {
  key: string;
  /** Worked out only when somebody asks for fixes. */
  tries: () => readonly Try[];
}

type Stated = Pick<Issue, 'code' | 'stage' | 'severity' | 'says' | 'source'> & Partial<Issue>;

export function issue(given: Stated): Issue {
  const { code, run = null, opening = null } = given;
  return {
    course: null,
    to: null,
    at: null,
    tries: () => [],
    run,
    opening,
    key: [code, run ?? '', opening ?? ''].join('|'),
    ...given,
  };
}
