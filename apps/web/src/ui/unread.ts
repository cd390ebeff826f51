import type { Message, NoLength } from '@even-tally/core';
import { UI } from '@even-tally/words';

const EXAMPLES = '7\' 4 5/8", 7-4 5/8, 88 5/8", 2.4 m, 2400 mm';

/** What a field says of text it cannot read as a length. */
export function sayUnread({ why, text }: { why: NoLength | 'nothing'; text: string }): Message {
  switch (why) {
    case 'long':
      return UI.unreadLong({ examples: EXAMPLES, count: text.length });
    case 'over-nothing':
      return UI.unreadOverNothing({ text });
    case 'nothing':
      return UI.unreadNothing({ text });
    case 'no-unit':
    case 'unread':
      return UI.unread({ examples: EXAMPLES, text });
  }
}
