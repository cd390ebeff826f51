import type { Page } from 'puppeteer-core';

interface Traced {
  name: string;
  ph: string;
  ts: number;
  dur?: number;
  tdur?: number;
  pid: number;
  tid: number;
  args?: { name?: string };
}

/** How long a page’s scripts ran in each frame of a gesture, ms: in the middle and at the 95th percentile, by the clock and by the processor. */
export interface Frames {
  count: number;
  middle: string;
  most: string;
  processor: string;
}

/** Traces a gesture and reads from the trace what each of its frames cost in scripting. */
export async function framesOf(page: Page, gesture: () => Promise<void>): Promise<Frames> {
  await page.tracing.start({ categories: ['devtools.timeline'] });
  await gesture();
  const trace = JSON.parse(new TextDecoder().decode(await page.tracing.stop())) as { traceEvents: Traced[] };
  const events = trace.traceEvents;
  // Several renderers may be traced: the page's is the one whose main thread drew the frames.
  const drawn = (m: { pid: number; tid: number }): number =>
    events.filter((e) => e.pid === m.pid && e.tid === m.tid && e.name === 'AnimationFrame').length;
  const main = events
    .filter((e) => e.name === 'thread_name' && e.args?.name === 'CrRendererMain')
    .sort((a, b) => drawn(b) - drawn(a))[0];
  const on = events.filter((e) => e.pid === main?.pid && e.tid === main?.tid);
  const frames = on
    .filter((e) => e.name === 'AnimationFrame' && e.ph === 'b')
    .map((e) => e.ts)
    .sort((a, b) => a - b);
  const scripts = on.filter(
    (e) => e.ph === 'X' && ['FunctionCall', 'EventDispatch', 'TimerFire', 'RunMicrotasks'].includes(e.name),
  );
  // Only the outermost: a call inside an event is the same time.
  const outer = scripts.filter(
    (s) =>
      !scripts.some(
        (o) =>
          o !== s &&
          o.ts <= s.ts &&
          o.ts + (o.dur ?? 0) >= s.ts + (s.dur ?? 0) &&
          (o.dur ?? 0) > (s.dur ?? 0),
      ),
  );
  // By the clock, and by the processor: two cores are shared with the browser's painting and with this test.
  const at = (share: number, time: 'dur' | 'tdur'): string => {
    const spent = frames.map(
      (from, i) =>
        outer
          .filter((s) => s.ts >= from && s.ts < (frames[i + 1] ?? Infinity))
          .reduce((sum, s) => sum + (s[time] ?? 0), 0) / 1000,
    );
    return (spent.sort((a, b) => a - b)[Math.floor(spent.length * share)] ?? NaN).toFixed(2);
  };
  return { count: frames.length, middle: at(0.5, 'dur'), most: at(0.95, 'dur'), processor: at(0.95, 'tdur') };
}
