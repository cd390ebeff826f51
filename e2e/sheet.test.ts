import { type Page } from 'puppeteer-core';
import {
  dragBy,
  journeys,
  openBoatStore,
  picture,
  press,
  settled,
  textOf,
  violations,
  type Site,
} from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
});

const atOf = (): Promise<string> => page.$eval('input[name="W1-at"]', (i) => i.value);
const pole = (): Promise<string> => page.$eval('[aria-label="Story pole"] svg', (s) => s.outerHTML);
const tally = async (): Promise<string> => {
  await press(page, 'Tally');
  await page.waitForSelector('[aria-label="Tally, North"]');
  const text = await textOf(page, '[aria-label="Tally, North"]');
  await press(page, 'Bond');
  await page.waitForSelector('input[name="W1-at"]');
  return text;
};
const focused = (): Promise<string | null> =>
  page.evaluate(() => document.activeElement?.getAttribute('data-opening') ?? null);
const kept = (): Promise<unknown> =>
  page.waitForFunction(() =>
    document.querySelector('header [role="status"]')?.textContent?.startsWith('Kept'),
  );

test('an opening is dragged: drawing, pole and tally move while the finger is down; undo; reload; the same', async () => {
  await openBoatStore(page);
  const before = { at: await atOf(), pole: await pole(), tally: await tally(), picture: await picture(page) };
  expect(before.at).toBe('18′-3″');

  await dragBy(page, '[data-opening="W1"] rect', -60, 0);
  await page.waitForFunction(
    (was) => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value !== was,
    {},
    before.at,
  );
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() !== was,
    {},
    before.picture,
  );
  await page.mouse.up();
  await settled(page);
  expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('sawn for Window');

  const heads = await page.$$('[data-part="head"]');
  const box = await heads[1]?.boundingBox();
  if (!box) throw new Error('no head to drag');
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 12, box.y + 30, { steps: 8 });
  await page.waitForFunction(
    (was) => document.querySelector('[aria-label="Story pole"] svg')?.outerHTML !== was,
    {},
    before.pole,
  );
  await page.mouse.up();
  await settled(page);

  const after = { at: await atOf(), pole: await pole(), tally: await tally(), picture: await picture(page) };
  expect(after.at).not.toBe(before.at);
  expect(after.pole).not.toBe(before.pole);
  expect(after.tally).not.toBe(before.tally);
  expect(after.picture).not.toBe(before.picture);

  await page.click('[aria-label^="Undo"]');
  await page.click('[aria-label^="Undo"]');
  await page.waitForFunction(
    (was) => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === was,
    {},
    before.at,
  );
  await settled(page);
  expect(await tally()).toBe(before.tally);

  await page.click('[aria-label^="Redo"]');
  await settled(page);
  const redone = { at: await atOf(), tally: await tally() };
  await kept();
  await page.reload();
  await page.waitForSelector('input[name="W1-at"]');
  await settled(page);
  expect({ at: await atOf(), tally: await tally() }).toEqual(redone);
});

test('a height that does not divide: two or more ranked choices, each with its reason, one applied, the fault gone', async () => {
  await openBoatStore(page, 'gauge');
  expect(await textOf(page, '[aria-label="The wall says"]')).toMatch(
    /13 courses .* stop 4″ below the height/,
  );
  const choices = await page.$$eval('[aria-label="Ways to reach the heights"] li', (items) =>
    items.map((i) => i.textContent ?? ''),
  );
  expect(choices.length).toBeGreaterThanOrEqual(2);
  expect(choices.every((c) => /courses|course/.test(c) && c.length > 40)).toBe(true);
  await press(page, 'Ask for 8′-8″ high');
  await page.waitForFunction(
    () => !document.querySelector('[aria-label="The wall says"]')?.textContent?.includes('below the height'),
  );
  expect(await page.$eval('input[name="height"]', (i) => i.value)).toBe('8′-8″');
  await page.waitForFunction(() =>
    document
      .querySelector('[aria-label="Ways to reach the heights"]')
      ?.textContent?.includes('This is how it stands'),
  );
});

test('length, height, unit, start and joints are typed, and the sheet follows', async () => {
  await openBoatStore(page, 'set-out');
  const type = async (name: string, text: string): Promise<void> => {
    await page.click(`input[name="${name}"]`);
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
    await settled(page);
  };
  await type('run-0', '31\' 4"');
  expect(await page.$eval('input[name="run-2"]', (i) => i.value)).toBe('31′-4″');
  await press(page, 'Coursing');
  await page.waitForSelector('main input[name="height"]');
  await type('height', '14 courses');
  expect(await page.$eval('input[name="height"]', (i) => i.value)).toBe('9′-4″');
  await type('height', 'tall');
  expect(await textOf(page, 'main')).toMatch(/Wanted a length such as/);
  await page.keyboard.press('Escape');
  await press(page, 'Bond');
  await page.waitForSelector('input[name="unit"]');
  const before = await picture(page);
  await page.click('input[name="unit"]');
  await page.keyboard.type('12x8x16');
  await (await page.waitForSelector('[data-unit="cmu-12x8x16"]'))?.click();
  await settled(page);
  expect(await picture(page)).not.toBe(before);
  await type('head', '1/2');
  expect(await page.$eval('input[name="head"]', (i) => i.value)).toBe('1/2″');
});

test('a figure opens to its formula, inputs and source', async () => {
  await openBoatStore(page, 'tally');
  await press(page, 'Mortar to mix');
  await page.waitForSelector('[role="dialog"]');
  const card = await textOf(page, '[role="dialog"]');
  expect(card).toMatch(/net face area × site rate/);
  expect(card).toMatch(/8\.5 ft³ per 100 ft²/);
  expect(card).toMatch(/from memory/);
});

test('all of it by keyboard: stages, courses, an opening nudged, units, undo, the list of keys', async () => {
  await openBoatStore(page);
  const url = (): string => page.url();
  await page.keyboard.press('2');
  await page.waitForFunction(() => location.pathname.endsWith('/gauge'));
  await page.keyboard.press('3');
  await page.waitForFunction(() => location.pathname.endsWith('/bond'));
  await page.keyboard.press('PageUp');
  expect(await textOf(page, 'footer')).toContain('Course 2 of 13');
  for (let i = 0; i < 40 && (await focused()) !== 'W1'; i++) await page.keyboard.press('Tab');
  expect(await focused()).toBe('W1');
  await page.keyboard.press('ArrowLeft');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-2″',
  );
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-3″',
  );
  await page.keyboard.press(']');
  await page.waitForFunction(() => location.pathname.includes('/boat-store/1/'));
  await page.waitForFunction(() => document.querySelector('h1')?.textContent?.includes('West'));
  await page.keyboard.press('u');
  await page.waitForFunction(() => document.querySelector('footer')?.textContent?.includes('top 406'));
  await page.keyboard.press('?');
  await page.waitForSelector('[role="dialog"]');
  expect(await textOf(page, '[role="dialog"]')).toContain('next course up');
  await page.keyboard.press('Escape');
  expect(url()).toContain('/boat-store/1/bond');
});

test('with the server away work goes on, and the edit is sent on return', async () => {
  await openBoatStore(page);
  await page.setOfflineMode(true);
  await press(page, 'Move Window 3″ left');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-0″',
  );
  await page.waitForFunction(
    () => document.querySelector('header [role="status"]')?.textContent === 'No server: held on this device',
  );
  await page.setOfflineMode(false);
  await kept();
  await page.reload();
  await page.waitForSelector('input[name="W1-at"]');
  expect(await atOf()).toBe('18′-0″');
});

test('two hands on one thing: the later is shown both and asked which stands', async () => {
  await openBoatStore(page);
  const other = await page.browserContext().newPage();
  await other.setViewport({ width: 1280, height: 800 });
  await other.goto(page.url());
  await other.waitForSelector('[data-opening="W1"]');
  await settled(other);
  await press(other, 'Move Window 3″ left');
  await other.waitForFunction(() =>
    document.querySelector('header [role="status"]')?.textContent?.startsWith('Kept'),
  );
  await new Promise((r) => setTimeout(r, 900));
  await page.bringToFront();
  await press(page, 'Move Window 5″ right');
  await page.waitForSelector('[role="dialog"]');
  const asked = await textOf(page, '[role="dialog"]');
  expect(asked).toContain('Nothing is thrown away');
  // What it was, mine and theirs, each in its place.
  expect(asked).toMatch(/Window: place\s+18' 3"\s+18' 8"\s+18'/);
  expect(await violations(page)).toEqual([]);
  await press(page, 'Theirs stands');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-0″',
  );
});

test('two browsers on one job, one of them offline: what does not clash is carried together, unasked', async () => {
  await openBoatStore(page);
  const elsewhere = await site.page();
  // The same yard in another browser: its session is taken along.
  const cookies = await page.browserContext().cookies();
  await elsewhere.browserContext().setCookie(...cookies);
  await elsewhere.goto(page.url());
  await elsewhere.waitForSelector('[data-opening="W1"]');
  await settled(elsewhere);
  await page.setOfflineMode(true);
  await press(page, 'Move Window 3″ left');
  await page.waitForFunction(() =>
    document.querySelector('header [role="status"]')?.textContent?.includes('held on this device'),
  );
  await elsewhere.bringToFront();
  await elsewhere.click('input[name="W1-sill"]', { count: 3 });
  await elsewhere.keyboard.type('3-0');
  await elsewhere.keyboard.press('Enter');
  await elsewhere.waitForFunction(() =>
    document.querySelector('header [role="status"]')?.textContent?.startsWith('Kept'),
  );
  await new Promise((r) => setTimeout(r, 900));
  await page.bringToFront();
  await page.setOfflineMode(false);
  await kept();
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-sill"]')?.value === '3′-0″',
  );
  expect(await atOf()).toBe('18′-0″');
  expect(await page.$('[role="dialog"]')).toBeNull();
  // Undo says what it takes back, and takes back mine alone.
  expect(await page.$eval('header button[title^="Undo"]', (b) => b.getAttribute('aria-label'))).toBe(
    'Undo: Window: place',
  );
  await page.click('header button[title^="Undo"]');
  // Of two pages in one browser one may be drawn no frames for a while: asked by the clock, not by frames.
  await page.waitForFunction(
    (was) => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === was,
    { polling: 100 },
    '18′-3″',
  );
  expect(await page.$eval('input[name="W1-sill"]', (i) => i.value)).toBe('3′-0″');
  await elsewhere.browserContext().close();
});
