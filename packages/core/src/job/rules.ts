import { SAME_PLACE, toMillimetres, type Length } from '../measure/length.js';
import { sayMm } from '../measure/format.js';
import { topAt } from '../stages/set-out/outline.js';
import { setOutWall, type SetOpening, type SetWall } from '../stages/set-out/wall.js';
import { bondById } from '../tables/bonds.js';
import { stoneNamed } from '../tables/stones.js';
import { unitById } from '../tables/units.js';
import { sayValue, type Fault } from '../statement/fault.js';
import { LIMITS } from './limits.js';
import { stated } from './stated.js';
import { stoneFaults } from './stoneRules.js';
import { behindFace, findUnit, unitOfBuild } from './units.js';
import { inFull } from './full.js';
import { outlineFaults } from './outlineRules.js';
import { steelFaults } from './steelRules.js';
import { crewFaults } from './crewRules.js';
import { mixFaults } from './mixRules.js';
import type { Job, JobDocument, OwnUnit, Stated, Wall } from './types.js';

function repeated(ids: { id: string; path: string }[], what: string): Fault[] {
  const seen = new Map<string, string>();
  return ids.flatMap(({ id, path }) => {
    const first = seen.get(id);
    if (first === undefined) {
      seen.set(id, path);
      return [];
    }
    return [{ path, wanted: `a ${what} id used once`, got: `${sayValue(id)} again (first at ${first})` }];
  });
}

const apart = (aFrom: number, aTo: number, bFrom: number, bTo: number): boolean =>
  aTo < bFrom - SAME_PLACE || bTo < aFrom - SAME_PLACE;

/** How high the wall stands over the middle of an opening: a gable may rise past its height. */
const highestOf = (wall: SetWall, o: SetOpening): number =>
  Math.max(
    wall.height,
    topAt(
      wall.tops.filter((t) => t.run === o.run).flatMap((t) => t.segments),
      (o.from + o.to) / 2,
    ) ?? 0,
  );

function openingFaults(wall: SetWall, o: SetOpening, earlier: SetOpening[], saysRun: boolean): Fault[] {
  const path = `/walls/${wall.index}/openings/${o.index}`;
  if (o.run < 0) return [];
  if (!saysRun && wall.runs.length > 1)
    return [{ path: `${path}/run`, wanted: `a run from 0 to ${wall.runs.length - 1}`, got: 'nothing' }];
  const say = (n: number): string => sayMm(n, wall.show);
  const run = wall.runs[o.run];
  if (!run) {
    return [{ path: `${path}/run`, wanted: `a run from 0 to ${wall.runs.length - 1}`, got: `${o.run}` }];
  }
  const faults: Fault[] = [];
  if (!(o.from >= -SAME_PLACE && o.to <= run.length + SAME_PLACE)) {
    faults.push({
      path: `${path}/${o.from < 0 ? 'at' : 'width'}`,
      wanted: `an opening inside its run, 0 to ${say(run.length)}`,
      got: `${say(o.from)} to ${say(o.to)}`,
    });
  }
  if (!(o.head > o.sill)) {
    faults.push({
      path: `${path}/head`,
      wanted: `a head above the sill at ${say(o.sill)}`,
      got: say(o.head),
    });
  }
  if (!(o.head <= highestOf(wall, o) + SAME_PLACE)) {
    faults.push({
      path: `${path}/head`,
      wanted: `a head no higher than the wall, ${say(highestOf(wall, o))}`,
      got: say(o.head),
    });
  }
  const other = earlier.find(
    (e) => e.run === o.run && !apart(e.from, e.to, o.from, o.to) && !apart(e.sill, e.head, o.sill, o.head),
  );
  if (other) {
    faults.push({
      path,
      wanted: `masonry between openings`,
      got: `${o.id} overlaps or touches ${other.id}`,
    });
  }
  return faults;
}

function sizeFaults(wall: SetWall): Fault[] {
  const faults: Fault[] = [];
  const path = `/walls/${wall.index}`;
  wall.runs.forEach((run) => {
    if (!(run.length > 0)) {
      faults.push({
        path: `${path}/line/${run.item}`,
        wanted: `a run longer than one head joint (${sayMm(wall.head, wall.show)})`,
        got: sayMm(run.stated, wall.show),
      });
    }
    if (!(run.length <= toMillimetres(LIMITS.run))) {
      faults.push({
        path: `${path}/line/${run.item}`,
        wanted: 'at most 1 km',
        got: `${(run.length / 1e6).toFixed(1)} km`,
      });
    }
  });
  if (!(wall.height <= toMillimetres(LIMITS.height))) {
    faults.push({ path: `${path}/height`, wanted: 'at most 100 m', got: sayMm(wall.height, wall.show) });
  }
  if (!(wall.half > 0)) {
    faults.push({
      path: `${path}/build/head`,
      wanted: `a joint thinner than the unit is long`,
      got: sayMm(wall.head, wall.show),
    });
  }
  return faults;
}

/** Limits a job or a wall states itself leave room between them, with those of the profile where it states only one. */
function limitFaults(job: JobDocument, set: SetWall): Fault[] {
  const own = job.walls[set.index]?.rules;
  return (['bed', 'firstBed', 'head'] as const).flatMap((of): Fault[] => {
    const { least, most } = set.profile[of];
    if ((!own?.[of] && !job.rules?.[of]) || least < most) return [];
    const say = (l: Length): string => sayMm(toMillimetres(l), set.show);
    return [
      {
        path: `${own?.[of] ? `/walls/${set.index}` : ''}/rules/${of}`,
        wanted: 'a least under the most',
        got: `${say(least)} to ${say(most)}`,
      },
    ];
  });
}

/** An inner leaf of a unit there is, behind one outer leaf in a running bond: headers would bridge the cavity. */
function cavityFaults(job: JobDocument, index: number): Fault[] {
  const build = job.walls[index]?.build;
  const behind = build && behindFace(build);
  if (!behind) return [];
  const stone = build.kind !== 'units';
  const path = `/walls/${index}/build/${stone ? 'backing' : 'cavity'}`;
  if (!findUnit(job, behind.inner))
    return [
      {
        path: `${path}/${stone ? 'unit' : 'inner'}`,
        wanted: 'a unit of the library or of this job',
        got: sayValue(behind.inner),
      },
    ];
  if (stone) return [];
  if (build.wythes === 2 || bondById(build.bond).family === 'header')
    return [
      { path, wanted: 'one outer leaf in a running bond', got: `${build.wythes ?? 1} in ${build.bond} bond` },
    ];
  const { board, width } = behind;
  if (board !== undefined && stated(board) > stated(width))
    return [{ path: `${path}/board`, wanted: 'a board no wider than the cavity', got: sayValue(board) }];
  return [];
}

/** A sample this far from its unit was measured on something else, or in other units. */
const SAMPLE_REACH = 0.2;

function sampleFaults(job: JobDocument, index: number): Fault[] {
  const build = job.walls[index]?.build;
  const unit = build && unitOfBuild(job, build);
  if (!build?.samples || !unit) return [];
  return (['length', 'height', 'width'] as const).flatMap((size) =>
    (build.samples?.[size] ?? []).flatMap((s, k) => {
      const [own, got] = [toMillimetres(unit[size]), toMillimetres(stated(s))];
      if (Math.abs(got - own) <= SAMPLE_REACH * own) return [];
      return [
        {
          path: `/walls/${index}/build/samples/${size}/${k}`,
          wanted: `a ${size} near the unit’s ${sayMm(own, job.show)}`,
          got: sayMm(got, job.show),
        },
      ];
    }),
  );
}

const unitsIn = (wall: SetWall): number =>
  (wall.runs.reduce((sum, r) => sum + r.length, 0) / (wall.unitLength + wall.head)) *
  (Math.max(wall.height, ...wall.tops.flatMap((t) => t.segments.flatMap((s) => [s.left, s.right]))) /
    (wall.unitHeight + wall.bed)) *
  wall.wythes;

/** Shells, webs and cells that fit the unit they are in. */
function ownUnitFaults(job: JobDocument, u: OwnUnit, i: number): Fault[] {
  const say = (n: number): string => sayMm(n, job.show);
  const mm = (s: Stated): number => toMillimetres(stated(s));
  const { cells = 0, shell, web, taper } = u;
  if (cells === 0 || shell === undefined || web === undefined) return [];
  const [length, width] = [mm(u.actual.length), mm(u.actual.width)];
  const thick = taper === undefined ? 0 : mm(taper);
  const faults: Fault[] = [];
  if (!(2 * mm(shell) + thick < width))
    faults.push({
      path: `/units/${i}/shell`,
      wanted: `two shells${thick > 0 ? ' and the taper' : ''} that leave a cell in a unit ${say(width)} wide`,
      got: say(mm(shell)),
    });
  if (!((cells + 1) * mm(web) + cells * thick < length))
    faults.push({
      path: `/units/${i}/web`,
      wanted: `${cells + 1} webs that leave ${cells === 1 ? 'a cell' : `${cells} cells`} in a unit ${say(length)} long`,
      got: say(mm(web)),
    });
  return faults;
}

/** An entry with an address says nothing else of where it is; one without says all of it. */
function placeFaults(job: JobDocument, i: number): Fault[] {
  const wall = job.walls[i];
  const lists: [string, readonly object[] | undefined, string[]][] = [
    ['build/pieces', wall?.build.pieces, ['run', 'course', 'at', 'length']],
    ['steel/cells', wall?.steel?.cells, ['run', 'at']],
    ['steel/starters', wall?.steel?.starters, ['run']],
    ['openings', wall?.openings, ['run']],
    ['vents', wall?.vents, ['run', 'course']],
    ['tops', wall?.tops, ['run']],
    ['steps', wall?.steps, ['run']],
    ['piers', wall?.piers, ['run']],
    ['joints', wall?.joints, ['run']],
    ['poured', wall?.poured, ['run']],
  ];
  return lists.flatMap(([under, list, keys]) =>
    (list ?? []).flatMap((one, k) => {
      const path = `/walls/${i}/${under}/${k}`;
      if (Object.hasOwn(one, 'place'))
        return keys
          .filter((key) => Object.hasOwn(one, key))
          .map((key) => ({ path: `${path}/${key}`, wanted: 'nothing beside a place', got: 'both' }));
      // An opening of a wall of one run need not say it; that of another is asked for with its size.
      if (under === 'openings') return [];
      return keys
        .filter((key) => !Object.hasOwn(one, key))
        .map((key) => ({ path: `${path}/${key}`, wanted: `${key}, or a place`, got: 'nothing' }));
    }),
  );
}

/** A spot on the footing is a level, or a staff reading under an instrument whose height is stated. */
function spotFaults(job: JobDocument, i: number): Fault[] {
  return (job.walls[i]?.poured ?? []).flatMap(({ level, reading }, k): Fault[] => {
    const path = `/walls/${i}/poured/${k}`;
    if ((level === undefined) === (reading === undefined))
      return [{ path, wanted: 'a level or a reading', got: level === undefined ? 'neither' : 'both' }];
    return reading !== undefined && job.site?.instrument === undefined
      ? [
          {
            path: `${path}/reading`,
            wanted: 'the height of the instrument, /site/instrument',
            got: 'nothing',
          },
        ]
      : [];
  });
}

/** Faults of one wall of a sound form, and about how many units it holds. */
function wallFaults(job: JobDocument, filed: JobDocument, i: number): { faults: Fault[]; units: number } {
  const wall = job.walls[i];
  const faults: Fault[] = [];
  const none = (more: Fault[]): { faults: Fault[]; units: number } => ({
    faults: [...faults, ...more],
    units: 0,
  });
  if (!wall) return none([]);
  faults.push(
    ...repeated(
      (wall.openings ?? []).map((o, k) => ({ id: o.id, path: `/walls/${i}/openings/${k}/id` })),
      'opening',
    ),
    ...repeated(
      wall.line.flatMap((item, k) =>
        'id' in item && item.id !== undefined ? [{ id: item.id, path: `/walls/${i}/line/${k}/id` }] : [],
      ),
      'run',
    ),
  );
  if (!wall.line.some((item) => !('turn' in item)))
    return none([{ path: `/walls/${i}/line`, wanted: 'at least one run', got: 'only turns' }]);
  if (!unitOfBuild(job, wall.build))
    return none([
      {
        path: `/walls/${i}/build/unit`,
        wanted: 'a unit of the library or of this job',
        got: sayValue(wall.build.unit),
      },
    ]);
  const stone = stoneFaults(job, i);
  if (stone.length > 0) return none(stone);
  const places = placeFaults(filed, i);
  if (places.length > 0) return none(places);
  const spots = spotFaults(job, i);
  if (spots.length > 0) return none(spots);
  faults.push(...cavityFaults(job, i));
  if (wall.meets && !job.walls.some((w) => w.id === wall.meets?.wall && w.id !== wall.id)) {
    faults.push({
      path: `/walls/${i}/meets/wall`,
      wanted: 'another wall of this job',
      got: sayValue(wall.meets.wall),
    });
  }
  faults.push(...sampleFaults(job, i));
  const set = setOutWall(job, i);
  const sizes = sizeFaults(set);
  faults.push(
    ...sizes,
    ...limitFaults(job, set),
    ...outlineFaults(job, set),
    ...steelFaults(set),
    ...postFaults(set),
    ...holeFaults(job, set),
  );
  if (sizes.length === 0) {
    set.openings.forEach((o, k) =>
      faults.push(...openingFaults(set, o, set.openings.slice(0, k), wall.openings?.[k]?.run !== undefined)),
    );
  }
  faults.push(
    ...repeated(
      set.heights.map((h) => ({ id: h.id, path: `/walls/${i}/heights/${h.index}/id` })),
      'fixed height',
    ),
    ...set.heights
      .filter((h) => !(h.at <= set.height + SAME_PLACE))
      .map((h) => ({
        path: `/walls/${i}/heights/${h.index}/at`,
        wanted: `a height no higher than the wall, ${sayMm(set.height, set.show)}`,
        got: sayMm(h.at, set.show),
      })),
  );
  return { faults, units: unitsIn(set) };
}

/** Posts that stand in the wall they are of, on its run and in its thickness. */
function postFaults(set: SetWall): Fault[] {
  return set.posts.flatMap((p): Fault[] => {
    const path = `/walls/${set.index}/posts/${p.index}`;
    const run = set.runs[p.run];
    if (!run)
      return [{ path: `${path}/run`, wanted: `a run from 0 to ${set.runs.length - 1}`, got: `${p.run}` }];
    if (!(p.at - p.width / 2 >= -SAME_PLACE && p.at + p.width / 2 <= run.length + SAME_PLACE))
      return [
        {
          path: `${path}/at`,
          wanted: `a post inside its run, 0 to ${sayMm(run.length, set.show)}`,
          got: sayMm(p.at, set.show),
        },
      ];
    return [];
  });
}

/** Holes in the wall they are of: on its run, and no deeper than it is thick. */
function holeFaults(job: JobDocument, set: SetWall): Fault[] {
  const mm = (l: Stated): number => toMillimetres(stated(l));
  const say = (n: number): string => sayMm(n, set.show);
  return (job.walls[set.index]?.holes ?? []).flatMap((h, k): Fault[] => {
    const path = `/walls/${set.index}/holes/${k}`;
    const run = set.runs[h.run ?? 0];
    if (!run)
      return [{ path: `${path}/run`, wanted: `a run from 0 to ${set.runs.length - 1}`, got: `${h.run}` }];
    const [end, top, deep] = [mm(h.at) + mm(h.width), mm(h.bottom) + mm(h.height), mm(h.depth)];
    if (!(end <= run.length + SAME_PLACE))
      return [
        { path: `${path}/width`, wanted: `a hole inside its run, up to ${say(run.length)}`, got: say(end) },
      ];
    if (!(top <= set.height + SAME_PLACE))
      return [{ path: `${path}/height`, wanted: `a hole under the top, ${say(set.height)}`, got: say(top) }];
    if (!(deep <= set.thickness + SAME_PLACE))
      return [
        { path: `${path}/depth`, wanted: `no deeper than the wall, ${say(set.thickness)}`, got: say(deep) },
      ];
    if (h.stone !== undefined && !stoneNamed(h.stone) && !job.stones?.some((s) => s.id === h.stone))
      return [
        { path: `${path}/stone`, wanted: 'a stone of the library or of this job', got: sayValue(h.stone) },
      ];
    return h.fixings === undefined || mm(h.fixings) >= LEAST_FIXINGS
      ? []
      : [
          {
            path: `${path}/fixings`,
            wanted: `fixings at least ${say(LEAST_FIXINGS)} apart`,
            got: say(mm(h.fixings)),
          },
        ];
  });
}

/** Nearer than this nobody drills, and a list of them would have no end, mm. */
const LEAST_FIXINGS = 50;

/** What is counted over all walls of a job: each wall alone may be within its bounds. */
function countFaults(job: JobDocument): Fault[] {
  return (['openings', 'line'] as const).flatMap((what) => {
    const all = job.walls.reduce((sum, w) => sum + (w[what]?.length ?? 0), 0);
    const most = LIMITS.job[what];
    const names = { openings: 'openings', line: 'runs and turns' }[what];
    return all <= most
      ? []
      : [{ path: '/walls', wanted: `at most ${most} ${names} in a job`, got: `${all}` }];
  });
}

/** About how many units a wall that was found sound holds: it need not be set out again to add them up. */
const counted = new WeakMap<Wall, number>();

/**
 * The faults that only show once the form is sound: ids, units, openings in their runs, size. What is the same object as in
 * `before`, which was sound, is not looked at again.
 */
export function checkRules(filed: JobDocument, before?: Job): Fault[] {
  const job = inFull(filed);
  const own = job.units ?? [];
  const faults: Fault[] = [
    ...(new Set(job.walls.map((w) => w.id)).size === job.walls.length
      ? []
      : repeated(
          job.walls.map((w, i) => ({ id: w.id, path: `/walls/${i}/id` })),
          'wall',
        )),
    ...repeated(
      own.map((u, i) => ({ id: u.id, path: `/units/${i}/id` })),
      'unit',
    ),
    ...own.flatMap((u, i) =>
      unitById(u.id)
        ? [{ path: `/units/${i}/id`, wanted: 'an id the library does not use', got: sayValue(u.id) }]
        : [],
    ),
    ...own.flatMap((u, i) => ownUnitFaults(job, u, i)),
    ...mixFaults(job),
    ...crewFaults(job),
  ];
  const sound = soundBefore(filed, before);
  let units = 0;
  job.walls.forEach((_, i) => {
    const wall = filed.walls[i];
    const known = wall && sound(wall) ? counted.get(wall) : undefined;
    if (known !== undefined) units += known;
    else {
      const found = wallFaults(job, filed, i);
      faults.push(...found.faults);
      units += found.units;
      if (wall && found.faults.length === 0) counted.set(wall, found.units);
    }
  });
  faults.push(...countFaults(job));
  if (!(units <= LIMITS.units)) {
    faults.push({
      path: '/walls',
      wanted: `at most ${LIMITS.units} units`,
      got: `about ${Math.round(units)}`,
    });
  }
  return faults;
}

/** Which walls of a document were sound already and still are: the same, under the same rules, and none that they end on gone. */
function soundBefore(job: JobDocument, before: Job | undefined): (wall: Wall) => boolean {
  if (!before || before.units !== job.units || before.profile !== job.profile || before.show !== job.show)
    return () => false;
  const [was, ids] = [new Set(before.walls), new Set(job.walls.map((w) => w.id))];
  return (wall) => was.has(wall) && (wall.meets === undefined || ids.has(wall.meets.wall));
}
