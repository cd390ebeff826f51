import { cellsOf } from './steel.js';
import { perpsOf, standing, type Facts } from './wall.js';

/**
 * Mortar of beds and perps in one leaf, m³: under every piece and every joint beside it, between every two neighbours,
 * those sawn in height over heads and under sills among them. Null where the wall is not plain.
 */
export function mortarOf(f: Facts): number | null {
  if (!f.plain || f.plan.inner || f.file.build.wythes === 2) return null;
  if (f.plan.rows.some((r) => r.pieces.some((p) => p.fitting !== undefined))) return null;
  if (f.job.walls.some((w) => w.meets !== undefined)) return null;
  const most = Math.max(f.profile.headMost, f.head);
  const spread = f.profile.faceShell(f.unit) ? 2 * (f.unit.cores?.shell ?? 0) : f.unit.width;
  let sum = 0;
  for (const row of f.plan.rows) {
    const course = f.plan.courses[row.course - 1];
    if (!course) continue;
    f.runs.forEach((_, run) => {
      const all = standing(f, row, run);
      const list = all.filter((s) => s.piece.bottom === undefined);
      const strips = all.filter((s) => s.piece.bottom !== undefined);
      strips.forEach((s) => {
        const high = (s.piece.top ?? 0) - (s.piece.bottom ?? 0) - course.bed;
        // Its neighbour in the same strip, where there is one: over the same opening.
        const next = strips.find(
          (n) => n.piece.bottom === s.piece.bottom && n.from > s.to - 1 && n.from - s.to <= most + 10,
        );
        const jambs = f.openings.filter((o) => o.run === run).flatMap((o) => [o.from, o.to]);
        const inside = next && !jambs.some((x) => x > s.to - 1 && x < next.from + 1);
        // The first of a strip has a joint against the jamb too, and the last.
        const before = jambs.find((x) => x < s.from + 1 && s.from - x < most + 1);
        const after = inside ? next.from : (jambs.find((x) => x > s.to - 1 && x - s.to < most + 1) ?? s.to);
        const joint = after - s.to + (before === undefined ? 0 : s.from - before);
        sum += ((s.to - s.from + joint) * course.bed + joint * high) * spread;
      });
      const own = list.filter((s) => s.own).reduce((n, s) => n + s.to - s.from, 0);
      let joints = 0;
      list.forEach((s, i) => {
        const next = list[i + 1];
        if (next && next.from - s.to <= most + 10 && perpsOf([s, next], most + 10).length > 0)
          joints += next.from - s.to;
      });
      sum += ((own + joints) * course.bed + joints * course.unitHeight) * spread;
      sum += websOf(f, row, run) * course.bed;
    });
  }
  return sum / 1e9;
}

/** Pieces of a course between two openings that it stops at, or one and a free end, no more than six thicknesses apart. */
function inPier(f: Facts, run: number, middle: number, bottom: number, top: number): boolean {
  const open = f.openings.filter((o) => o.run === run && bottom >= o.sill - 1 && top <= o.head + 1);
  const left = open.filter((o) => o.to < middle).sort((a, b) => b.to - a.to)[0];
  const right = open.filter((o) => o.from > middle).sort((a, b) => a.from - b.from)[0];
  const own = f.runs[run];
  const startsFree = run === 0 && f.runs.at(-1)?.turnAfter === null;
  const endsFree = own?.turnAfter === null;
  if ((!left && !startsFree) || (!right && !endsFree) || (!left && !right)) return false;
  const long = (right?.from ?? own?.length ?? 0) - (left?.to ?? 0);
  return long <= 6 * f.unit.width;
}

/**
 * What lies on webs in one course of face-shell bedded units, mm² seen from above: all in the first course and in piers, else those
 * with a filled cell beside them.
 */
function websOf(f: Facts, row: Facts['plan']['rows'][number], run: number): number {
  const { cores } = f.unit;
  const course = f.plan.courses[row.course - 1];
  if (!cores || !f.profile.faceShell(f.unit) || !course) return 0;
  const inside = f.unit.width - 2 * cores.shell;
  const list = standing(f, row, run).filter((s) => s.piece.bottom === undefined);
  const filled = f.plan.cells.filter(
    (c) => c.run === run && c.grouted && c.bottom < course.bottom + 1 && c.top > course.top - 1,
  );
  return list.reduce((sum, s, i) => {
    if (!s.own) return sum;
    const next = list[i + 1];
    const followed = next !== undefined && next.from - s.to < 2 * f.head + 10;
    const cells = cellsOf(f, s.piece, true, null, followed).sort((a, b) => a.from - b.from);
    const all =
      row.course === 1 ||
      f.file.grout?.fill === 'all' ||
      inPier(f, run, (s.from + s.to) / 2, course.bottom, course.top);
    const edges = [s.piece.from, ...cells.flatMap((c) => [c.from, c.to]), s.piece.to];
    const hot = cells.map((c) => filled.some((x) => x.at > c.from && x.at < c.to));
    let long = 0;
    for (let k = 0; k <= cells.length; k++)
      if (all || hot[k - 1] || hot[k]) long += (edges[2 * k + 1] ?? 0) - (edges[2 * k] ?? 0);
    return sum + long * inside;
  }, 0);
}
