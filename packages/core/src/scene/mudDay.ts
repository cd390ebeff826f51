import type { JobDocument } from '../job/types.js';
import type { Said } from '../messages/message.js';
import type { CubicMetres, Mm } from '../measure/length.js';
import { strikeWindow, type StrikeWindow } from '../mud/habits.js';
import { Demand } from '../mud/day/demand.js';
import type { Minutes, PlacedBatch, PlacedDay, Spell } from '../mud/day/day.js';
import { mixName } from '../mud/mixName.js';
import type { WeatherAdvice } from '../mud/weather/advice.js';
import { rangeIn, temperatureAt } from '../mud/weather/temperature.js';
import type { WallPlan } from '../plan/plan.js';
import {
  bindsOf,
  wallDay,
  type CourseLaid,
  type NoDay,
  type WallDay,
  type WallDayAsk,
} from '../stages/mud/day/wallDay.js';
import { spreadOf } from '../stages/mud/wallMud.js';
import { measured, type MeasuredOut } from './mudView.js';

/** A batch in its place in the day, and what is put into it. */
export interface BatchInDay extends PlacedBatch {
  measures: MeasuredOut[];
  /** How much of it is left, 0 to 1: from its water to its last use, a corner wherever that changes. */
  levels: { at: Minutes; part: number }[];
  /** Of a whole one, and whether it is smaller. */
  part: number;
  small: boolean;
  /** What it would be a step smaller and larger, m³; null where that is no batch. */
  smaller: CubicMetres | null;
  larger: CubicMetres | null;
  /** Its water a step sooner and later. */
  sooner: Minutes;
  later: Minutes;
  /** Which of the rows of wedges it is drawn in: those that are alive together lie under one another. */
  row: number;
}

/** Why something is thrown away although nothing better was found. */
export type WhyLeft = 'break' | 'end' | 'life';

export interface MudDayView {
  why: NoDay | null;
  date: string;
  mix: Said;
  /** Its whole hours, early enough for the first water and late enough for the last life. */
  axis: Spell;
  hours: Spell | null;
  breaks: Spell[];
  /** °C. Null where nobody has said how warm it will be. */
  weather: { low: number; high: number; curve: { at: Minutes; celsius: number }[] } | null;
  simulated: boolean;
  advice: WeatherAdvice[];
  laying: number;
  tending: number;
  mixesInstead: string | null;
  pace: { perHour: number; own: boolean };
  courses: CourseLaid[];
  units: number;
  limit: Said;
  limited: boolean;
  batches: BatchInDay[];
  rows: number;
  made: CubicMetres;
  used: CubicMetres;
  left: CubicMetres;
  /** The batch of which most is thrown away, counted from 1, and why. */
  whyLeft: { batch: number; why: WhyLeft } | null;
  waits: Spell[];
  proved: boolean;
  /** The best with smaller batches, as against this. */
  next: { batches: number; left: CubicMetres; waited: Minutes } | null;
  /** A whole batch, m³, and the sizes it comes in. */
  batch: CubicMetres;
  step: CubicMetres;
  /** What the largest may be chosen to be: as a part of a whole one, and m³. */
  sizes: { part: number; m3: CubicMetres }[];
  retemper: boolean;
  /** How far it is spread ahead, and when joints are struck after laying; null for what is not struck. */
  spread: Mm;
  strike: StrikeWindow | null;
}

/** Water is moved by so much at a press, minutes. */
const STEP = 5;

/** As many hours a day may show: mud that lives for days has no end on it. */
const LONGEST = 3 * 60;

const measuresOf = (job: JobDocument, { batch }: WallDay, made: CubicMetres): MeasuredOut[] =>
  measured(
    job,
    (batch?.measures ?? []).map((m) => ({ ...m, count: (m.count * made) / (batch?.volume ?? 1) })),
  );

/** What is left of a batch as the courses take of it: nothing goes in a break. */
function levelsOf(b: PlacedBatch, demand: Demand, breaks: readonly Spell[]): BatchInDay['levels'] {
  const edges = breaks.flatMap((pause) => [pause.from, pause.to]).filter((t) => t > b.first && t < b.last);
  const before = demand.by(b.first);
  return [
    { at: b.water, part: 1 },
    ...[b.first, ...edges, b.last].map((at) => ({
      at,
      part: Math.max(0, 1 - (demand.by(at) - before) / b.made),
    })),
  ];
}

/** Batches that are alive together lie in rows under one another. */
function inRows(batches: readonly PlacedBatch[], until: Minutes): number[] {
  const ends: number[] = [];
  return batches.map((b) => {
    const free = ends.findIndex((end) => end <= b.water);
    const row = free < 0 ? ends.length : free;
    ends[row] = Math.min(b.expires, until);
    return row;
  });
}

function whyLeft(plan: PlacedDay, breaks: readonly Spell[]): MudDayView['whyLeft'] {
  const most = plan.batches.reduce(
    (worst, b, i) => (b.left > (plan.batches[worst]?.left ?? 0) + 1e-9 ? i : worst),
    0,
  );
  const b = plan.batches[most];
  if (!b || b.left <= 1e-9) return null;
  // It died with mud in it: over a break, or in the heat. Else it was larger than what was left to lay.
  const died = b.expires - b.last < 1;
  const over = breaks.some((pause) => pause.from < b.expires && pause.to > b.first);
  return { batch: most + 1, why: died ? (over ? 'break' : 'life') : 'end' };
}

/** The warmest it gets while they lay; but where it is never warm, the coldest, which is what a joint waits for. */
function warmest(weather: WallDay['weather'], hours: Spell): number | null {
  const range = rangeIn(weather, hours.from, hours.to);
  return range && (range.least <= 5 ? range.least : range.most);
}

/** A whole batch, and every half of it that is still a step. */
const sizesOf = ({ batch, steps }: WallDay): MudDayView['sizes'] =>
  [1, 0.5, 0.25, 0.125]
    .filter((part) => Number.isInteger(steps * part) && steps * part >= 1)
    .map((part) => ({ part, m3: (batch?.volume ?? 0) * part }));

const waitedIn = (day: PlacedDay): Minutes => day.waits.reduce((sum, w) => sum + w.to - w.from, 0);
const hourly = (spell: Spell): Spell => ({
  from: Math.floor(spell.from / 60) * 60,
  to: Math.ceil(spell.to / 60) * 60,
});

/** A wall's day of mud, as it is drawn: wedges of mud against courses climbing. Null where nothing is laid in mud. */
export function mudDayView(job: JobDocument, plan: WallPlan, ask: WallDayAsk): MudDayView | null {
  const d = wallDay(job, plan, ask);
  if (!d) return null;
  const placed = d.plan;
  const batches = placed?.batches ?? [];
  const shown = { from: d.hours?.from ?? 480, to: d.hours?.to ?? 960 };
  const latest = shown.to + LONGEST;
  const axis = hourly({
    from: Math.min(shown.from, ...batches.map((b) => b.water)),
    to: Math.max(shown.to, ...batches.map((b) => Math.min(b.expires, latest))),
  });
  const demand = d.day && new Demand(d.day);
  const rows = inRows(batches, latest);
  const { low, high } = d.weather;
  const known = low !== null && high !== null;
  return {
    why: d.why,
    date: ask.date,
    mix: mixName(d.mix, plan.mud.settings.basis),
    axis,
    hours: d.hours && { from: d.hours.from, to: d.hours.to },
    breaks: d.hours?.breaks ?? [],
    weather: known
      ? {
          low,
          high,
          curve: Array.from({ length: (axis.to - axis.from) / 30 + 1 }, (_, i) => axis.from + i * 30).map(
            (at) => ({
              at,
              celsius: temperatureAt(low, high, at),
            }),
          ),
        }
      : null,
    simulated: d.weather.simulated,
    advice: d.advice,
    laying: d.hands?.laying ?? 0,
    tending: d.hands?.tending ?? 0,
    mixesInstead: d.hands?.mixesInstead?.name ?? null,
    pace: d.pace,
    courses: d.courses,
    units: d.courses.reduce((sum, c) => sum + c.units, 0),
    limit: d.limit.says,
    limited: d.limited,
    batches: batches.map((b, i) => ({
      ...b,
      levels: demand ? levelsOf(b, demand, d.hours?.breaks ?? []) : [],
      measures: measuresOf(job, d, b.made),
      part: b.made / (d.batch?.volume ?? b.made),
      smaller: d.day !== null && b.made > d.day.step * 1.5 ? b.made - d.day.step : null,
      larger: d.day !== null && b.made < d.day.batch - d.day.step / 2 ? b.made + d.day.step : null,
      sooner: b.water - STEP,
      later: b.water + STEP,
      small: b.made < (d.batch?.volume ?? 0) * (1 - 1e-9),
      row: rows[i] ?? 0,
    })),
    rows: Math.max(0, ...rows.map((r) => r + 1)),
    made: placed?.made ?? 0,
    used: placed?.used ?? 0,
    left: placed?.left ?? 0,
    whyLeft: placed && whyLeft(placed, d.hours?.breaks ?? []),
    waits: placed?.waits ?? [],
    proved: placed?.proof.status === 'best',
    next: placed?.next
      ? { batches: placed.next.batches.length, left: placed.next.left, waited: waitedIn(placed.next) }
      : null,
    batch: d.batch?.volume ?? 0,
    step: d.day?.step ?? 0,
    sizes: sizesOf(d),
    retemper: d.mix.retemper && plan.mud.settings.colour === null,
    spread: spreadOf(plan),
    strike: strikeWindow(bindsOf(d.mix), known && d.hours ? warmest(d.weather, d.hours) : null),
  };
}
