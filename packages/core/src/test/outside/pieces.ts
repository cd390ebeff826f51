import type { RowFile } from './files.js';
import { goesThrough, HAIR, lengthOf, ofRun, said, standing, type Facts } from './wall.js';

/** Every piece is one a unit gives, and is called what it is. */
export function pieceDefects(f: Facts): string[] {
  const out: string[] = [];
  const leaves: { rows: RowFile[]; length: number; name: string }[] = [
    { rows: f.plan.rows, length: f.unit.length, name: 'leaf' },
  ];
  const { length } = f.unit;
  for (const { rows, name } of leaves)
    for (const row of rows)
      for (const p of row.pieces) {
        const long = lengthOf(p);
        const where = `${name} ${row.leaf} course ${row.course} run ${p.run} at ${p.from.toFixed(1)}`;
        if (!(long > 0.5)) out.push(`${where}: a ${p.kind} of ${long.toFixed(2)} mm`);
        if (long > length + HAIR)
          out.push(`${where}: a ${p.kind} of ${long.toFixed(1)} from a unit of ${length}`);
        if (p.kind === 'stretcher' && Math.abs(long - length) > HAIR && p.fitting === undefined)
          out.push(`${where}: a stretcher of ${long.toFixed(1)}`);
        if (p.kind === 'half' && Math.abs(long - f.half) > HAIR && f.file.build.wythes !== 2)
          out.push(`${where}: a half of ${long.toFixed(1)}`);
        if (p.kind === 'cut' && p.cutFrom === undefined) out.push(`${where}: a cut from nothing`);
      }
  return out;
}

/** A sill or head so little off its course is met by the bed: brick in earth joints, which go to an inch, may take most of half a joint more. */
const BED_TAKES = 15;

/** Nothing overlaps, nothing stands in an opening, and no hole is left: course by course, run by run. */
export function coverDefects(f: Facts): string[] {
  if (!f.plain) return [];
  // Two leaves turn an inside corner each in its own place: they are looked at from above.
  if (f.file.build.wythes === 2 && f.runs.some((r) => r.turnAfter === -90)) return [];
  const out: string[] = [];
  const wide = Math.max(f.profile.headMost, f.head);
  for (const row of f.plan.rows.filter((r) => r.leaf === 0)) {
    const course = f.plan.courses[row.course - 1];
    if (!course) continue;
    f.runs.forEach((run, i) => {
      if (said(f, ['run-not-planned'], i)) return;
      const where = `course ${row.course} run ${i}`;
      const list = standing(f, row, i).filter(
        (s) => s.piece.bottom === undefined && s.piece.fitting !== 'soldier',
      );
      const inside = (turn: number | null): number => (turn === -90 ? goesThrough(f) : 0);
      const start = -inside(run.turnBefore);
      const end = run.length + inside(run.turnAfter) + goesIn(f, i, row.course);
      const strips = row.pieces.filter((p) => p.run === i && p.bottom !== undefined);
      const soldiers = new Set((f.file.openings ?? []).filter((o) => o.over === 'soldiers').map((o) => o.id));
      const holes = f.openings
        // Soldiers stand in the row of their lowest course, and are not looked for in the others.
        .map((o) => ({ ...o, head: soldiers.has(o.id) ? o.head + f.unit.length + 2 * f.head : o.head }))
        .filter(
          (o) =>
            o.run === i &&
            (Math.min(o.head, course.top) - Math.max(o.sill, course.bottom) > BED_TAKES ||
              strips.some((p) => p.from > o.from - 1 && p.to < o.to + 1)),
        )
        .map((o) => ({ from: o.from, to: o.to }));
      for (const s of list) {
        const over = goesIn(f, i, row.course) < 0 ? f.head - Math.min(f.profile.headLeast, f.head) : 0;
        if (s.from < start - 1 || s.to > end + over + 1)
          out.push(
            `${where}: ${s.piece.kind} ${s.from.toFixed(1)} to ${s.to.toFixed(1)} stands past the run`,
          );
        for (const h of holes)
          if (Math.min(s.to, h.to) - Math.max(s.from, h.from) > 1 && !said(f, ['opening-at-corner']))
            out.push(`${where}: ${s.piece.kind} at ${s.from.toFixed(1)} stands in an opening`);
      }
      const solid = [...list, ...holes].sort((a, b) => a.from - b.from);
      let at = start;
      let opened = true;
      let lastOwn = false;
      for (const s of solid) {
        const gap = s.from - at;
        if (gap < -HAIR && !('sorted' in s) && !(gap > -1 && opened) && !said(f, ['opening-at-corner']))
          out.push(`${where}: overlap of ${(-gap).toFixed(2)} at ${s.from.toFixed(1)}`);
        const isOpening = !('piece' in s);
        const own = 'own' in s && s.own === true;
        // Beside an opening or at the end of the run there is no joint.
        // Between a jamb and another run's unit so little is left that mortar fills it.
        const besideOther = (!isOpening && opened && !own) || (isOpening && !opened && !lastOwn);
        const allowed =
          besideOther || (opened && isOpening) ? f.head + 0.5 : opened || isOpening ? HAIR : wide;
        if (gap > allowed + HAIR && !said(f, ['head-joint-out', 'opening-at-corner', 'gap-left'], i))
          out.push(`${where}: ${gap.toFixed(1)} mm of nothing at ${at.toFixed(1)}`);
        if (
          !opened &&
          !isOpening &&
          gap > HAIR &&
          gap < Math.min(f.profile.headLeast, f.head) - HAIR &&
          !said(f, ['head-joint-out'], i)
        )
          out.push(`${where}: a joint of ${gap.toFixed(2)} at ${at.toFixed(1)} and nothing said`);
        at = Math.max(at, s.to);
        opened = isOpening;
        lastOwn = own;
      }
      // Against a wall it is bonded to, a joint that may be eased like any other.
      const slack = goesIn(f, i, row.course) < 0 ? wide - f.head : lastOwn ? HAIR : f.head + 0.5;
      if (
        Math.abs(end - at) > 0.5 &&
        end - at > slack &&
        !said(f, ['head-joint-out', 'opening-at-corner', 'gap-left'], i)
      )
        out.push(`${where}: ${(end - at).toFixed(1)} mm of nothing at its end`);
    });
  }
  return out;
}

/** How far the wall's last end goes into the wall it is bonded to in this course: through it, or up to a joint from it. */
function goesIn(f: Facts, run: number, course: number): number {
  const { meets } = f.file;
  if (!meets || meets.how !== 'bonded' || run !== f.runs.length - 1 || f.into === undefined) return 0;
  return (course % 2 === 1) === ((meets.on ?? 'even') === 'odd') ? f.into : -f.head;
}

/** Courses stand on one another, and the kinds add up. */
export function courseDefects(f: Facts): string[] {
  const out: string[] = [];
  let at = 0;
  for (const c of f.plan.courses) {
    if (Math.abs(c.bottom - at) > HAIR)
      out.push(`course ${c.number} begins at ${c.bottom}, the last ended at ${at}`);
    if (Math.abs(c.top - c.bottom - c.bed - c.unitHeight) > HAIR)
      out.push(`course ${c.number} does not add up`);
    at = c.top;
  }
  const rows = [...f.plan.rows, ...(f.plan.inner?.rows ?? [])];
  const count = rows.reduce((n, r) => n + r.pieces.length, 0);
  if (f.plan.units.total !== count) out.push(`total ${f.plan.units.total} of ${count} pieces`);
  for (const [kind, n] of Object.entries(f.plan.units)) {
    const found = rows.reduce((sum, r) => sum + r.pieces.filter((p) => p.kind === kind).length, 0);
    if (kind !== 'total' && found !== n) out.push(`${kind}: ${n} counted, ${found} laid`);
  }
  if (
    // Behind a course of headers nothing stands.
    f.plan.rows.some((r) => r.leaf === 0 && ofRun(r, 0).length === 0) &&
    f.plain &&
    f.openings.length === 0 &&
    !said(f, ['gap-left', 'run-not-planned'], 0)
  )
    out.push('a course of run 0 has no pieces');
  return out;
}
