import type { JobDocument } from '../../job/types.js';
import { readVolume } from '../../measure/amounts.js';
import { readInstant } from '../../measure/times.js';
import type { CubicMetres } from '../../measure/length.js';
import type { Standing } from '../../record/fold.js';
import { readTemperature } from '../../measure/amounts.js';
import type { Said } from '../../messages/message.js';
import { mixName } from '../mixName.js';
import { largestOf, mixOf, mudSettings } from '../settings.js';
import { lifeAt } from '../weather/life.js';
import { temperatureAt, weatherOf } from '../weather/temperature.js';

/** Milliseconds from 1970-01-01 UTC. */
export type Instant = number;

/** A batch on the boards, by what is on record of it. */
export interface BatchClock {
  /** The id of the entry that mixed it. */
  id: string;
  wall: string | null;
  /** Which of its day's batches, from 1. */
  number: number;
  mix: string;
  name: Said;
  volume: CubicMetres | null;
  /** The day it was mixed, as it is called there; and how many measures of its sand, or of its largest part, went in, where that was said. */
  date: string;
  measures: number | null;
  mixed: Instant;
  dies: Instant;
  /** Water may be worked in again while it lives. */
  retemper: boolean;
  ended: { at: Instant; why: 'used' | 'thrown' | 'dried'; left: CubicMetres | null } | null;
}

/** How a batch stands at a moment. It is getting on when less than a quarter of its life is left. */
export type BatchState = 'good' | 'getting-on' | 'dead' | 'ended';
export function batchState(clock: BatchClock, now: Instant): BatchState {
  if (clock.ended) return 'ended';
  if (now >= clock.dies) return 'dead';
  return clock.dies - now < (clock.dies - clock.mixed) / 4 ? 'getting-on' : 'good';
}

/** A device's clock is taken to be out where the server's differs from it by more than this when an entry comes in, ms. */
const OUT = 30_000;

const instant = (said: string | undefined): Instant | null => {
  const read = said === undefined ? null : readInstant(said);
  return read?.ok ? read.value : null;
};

/**
 * When something happened: by the device's clock, put right where the server's differed from it as it was sent. An entry that nobody has
 * received yet is taken at its word.
 */
export function trulyHappened(e: { happened: string; sent?: string; received?: string }): Instant {
  const happened = instant(e.happened) ?? 0;
  const [sent, received] = [instant(e.sent), instant(e.received)];
  if (sent === null || received === null) return happened;
  const out = received - sent;
  return Math.abs(out) > OUT ? happened + out : happened;
}

const local = (happened: string): { date: string; minutes: number } => ({
  date: happened.slice(0, 10),
  minutes: Number(happened.slice(11, 13)) * 60 + Number(happened.slice(14, 16)),
});

const volumeOf = (said: string | number | undefined): CubicMetres | null => {
  const read = said === undefined ? null : readVolume(said);
  return read?.ok ? read.value : null;
};

/** How warm it was when it was mixed, °C: as was read there that day before it, else as the job says of the day; null unknown. */
function warmthAt(job: JobDocument, entries: readonly Standing[], happened: string): number | null {
  const { date, minutes } = local(happened);
  const read = entries.filter(
    (e) =>
      e.kind === 'weather' &&
      e.temperature !== undefined &&
      local(e.happened).date === date &&
      e.happened <= happened,
  );
  const last = read.at(-1);
  if (last?.kind === 'weather') {
    const celsius = readTemperature(last.temperature);
    if (celsius.ok) return celsius.value;
  }
  const { low, high, simulated } = weatherOf(job.weather?.find((w) => w.date === date));
  return low === null || high === null || simulated ? null : temperatureAt(low, high, minutes);
}

/** Every batch on record, in the order they were mixed. Pure: clocks run on what is written, and on nothing else. */
export function batchClocks(job: JobDocument, entries: readonly Standing[]): BatchClock[] {
  const ends = new Map(entries.flatMap((e) => (e.kind === 'batch-ended' ? [[e.batch, e] as const] : [])));
  const { basis, mix: usual } = mudSettings(job);
  const ofDay = new Map<string, number>();
  return entries.flatMap((e): BatchClock[] => {
    if (e.kind !== 'batch-mixed') return [];
    const mix = mixOf(job, e.mix) ?? usual;
    const { date } = local(e.happened);
    const number = (ofDay.get(date) ?? 0) + 1;
    ofDay.set(date, number);
    const weather = weatherOf(job.weather?.find((w) => w.date === date));
    const celsius = warmthAt(job, entries, e.happened);
    const life = celsius === null ? mix.life[basis] : lifeAt(mix, basis, celsius, weather.wind);
    const mixed = trulyHappened(e);
    const end = ends.get(e.id);
    return [
      {
        id: e.id,
        wall: e.wall,
        number,
        mix: mix.id,
        name: mixName(mix, basis),
        volume: volumeOf(e.volume),
        date,
        measures: e.measures?.find((m) => m.of === largestOf(mix.parts).of)?.count ?? null,
        mixed,
        dies: mixed + Math.round(life * 60_000),
        // Colour shows every drop of water that is worked in again.
        retemper: mix.retemper && job.mud?.colour === undefined,
        ended: end ? { at: trulyHappened(end), why: end.why, left: volumeOf(end.left) } : null,
      },
    ];
  });
}
