import type { Message } from '../../messages/message.js';
import { EDITS, PARTS } from './messages.js';

/** A part of a job in words: by its key where it has none. */
export const partOf = (key: string): Message =>
  EDITS.part({
    what: PARTS.find((part) => part === key) ?? 'other',
    key: key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`),
  });
