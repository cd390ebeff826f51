import type { WallWork } from '../plan/work.js';
import { holdsOf } from '../plan/says.js';
import { holdStates } from '../plan/holds.js';
import type { RecordEntry } from '../record/entries.js';
import { Folded } from '../record/fold.js';
import type { Say } from '../messages/message.js';
import { beginsGroup } from '../stages/hold.js';
import { CAUTION } from '../stages/paper.js';
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
    title: `Holds, ${work.wall.name}`,
    sub: `${job}. ${signed} of ${states.length} signed`,
    says: [
      'What is held is not passed until it is signed. Each line is seen by whoever signs, not taken on trust.',
    ],
    drawing: null,
    tables: states.map((s) => ({
      name: `${say(s.hold.title)}: ${s.signed ? `signed by ${s.signed.by}, ${when(s.signed.happened)}` : 'not signed'}${s.done ? `. ${say(s.hold.stepSays)}: ${s.done.by}, ${when(s.done.happened)}` : ''}`,
      head: ['to be seen', 'seen'],
      figures: [],
      rows: [
        ...s.hold.checks.flatMap((c, i) => [
          ...(beginsGroup(s.hold.checks, i) ? [[`${say(c.of ?? '')}:`, '']] : []),
          [say(c.says), s.signed ? 'yes' : '☐'],
        ]),
        ...(s.signed?.note ? [[`Note: ${s.signed.note}`, '']] : []),
      ],
    })),
    caution: CAUTION,
  };
}
