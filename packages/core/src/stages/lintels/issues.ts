import { writeLength } from '../../measure/format.js';
import { millimetres } from '../../measure/length.js';
import type { Said } from '../../messages/message.js';
import { issue, type Issue, type Try } from '../../findings/issue.js';
import { LIFT_ALONE } from '../../tables/bearings.js';
import { snapTries } from '../../walling/units/judging/snap.js';
import type { SetOpening } from '../set-out/wall.js';
import {
  badBearings,
  leavesToCarry,
  lintelsPlaced,
  openingsUnderWall,
  uncarried,
  wantedOver,
  type Laid,
  type PlacedLintel,
} from './lintels.js';
import { SAYS } from './messages.js';

const pathOf = (work: Laid, o: SetOpening): string => `/walls/${work.wall.index}/openings/${o.index}`;
const middle = (o: SetOpening): number => (o.from + o.to) / 2;

/** The first course over an opening, from 1; its head's where none is. */
const courseOver = ({ gauge }: Laid, o: SetOpening): number =>
  (gauge.courses.find((c) => c.top > o.head + 1) ?? gauge.courses.at(-1))?.number ?? 1;

/** What each opening that nothing marked carries asks for. */
function wants(work: Laid, o: SetOpening): Said[] {
  const all = leavesToCarry(work);
  const open = uncarried(work, o);
  const size = { opening: o.name, ...wantedOver(work, o) };
  if (open.length === all.length) return [SAYS['opening-wants'](size)];
  return open.map((leaf) =>
    SAYS['opening-leaf-wants']({ ...size, leaf: leaf.index === 0 ? 'outer' : 'inner' }),
  );
}

/**
 * Something carries the wall over every opening. Soldiers, bricks on edge and the first course over a head carry nothing; a lintel counts
 * with its designer’s or maker’s mark, since nothing here sizes one.
 */
function notDesigned(work: Laid): Issue[] {
  const runs = [...new Set(work.wall.openings.map((o) => o.run))];
  const under = openingsUnderWall(work);
  return runs.flatMap((run) => {
    const open = under.filter((o) => o.run === run && uncarried(work, o).length > 0);
    const [first] = open;
    if (!first) return [];
    const names = (some: SetOpening[]): string[] => some.map((o) => o.name);
    const listed = open.filter((o) => o.lintels.length > 0);
    const soldiers = open.filter((o) => o.soldiers);
    const says = [
      SAYS['not-designed']({ openings: open.flatMap((o) => wants(work, o)) }),
      ...(soldiers.length > 0 ? [SAYS['soldiers-carry-nothing']({ openings: names(soldiers) })] : []),
      ...(listed.length > 0 ? [SAYS['no-mark']({ openings: names(listed) })] : []),
    ];
    return [
      issue({
        code: 'lintel-not-designed',
        stage: 'bond',
        severity: 'note',
        run,
        at: middle(first),
        course: courseOver(work, first),
        says: says.length === 1 && says[0] ? says[0] : SAYS.together({ says }),
        source: 'structural questions are outside this program',
      }),
    ];
  });
}

/** A lintel made as long as its opening and a usual bearing each end. */
const longer = (work: Laid, l: PlacedLintel): Try => {
  const { length, bearing } = wantedOver(work, l.opening);
  const base = `${pathOf(work, l.opening)}${l.path}`;
  const { show } = work.wall;
  return {
    says: SAYS['make-it']({ length, bearing }),
    edit: [
      { op: 'add', path: `${base}/length`, value: writeLength(millimetres(length), show) },
      { op: 'add', path: `${base}/bearings`, value: writeLength(millimetres(bearing), show) },
    ],
  };
};

function tooShort(work: Laid): Issue[] {
  return lintelsPlaced(work).flatMap((l) => {
    const { opening: o, bearings, rule } = l;
    const end = bearings[0] <= bearings[1] ? 'left' : 'right';
    const bears = Math.min(...bearings);
    const short = bears < rule.least - 0.5;
    if (!short && l.addsUp) return [];
    const [left, right] = bearings;
    return [
      issue({
        code: 'lintel-bearing-short',
        stage: 'bond',
        severity: 'fault',
        run: o.run,
        at: end === 'left' ? o.from : o.to,
        course: courseOver(work, o),
        opening: o.id,
        key: `lintel-bearing-short|${o.id}${l.path}`,
        says: short
          ? SAYS.short({ opening: o.name, end, bears, least: rule.least })
          : SAYS['does-not-add']({ opening: o.name, length: l.length, clear: o.to - o.from, left, right }),
        source: rule.source,
        tries: () => [longer(work, l)],
      }),
    ];
  });
}

function onNothing(work: Laid): Issue[] {
  return badBearings(work).map(({ lintel, end, sliver, past }) => {
    const { opening: o } = lintel;
    const run = work.runs.find((r) => r.index === o.run);
    return issue({
      code: 'lintel-bears-on-nothing',
      stage: 'bond',
      severity: 'fault',
      run: o.run,
      at: end === 'left' ? o.from : o.to,
      course: Math.max(1, courseOver(work, o) - 1),
      opening: o.id,
      key: `lintel-bears-on-nothing|${o.id}${lintel.path}|${end}`,
      says: sliver
        ? SAYS.sliver({ opening: o.name, end, ...sliver })
        : SAYS['off-the-wall']({ opening: o.name, end, over: past ?? 0 }),
      source: 'a bearing stands on whole units: common practice',
      tries: () => (run && sliver ? snapTries(work.wall, run, o) : []),
    });
  });
}

function heavy(work: Laid): Issue[] {
  const all = lintelsPlaced(work).filter((l) => (l.weight ?? 0) > LIFT_ALONE);
  const [first] = all;
  if (!first) return [];
  return [
    issue({
      code: 'lintel-heavy',
      stage: 'bond',
      severity: 'note',
      run: first.opening.run,
      at: middle(first.opening),
      course: courseOver(work, first.opening),
      says: SAYS.heavy({
        lintels: all.map((l) => SAYS['heavy-one']({ opening: l.opening.name, weight: l.weight ?? 0 })),
      }),
      source: 'about 20 kg for one person: common practice',
    }),
  ];
}

export const lintelIssues = (work: Laid): Issue[] => [
  ...notDesigned(work),
  ...tooShort(work),
  ...onNothing(work),
  ...heavy(work),
];
