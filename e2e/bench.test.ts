import { type Page } from 'puppeteer-core';
import {
  dragBy,
  journeys,
  kept,
  openBoatStore,
  picture,
  press,
  printedText,
  settled,
  textOf,
  violations,
  wallsOf,
} from './support';

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

test('on the plan: an opening is pulled along its run, another wall drawn where it stands, and a run pulled out of its end', async () => {
  await openBoatStore(page, 'set-out');
  const at = async (): Promise<unknown> => {
    const store = (await wallsOf(page)).find((w) => w.id === 'boat-store');
    return (store?.openings as { id: string; at: unknown }[]).find((o) => o.id === 'W1')?.at;
  };
  const before = await at();
  await dragBy(page, '[data-plan-opening="W1"] rect', -60, 0, { x: 0.5, y: 0.5 });
  await page.mouse.up();
  await settled(page);
  await kept(page);
  expect(await at()).not.toBe(before);
  await press(page, 'Draw another wall');
  const board = await page.waitForSelector('[data-board]');
  expect(await violations(page)).toEqual([]);
  const box = await board?.boundingBox();
  if (!box) throw new Error('no board');
  const corner = async (x: number, y: number, runs: number): Promise<void> => {
    await page.mouse.move(box.x + box.width * x, box.y + box.height * y, { steps: 3 });
    await page.mouse.down();
    await page.mouse.up();
    await page.waitForFunction(
      (n) => document.querySelector('[data-board]')?.getAttribute('aria-label')?.startsWith(`${n} `),
      {},
      runs,
    );
  };
  await corner(0.85, 0.6, 0);
  await corner(0.85, 0.35, 1);
  await press(page, 'Build on this line');
  await page.waitForFunction(() => !document.querySelector('[data-board]'));
  await settled(page);
  await kept(page);
  const drawn = (await wallsOf(page)).at(-1);
  // It goes up the plan from where it was begun, and what it was drawn beside has its place too.
  expect(drawn?.place).toMatchObject({ heading: 90 });
  expect((await wallsOf(page)).find((w) => w.id === 'boat-store')?.place).toBeDefined();
  expect(drawn?.line).toHaveLength(1);
  // The plan lies as it was drawn: the wall goes up it, and to the left of that is a left turn.
  await dragBy(page, '[data-next-run] circle', -160, 30, { x: 0.5, y: 0.5 });
  await page.mouse.up();
  await settled(page);
  await kept(page);
  const line = (await wallsOf(page)).at(-1)?.line ?? [];
  expect(line).toHaveLength(3);
  expect(line[1]).toEqual({ turn: 90 });
  await page.click('header button[title^="Undo"]');
  await page.waitForFunction(() => document.querySelectorAll('[data-corner]').length === 2);
});

test('the set is printed and read back: every sheet counted, the pole and the cards in it; a pack of cards from the course', async () => {
  await openBoatStore(page, 'tally');
  await page.select('[aria-label="Sheet set"] select', 'a4');
  const set = await printedText(page, 'Sheet set as PDF');
  const sheets = [...set.matchAll(/sheet (\d+) of (\d+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
  expect(sheets.length).toBeGreaterThan(12);
  expect(sheets.map(([n]) => n)).toEqual(sheets.map((_, i) => i + 1));
  expect(new Set(sheets.map(([, all]) => all))).toEqual(new Set([sheets.length]));
  for (const what of [
    'Boat store unfolded',
    'Section through',
    'Story pole',
    'Course cards',
    'Tally, Boat store',
  ])
    expect(set).toContain(what);
  await page.keyboard.press('c');
  await course(1);
  const cards = await printedText(page, 'Cards');
  expect(cards).toContain('Course cards, Boat store');
  expect(cards).toMatch(/16 stretchers|stretchers/);
});

test('at Gauge the pole is large: a fixed height is typed where it stands and pulled; a section goes large by its key', async () => {
  await openBoatStore(page, 'gauge');
  await page.waitForSelector('[data-pole="13"]');
  expect(await violations(page)).toEqual([]);
  await page.click('main input[name="height"]');
  await page.keyboard.type('9\' 4"');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-pole="14"]');
  await settled(page);
  await dragBy(page, 'main [data-height="top"] path', 0, 40, { x: 0.7, y: 0.5 });
  await page.waitForSelector('[data-pole="13"]');
  await page.mouse.up();
  await settled(page);
  expect(await page.$eval('main input[name="height"]', (f) => f.value)).toBe('8′-8″');
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('x');
  await page.waitForSelector('[data-section]');
  expect(await violations(page)).toEqual([]);
  expect(await title()).toBe('Section');
  await page.keyboard.press('x');
  await page.waitForSelector('[data-pole="13"]');
});

test('a unit pressed in the tally shows the line it is counted in', async () => {
  await openBoatStore(page, 'tally');
  const face = await (await page.waitForSelector('main canvas'))?.boundingBox();
  if (!face) throw new Error('no face');
  await page.mouse.click(face.x + face.width * 0.5, face.y + face.height * 0.45);
  await page.waitForSelector(
    '[aria-label="Drawer"] tr[aria-selected="true"], [aria-label="Drawer"] tr[data-chosen]',
  );
  await page.waitForSelector('[data-lit]');
});

test('a cut is found by its length and lit; what to order is picked out in the drawer, taken as a table, and shown on the wall', async () => {
  await openBoatStore(page, 'tally');
  await page.keyboard.press('/');
  await page.waitForSelector('section[aria-label="Find"] input');
  await page.keyboard.type('cut 4 5/8');
  await page.waitForFunction(() =>
    /^Cuts.*4\s*5\u20448/.test(document.querySelector('[role="option"]')?.textContent ?? ''),
  );
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-lit]');
  await page.keyboard.press('d');
  await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[aria-label="Lists"] button')]
      .find((b) => b.textContent === 'Tally')
      ?.click(),
  );
  await page.waitForSelector('table[data-list="tally"]');
  const rows = (): Promise<string[][]> =>
    page.$$eval('table[data-list="tally"] tbody tr', (all) =>
      all.map((r) => [...r.querySelectorAll('td')].map((c) => c.textContent)),
    );
  const whole = await rows();
  await page.type('input[aria-label="filter"]', 'order');
  await page.waitForFunction(
    (n) => document.querySelectorAll('table[data-list="tally"] tbody tr').length < n,
    {},
    whole.length,
  );
  const ordered = await rows();
  expect(ordered.length).toBeGreaterThan(3);
  expect(ordered).toEqual(whole.filter(([what]) => /order/i.test(what ?? '')));
  await page
    .browserContext()
    .overridePermissions(new URL(page.url()).origin, ['clipboard-read', 'clipboard-sanitized-write']);
  await press(page, 'copy');
  await until('copied', '[aria-label="Drawer"]');
  const taken = await page.evaluate(() => navigator.clipboard.readText());
  expect(
    taken
      .split('\n')
      .slice(-ordered.length)
      .map((l) => l.split('\t')[0]),
  ).toEqual(ordered.map(([what]) => what));
  const stretchers = await page.waitForSelector('table[data-list="tally"] tbody tr');
  await stretchers?.focus();
  await page.keyboard.press('Enter');
  await page.waitForSelector('table[data-list="tally"] tr[aria-selected="true"]');
});
