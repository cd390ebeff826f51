import { AT_SET_OUT, AT_STEEL, BENCH, createWords, DOOR, YARD } from '@even-tally/words';
import type { Page } from 'puppeteer-core';
import { enterDemo, journeys, press, settled, type Site } from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
}, false);

const { say: strange } = createWords('pseudo', 'mm');

/** From now on this page speaks the language nobody speaks: every vowel of the catalogue is marked. */
const speakStrange = (): Promise<void> =>
  page.evaluate(() => localStorage.setItem('even-tally/words', 'pseudo'));

/**
 * Dates and lists come from libraries in the reader’s language; languages are named in their own; keys are what stands on them; forms of files and
 * programs have no other name, nor have symbols of units. */
const OTHERWISE =
  'about almost over less than minute minutes hour hours day days month half Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec ' +
  'min gal English Español Even Tally Shift Tab PgUp PgDn and Chrome Linux CSV PDF DXF IFC SVG PNG ICS';

/**
 * Words on the page as it stands, shown or read out, that came neither from the catalogue (their vowels are marked) nor out of a job
 * (they stand in its file).
 */
async function uncatalogued(where: string): Promise<string[]> {
  // What is folded away speaks too.
  for (let i = 0; i < 4; i++) {
    const opened = await page.evaluate(() => {
      const shut = [...document.querySelectorAll<HTMLElement>('aside button[aria-expanded="false"]')];
      shut.forEach((b) => b.click());
      return shut.length;
    });
    if (opened === 0) break;
    await new Promise((r) => setTimeout(r, 150));
  }
  return page.evaluate(
    async (at, otherwise) => {
      const own = new Set<string>();
      const words = (text: string): string[] => text.match(/[A-Za-zÀ-ÿ]{3,}/g) ?? [];
      const learn = (text: string): void => words(text).forEach((w) => own.add(w.toLowerCase()));
      learn(otherwise);
      for (const path of ['/api/session', '/api/jobs', '/api/jobs?put-away']) {
        const answer = await fetch(path);
        if (!answer.ok) continue;
        const body = await answer.text();
        learn(body);
        if (path !== '/api/jobs') continue;
        for (const { id } of JSON.parse(body) as { id: string }[])
          learn(await (await fetch(`/api/jobs/${id}`)).text());
      }
      const said: string[] = [document.title];
      const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
      for (let node = walk.nextNode(); node; node = walk.nextNode()) {
        if (node instanceof Element) {
          for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
            said.push(node.getAttribute(name) ?? '');
        } else if (!node.parentElement?.closest('script, style')) said.push(node.textContent ?? '');
      }
      const plain = said.filter((text) =>
        words(text).some((w) => !own.has(w.toLowerCase()) && /[aeiou]/i.test(w) && !/[åéïøü]/i.test(w)),
      );
      return [...new Set(plain)].map((text) => `${at}: ${text.trim()}`);
    },
    where,
    OTHERWISE,
  );
}

const aMoment = (): Promise<void> => new Promise((r) => setTimeout(r, 400));
const dialog = (): Promise<unknown> => page.waitForSelector('[role="dialog"]');
const shut = async (): Promise<void> => {
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
};
const click = (selector: string): Promise<void> => page.$eval(selector, (e) => (e as HTMLElement).click());

test('at the door and in the yard, every word is out of the catalogue', async () => {
  const found: string[] = [];
  await page.goto(site.address);
  await speakStrange();
  await page.reload();
  await page.waitForSelector('input[name="email"]');
  found.push(...(await uncatalogued('door')));
  // Opening a yard asks for more; then it is there, empty, with its crew and account.
  await press(page, strange(DOOR.openAYardOf));
  await page.waitForSelector('input[name="yard"]');
  found.push(...(await uncatalogued('opening a yard')));
  await page.type('input[name="yard"]', 'Zwzwz');
  await page.type('input[name="email"]', `words-${Date.now()}@example.test`);
  await page.type('input[name="password"]', 'a long enough word');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/yard');
  await page.waitForSelector('input[type="file"]');
  found.push(...(await uncatalogued('an empty yard')));
  // What the server refuses it says itself: a link that opens nothing is asked for elsewhere.
  for (const path of ['/crew', '/account', '/nowhere']) {
    await page.goto(site.address + path);
    await page.waitForSelector('h1, h2');
    await aMoment();
    found.push(...(await uncatalogued(path)));
  }
  await page.goto(`${site.address}/crew`);
  // Who is in the yard comes in over the button, and moves it.
  await page.waitForSelector('th[scope="row"]');
  await press(page, strange(YARD.makeALink));
  await page.waitForSelector('input[readonly]');
  found.push(...(await uncatalogued('a link')));
  expect(found).toEqual([]);
});

test('on the bench, in every stage and dialog, every word is out of the catalogue or out of the job', async () => {
  const found: string[] = [];
  await enterDemo(site, page);
  await speakStrange();
  await page.reload();
  await page.waitForSelector('a[href*="/boat-store/"] canvas');
  found.push(...(await uncatalogued('yard')));
  const walls = await page.$$eval('a[href^="/jobs/"]', (all) => all.map((a) => a.href));
  for (const href of [...new Set(walls)])
    for (const stage of ['set-out', 'gauge', 'bond', 'steel', 'mud', 'tally']) {
      await page.goto(href.replace(/[^/]+$/, stage));
      await settled(page);
      found.push(...(await uncatalogued(`${href.split('/').at(-3)}, ${stage}`)));
    }
  await page.goto((walls.find((h) => h.includes('/boat-store/')) ?? '').replace(/[^/]+$/, 'tally'));
  await settled(page);
  await click('aside button[aria-haspopup="dialog"]');
  await dialog();
  found.push(...(await uncatalogued('a working')));
  await shut();
  await page.keyboard.press('?');
  await dialog();
  found.push(...(await uncatalogued('keys')));
  await shut();
  await page.keyboard.press('l');
  await page.waitForSelector('[role="region"] table');
  found.push(...(await uncatalogued('the list')));
  await page.keyboard.press('l');
  for (const what of [BENCH.onRecord, BENCH.versions]) {
    await press(page, strange(what));
    await dialog();
    await aMoment();
    found.push(...(await uncatalogued(what.code)));
    await shut();
  }
  await page.goto(page.url().replace(/[^/]+$/, 'steel'));
  await settled(page);
  for (const what of [AT_STEEL.lookAndSign]) {
    await press(page, strange(what));
    await dialog();
    found.push(...(await uncatalogued(what.code)));
    await shut();
  }
  await page.goto(page.url().replace(/[^/]+$/, 'set-out'));
  await settled(page);
  await press(page, strange(AT_SET_OUT.takeItFromA));
  await dialog();
  found.push(...(await uncatalogued('a drawing read')));
  await shut();
  await press(page, strange(AT_SET_OUT.drawTheLine));
  await page.waitForSelector('[data-board]');
  found.push(...(await uncatalogued('a line drawn')));
  expect(found).toEqual([]);
}, 300_000);
