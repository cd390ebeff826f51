import type { Message } from '../../../messages/message.js';
import { HOW } from '../../../stages/workingMessages.js';

import { spokenKind, type Kind } from '../laying/kinds.js';

/** What a tally calls a kind of piece, at the head of a line. */
export const kindNamed = (kind: Kind, unit: { shells: unknown }): Message =>
  HOW['kind-named']({ kind: spokenKind(kind, unit) });

/** What one piece of a kind is called. */
export const oneOfKind = (kind: Kind, unit: { shells: unknown }): Message =>
  HOW['kind-one']({ kind: spokenKind(kind, unit) });
