import type { Page } from 'puppeteer-core';
import { journeys, press, settled, type Site, violations, beginJob } from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
}, false);

const fill = async (where: Page, name: string, text: string): Promise<void> => {
  await where.waitForSelector(`input[name="${name}"]`);
  await where.type(`input[name="${name}"]`, text);
};
const at = (where: Page, path: string): Promise<unknown> =>
  where.waitForFunction((p) => location.pathname === p, {}, path);
const reads = (where: Page, text: string): Promise<unknown> =>
  where.waitForFunction((t) => document.body.innerText.includes(t), {}, text);

async function openYard(name: string, email: string): Promise<void> {
  await page.goto(site.address);
  await press(page, 'Open a yard of my own');
  await fill(page, 'yard', name);
  await fill(page, 'email', email);
  await fill(page, 'password', 'four courses a day');
  await press(page, 'Open the yard');
  await at(page, '/yard');
  await reads(page, 'The yard is empty.');
}

async function linkFor(role: string): Promise<string> {
  await page.goto(`${site.address}/crew`);
  await page.waitForSelector('section[aria-label="Ask somebody in"]');
  await page.waitForSelector('th[scope="row"]');
  await page.select('select[aria-label="As one who"]', role);
  await press(page, 'Make a link');
  await page.waitForSelector('input[aria-label="The link"]');
  return page.$eval('input[aria-label="The link"]', (e) => e.value);
}

async function joinBy(link: string, email: string): Promise<Page> {
  const other = await site.page();
  await other.goto(link);
  await fill(other, 'email', email);
  await fill(other, 'password', 'plumb level and true');
  await press(other, 'Open an account and join');
  await at(other, '/yard');
  return other;
}

test('somebody is asked in by a link, may read and not change, and is put out of their browser at once', async () => {
  await openYard('Link yard', 'links@example.test');
  await beginJob(page);
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
  const wall = page.url();
  const link = await linkFor('reads');
  expect(await violations(page)).toEqual([]);
  expect(new URL(link).hash).toMatch(/^#[\w-]{43}$/);
  const other = await joinBy(link, 'reader@example.test');
  await reads(other, 'Link yard');
  // They see the wall, and are offered nothing they may not do.
  await other.waitForSelector('section a canvas');
  expect(await other.evaluate(() => document.body.innerText.includes('Begin a job'))).toBe(false);
  expect(await other.evaluate(() => document.body.innerText.includes('Put away'))).toBe(false);
  await other.goto(wall);
  await other.waitForSelector('[aria-label="The wall says"]');
  await settled(other);
  await other.$eval('aside[aria-label="Slip"] input', (e) => e.focus());
  await other.keyboard.type('X');
  await other.keyboard.press('Tab');
  await reads(other, 'In this yard you may not change jobs.');
  // A link is for one.
  const late = await site.page();
  await late.goto(link);
  await reads(late, 'This link opens nothing');
  expect(await violations(late)).toEqual([]);
  await page.goto(`${site.address}/crew`);
  await press(page, 'Put out');
  await page.waitForSelector('[role="dialog"]');
  await page.evaluate(() => {
    const all = [...document.querySelectorAll<HTMLElement>('[role="dialog"] button')];
    all.find((b) => b.textContent === 'Put out')?.click();
  });
  await page.waitForFunction(() => !document.body.innerText.includes('reader@example.test'));
  await other.goto(`${site.address}/yard`);
  await at(other, '/');
});

test('another browser is signed out from the list, and a job put away comes back', async () => {
  await openYard('Sessions yard', 'sessions@example.test');
  const other = await site.page();
  await other.goto(site.address);
  await fill(other, 'email', 'sessions@example.test');
  await fill(other, 'password', 'four courses a day');
  await press(other, 'Sign in');
  await at(other, '/yard');
  await page.goto(`${site.address}/account`);
  await page.waitForFunction(
    () => document.querySelectorAll('section[aria-label="Where you are signed in"] li').length === 2,
  );
  expect(await violations(page)).toEqual([]);
  await press(page, 'Sign it out');
  await page.waitForFunction(
    () => document.querySelectorAll('section[aria-label="Where you are signed in"] li').length === 1,
  );
  await other.goto(`${site.address}/yard`);
  await at(other, '/');
  await page.goto(`${site.address}/yard`);
  await beginJob(page);
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
  await page.goto(`${site.address}/yard`);
  await press(page, 'Put away');
  await press(page, 'Bring back');
  await page.waitForSelector('section a canvas');
});

test('a version another member left behind is taken back, as a step that can be undone', async () => {
  await openYard('Versions yard', 'versions@example.test');
  await beginJob(page);
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
  const wall = page.url();
  const other = await joinBy(await linkFor('plans'), 'planner@example.test');
  const nameOf = (where: Page): Promise<string> =>
    where.$eval('aside[aria-label="Slip"] input', (e) => e.value);
  await other.goto(wall);
  await other.waitForSelector('[aria-label="The wall says"]');
  await settled(other);
  const before = await nameOf(other);
  const field = await other.$('aside[aria-label="Slip"] input');
  await field?.click({ count: 3 });
  await other.keyboard.type('Boundary');
  await other.keyboard.press('Tab');
  await reads(other, 'Kept at');
  await other.waitForFunction(() =>
    /Kept at/.test(document.querySelector('[role="status"]')?.textContent ?? ''),
  );
  await new Promise((r) => setTimeout(r, 1200));
  await page.goto(wall);
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
  expect(await nameOf(page)).toBe('Boundary');
  await press(page, 'Versions');
  await page.waitForFunction(() => document.querySelectorAll('[role="dialog"] li').length === 2);
  expect(await violations(page)).toEqual([]);
  expect(await page.$eval('[role="dialog"]', (e) => e.textContent)).toContain('planner@example.test');
  await press(page, 'Take it back');
  await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  await settled(page);
  expect(await nameOf(page)).toBe(before);
  await press(page, 'Versions');
  // What was taken back from is a version now.
  await page.waitForFunction(() => document.querySelectorAll('[role="dialog"] li').length === 3);
  await press(page, 'Close');
  await page.keyboard.press('Escape');
  await page.click('button[aria-label^="Undo"]');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('aside[aria-label="Slip"] input')?.value === 'Boundary',
  );
});
