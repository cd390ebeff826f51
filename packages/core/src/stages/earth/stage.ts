import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { stated as readStated } from '../../job/stated.js';
import { millimetres, toMillimetres, type Mm } from '../../measure/length.js';
import { rect, type SceneShape } from '../../shapes/shape.js';
import { figuresNamed, length, type Workings } from '../figure.js';
import { writeLength } from '../../measure/format.js';
import { earthRule, type EarthRule } from '../../tables/earthWalls.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { SetOpening } from '../set-out/hangings.js';
import { thicknessActing, type SetWall } from '../set-out/wall.js';
import { stage } from '../stage.js';
import { outsideCorners, unheldIn } from './held.js';
import { EARTH } from './messages.js';
import { dpcShown, RAIN_WORKINGS, rainCut, rainIssues, rainOn, type Rain } from './rain.js';

/** Whether anybody has said what it does: bear the roof, or fill between posts that do. */
const bearsOf = (job: JobDocument, wall: SetWall): 'roof' | 'none' | undefined =>
  job.walls[wall.index]?.bears;

/** Earth by itself, up to its corners: what stands free, holds soil or is as a drawing has it is judged elsewhere, or by nobody here. */
const judged = (wall: SetWall): boolean =>
  wall.unit.family === 'adobe' && (wall.held === null || wall.held === 'floors') && wall.runs.length > 1;

function bearsNotSaid(job: JobDocument, wall: SetWall): Issue[] {
  if (bearsOf(job, wall) !== undefined) return [];
  const say = (bears: 'roof' | 'none'): Try => ({
    says: bears === 'roof' ? EARTH['bears-roof']() : EARTH['bears-none'](),
    edit: [{ op: 'add', path: `/walls/${wall.index}/bears`, value: bears }],
  });
  return [
    issue({
      code: 'earth-bears-not-said',
      stage: 'set-out',
      severity: 'choice',
      course: 1,
      key: 'earth-bears-not-said',
      says: EARTH['bears-not-said'](),
      source: earthRule(job.show === 'ft-in').source,
      tries: () => [
        say('roof'),
        say('none'),
        // What comes round closed has a roof over it; a line that is left open may be a garden's.
        ...(wall.line.closed
          ? []
          : [
              {
                says: EARTH['stands-free'](),
                edit: [{ op: 'add' as const, path: `/walls/${wall.index}/held`, value: 'free-standing' }],
              },
            ]),
      ],
    }),
  ];
}

/** Thin, high and long, against the rule: past it an engineer says. Held nowhere a wall is never allowed by it. */
function slender(wall: SetWall, rule: EarthRule): Issue[] {
  const thick = thicknessActing(wall);
  const severity = rule.own ? 'fault' : 'choice';
  const path = { stage: 'set-out', severity, course: 1, source: rule.source } as const;
  const high = wall.height / thick;
  const found: Issue[] = [];
  if (thick < rule.thin - 0.5)
    found.push(
      issue({
        ...path,
        code: 'earth-too-thin',
        key: 'earth-too-thin',
        says: EARTH.thin({ thick, least: rule.thin }),
      }),
    );
  if (high > rule.high + 1e-6)
    found.push(
      issue({
        ...path,
        code: 'earth-too-high',
        key: 'earth-too-high',
        says: EARTH['too-high']({ high: wall.height, thick, most: rule.high * thick, times: rule.high }),
      }),
    );
  for (const run of wall.runs.keys()) {
    const span = unheldIn(wall, run).reduce((most, s) => (s.to - s.from > most.to - most.from ? s : most), {
      run,
      from: 0,
      to: 0,
    });
    const long = span.to - span.from;
    const most = Math.min(rule.apart ?? Infinity, rule.long === null ? Infinity : rule.long * thick);
    const comes = long / thick + (rule.together?.times ?? 0) * high;
    const at = { run, at: (span.from + span.to) / 2 };
    if (long > most + 0.5)
      found.push(
        issue({
          ...path,
          ...at,
          code: 'earth-unheld',
          key: `earth-unheld|${run}`,
          says: EARTH['too-long']({ long, most }),
        }),
      );
    else if (rule.together && comes > rule.together.most + 1e-6)
      found.push(
        issue({
          ...path,
          ...at,
          code: 'earth-unheld',
          key: `earth-unheld|${run}`,
          says: EARTH.together({ comes, most: rule.together.most }),
        }),
      );
  }
  return found;
}

/** Moved in until it stands as far from the corner as it must. */
function movedIn(job: JobDocument, wall: SetWall, o: SetOpening, by: number): Try[] {
  const at = toMillimetres(millimetres(Math.round((o.from + by) * 1000) / 1000));
  return [
    {
      says: EARTH['move-in']({ name: o.name }),
      edit: [
        {
          op: 'replace',
          path: `/walls/${wall.index}/openings/${o.index}/at`,
          value: writeLength(millimetres(at), job.show),
        },
      ],
    },
  ];
}

function openings(job: JobDocument, wall: SetWall, rule: EarthRule): Issue[] {
  const path = { stage: 'set-out', severity: 'choice', course: 1, source: rule.source } as const;
  return wall.runs.flatMap((run, i): Issue[] => {
    const own = wall.openings.filter((o) => o.run === i);
    const least = rule.fromCorner;
    const corners = outsideCorners(wall, i);
    const near =
      least === null
        ? []
        : own.flatMap((o): Issue[] => {
            const [before, behind] = [o.from, run.length - o.to];
            const [short, way] =
              corners.start && before < least - 0.5
                ? [before, 1]
                : corners.end && behind < least - 0.5
                  ? [behind, -1]
                  : [null, 0];
            if (short === null) return [];
            return [
              issue({
                ...path,
                run: i,
                at: (o.from + o.to) / 2,
                opening: o.id,
                code: 'earth-opening-near-corner',
                key: `earth-opening-near-corner|${o.id}`,
                says: EARTH['near-corner']({ name: o.name, at: short, least }),
                tries: () => (o.keep === 'must' ? [] : movedIn(job, wall, o, way * (least - short))),
              }),
            ];
          });
    const open = own.reduce((sum, o) => sum + o.to - o.from, 0);
    if (rule.open === null || open <= rule.open * run.length + 0.5) return near;
    return [
      ...near,
      issue({
        ...path,
        run: i,
        code: 'earth-much-open',
        key: `earth-much-open|${i}`,
        says: EARTH['much-open']({ open, long: run.length }),
      }),
    ];
  });
}

/** First sizes of a plate, by what it is of: six inches of concrete, or timber as deep; 14.7.4 NMAC, from memory. */
const PLATE = { least: 6 * 25.4 } as const;

/** What a roof sits on goes all round the top of the wall: it shares the load, and holds the corners together. */
function plated(job: JobDocument, wall: SetWall): Issue[] {
  const stated = job.walls[wall.index]?.plate;
  const path = `/walls/${wall.index}/plate`;
  const high = writeLength(millimetres(job.show === 'mm' ? 150 : PLATE.least), job.show);
  const at = { stage: 'set-out', severity: 'choice', source: EARTH['plate-source']() } as const;
  if (!stated)
    return [
      issue({
        ...at,
        code: 'earth-no-plate',
        key: 'earth-no-plate',
        says: EARTH['no-plate'](),
        tries: () =>
          (['timber', 'concrete'] as const).map((kind) => ({
            says: EARTH['put-plate']({ kind, height: PLATE.least }),
            edit: [{ op: 'add', path, value: { kind, height: high } }],
          })),
      }),
    ];
  const height = toMillimetres(readStated(stated.height));
  // A timber plate is as its carpenter has it; concrete is cast so deep at least.
  if (stated.kind === 'timber' || height >= PLATE.least - 3) return [];
  return [
    issue({
      ...at,
      code: 'earth-no-plate',
      key: 'earth-plate-low',
      says: EARTH['plate-low']({ height, least: PLATE.least }),
      tries: () => [
        {
          says: EARTH['put-plate']({ kind: 'concrete', height: PLATE.least }),
          edit: [{ op: 'replace', path: `${path}/height`, value: high }],
        },
      ],
    }),
  ];
}

const WORKINGS: Workings<SetOutWork & EarthWork> = {
  'earth.plate': ({ plate }) => ({
    title: EARTH.plate(),
    formula: EARTH['plate-formula'](),
    inputs: [length(EARTH['plate-runs'](), plate ?? 0, EARTH['plate-runs']())],
    result: plate ?? 0,
    quantity: 'length',
    source: EARTH['plate-source'](),
  }),
  ...RAIN_WORKINGS,
};

function earthIssues(job: JobDocument, { wall }: SetOutWork): Issue[] {
  const rain = rainIssues(job, wall);
  if (!judged(wall)) return rain;
  const rule = earthRule(job.show === 'ft-in');
  const bears = bearsOf(job, wall);
  return [
    ...bearsNotSaid(job, wall),
    // What only fills a frame is held by its posts.
    ...(bears === 'none' ? [] : [...slender(wall, rule), ...openings(job, wall, rule)]),
    ...(bears === 'roof' ? plated(job, wall) : []),
    ...rain,
  ];
}

/** What a roof sits on, as it is stated. */
export interface OnTop {
  kind: 'timber' | 'concrete';
  height: Mm;
}

/** What a wall of earth may do: asked for, and where it is past the plain rule, stopped. Never approved. */
export interface EarthWork {
  /** Plate or bond beam, mm along the wall; null where none is stated. */
  plate: Mm | null;
  onTop: OnTop | null;
  rain: Rain | null;
}

/** Over the wall as it is built. */
const topOf = (wall: SetWall, gauge: GaugeWork['gauge']): Mm =>
  gauge.courses[gauge.count - 1]?.top ?? wall.height;

/** The plate or bond beam, so long, on the top of it. */
const plateShown = ({ onTop }: EarthWork, top: Mm, long: Mm): SceneShape[] =>
  onTop ? [rect(onTop.kind === 'timber' ? 'post' : 'footing', 0, top, long, onTop.height)] : [];

export const earth = stage<'earth', SetOutWork & GaugeWork, EarthWork>({
  id: 'earth',
  shown: 'set-out',
  needs: ['set-out', 'gauge'],
  work: ({ wall }, { job }) => {
    const plate = job.walls[wall.index]?.plate;
    return {
      plate: plate ? wall.runs.reduce((sum, r) => sum + r.length, 0) : null,
      onTop: plate ? { kind: plate.kind, height: toMillimetres(readStated(plate.height)) } : null,
      rain: rainOn(job, wall),
    };
  },
  issues: earthIssues,
  figures: (work, run) => (run === null ? figuresNamed(WORKINGS, Object.keys(WORKINGS), work) : []),
  working: (work, figure) => WORKINGS[figure]?.(work) ?? null,
  shapes: (work, run) => [
    ...dpcShown(work, run),
    ...plateShown(work, topOf(work.wall, work.gauge), work.wall.runs[run]?.length ?? 0),
  ],
  section: (work) => {
    const top = topOf(work.wall, work.gauge);
    return [...plateShown(work, top, work.wall.thickness), ...rainCut(work, top + (work.onTop?.height ?? 0))];
  },
});
