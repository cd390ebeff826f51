import { type Page } from 'puppeteer-core';
import { dragBy, journeys, openBoatStore, picture, press, settled, textOf, violations } from './support';

let page: Page;
journeys((_, fresh) => {
  page = fresh;
});

const title = (): Promise<string> => textOf(page, 'main h1');
const until = (words: string, selector = 'main'): Promise<unknown> =>
  page.waitForFunction(
    (sel, wanted) => document.querySelector<HTMLElement>(sel)?.innerText.includes(wanted),
    {},
    selector,
    words,
  );
const course = (n: number): Promise<unknown> => page.waitForSelector(`[data-course-above="${n}"]`);

test('courses are walked from above by the keyboard: stepped up, outlined where they differ, read as a list', async () => {
  await openBoatStore(page);
  await page.keyboard.press('c');
  await course(1);
  expect(await title()).toBe('Course 1 from above');
  for (let i = 2; i <= 6; i++) await page.keyboard.press('PageUp');
  await course(6);
  // The window's sill stands on course 5: course 6 is the first beside it.
  await until('Outlined');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await course(8);
  await until('Laid as course 6');
  expect(await violations(page)).toEqual([]);
  await page.keyboard.press('l');
  await page.waitForSelector('[aria-label="Course 8 from above"] table');
  expect(await textOf(page, '[aria-label="Course 8 from above"]')).toContain('sawn');
  await page.keyboard.press('l');
  await page.keyboard.press('c');
  await until('seen from outside');
  expect(await textOf(page, 'footer')).toContain('Course 8 of 13');
});

test('a wall is unfolded, a run pressed, another wall reached by the key plan', async () => {
  await openBoatStore(page);
  await press(page, 'unfold');
  await page.waitForSelector('[data-unfolded="4"]');
  expect(await violations(page)).toEqual([]);
  const south = await page.waitForSelector('main [aria-label="Go to South"]');
  await south?.click();
  await page.waitForFunction(() => location.pathname.includes('/boat-store/2/'));
  await until('South, seen from outside');
  const hut = await page.waitForSelector('nav[aria-label="Key plan"] [aria-label="Go to Warming hut"]');
  await hut?.evaluate((e) => (e as SVGElement).focus());
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.includes('/warming-hut/'));
});

test('the paper is held nearer by the wheel and the keys, and all of it is one key away', async () => {
  await openBoatStore(page);
  const whole = await picture(page);
  await page.mouse.move(600, 400);
  await page.mouse.wheel({ deltaY: -600 });
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() !== was,
    {},
    whole,
  );
  await page.keyboard.press('+');
  await page.keyboard.press('f');
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() === was,
    {},
    whole,
  );
});

test('the drawer: a cut and its places mark each other, a filter and a sum; its height and the slip’s width are found again', async () => {
  await openBoatStore(page);
  await page.keyboard.press('d');
  await page.waitForSelector('table[data-list="courses"]');
  await press(page, 'Cuts');
  const row = await page.waitForSelector('table[data-list="cuts"] tbody tr:nth-child(2)');
  const pieces = await page.$eval('table[data-list="cuts"] tbody tr:nth-child(2) td:nth-child(2)', (c) =>
    Number(c.textContent),
  );
  await row?.focus();
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    (n) => document.querySelector('[data-lit]')?.getAttribute('data-lit') === String(n),
    {},
    pieces,
  );
  expect(await violations(page)).toEqual([]);
  await page.type('input[aria-label="filter"]', 'left jamb');
  await page.waitForFunction(() => {
    const rows = [...document.querySelectorAll('table[data-list="cuts"] tbody tr')];
    return rows.length > 0 && rows.every((r) => r.textContent?.includes('left jamb'));
  });
  await page.focus('[aria-label="How wide the slip is"]');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  const wide = await page.$eval('aside[aria-label="Slip"]', (a) => a.clientWidth);
  expect(wide).toBeGreaterThan(370);
  await page.reload();
  await settled(page);
  expect(await page.$eval('aside[aria-label="Slip"]', (a) => a.clientWidth)).toBe(wide);
});

test('a unit’s line in the tally lights its units; a course and a command are found by their names', async () => {
  await openBoatStore(page);
  await page.keyboard.press('/');
  await page.waitForSelector('section[aria-label="Find"] input');
  await page.keyboard.type('course 7');
  await page.waitForFunction(() =>
    document.querySelector('[role="option"]')?.textContent?.startsWith('Courses7'),
  );
  expect(await violations(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('footer')?.textContent?.includes('Course 7 of'));
  await page.keyboard.press('/');
  await page.waitForSelector('section[aria-label="Find"] input');
  await page.keyboard.type('side by side');
  await page.waitForSelector('[role="option"]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-unfolded]');
});

test('a wall is changed by saying so: drawn while it is said, kept by Enter, let go by Escape, undone by name', async () => {
  await openBoatStore(page);
  const at = (): Promise<string> => page.$eval('input[name="W1-at"]', (i) => i.value);
  expect(await at()).toBe('18′-3″');
  const before = await picture(page);
  await page.keyboard.press('s');
  await page.waitForSelector('#say-line');
  await page.keyboard.type('window 3 inches left, turret');
  await page.waitForSelector('[data-understood="false"]');
  expect(await textOf(page, '#say-back')).toContain('Not understood: turret');
  expect(await violations(page)).toEqual([]);
  for (let i = 0; i < ', turret'.length; i++) await page.keyboard.press('Backspace');
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() !== was,
    {},
    before,
  );
  await page.keyboard.press('Escape');
  await settled(page);
  expect(await at()).toBe('18′-3″');
  await page.keyboard.press('s');
  await page.waitForSelector('#say-line');
  await page.keyboard.type('window 3 inches left');
  await page.waitForSelector('[data-understood="true"]');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-0″',
  );
  await settled(page);
  await page.waitForSelector('button[aria-label^="Undo: "]');
  // Said twice more, and all of it taken back from the list of what was done.
  await page.keyboard.press('s');
  await page.waitForSelector('#say-line');
  for (const said of ['window 1 inch left', 'raise the sill a course']) {
    await page.keyboard.type(said);
    await page.waitForSelector('[data-understood="true"]');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('#say-line')?.value === '');
  }
  await page.keyboard.press('Escape');
  await page.click('button[aria-label="Back to before a step"]');
  await page.waitForSelector('[role="menuitem"]');
  expect(await page.$$eval('[role="menuitem"]', (all) => all.length)).toBe(3);
  expect(await violations(page)).toEqual([]);
  await page.click('[role="menuitem"]:last-child');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="W1-at"]')?.value === '18′-3″',
  );
});

test('on a phone the paper fills the screen, the slip comes up from below, and nothing is too small for a thumb', async () => {
  await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  await page.waitForSelector('a[href*="/boat-store/"]');
  await openBoatStore(page);
  const small = (): Promise<string[]> =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('button, select, a[href]')]
        .filter((e) => e.offsetParent !== null)
        .map((e) => ({ e, box: e.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
        .map(({ e, box }) => `${e.outerHTML.slice(0, 80)} ${box.width}x${box.height}`),
    );
  expect(await small()).toEqual([]);
  const paper = await page.$eval('main', (m) => m.getBoundingClientRect().width);
  expect(paper).toBeGreaterThan(380);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await page.$('[data-says]').then((e) => e?.isVisible())).toBe(false);
  await page.click('aside[aria-label="Slip"] > button');
  await until('CHOICE', 'aside[aria-label="Slip"]');
  await press(page, 'Move Window 3″ left');
  await settled(page);
  expect(await violations(page)).toEqual([]);
});

test('a building is set out where it stands: a corner by hand and by the arrows, a length typed, and it closes still', async () => {
  await openBoatStore(page, 'set-out');
  const run = (i: number): Promise<string> => page.$eval(`input[name="run-${i}"]`, (f) => f.value);
  const is = (i: number, text: string): Promise<unknown> =>
    page.waitForFunction(
      (n, wanted) => document.querySelector<HTMLInputElement>(`input[name="run-${n}"]`)?.value === wanted,
      {},
      i,
      text,
    );
  expect(await run(0)).toBe('28′-8″');
  expect(await violations(page)).toEqual([]);
  await page.$eval('[data-corner="1"]', (e) => (e as SVGElement).focus());
  await page.keyboard.down('Shift');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.up('Shift');
  await is(0, '29′-4″');
  await is(2, '29′-4″');
  await settled(page);
  await dragBy(page, '[data-corner="1"] circle', 0, 60, { x: 0.5, y: 0.5 });
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name="run-1"]')?.value !== '20′-8″',
  );
  await page.mouse.up();
  await settled(page);
  const side = await run(1);
  expect(side).toMatch(/^2[1-9]′/);
  expect(await run(3)).toBe(side);
  await page.click('input[name="run-1"]');
  await page.keyboard.type("24'");
  await page.keyboard.press('Enter');
  await is(3, '24′-0″');
  await settled(page);
  expect(await textOf(page, 'main')).not.toContain('across and');
  await press(page, 'The face');
  await page.waitForSelector('[data-opening="W1"]');
});
