import { SAYS } from './messages.js';
import { INCH, millimetres, SAME_PLACE } from '../../../measure/length.js';
import { writeLength } from '../../../measure/format.js';
import type { PatchStep } from '../../../job/edits/patch.js';
import type { Try } from '../../../findings/issue.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { firstFrom, headLimits, within } from '../lines/lines.js';

/** Where jambs can stand so that odd and even courses both meet them in wholes and halves, in order along the run. */
export function jambPlaces(run: BondedRun): { left: number[]; right: number[] } {
  const known = places.get(run);
  if (known) return known;
  const all = run.lines.map((l) => l.own ?? l);
  const stretchers = all.filter((l) => !l.headers);
  const lines = stretchers.length > 0 ? stretchers : all;
  const ascending = (list: number[]): number[] => list.sort((a, b) => a - b);
  const found = {
    left: ascending(lines.flatMap((l) => l.u.map((u) => u - l.joint))),
    right: ascending(lines.flatMap((l) => l.u)),
  };
  places.set(run, found);
  return found;
}

/** A run is asked for its places once for each of its openings. */
const places = new WeakMap<BondedRun, { left: number[]; right: number[] }>();

/** The values nearest a place, nearest first, of a list in order. */
function closest(values: readonly number[], to: number, count: number): number[] {
  let high = firstFrom(values, to);
  let low = high - 1;
  const found: number[] = [];
  while (found.length < count && (low >= 0 || high < values.length)) {
    const [a = -Infinity, b = Infinity] = [values[low], values[high]];
    if (to - a <= b - to) {
      found.push(a);
      low--;
    } else {
      found.push(b);
      high++;
    }
  }
  return found;
}

function edits(wall: SetWall, o: SetOpening, from: number, to: number): Try | null {
  const grid = wall.show === 'mm' ? 1 : INCH / 8;
  const path = `/walls/${wall.index}/openings/${o.index}`;
  // Back to stated terms: a nominal opening's tape is a joint wider than its stated width.
  const off = wall.nominal ? wall.head : 0;
  const round = (n: number): number => Math.round(n / grid) * grid;
  const at = round(from + off);
  const moved = Math.abs(at - (o.from + off)) > SAME_PLACE;
  const wide = Math.abs(to - from - (o.to - o.from)) > SAME_PLACE;
  const width = wide ? round(to - at) : o.to - (o.from + off);
  if (at < 0 || !(width > 0) || (!moved && !wide)) return null;
  const shift = at - (o.from + off);
  const edit: PatchStep[] = [];
  if (moved) {
    edit.push({ op: 'replace', path: `${path}/at`, value: writeLength(millimetres(at), wall.show) });
  }
  if (wide) {
    edit.push({ op: 'replace', path: `${path}/width`, value: writeLength(millimetres(width), wall.show) });
  }
  const move = { opening: o.name, by: Math.abs(shift), way: shift < 0 ? 'left' : 'right' } as const;
  const says = !wide
    ? SAYS.move(move)
    : moved
      ? SAYS['move-and-make']({ ...move, width })
      : SAYS['make-wide']({ opening: o.name, width });
  return { says, edit, ...(wide || o.keep === 'must' ? { lastly: true as const } : {}) };
}

/** Nobody moves an opening further for the bond's sake, mm: common practice. */
const FAR = 1200;

/** Ways to bring an opening onto the bond: moved as it is, then widened or narrowed. Nearest first. */
export function snapTries(wall: SetWall, run: BondedRun, o: SetOpening): Try[] {
  const { left: lefts, right: rights } = jambPlaces(run);
  const width = o.to - o.from;
  const tries: (Try | null)[] = [];
  const limits = headLimits(wall);
  const fits = (off: number): boolean =>
    off <= limits.most - wall.head + SAME_PLACE && -off <= wall.head - limits.least + SAME_PLACE;
  // Moved as it is, where its other jamb then comes within a joint of a perp too: anywhere else it stays off.
  const both = within(lefts, o.from - FAR, o.from + FAR).filter((left) => {
    const [right] = closest(rights, left + width, 1);
    return right !== undefined && (fits(right - left - width) || fits(left + width - right));
  });
  for (const left of closest(both, o.from, 4)) tries.push(edits(wall, o, left, left + width));
  for (const left of closest(lefts, o.from, 2)) {
    for (const right of closest(rights, o.to, 2)) tries.push(edits(wall, o, left, right));
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
    const edit: PatchStep[] = [
      { op: 'replace', path: `/walls/${wall.index}/line/${run.item}/run`, value: value(run.stated) },
    ];
    if (opposite)
      edit.push({
        op: 'replace',
        path: `/walls/${wall.index}/line/${opposite.item}/run`,
        value: value(opposite.stated),
      });
    tries.push({
      says: SAYS['make-run']({
        runs: [wall.runs.length > 1 ? run.name : SAYS['the-wall'](), ...(opposite ? [opposite.name] : [])],
        by: Math.abs(by),
        way: by > 0 ? 'longer' : 'shorter',
      }),
      edit,
    });
  }
  return tries;
}
