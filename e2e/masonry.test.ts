import { framesOf, type Frames } from './frames';
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
  typeIn,
  textOf,
  violations,
  wallsOf,
  beginJob,
} from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
});

/** New wall from the yard, and the board on which its line is drawn. */
async function openBoard(): Promise<void> {
  await beginJob(page);
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
  await press(page, 'Enter what the tape reads');
  await settled(page);
  expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('moves');
  await typeIn(page, 'tape-AC', '4890');
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
  const said = (what: string, f: Frames): string =>
    `${what}, 10 080 units showing: ${f.count} frames, scripting a frame ${f.middle} ms in the middle, ${f.most} ms at the 95th percentile (wanted at most 8; of it on the processor ${f.processor} ms)\n`;
  const drag = await framesOf(page, async () => {
    const { x, y } = await dragBy(page, '[data-opening="W1"] rect', 80, 0, { x: 0.5, y: 0.5 });
    // Three seconds to and fro, as a hand looks for a place, and let go well away from where it was taken.
    for (let i = 0; i < 180; i++) {
      await page.mouse.move(x + 60 * Math.sin(i / 9), y);
      await new Promise((r) => setTimeout(r, 16));
    }
    await page.mouse.move(x, y);
    await page.mouse.up();
  });
  process.stdout.write(said('drag', drag));
  const zoom = await framesOf(page, async () => {
    await page.mouse.move(500, 400);
    // In and out by the wheel as a hand does, pausing so long that the drawing is made anew each time.
    for (let i = 0; i < 120; i++) {
      await page.mouse.wheel({ deltaY: i % 60 < 30 ? -60 : 60 });
      await new Promise((r) => setTimeout(r, i % 15 === 14 ? 260 : 16));
    }
  });
  process.stdout.write(said('zoom', zoom));
  expect(zoom.count).toBeGreaterThan(20);
  // The figures are for reading; what must hold is that the drag moved the window.
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value !== '8990',
  );
});
