import {
  KINDS,
  kindNamed,
  orderOf,
  STAGES,
  carried,
  figuresOf,
  mortarOfWall,
  packsOf,
  sayMass,
  sayMm,
  schedule,
  showArea,
  showMm,
  showVolume,
  type JobDocument,
  type Plan,
  type Say,
  type Quantity,
  type WallPlan,
} from '@even-tally/core';

const pad = (text: string, width: number): string => text.padStart(width);

function courseTable(p: WallPlan, show: JobDocument['show']): string[] {
  const head = ['course', 'bed', 'top', 'pieces'].map((h) => pad(h, 12)).join('');
  const lines = [...p.gauge.courses].reverse().map((c) => {
    const pieces = p.runs.reduce((sum, run) => sum + (run.rows[c.number - 1]?.pieces.length ?? 0), 0);
    return [String(c.number), showMm(c.bed, show), showMm(c.top, show), String(pieces)]
      .map((t) => pad(t, 12))
      .join('');
  });
  return [head, ...lines];
}

function wallText(p: WallPlan, show: JobDocument['show'], say: Say): string[] {
  const runs = p.wall.runs.map((r) => `${r.name} ${sayMm(r.length, show)}`).join(', ');
  const counts = KINDS.filter((k) => p.tally.pieces[k] > 0).map(
    (k) => `  ${say(kindNamed(k)).padEnd(24)}${pad(String(p.tally.pieces[k]), 8)}`,
  );
  const order = p.tallies.flatMap((t) =>
    t.buy.map((l) => {
      const name = say(orderOf(t.name, l));
      return `  ${name.padEnd(24)}${pad(String(l.ordered), 8)}${t.name === 'face' ? '' : ` ${l.unit}`}`;
    }),
  );
  const { pack } = p.wall.profile;
  const mortar = mortarOfWall(p);
  const findings = p.findings.map(
    (f) =>
      `  ${f.severity.toUpperCase()} ${say(f.says)}${f.fixes.length > 0 ? ` Fixes: ${f.fixes.map((x) => say(x.says)).join('; ')}.` : ''}`,
  );
  return [
    '',
    `${p.wall.name}: ${say(p.wall.unit.name)}, ${sayMm(p.wall.height, show)} high; ${runs}`,
    ...courseTable(p, show),
    ...counts,
    `  ${'pieces'.padEnd(24)}${pad(String(p.tally.total), 8)}`,
    ...order,
    `  mortar in the joints ${showVolume(mortar.geometric, show)}, to mix ${showVolume(mortar.used, show)}: ${packsOf(mortar.used, pack)} × ${say(pack.name)}`,
    ...steelText(p, show, say),
    ...findings,
  ];
}

const sayFigure = (value: number, quantity: Quantity, show: JobDocument['show']): string =>
  quantity === 'volume'
    ? showVolume(value, show)
    : quantity === 'area'
      ? showArea(value, show)
      : quantity === 'length'
        ? sayMm(value, show)
        : quantity === 'mass'
          ? sayMass(value, show)
          : String(value);

/** Steel, grout and joints, and the bar schedule by mark. */
function steelText(p: WallPlan, show: JobDocument['show'], say: Say): string[] {
  const bars = p.wall.steel
    ? schedule(carried(p).wall, p.steel).map(
        (l) =>
          `  ${`bars ${l.mark}, ${l.size}`.padEnd(24)}${pad(`${l.count}`, 8)} × ${sayMm(l.length, show)}`,
      )
    : [];
  return [
    ...bars,
    ...figuresOf(
      p,
      null,
      STAGES.filter((s) => s.id !== 'tally'),
    ).map((f) => `  ${say(f.name)} ${sayFigure(f.value, f.quantity, show)}`),
  ];
}

/** The plan for reading: a course table, the tally and what the walls say. */
export const readable = (job: JobDocument, plan: Plan, say: Say): string =>
  [job.name, ...plan.walls.flatMap((p) => wallText(p, job.show, say)), ''].join('\n');
