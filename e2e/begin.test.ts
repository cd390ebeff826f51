import { type ElementHandle, type Page } from 'puppeteer-core';
import { journeys, kept, openBoatStore, press, settled, textOf, violations, wallsOf } from './support';

let page: Page;
journeys((_, fresh) => {
  page = fresh;
});

const until = (words: string, selector: string): Promise<unknown> =>
  page.waitForFunction(
    (sel, wanted) => document.querySelector<HTMLElement>(sel)?.innerText.includes(wanted),
    {},
    selector,
    words,
  );

const byTheRulesOf = async (name: string): Promise<void> => {
  const radio = await page.evaluateHandle(
    (wanted) =>
      [...document.querySelectorAll('[role="radio"]')].find((r) => r.textContent === wanted) ?? null,
    name,
  );
  await (radio.asElement() as ElementHandle<HTMLElement> | null)?.click();
};

test('a job is begun by saying it or as what it is, by rules and in a measure, and lands on a wall that makes sense', async () => {
  const yard = new URL('/yard', page.url()).href;
  const begin = async (): Promise<void> => {
    await page.goto(yard);
    await press(page, 'Begin a job');
    await page.waitForSelector('[data-begin="repair"]');
  };
  const wall = async (): Promise<unknown> => (await wallsOf(page))[0];
  await begin();
  await page.type('#begin-say', "24' by 8'8\" of 8 inch block, dor 3'4\" at 4'");
  await until('dor', '#begin-back');
  expect(await page.$$eval('button:disabled', (b) => b.map((x) => x.textContent))).toContain(
    'Begin with this',
  );
  await page.click('#begin-say', { count: 3 });
  await page.type('#begin-say', "24' by 8'8\" of 8 inch block, door 3'4\" at 4'");
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-plan]');
  await settled(page);
  expect(await wall()).toMatchObject({ line: [{ run: "24'" }], height: '8\' 8"' });
  for (const [rules, what, has] of [
    ['United Kingdom and Ireland', 'building', { build: { cavity: {} } }],
    ['Earth (adobe)', 'garden', { build: { unit: 'adobe-10x14x4' } }],
    ['United States', 'retaining', { retains: {} }],
  ] as const) {
    await begin();
    await byTheRulesOf(rules);
    const card = await page.waitForSelector(`[data-begin="${what}"]`);
    await card?.click();
    await page.waitForSelector('[data-plan]');
    await settled(page);
    expect(await wall()).toMatchObject(has);
    expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('FAULT');
  }
});

test('three walls are said, as a mason in feet, one in metres and one in earth would, and each is changed by saying so', async () => {
  const yard = new URL('/yard', page.url()).href;
  for (const [rules, said, has, change, then] of [
    [
      'United States',
      "24' by 8'8\" of 8 inch block, door 3'4\" at 4', window 4' x 3'4\" at 16', sill 3'4\", number 5 at 32",
      { line: [{ run: "24'" }], build: { unit: 'cmu-8x8x16' } },
      'window 3 inches left',
      { openings: [{}, { at: '15\' 9"' }] },
    ],
    [
      'United Kingdom and Ireland',
      '6 m x 2.4 m half brick, window 1810 x 1200 at 2 m, sill 900',
      { line: [{ run: '6 m' }], build: { unit: 'brick-215x102.5x65' } },
      'raise the sill a course',
      { openings: [{ sill: 975 }] },
    ],
    [
      'Earth (adobe)',
      "20' x 6' adobe",
      { line: [{ run: "20'" }], build: { unit: 'adobe-10x14x4' } },
      'a course higher',
      {},
    ],
  ] as const) {
    await page.goto(yard);
    await press(page, 'Begin a job');
    await page.waitForSelector('#begin-say');
    await byTheRulesOf(rules);
    await page.type('#begin-say', said);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-plan]');
    await settled(page);
    const [before] = await wallsOf(page);
    expect(before).toMatchObject(has);
    await page.keyboard.press('s');
    await page.waitForSelector('#say-line');
    await page.keyboard.type(change);
    await page.waitForSelector('[data-understood="true"]');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await settled(page);
    await kept(page);
    const [after] = await wallsOf(page);
    expect(after).toMatchObject(then);
    expect(after).not.toEqual(before);
  }
});

test('a unit of one’s own is laid, undone by name, and offered to every job of the yard', async () => {
  await openBoatStore(page);
  await press(page, 'A unit of your own');
  await page.waitForSelector('input[name="own-length"]');
  await page.click('input[name="own-length"]');
  await page.keyboard.type('11 5/8"');
  await page.keyboard.press('Enter');
  await press(page, 'Lay it, and keep it for the yard');
  await settled(page);
  await kept(page);
  const unit = async (): Promise<unknown> =>
    ((await wallsOf(page))[0]?.build as { unit: string } | undefined)?.unit;
  expect(await unit()).toMatch(/^own-1/);
  const held = await page.evaluate(async () => (await (await fetch('/api/yard/units')).json()) as unknown[]);
  expect(held).toHaveLength(1);
  await page.click('header button[title^="Undo"]');
  await settled(page);
  await kept(page);
  expect(await unit()).toBe('cmu-8x8x16');
  await page.click('input[name="unit"]');
  await page.keyboard.type('own');
  await page.waitForSelector('[data-unit^="own-1"]');
  expect(await violations(page)).toEqual([]);
});
