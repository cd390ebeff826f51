import { showMinutes, showMud, showWater, type Show } from '../../measure/format.js';
import type { JobDocument } from '../../job/types.js';
import type { Say } from '../../messages/message.js';
import { countedMeasures, type BatchView, type MudView } from '../../scene/mudView.js';
import { shape } from '../../shapes/shape.js';
import { CAUTION } from '../../stages/paper.js';
import { SHEET } from '../../stages/paperMessages.js';
import { Flow, leadingOf, sizeOf } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { fitted } from './textWidth.js';

/** A bucket on the card, mm: its top, its foot, its height, and from one to the next. */
const BUCKET = { top: 16, foot: 12, high: 17, next: 19 };
/** The count and what it is a count of stand to the left of the buckets, mm. */
const COUNT = 34;

/** What a card says: the crew's own language is whichever `say` speaks. */
export function mixerPages(
  job: JobDocument,
  view: MudView,
  show: Show,
  say: Say,
  size: PaperSize | null = null,
): Page[] {
  return view.batches
    .filter((b) => b.measures.length > 0)
    .flatMap((b) => cardOf(job.name, b, view, show, say, size));
}

/** One mix a page, read from three metres in the wet: how many of each, how much water, how long it is good, what it does to skin. */
function cardOf(
  job: string,
  batch: BatchView,
  view: MudView,
  show: Show,
  say: Say,
  size: PaperSize | null,
): Page[] {
  const flow = new Flow(paperFor(show, true, size), say(CAUTION));
  flow.y += leadingOf('card-mix');
  flow.text('card-mix', fitted(say(batch.name), flow.wide, sizeOf('card-mix'), true), flow.left, flow.y - 4);
  flow.say(
    'sub',
    say(
      SHEET['mixer-makes']({
        makes: showMud(batch.makes, show),
        lays: batch.lays,
        of: batch.of,
        measure: view.measure,
        job,
      }),
    ),
  );
  for (const m of batch.measures) {
    if (flow.room < BUCKET.high + 8) flow.newPage();
    const top = flow.y + 4;
    const foot = top + BUCKET.high;
    flow.text('card-count', countedMeasures(m.count), flow.left, foot);
    const across = (flow.wide - COUNT - 70) / BUCKET.next;
    const whole = Math.ceil(m.count);
    for (let k = 0; k < Math.min(whole, Math.floor(across)); k++)
      (m.by === 'bag' ? sack : bucket)(
        flow,
        flow.left + COUNT + k * BUCKET.next,
        top,
        Math.min(1, m.count - k),
      );
    flow.text('card-name', say(m.name), flow.left + flow.wide, foot - 3, 'end');
    flow.y = foot + 3;
  }
  flow.y += 3;
  flow.say('card-note', say(SHEET['mixer-water']({ water: showWater(batch.water, show) })), 1);
  flow.say(
    'card-note',
    say(SHEET['mixer-good']({ life: showMinutes(batch.life), hot: showMinutes(batch.hotLife) })),
    1,
  );
  flow.say('card-note', say(batch.retemper ? SHEET['mixer-retemper']() : SHEET['mixer-no-water']()), 1);
  for (const c of batch.cautions) flow.say('card-caution', say(SHEET['mixer-caution']({ of: c })), 1);
  return flow.pages;
}

/** A bag stands square, tied off above: half of one is half full. */
function sack(flow: Flow, x: number, top: number, full: number): void {
  const { top: wide, high } = BUCKET;
  const neck = high * 0.16;
  const body = high - neck;
  const box = (up: number): readonly [number, number][] => [
    [x, -(top + high - body * up)],
    [x + wide, -(top + high - body * up)],
    [x + wide, -(top + high)],
    [x, -(top + high)],
  ];
  const tie: readonly [number, number][] = [
    [x + wide * 0.3, -top],
    [x + wide * 0.7, -top],
    [x + wide * 0.58, -(top + neck)],
    [x + wide * 0.42, -(top + neck)],
  ];
  flow.put(shape('bucket', tie), shape('bucket', box(1)), shape('bucket-full', box(full)));
}

function bucket(flow: Flow, x: number, top: number, full: number): void {
  const { top: wide, foot, high } = BUCKET;
  const inset = (wide - foot) / 2;
  const at = (up: number): readonly [number, number][] => {
    const side = inset * (1 - up);
    return [
      [x + side, -(top + high * (1 - up))],
      [x + wide - side, -(top + high * (1 - up))],
      [x + wide - inset, -(top + high)],
      [x + inset, -(top + high)],
    ];
  };
  flow.put(shape('bucket', at(1)), shape('bucket-full', at(full)));
}
