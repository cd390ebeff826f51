import type { Kilograms } from '../../measure/length.js';
import { BRIDGE, QUOIN_HIGH } from '../../tables/stoneWalls.js';
import { ashlarOf } from '../../walling/stone/ashlar/lay.js';
import type { IntoOld } from '../../walling/stone/intoOld.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { squaredIn, throughWeighs } from '../../walling/stone/sorted.js';
import { stonesOfLevel } from '../../walling/stone/stones.js';
import { stoneIn } from '../../walling/stone/stretches.js';
import { stoneWork } from '../../walling/stone/work.js';
import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { Cell, ListRow, WorkList } from '../list.js';
import { LIST } from '../listMessages.js';
import type { SetOutWork } from '../set-out/stage.js';

export type Laid = SetOutWork & GaugeWork & BondWork;

/** Level by level, from the lowest: how high, about how many face stones, what goes through it, and its mortar. */
export function levelList(work: Laid): WorkList {
  const { wall, gauge } = work;
  const done = stoneWork(wall, gauge);
  const [leaf] = work.leaves;
  const rows = gauge.courses.map((c, i): ListRow => {
    const stones = wall.runs.reduce(
      (sum, _, run) => sum + (leaf ? (stonesOfLevel({ leaf, course: c.number }, run) ?? 0) : 0),
      0,
    );
    const through = done.runs
      .flatMap((r) => [...r.throughs, ...r.bonders])
      .filter((t) => t.at > c.bottom && t.at <= c.top)
      .reduce((sum, t) => sum + t.count, 0);
    const mortar = done.runs.reduce(
      (sum, r) => sum + (r.levels[i] ?? 0) * (r.volumes.gross > 0 ? r.volumes.mortar / r.volumes.gross : 0),
      0,
    );
    return {
      id: String(c.number),
      course: c.number,
      cells: [c.number, c.top, c.top - c.bottom, stones, through, mortar],
      spots: done.runs.map((r) => ({ run: r.run, x: 0, y: c.bottom, w: r.length, h: c.top - c.bottom })),
    };
  });
  return {
    kind: 'courses',
    name: SAYS.levels(),
    columns: [
      { key: 'level', name: SAYS.level(), is: 'count' },
      { key: 'top', name: LIST.top(), is: 'length' },
      { key: 'high', name: SAYS.high(), is: 'length' },
      { key: 'stones', name: SAYS['about-stones'](), is: 'count', sums: true },
      { key: 'through', name: SAYS['go-through'](), is: 'count', sums: true },
      { key: 'mortar', name: SAYS.mortar(), is: 'volume', sums: true },
    ],
    rows,
    empty: SAYS['stones-none'](),
  };
}

/** Where the lines of both faces stand, height by height, at each end. */
export function lineList({ wall, gauge }: Laid): WorkList {
  const rows = stoneWork(wall, gauge).lines.flatMap(({ height, offset }) =>
    offset.map((o): ListRow => ({
      id: `${height}/${o.run}/${o.end}`,
      cells: [
        height,
        wall.runs[o.run]?.name ?? '',
        SAYS['end-is']({ end: o.end === 0 ? 'start' : 'end' }),
        o.width,
        o.outer,
        o.inner,
      ],
      spots: [
        {
          run: o.run,
          x: o.end === 0 ? 0 : Math.max(0, (wall.runs[o.run]?.length ?? 0) - 60),
          y: Math.max(0, height - 30),
          w: 60,
          h: 60,
        },
      ],
    })),
  );
  return {
    kind: 'lines',
    name: SAYS.lines(),
    columns: [
      { key: 'height', name: SAYS.height(), is: 'length' },
      { key: 'run', name: SAYS.run(), is: 'text' },
      { key: 'end', name: SAYS.end(), is: 'text' },
      { key: 'width', name: SAYS.width(), is: 'length' },
      { key: 'outer', name: SAYS.outer(), is: 'length' },
      { key: 'inner', name: SAYS.inner(), is: 'length' },
    ],
    rows,
    empty: SAYS['lines-none'](),
  };
}

/** Stone sorted by what it is for: counted where stones are picked out, weighed where they are not. */
export function stoneList({ wall, gauge, into }: Laid & { into?: IntoOld | null }): WorkList {
  const stone = stoneIn(wall);
  const {
    volumes: v,
    throughs,
    bonders,
    copes,
    footing,
    runs,
    treads,
    bridges,
    peaks,
  } = stoneWork(wall, gauge);
  const { density } = stone.stone;
  const squared = stone.kind === 'ashlar' ? null : squaredIn(wall, gauge);
  const rows: ListRow[] = [];
  const add = (
    id: string,
    use: Parameters<(typeof SAYS)['use-is']>[0]['use'],
    count: number | null,
    size: Cell,
    mass: Kilograms | null,
    spots: ListRow['spots'] = [],
  ): void => {
    if ((count ?? 0) <= 0 && (mass ?? 0) <= 0) return;
    rows.push({
      id,
      cells: [SAYS['use-is']({ use }), count, size, mass === null ? null : { value: mass, is: 'mass' }],
      spots,
    });
  };
  throughs.forEach((t) => {
    const long = t.length + 2 * stone.past;
    add(
      `through/${t.at}`,
      'through',
      t.count,
      SAYS['through-at']({ at: t.at, length: long }),
      t.count * throughWeighs(long, density),
      runs.flatMap((r) =>
        r.throughs
          .filter((row) => row.at === t.at)
          .flatMap((row) =>
            row.places.map((x) => ({ run: r.run, x: x - 120, y: t.at - 65, w: 240, h: 130 })),
          ),
      ),
    );
  });
  if (treads.length > 0) {
    const long = Math.max(...treads.map((t) => t.length));
    add(
      'tread',
      'tread',
      treads.length,
      SAYS['tread-long']({ length: long }),
      treads.reduce((sum, t) => sum + throughWeighs(t.length, density), 0),
      treads.map((t) => ({ run: t.run, x: t.at - 125, y: t.top - 90, w: 250, h: 90 })),
    );
  }
  add('bonder', 'bonder', bonders.count, SAYS['bonder-long']({ length: bonders.length }), null);
  if (squared) {
    add('quoin', 'quoin', squared.quoins, SAYS['quoin-size']({ height: QUOIN_HIGH }), null);
    add('jamb', 'jamb', squared.jambs, SAYS['quoin-size']({ height: QUOIN_HIGH }), null);
  }
  if (copes && stone.copes)
    add(
      'coping',
      'coping',
      copes.count,
      SAYS['cope-size']({ each: stone.copes.each, height: stone.copes.height, width: copes.width }),
      copes.mass,
    );
  for (const b of bridges)
    add(
      `bridge/${b.opening}`,
      'bridge',
      b.count,
      SAYS['bridge-long']({ name: b.name, length: b.length }),
      b.count * b.mass,
      [{ run: b.run, x: b.from, y: b.at, w: b.to - b.from, h: BRIDGE.thick }],
    );
  for (const p of peaks)
    add(
      `peak/${p.run}/${p.at}`,
      'peak',
      1,
      SAYS['peak-size']({ width: p.left + p.right, height: p.top - p.foot, thick: p.thick }),
      p.mass,
      [{ run: p.run, x: p.at - p.left, y: p.foot, w: p.left + p.right, h: p.top - p.foot }],
    );
  if (into)
    add('pocket', 'pocket', into.count, SAYS['pocket-deep']({ how: into.how, deep: into.deep }), null);
  add('face', stone.kind === 'ashlar' ? 'ashlar' : 'face', null, SAYS['by-weight'](), v.face * density);
  add('backing', 'backing', null, SAYS['by-weight'](), v.back * density);
  add('hearting', 'hearting', null, SAYS['by-weight'](), v.hearting * density);
  if (footing) add('footing', 'footing', null, SAYS['by-weight'](), footing.mass);
  return {
    kind: 'stones',
    name: SAYS.stones(),
    columns: [
      { key: 'use', name: SAYS.use(), is: 'text' },
      { key: 'count', name: SAYS.count(), is: 'count' },
      { key: 'size', name: SAYS.size(), is: 'text' },
      { key: 'weighs', name: SAYS.tonnes(), is: 'mass' },
    ],
    rows,
    empty: SAYS['stones-none'](),
  };
}

/** Every stone of ashlar, as it is cut. */
export function cutStones({ wall, gauge }: Laid): WorkList {
  return {
    kind: 'cut-stones',
    name: SAYS['cut-list'](),
    columns: [
      { key: 'number', name: SAYS.number(), is: 'text' },
      { key: 'run', name: SAYS.run(), is: 'text' },
      { key: 'long', name: SAYS.long(), is: 'length' },
      { key: 'high', name: SAYS.high(), is: 'length' },
      { key: 'bed', name: SAYS.deep(), is: 'length' },
      { key: 'weighs', name: SAYS.weight(), is: 'mass', sums: true },
    ],
    rows: ashlarOf(wall, gauge).stones.map((s): ListRow => ({
      id: `${s.run}/${s.number}`,
      course: s.course,
      cells: [s.number, wall.runs[s.run]?.name ?? '', s.to - s.from, s.top - s.bottom, s.bed, s.mass],
      spots: [{ run: s.run, x: s.from, y: s.bottom, w: s.to - s.from, h: s.top - s.bottom }],
    })),
    empty: SAYS['cut-none'](),
  };
}

/** The lists of a wall of stone. */
export const stoneLists = (work: Laid & { into?: IntoOld | null }): WorkList[] =>
  stoneIn(work.wall).kind === 'ashlar'
    ? [cutStones(work), stoneList(work)]
    : [levelList(work), stoneList(work), lineList(work)];
