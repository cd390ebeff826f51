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
    });
  }
  return sum / 1e9;
}
