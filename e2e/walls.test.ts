import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Page } from 'puppeteer-core';
import {
  type Site,
  brickJob,
  journeys,
  kept,
  openJob,
  press,
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

const build = { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' };
const slip = (): Promise<string> => textOf(page, '[aria-label="Slip"]');
const slipSays = (words: string): Promise<unknown> =>
  page.waitForFunction(
    (w) => document.querySelector<HTMLElement>('[aria-label="Slip"]')?.innerText.includes(w),
    {},
    words,
  );

test('a unit is pressed on the drawing and parted; when the bond changes under it, the wall says so', async () => {
  await openJob(site, page, brickJob({ build }), 'w', 'bond');
  const box = await (await page.$('main canvas'))?.boundingBox();
  if (!box) throw new Error('no drawing');
  await page.mouse.click(box.x + box.width / 2 + 20, box.y + box.height / 2);
  await slipSays('Stretcher in course');
  await press(page, 'Part it in two');
  await slipSays('As the bond has it');
  await kept(page);
  const pieces = (await wallsOf(page))[0]?.build as { pieces?: { do: string; place: string }[] };
  expect(pieces.pieces).toMatchObject([
    {
      do: 'split',
      place: expect.stringMatching(/^[^/]+\/[^/]+\/leaf:0\/course:\d+\/piece:\d+\+215$/) as string,
    },
  ]);
  // Closers step along the course with the keyboard too.
  await page.focus('[aria-label="The next unit"]');
  await page.keyboard.press('Enter');
  expect(await violations(page)).toEqual([]);
  const start = await page.$$eval('label', (all) => {
    const label = all.find((l) => l.textContent === 'Course 1 begins on');
    return label?.htmlFor ?? '';
  });
  await page.select(`[id="${start}"]`, 'half');
  await slipSays('is not as it was');
  await settled(page);
  await press(page, 'Forget the change');
  await page.waitForFunction(
    () => !document.querySelector<HTMLElement>('[aria-label="Slip"]')?.innerText.includes('is not as it was'),
  );
});

test('a locked bond is left alone: nothing proposes to change it until it is let go', async () => {
  await openJob(
    site,
    page,
    brickJob({ build, openings: [{ id: 'W1', run: 0, at: 1400, width: 900, sill: 600, head: 1500 }] }),
    'w',
    'bond',
  );
  expect(await slip()).toContain('Begin on a half brick');
  await press(page, 'Lock it');
  await slipSays('Locked: let it go');
  await settled(page);
  expect(await slip()).not.toContain('Begin on a half brick');
  await kept(page);
  expect((await wallsOf(page))[0]?.build).toMatchObject({ locked: ['bond'], start: 'whole', cuts: 'panel' });
  await press(page, 'Locked: let it go');
  await slipSays('Begin on a half brick');
});

test('a line is taken out of a DXF drawing: its layer, its units, and what was left', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-tally-dxf-'));
  const file = join(folder, 'plan.dxf');
  const stroke = (x1: number, y1: number, x2: number, y2: number): string =>
    ['0', 'LINE', '8', 'WALLS', '10', x1, '20', y1, '11', x2, '21', y2].join('\n');
  writeFileSync(
    file,
    [
      '0\nSECTION\n2\nENTITIES',
      stroke(0, 0, 6, 0),
      stroke(6, 4, 6, 0),
      stroke(6, 4, 0, 4),
      stroke(0, 0, 0, 4),
      '0\nTEXT\n8\nWALLS\n10\n0\n20\n0\n40\n1\n1\nSHED',
      '0\nENDSEC\n0\nEOF\n',
    ].join('\n'),
  );
  await openJob(site, page, brickJob({ build }), 'w', 'set-out');
  await press(page, 'Take it from a DXF');
  const input = (await page.waitForSelector('input[type=file]')) as {
    uploadFile(path: string): Promise<void>;
  };
  await input.uploadFile(file);
  await page.waitForFunction(() => document.body.innerText.includes('1 TEXT: not a line of a wall'));
  const unit = await page.$$eval(
    'label',
    (all) => all.find((l) => l.textContent === 'One unit of it is')?.htmlFor,
  );
  await page.select(`[id="${unit}"]`, 'm');
  await page.waitForFunction(() => document.body.innerText.includes('round, closed'));
  expect(await violations(page)).toEqual([]);
  await press(page, 'Take this line');
  await page.waitForFunction(() => !document.querySelector('input[type=file]'));
  await settled(page);
  await kept(page);
  const line = (await wallsOf(page))[0]?.line ?? [];
  expect(line.flatMap((i) => ('run' in i ? [i.run] : [])).sort()).toEqual([4000, 4000, 6000, 6000]);
  expect(line.flatMap((i) => ('turn' in i ? [i.turn] : []))).toEqual([90, 90, 90, 90]);
  rmSync(folder, { recursive: true, force: true });
});

test('a footing is stepped and a gable raised: the cut list is there, and the sheet passes', async () => {
  await openJob(site, page, brickJob({ build, height: 900 }), 'w', 'set-out');
  await press(page, 'Steps in the footing');
  await press(page, 'Add a step');
  await slipSays('The footing steps once');
  await kept(page);
  expect((await wallsOf(page))[0]?.steps).toHaveLength(1);
  const at = page.url().replace(/set-out$/, 'bond');
  await page.goto(at);
  await settled(page);
  await press(page, 'Tops');
  await press(page, 'Add a top');
  await slipSays('Cut list:');
  expect(await violations(page)).toEqual([]);
});

test('a drawing that is none gets a plain sentence, and nothing is changed', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-tally-dxf-'));
  const file = join(folder, 'letter.dxf');
  writeFileSync(file, 'Dear mason, the drawing is in the post.\n');
  await openJob(site, page, brickJob({ build }), 'w', 'set-out');
  await press(page, 'Take it from a DXF');
  const input = (await page.waitForSelector('input[type=file]')) as {
    uploadFile(path: string): Promise<void>;
  };
  await input.uploadFile(file);
  await page.waitForFunction(() => document.body.innerText.includes('Wanted a DXF drawing with lines in it'));
  expect((await wallsOf(page))[0]?.line).toEqual([{ run: 4040 }]);
  rmSync(folder, { recursive: true, force: true });
});
