import type { Say } from '@even-tally/core';
import {
  bandIn,
  barOf,
  boxIn,
  carried,
  carryingLeaf,
  placeOn,
  plannedRuns,
  runOnSite,
  uprightLengths,
  type Leaf,
  type OnSite,
  type PlannedRun,
  type WallPlan,
} from '@even-tally/core';
import { enumeration, real } from './step.js';
import { ifcGuid } from './guid.js';
import type { Model, Property, Quantity } from './model.js';

type Ref = { ref: number };

interface Standing {
  model: Model;
  p: WallPlan;
  /** Where it lies, as planned on the site; its base over the datum, mm. */
  run: PlannedRun;
  base: number;
  /** Names it in the model. */
  key: string;
  say: Say;
}

const topOf = ({ p }: Standing): number => p.gauge.courses[p.gauge.count - 1]?.top ?? 0;

/** A leaf as it stands: up from its plan; or, where the top is not level and the run straight, its face drawn through its depth. */
function leafBody(s: Standing, leaf: Leaf): Ref {
  const { model, p, run, base } = s;
  const [from, to] = [leaf.offset, leaf.offset + leaf.thickness];
  const tops = p.wall.tops.filter((t) => t.run === run.index).sort((a, b) => a.from - b.from);
  if (tops.length === 0 || run.radius !== null) return model.upright(bandIn(run, from, to), base, topOf(s));
  const level = topOf(s);
  const outline: (readonly [number, number])[] = [
    [0, 0],
    [run.length, 0],
    [run.length, level],
    ...[...tops]
      .reverse()
      .flatMap((t) => [
        [t.to, level] as const,
        ...[...t.segments].reverse().flatMap((g) => [[g.to, g.right] as const, [g.from, g.left] as const]),
        [t.from, level] as const,
      ]),
    [0, level],
  ];
  const distinct = outline.filter(([x, y], i) => {
    const [px, py] = outline[i - 1] ?? [NaN, NaN];
    return !(Math.abs(px - x) < 1e-6 && Math.abs(py - y) < 1e-6);
  });
  const [x, y] = placeOn(run, 0, to);
  const along = [Math.cos(run.heading), Math.sin(run.heading), 0] as const;
  // Outward is on the right of the way the run is walked.
  const out = [Math.sin(run.heading), -Math.cos(run.heading), 0] as const;
  return model.through(distinct, [x, y, base], along, out, leaf.thickness);
}

function openings(s: Standing, host: Ref, leaf: Leaf): void {
  const { model, p, run, base, key } = s;
  for (const o of p.wall.openings.filter((one) => one.run === run.index)) {
    const name = `${key}/${leaf.index}/opening/${o.id}`;
    const body = model.upright(
      boxIn(run, leaf.offset, leaf.offset + leaf.thickness, o.from, o.to),
      base + o.sill,
      o.head - o.sill,
    );
    const opening = model.step.add(
      'IFCOPENINGELEMENT',
      ifcGuid(name),
      null,
      o.name,
      null,
      null,
      model.placement(),
      body,
      o.id,
      enumeration('OPENING'),
    );
    model.relate('IFCRELVOIDSELEMENT', `${name}/voids`, host, opening);
  }
}

/** Bars of a run: uprights in their cells, and those of beams, as thick as they are. */
function bars(s: Standing): Ref[] {
  const { model, run, base, key } = s;
  const p = carried(s.p);
  const leaf = carryingLeaf(s.p);
  const { steel, wall, gauge } = p;
  const size = wall.steel?.vertical?.bar;
  const list: Ref[] = [];
  const bar = (name: string, mark: string, barSize: string, length: number, body: Ref): void => {
    const { diameter } = barOf(barSize);
    list.push(
      model.stand(
        model.step.add(
          'IFCREINFORCINGBAR',
          ifcGuid(`${key}/${name}`),
          null,
          mark,
          null,
          null,
          model.placement(),
          body,
          barSize,
          null,
          real(diameter),
          real((Math.PI * diameter * diameter) / 4),
          real(length),
          enumeration('MAIN'),
          null,
        ),
      ),
    );
  };
  if (size !== undefined) {
    const across = leaf.offset + (steel.place?.from ?? wall.unitWidth / 2);
    const { diameter } = barOf(size);
    const uprights = steel.verticals.find((v) => v.run === run.index)?.bars ?? [];
    uprights.forEach(({ at, shaft }, i) => {
      const { length } = uprightLengths(wall, shaft);
      if (length <= 0) return;
      const [x, y] = placeOn(run, at, across);
      // What goes up is what stands: laps lie beside it and are counted in the schedule.
      const up = [
        [x, y, base + shaft.bottom],
        [x, y, base + shaft.top],
      ] as const;
      bar(`upright/${i}`, `Upright ${size}`, size, length, model.bar(up, diameter / 2));
    });
  }
  const middle = leaf.offset + wall.unitWidth / 2;
  steel.beams
    .filter((b) => b.run === run.index)
    .forEach((b, k) =>
      b.stretches.forEach((stretch, j) => {
        const { bottom = 0, top = 0 } = gauge.courses[b.course] ?? {};
        for (let i = 0; i < b.count; i++) {
          const z = base + bottom + ((i + 1) / (b.count + 1)) * (top - bottom);
          const parts = run.radius === null ? 1 : 12;
          const line = Array.from({ length: parts + 1 }, (_, n) => {
            const [x, y] = placeOn(run, stretch.from + ((stretch.to - stretch.from) * n) / parts, middle);
            return [x, y, z] as const;
          });
          const { diameter } = barOf(b.bar);
          const length = stretch.to - stretch.from;
          bar(`beam/${k}/${j}/${i}`, `Beam ${b.bar}`, b.bar, length, model.bar(line, diameter / 2));
        }
      }),
    );
  return list;
}

/** What a model is measured by, under the names models have for it. */
function quantitiesOf(s: Standing): Quantity[] {
  const { p, run } = s;
  const deep = p.leaves.reduce((sum, l) => sum + l.thickness, 0);
  const tally = p.runTallies[run.index];
  const net = tally?.area ?? 0;
  return [
    { name: 'Length', of: 'length', value: run.length },
    { name: 'Width', of: 'length', value: p.wall.cavity?.overall ?? p.wall.thickness },
    { name: 'Height', of: 'length', value: topOf(s) },
    { name: 'NetSideArea', of: 'area', value: net },
    { name: 'NetVolume', of: 'volume', value: (net * deep) / 1000 },
  ];
}

/** What a mason counts of it. */
function masonryOf({ p, run, say }: Standing): Property[] {
  const { wall, gauge } = p;
  const tally = p.runTallies[run.index];
  return [
    { name: 'Bond', as: 'text', value: say(wall.bond.name) },
    { name: 'Unit', as: 'text', value: say(wall.unit.name) },
    { name: 'Courses', as: 'count', value: gauge.count },
    { name: 'BedJoint', as: 'length', value: gauge.courses[1]?.bed ?? wall.bed },
    { name: 'HeadJoint', as: 'length', value: wall.head },
    { name: 'Units', as: 'count', value: tally?.total ?? 0 },
    ...(p.wall.tops.some((t) => t.run === run.index) && run.radius !== null
      ? [{ name: 'Top', as: 'text', value: 'not level; drawn level here, for the run is curved' } as const]
      : []),
  ];
}

/** One run: the wall, its leaves as parts of it where there are several, its openings, its bars, its quantities. */
function runIfc(s: Standing): void {
  const { model, p, run, key } = s;
  const name = `${p.wall.name}: ${p.wall.runs[run.index]?.name ?? ''}`;
  const single = p.leaves.length === 1 ? p.leaves[0] : undefined;
  const wall = model.stand(
    model.step.add(
      'IFCWALL',
      ifcGuid(key),
      null,
      name,
      null,
      null,
      model.placement(),
      single ? leafBody(s, single) : null,
      p.wall.id,
      enumeration('SOLIDWALL'),
    ),
  );
  if (single) openings(s, wall, single);
  else {
    const parts = p.leaves.map((leaf) => {
      const part = model.step.add(
        'IFCBUILDINGELEMENTPART',
        ifcGuid(`${key}/leaf/${leaf.index}`),
        null,
        `${name}, ${leaf.index === 0 ? 'outer' : 'inner'} leaf`,
        null,
        s.say(leaf.wall.unit.name),
        model.placement(),
        leafBody(s, leaf),
        null,
        enumeration('NOTDEFINED'),
      );
      openings(s, part, leaf);
      return part;
    });
    model.relate('IFCRELAGGREGATES', `${key}/leaves`, wall, parts);
  }
  model.quantities(wall, key, 'Qto_WallBaseQuantities', quantitiesOf(s));
  model.properties(wall, key, 'EvenTally_Masonry', masonryOf(s));
  bars(s);
}

export function wallIfc(model: Model, p: WallPlan, at: OnSite, say: Say): void {
  for (const run of plannedRuns(p.wall))
    runIfc({
      model,
      p,
      run: runOnSite(at, run),
      base: p.wall.base,
      key: `${p.wall.id}/${p.wall.runs[run.index]?.called ?? run.index}`,
      say,
    });
}
