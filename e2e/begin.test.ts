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
    const radio = await page.evaluateHandle(
      (name) => [...document.querySelectorAll('[role="radio"]')].find((r) => r.textContent === name) ?? null,
      rules,
    );
    await (radio.asElement() as ElementHandle<HTMLElement> | null)?.click();
    const card = await page.waitForSelector(`[data-begin="${what}"]`);
    await card?.click();
    await page.waitForSelector('[data-plan]');
    await settled(page);
    expect(await wall()).toMatchObject(has);
    expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('FAULT');
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
