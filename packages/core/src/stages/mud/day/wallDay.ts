import type { JobDocument } from '../../../job/types.js';
import type { CubicMetres, Mm } from '../../../measure/length.js';
import { handsOf, paceOf, workingDay, type Hands, type WorkingDay } from '../../../mud/crew/crew.js';
import type { Day, Minutes } from '../../../mud/day/day.js';
import { planPinned, type Pin } from '../../../mud/day/pinned.js';
import type { DayPlan } from '../../../mud/day/planDay.js';
import type { Recipe } from '../../../mud/recipe.js';
import { hasCement } from '../../../mud/strength.js';
import type { Mix } from '../../../tables/mixes/mixes.js';
import { weatherAdvice, type Binds, type WeatherAdvice } from '../../../mud/weather/advice.js';
import { livesOf } from '../../../mud/weather/life.js';
import { weatherOf, type Weather } from '../../../mud/weather/temperature.js';
import type { BondWork } from '../../bond/stage.js';
import type { GaugeWork } from '../../gauge/stage.js';
import type { TallyWork } from '../../tally/stage.js';
import { stonesOfLevel } from '../../../walling/stone/stones.js';
import { laidWith, rowIn } from '../../../walling/units/leaves/laidWith.js';
import type { MixMud } from '../wallMud.js';
import { BEFORE } from '../onePerson.js';
import type { MudWork } from '../stage.js';
import { dayLimit, type DayLimit } from './lifts.js';

/** What a day of a wall follows from. */
export type DayWork = BondWork & GaugeWork & TallyWork & MudWork;

/** Which day of a wall: its date, the course it begins at, and of one run only where one is named. */
export interface WallDayAsk {
  date: string;
  course: number;
  run?: number;
  /** How much of that course is laid already, as a part of it. */
  laid?: number;
  /** No batch larger than this, m³: left out, as much as the mixer takes. */
  most?: CubicMetres;
  /** Made-up weather counts: for practice, never on a real job. */
  practice?: boolean;
  /** The first batches as somebody wants them. */
  pins?: readonly Pin[];
}

/** A course as it goes up in a day. */
export interface CourseLaid {
  course: number;
  top: Mm;
  from: Minutes;
  to: Minutes;
  units: number;
  /** How much of the whole course is laid in the day. */
  part: number;
  /** Laid to its end before the day is over. */
  whole: boolean;
}

/** Why there is no day to plan. */
export type NoDay = 'nobody' | 'nobody-lays' | 'no-work' | 'nothing-to-lay' | 'no-batch';

export interface WallDay {
  why: NoDay | null;
  weather: Weather;
  advice: WeatherAdvice[];
  hands: Hands | null;
  pace: { perHour: number; own: boolean };
  hours: WorkingDay | null;
  limit: DayLimit;
  /** The day's height is what ends it, and not the clock. */
  limited: boolean;
  courses: CourseLaid[];
  /** Of the wall's own mix, what those courses take. */
  mud: CubicMetres;
  mix: Mix;
  day: Day | null;
  plan: DayPlan | null;
  /** A whole batch, and into how many equal steps it can be parted. */
  batch: Recipe | null;
  steps: number;
}

export const bindsOf = (mix: Mix): Binds =>
  hasCement(mix) ? 'cement' : mix.parts.some((p) => p.of === 'soil') ? 'earth' : 'lime';

/** What is laid with a course of the face: its units, how long they take one person laying, and its mud of the wall's mix. */
interface Stint {
  course: number;
  /** How much of the course that is. */
  part: number;
  top: Mm;
  bottom: Mm;
  units: number;
  hours: number;
  mud: CubicMetres;
}

function stintsOf(
  job: JobDocument,
  work: DayWork,
  { course: first, run, laid: done = 0 }: WallDayAsk,
  mix: Mix,
): Stint[] {
  const runs = run === undefined ? work.wall.runs.map((_, i) => i) : [run];
  const mudOf = new Map(
    work.mud.courses.filter((c) => c.mix === mix.id).map((c) => [`${c.leaf}/${c.run}/${c.course}`, c.used]),
  );
  // The mud of leaves that are laid together stands at the first of them.
  return work.gauge.courses
    .filter((c) => c.number >= first)
    .map(({ number: course, top, bottom }) => {
      let [units, hours, mud] = [0, 0, 0];
      for (const laid of laidWith(work, course))
        for (const index of runs) {
          const pieces = stonesOfLevel(laid, index) ?? rowIn(work, laid, index)?.pieces.length ?? 0;
          units += pieces;
          hours += pieces / paceOf(job.crew, laid.leaf.wall.unit).perHour;
          mud += mudOf.get(`${laid.leaf.index}/${index}/${laid.course}`) ?? 0;
        }
      const part = course === first ? 1 - done : 1;
      return { course, top, bottom, part, units: units * part, hours: hours * part, mud: mud * part };
    })
    .filter((s) => s.units > 0);
}

/** The clock after so many minutes of work from a time on, breaks left out. */
function after(from: Minutes, work: Minutes, breaks: WorkingDay['breaks']): Minutes {
  let at = from;
  let left = work;
  for (const b of breaks) {
    if (b.to <= at) continue;
    const until = Math.max(0, b.from - at);
    if (left <= until) break;
    left -= until;
    at = Math.max(at, b.to);
  }
  return at + left;
}

const worked = (from: Minutes, to: Minutes, breaks: WorkingDay['breaks']): Minutes =>
  breaks.reduce((sum, b) => sum - Math.max(0, Math.min(b.to, to) - Math.max(b.from, from)), to - from);

interface Laid extends CourseLaid {
  /** Mud an hour of work at it. */
  perHour: CubicMetres;
  mud: CubicMetres;
}

/** Courses one after another until the day or its height is over. */
function laidIn(
  stints: readonly Stint[],
  hours: WorkingDay,
  laying: number,
  limit: DayLimit,
): { laid: Laid[]; limited: boolean } {
  const laid: Laid[] = [];
  const foot = stints[0]?.bottom ?? 0;
  let at = hours.from;
  for (const s of stints) {
    if (at >= hours.to - 1e-9) break;
    const high = limit.high !== null && s.top - foot > limit.high + 1;
    const many = limit.courses !== null && laid.length >= limit.courses;
    if (laid.length > 0 && (high || many)) return { laid, limited: true };
    const minutes = (s.hours / laying) * 60;
    const end = after(at, minutes, hours.breaks);
    const to = Math.min(end, hours.to);
    const part = minutes > 0 ? worked(at, to, hours.breaks) / minutes : 1;
    laid.push({
      course: s.course,
      top: s.top,
      from: at,
      to,
      units: Math.round(s.units * part),
      part: s.part * part,
      whole: end <= hours.to + 1e-9,
      perHour: minutes > 0 ? (s.mud / minutes) * 60 : 0,
      mud: s.mud * part,
    });
    at = to;
  }
  return { laid, limited: false };
}

/** Batches are parted by eye at most so often: halves, and halves of those. */
const BY_EYE = 2;

const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));

/**
 * A whole batch in equal steps: as many as all its counts part into evenly. Where they part into none, or so much is not used up in its
 * life, in halves of everything by eye.
 */
function stepsOf(own: MixMud, work: DayWork, useful: CubicMetres): { step: CubicMetres; steps: number } {
  const volume = own.batch?.volume ?? 0;
  const counted = work.mud.settings.halves ? 2 : 1;
  let steps = (own.batch?.measures ?? []).reduce((n, m) => common(Math.round(m.count * counted), n), 0) || 1;
  for (let halved = 0; halved < BY_EYE && (steps === 1 || volume / steps > useful); halved++) steps *= 2;
  return { step: volume / steps, steps };
}

/** A day's mud for a wall: what is laid course by course by the crew at its pace, and the batches that serve it. Null where the wall takes none. */
export function wallDay(job: JobDocument, work: DayWork, ask: WallDayAsk): WallDay | null {
  const [own] = work.mud.mixes;
  if (!own) return null;
  const { basis, mixers } = work.mud.settings;
  const { mix } = own;
  const stated = job.weather?.find((w) => w.date === ask.date);
  const weather = weatherOf(stated?.simulated && !ask.practice ? undefined : stated);
  const hands = handsOf(job.crew);
  const hours = workingDay(job, ask.date);
  const binds = bindsOf(mix);
  const limit = dayLimit(basis, binds, work.wall.stone ? { mix, weather } : null);
  const none: WallDay = {
    why: null,
    weather,
    advice: weatherAdvice(weather, { binds, basis, from: hours?.from ?? 480, to: hours?.to ?? 960 }),
    hands,
    pace: paceOf(job.crew, work.wall.unit),
    hours,
    limit,
    limited: false,
    courses: [],
    mud: 0,
    mix,
    day: null,
    plan: null,
    batch: own.keeps ? own.batch : null,
    steps: 1,
  };
  if (!hands) return { ...none, why: 'nobody' };
  if (hands.laying <= 0) return { ...none, why: 'nobody-lays' };
  if (!hours) return { ...none, why: 'no-work' };
  const stints = stintsOf(job, work, ask, mix);
  const { laid, limited } = laidIn(stints, hours, hands.laying, limit);
  const courses = laid.map(({ perHour: _, mud: __, ...c }) => c);
  const mud = laid.reduce((sum, l) => sum + l.mud, 0);
  if (laid.length === 0) return { ...none, why: 'nothing-to-lay' };
  if (!own.keeps || !own.batch) return { ...none, courses, mud, limited, why: 'no-batch' };
  const lives = livesOf(mix, basis, weather, hours.from, hours.to);
  const fastest = Math.max(...laid.map((l) => l.perHour));
  const shortest = Math.min(...lives.map((l) => l.life));
  const { step, steps } = stepsOf(own, work, (fastest / 60) * Math.max(0, shortest - BEFORE));
  const wanted =
    ask.most === undefined ? steps : Math.max(1, Math.min(steps, Math.floor(ask.most / step + 1e-9)));
  const end = laid.at(-1)?.to ?? hours.to;
  const day: Day = {
    from: hours.from,
    to: end,
    breaks: hours.breaks,
    demand: laid.filter((l) => l.perHour > 0).map(({ from, to, perHour }) => ({ from, to, perHour })),
    batch: step * wanted,
    step,
    before: BEFORE,
    lives,
    mixers,
  };
  if (day.demand.length === 0) return { ...none, courses, mud, limited, why: 'nothing-to-lay' };
  return { ...none, courses, mud, limited, day, plan: planPinned(day, ask.pins ?? []), steps };
}
