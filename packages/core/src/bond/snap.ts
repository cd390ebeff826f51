import { SAME_PLACE, millimetres } from '../measure/length.js';
import { sayMm, writeLength } from '../measure/format.js';
import type { EditStep } from '../job/edit.js';
import type { Try } from '../plan/issue.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import type { BondedRun } from './bond.js';

/** Where jambs can stand so that odd and even courses both meet them in wholes and halves. */
export function jambPlaces(run: BondedRun): { left: number[]; right: number[] } {
  const lines = run.lines.map((l) => l.own ?? l);
  const left = lines.flatMap((l) => l.u.map((u) => u - l.joint)).sort((a, b) => a - b);
  const right = lines.flatMap((l) => l.u).sort((a, b) => a - b);
  return { left, right };
}

const closest = (values: number[], to: number, count: number): number[] =>
  [...values].sort((a, b) => Math.abs(a - to) - Math.abs(b - to) || a - b).slice(0, count);

function edits(wall: SetWall, o: SetOpening, from: number, to: number): Try | null {
  const grid = wall.show === 'mm' ? 1 : 25.4 / 8;
  const path = `/walls/${wall.index}/openings/${o.index}`;
  // Back to stated terms: a nominal opening's tape is a joint wider than its stated width.
  const off = wall.nominal ? wall.head : 0;
  const round = (n: number): number => Math.round(n / grid) * grid;
  const at = round(from + off);
  const moved = Math.abs(at - (o.from + off)) > SAME_PLACE;
  const wide = Math.abs(to - from - (o.to - o.from)) > SAME_PLACE;
  const width = wide ? round(to - at) : o.to - (o.from + off);
  if (at < 0 || !(width > 0) || (!moved && !wide)) return null;
  const say = (n: number): string => sayMm(n, wall.show);
  const shift = at - (o.from + off);
  const says: string[] = [];
  const edit: EditStep[] = [];
  if (moved) {
    says.push(`Move ${o.name} ${say(Math.abs(shift))} ${shift < 0 ? 'left' : 'right'}`);
    edit.push({ op: 'replace', path: `${path}/at`, value: writeLength(millimetres(at), wall.show) });
  }
  if (wide) {
    says.push(`${moved ? 'and make it' : `Make ${o.name}`} ${say(width)} wide`);
    edit.push({ op: 'replace', path: `${path}/width`, value: writeLength(millimetres(width), wall.show) });
  }
  return { says: says.join(' '), edit };
}

/** Ways to bring an opening onto the bond: moved as it is, then widened or narrowed. Nearest first. */
export function snapTries(wall: SetWall, run: BondedRun, o: SetOpening): Try[] {
  const places = jambPlaces(run);
  const width = o.to - o.from;
  const tries: (Try | null)[] = [];
  for (const left of closest(places.left, o.from, 4)) tries.push(edits(wall, o, left, left + width));
  for (const left of closest(places.left, o.from, 2)) {
    for (const right of closest(places.right, o.to, 2)) tries.push(edits(wall, o, left, right));
  }
  const seen = new Set<string>();
  return tries.filter((t): t is Try => {
    const key = JSON.stringify(t?.edit);
    if (t === null || seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Run lengths that divide, either side of the one stated. A rectangle's opposite side goes with it. */
export function lengthTries(wall: SetWall, index: number): Try[] {
  const run = wall.runs[index];
  if (!run) return [];
  const half = wall.half + wall.head;
  const whole = wall.unitLength + wall.head;
  const base = Math.round(run.length / half);
  const tries: Try[] = [];
  const targets = [base - 2, base - 1, base, base + 1, base + 2].map(
    (n) => n * half - (wall.nominal ? 0 : wall.head),
  );
  for (const target of targets.sort((a, b) => Math.abs(a - run.stated) - Math.abs(b - run.stated))) {
    if (!(target > whole) || Math.abs(target - run.stated) < SAME_PLACE) continue;
    const opposite = wall.line.closed && wall.runs.length === 4 ? wall.runs[(index + 2) % 4] : undefined;
    if (wall.line.closed && !opposite) continue;
    const by = target - run.stated;
    const value = (stated: number): string | number => writeLength(millimetres(stated + by), wall.show);
    const edit: EditStep[] = [
      { op: 'replace', path: `/walls/${wall.index}/line/${run.item}/run`, value: value(run.stated) },
    ];
    if (opposite)
      edit.push({
        op: 'replace',
        path: `/walls/${wall.index}/line/${opposite.item}/run`,
        value: value(opposite.stated),
      });
    tries.push({
      says: `Make ${wall.runs.length > 1 ? run.name : 'the wall'}${opposite ? ` and ${opposite.name}` : ''} ${sayMm(Math.abs(by), wall.show)} ${by > 0 ? 'longer' : 'shorter'}`,
      edit,
    });
  }
  return tries;
}
