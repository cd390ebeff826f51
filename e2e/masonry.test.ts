import { type Page } from 'puppeteer-core';
import {
  type Site,
  brickJob,
  dragBy,
  journeys,
  kept,
  openJob,
  press,
  printedText,
  settled,
  textOf,
  violations,
  wallsOf,
} from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
});

/** New wall from the yard, and the board on which its line is drawn. */
async function openBoard(): Promise<void> {
  await press(page, 'New wall');
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
  await press(page, 'Draw the line');
  await page.waitForSelector('[data-board]');
}

const turnsOf = (line: Record<string, unknown>[]): unknown[] =>
  line.flatMap((i) => ('turn' in i ? [i.turn] : []));

describe('an L building from nothing', () => {
  test('by keyboard alone: a way, a length, Enter; back to the first corner closes it', async () => {
    await openBoard();
    for (const [way, length] of [
      ['ArrowRight', "24'"],
      ['ArrowUp', "12'"],
      ['ArrowLeft', "10'"],
      ['ArrowUp', "8'"],
      ['ArrowLeft', "14'"],
      ['ArrowDown', "20'"],
    ] as const) {
      await page.keyboard.press(way);
      await page.keyboard.type(length);
      await page.keyboard.press('Enter');
    }
    expect(await page.$eval('[data-board]', (b) => b.getAttribute('aria-label'))).toContain('closed');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => !document.querySelector('[data-board]'));
    await settled(page);
    await kept(page);
    const [wall] = await wallsOf(page);
    expect(wall?.line.flatMap((i) => ('run' in i ? [i.run] : []))).toEqual([
      "24'",
      "12'",
      "10'",
      "8'",
      "14'",
      "20'",
    ]);
    expect([...turnsOf(wall?.line ?? [])].sort()).toEqual([-90, 90, 90, 90, 90, 90]);
    expect(await violations(page)).toEqual([]);
  });

  test('by mouse: corner after corner on the board, the first again to close', async () => {
    await openBoard();
    const box = await (await page.$('[data-board]'))?.boundingBox();
    if (!box) throw new Error('no board');
    const corners = async (): Promise<number> =>
      Number(
        /^(\d+)/.exec((await page.$eval('[data-board]', (b) => b.getAttribute('aria-label'))) ?? '')?.[1] ??
          0,
      );
    const at = async (x: number, y: number): Promise<void> => {
      const before = await corners();
      await page.mouse.move(box.x + box.width * x, box.y + box.height * y, { steps: 3 });
      await page.mouse.down();
      await page.mouse.up();
      await page.waitForFunction(
        (was) =>
          Number(
            /^(\d+)/.exec(document.querySelector('[data-board]')?.getAttribute('aria-label') ?? '')?.[1] ?? 0,
          ) > was,
        {},
        before,
      );
    };
    await at(0.6, 0.87);
    await at(0.6, 0.55);
    await at(0.35, 0.55);
    await at(0.35, 0.25);
    await at(0.08, 0.25);
    const first = await page.$eval('[data-board] [data-role="peg-closes"] path', (c) => {
      const r = c.getBoundingClientRect();
      return { x: r.x + r.width / 2, y: r.y + r.height / 2 };
    });
    await page.mouse.move(first.x, first.y, { steps: 4 });
    await page.mouse.down();
    await page.mouse.up();
    await page.waitForFunction(() =>
      document.querySelector('[data-board]')?.getAttribute('aria-label')?.includes('closed'),
    );
    await press(page, 'Build on this line');
    await page.waitForFunction(() => !document.querySelector('[data-board]'));
    await settled(page);
    await kept(page);
    const [wall] = await wallsOf(page);
    expect(turnsOf(wall?.line ?? []).length).toBeGreaterThanOrEqual(6);
    expect(await textOf(page, '[aria-label="The line"]')).toContain('Turn'.toLowerCase());
  });
});

test('a height that does not divide is brought to a chosen solution: sill, head and top all land', async () => {
  await openJob(
    site,
    page,
    brickJob({
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
      openings: [{ id: 'W1', name: 'Window', run: 0, at: 1340, width: 910, sill: 612, head: 1508 }],
    }),
    'w',
    'gauge',
  );
  expect(await textOf(page, '[aria-label="The wall says"]')).toContain('off the courses');
  await press(page, 'A gauge for each stretch');
  await page.waitForFunction(
    () => !document.querySelector('[aria-label="The wall says"]')?.textContent?.includes('off the courses'),
  );
  await settled(page);
  const flags = await page.$$eval('[data-height]', (f) => f.map((x) => x.getAttribute('aria-label') ?? ''));
  expect(flags.length).toBe(3);
  expect(flags.every((f) => f.includes(', on a course'))).toBe(true);
});

test('a fixed height is dragged on the pole, and goes to a course', async () => {
  await openJob(
    site,
    page,
    brickJob({
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
      heights: [{ id: 'H1', name: 'Bearing', at: 1237 }],
    }),
    'w',
    'gauge',
  );
  const label = (): Promise<string> =>
    page.$eval('[data-height="Bearing"]', (f) => f.getAttribute('aria-label') ?? '');
  expect(await label()).toContain('off the courses');
  const scale = await page.$eval('[data-height="Bearing"]', (f) => f.getBoundingClientRect().height);
  expect(scale).toBeGreaterThanOrEqual(24);
  await dragBy(page, '[data-height="Bearing"]', 0, -6, { x: 0.6, y: 0.5 });
  await page.mouse.up();
  await page.waitForFunction(() =>
    document.querySelector('[data-height="Bearing"]')?.getAttribute('aria-label')?.includes(', on a course'),
  );
  await page.$eval('[data-height="Bearing"]', (f) => (f as SVGElement).focus());
  await page.keyboard.press('ArrowUp');
  await page.waitForFunction(
    () =>
      document.querySelector('[data-height="Bearing"]')?.getAttribute('aria-label')?.includes('1276 mm') ??
      false,
  );
});

test('a straight joint is found on the drawing, and gone when its fix is pressed', async () => {
  await openJob(
    site,
    page,
    brickJob({
      // Cut at the jambs, as nobody would who may break the bond in mid-panel.
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'english', wythes: 2, cuts: 'jamb' },
      openings: [{ id: 'O', name: 'Hatch', run: 0, at: 675, width: 460, sill: 600, head: 1500 }],
    }),
    'w',
    'bond',
  );
  expect(await textOf(page, '[aria-label="The wall says"]')).toMatch(/13 perps stand in line/);
  expect(await page.$$eval('[data-role="bad-joint"]', (l) => l.length)).toBe(1);
  await press(page, 'Move Hatch 10 mm left');
  await page.waitForFunction(
    () => !document.querySelector('[aria-label="The wall says"]')?.textContent?.includes('stand in line'),
  );
  expect(await page.$$eval('[data-role="bad-joint"]', (l) => l.length)).toBe(0);
});

test('the pole is printed and read back: every course at its mark', async () => {
  await openJob(
    site,
    page,
    brickJob({ build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' } }),
    'w',
    'gauge',
  );
  const text = await printedText(page, 'Gauge rod as PDF');
  expect(text).toContain('Gauge rod, Porch wall');
  // 24 courses of 65 and 10: mark n is 75 n.
  for (let n = 1; n <= 24; n++) expect(text).toContain((75 * n).toFixed(2));
});

test('levels, a footing and tapes are entered, and the wall says what is wrong with them', async () => {
  await openJob(
    site,
    page,
    brickJob({
      line: [
        { run: 4040 },
        { turn: 90 },
        { run: 2690 },
        { turn: 90 },
        { run: 4040 },
        { turn: 90 },
        { run: 2690 },
        { turn: 90 },
      ],
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
    }),
    'w',
    'set-out',
  );
  await press(page, 'Square');
  await press(page, 'Enter what the tape reads');
  await settled(page);
  expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('moves');
  const diagonal = await page.evaluateHandle(() => {
    const label = [...document.querySelectorAll('label')].find((l) => l.textContent === 'Diagonal AC');
    return document.getElementById(label?.htmlFor ?? '') as HTMLInputElement;
  });
  await diagonal.click();
  await page.keyboard.type('4890');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() =>
    /C moves .* along AB/.test(document.querySelector('[aria-label="The wall says"]')?.textContent ?? ''),
  );
  await press(page, 'As it was poured');
  await press(page, 'Practise with a simulated level');
  await page.waitForFunction(() => document.body.textContent?.includes('Simulated level: practice'));
  expect(await violations(page)).toEqual([]);
});

test('dragging an opening with ten thousand units showing: the intervals, printed', async () => {
  const length = 225 * 112 - 10;
  await openJob(
    site,
    page,
    brickJob({
      line: [{ run: length }],
      height: 75 * 90,
      build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
      openings: [{ id: 'W1', name: 'Window', run: 0, at: 225 * 40 - 10, width: 910, sill: 900, head: 2100 }],
    }),
    'w',
    'bond',
  );
  await page.tracing.start({ categories: ['devtools.timeline'] });
  await dragBy(page, '[data-opening="W1"] rect', 80, 0, { x: 0.5, y: 0.5 });
  // Three seconds to and fro, as a hand looks for a place; pressing and letting go are among the frames.
  for (let i = 0; i < 180; i++) {
    await page.mouse.move(500 + 60 * Math.sin(i / 9), 400);
    await new Promise((r) => setTimeout(r, 16));
  }
  await page.mouse.up();
  const trace = JSON.parse(new TextDecoder().decode(await page.tracing.stop())) as {
    traceEvents: {
      name: string;
      ph: string;
      ts: number;
      dur?: number;
      tdur?: number;
      pid: number;
      tid: number;
      args?: { name?: string };
    }[];
  };
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
  process.stdout.write(
    `drag, 10 080 units showing: ${frames.length} frames, scripting a frame ${at(0.5, 'dur')} ms in the middle, ${at(0.95, 'dur')} ms at the 95th percentile (wanted at most 8; of it on the processor ${at(0.95, 'tdur')} ms)\n`,
  );
  // The figures are for reading; what must hold is that the drag moved the window.
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value !== '8990',
  );
});
