import type { WallWork } from '../plan/work.js';
import { holdsOf } from '../plan/says.js';
import { holdStates } from '../plan/holds.js';
import type { RecordEntry } from '../record/entries.js';
import { Folded } from '../record/fold.js';
import type { Say } from '../messages/message.js';
import { beginsGroup } from '../stages/hold.js';
import { CAUTION } from '../stages/paper.js';
import { SHEET } from '../stages/paperMessages.js';
import type { PaperSheet } from '../stages/paper.js';

/** Date and minute as whoever was there had them, with the offset of their clock. */
const when = (at: string): string =>
  `${at.slice(0, 10)} ${at.slice(11, 16)} ${/Z$/.test(at) ? 'UTC' : at.slice(-6)}`;

/** The record of inspection: every hold of a wall, what was seen, by whom and when; boxes to tick where it is not signed. */
export function holdsSheet(
  job: string,
  work: WallWork,
  record: readonly RecordEntry[],
  say: Say,
): PaperSheet {
  const states = holdStates(holdsOf(work), new Folded(record), work.wall.id);
  const signed = states.filter((s) => s.signed).length;
  return {
    title: say(SHEET['holds-of']({ wall: work.wall.name })),
    sub: say(SHEET['holds-sub']({ job, signed, all: states.length })),
    says: [say(SHEET['holds-rule']())],
    drawing: null,
    tables: states.map((s) => ({
      name: say(
        SHEET['hold-state']({
          hold: s.hold.title,
          state: s.signed ? 'signed' : 'open',
          by: s.signed?.by ?? '',
          when: s.signed ? when(s.signed.happened) : '',
          done: s.done ? 'yes' : 'no',
          step: s.hold.stepSays,
          doneBy: s.done?.by ?? '',
          doneWhen: s.done ? when(s.done.happened) : '',
        }),
      ),
      head: [SHEET['to-be-seen'](), SHEET.seen()].map(say),
      figures: [],
      rows: [
        ...s.hold.checks.flatMap((c, i) => [
          ...(beginsGroup(s.hold.checks, i) ? [[say(SHEET.group({ of: c.of ?? '' })), '']] : []),
          [say(c.says), s.signed ? say(SHEET.yes()) : '☐'],
        ]),
        ...(s.signed?.note ? [[say(SHEET['note-of']({ note: s.signed.note })), '']] : []),
      ],
    })),
    caution: say(CAUTION),
  };
}
