import {
  KINDS,
  kindNamed,
  materialName,
  mixName,
  orderOf,
  STAGES,
  carried,
  figuresOf,
  mortarOfWall,
  MUD,
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
  wallingName,
} from '@even-tally/core';
import { PLAN_TEXT } from '@even-tally/words';

const pad = (text: string, width: number): string => text.padStart(width);

const HEADS = [PLAN_TEXT.course, PLAN_TEXT.bed, PLAN_TEXT.top, PLAN_TEXT.pieces];

function courseTable(p: WallPlan, show: JobDocument['show'], say: Say): string[] {
  const head = HEADS.map((h) => pad(say(h), 12)).join('');
  const lines = [...p.gauge.courses].reverse().map((c) => {
    const pieces = p.runs.reduce((sum, run) => sum + (run.rows[c.number - 1]?.pieces.length ?? 0), 0);
    return [String(c.number), showMm(c.bed, show), showMm(c.top, show), String(pieces)]
      .map((t) => pad(t, 12))
      .join('');
  });
  return [head, ...lines];
}

function wallText(p: WallPlan, show: JobDocument['show'], say: Say): string[] {
  const runs = p.wall.runs.map((r) => PLAN_TEXT.run({ run: r.name, length: r.length }));
  const counts = KINDS.filter((k) => p.tally.pieces[k] > 0).map(
    (k) => `  ${say(kindNamed(k, p.wall.unit)).padEnd(24)}${pad(String(p.tally.pieces[k]), 8)}`,
  );
  const order = p.tallies.flatMap((t) =>
    t.buy.map((l) => {
      const name = say(orderOf(t.name, l));
      return `  ${name.padEnd(24)}${pad(String(l.ordered), 8)}${t.name === 'face' ? '' : ` ${l.unit}`}`;
    }),
  );
  const { pack } = p.wall.profile;
  // A wall of stone is of no unit, and what it comes to is weighed.
  const unit = p.wall.stone ? wallingName(p.wall.stone) : p.wall.unit.name;
  const mortar = mortarOfWall(p);
  const findings = p.findings.map(({ severity, says, fixes }) => {
    const ways = fixes.length > 0 ? [PLAN_TEXT.fixes({ fixes: fixes.map((f) => f.says) })] : [];
    return `  ${[PLAN_TEXT.finding({ severity, says }), ...ways].map(say).join(' ')}`;
  });
  return [
    '',
    say(PLAN_TEXT.wall({ wall: p.wall.name, unit, height: p.wall.height, runs })),
    ...courseTable(p, show, say),
    ...(p.wall.stone
      ? figuresOf(
          p,
          null,
          STAGES.filter((s) => s.id === 'tally'),
        ).map((f) => `  ${say(f.name)} ${sayFigure(f.value, f.quantity, show)}`)
      : [
          ...counts,
          `  ${say(PLAN_TEXT.pieces).padEnd(24)}${pad(String(p.tally.total), 8)}`,
          ...order,
          `  ${say(PLAN_TEXT.mortar({ ...mortar, packs: packsOf(mortar.used, pack), pack: pack.name }))}`,
        ]),
    ...batchesText(p, say),
    ...steelText(p, show, say),
    ...findings,
  ];
}

/** A line for each mix of the wall: its batch in whole measures, what it makes and lays, and how many of them. */
const batchesText = (p: WallPlan, say: Say): string[] =>
  p.mud.mixes.flatMap(({ mix, batch, lays, full, last }) =>
    batch
      ? [
          `  ${say(
            PLAN_TEXT.batch({
              mix: mixName(mix, p.mud.settings.basis),
              measures: batch.measures.map((m) =>
                PLAN_TEXT.measure({
                  count: m.count,
                  measure:
                    m.by === 'bag'
                      ? MUD.bag({ many: m.count > 1 ? 'yes' : 'no' })
                      : p.mud.settings.measure.name,
                  of: materialName(m.of),
                }),
              ),
              makes: batch.volume,
              lays,
              full: full + (last ? 1 : 0),
              last: last ? 'yes' : 'no',
            }),
          )}`,
        ]
      : [],
  );

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
          `  ${say(PLAN_TEXT.bars({ mark: l.mark, size: l.size })).padEnd(24)}${pad(`${l.count}`, 8)} × ${sayMm(l.length, show)}`,
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
