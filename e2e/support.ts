import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BoundingBox, Browser, ElementHandle, Page } from 'puppeteer-core';
import { ADDRESS, BROWSER } from './site';

const ROOT = join(__dirname, '..');

export interface Site {
  browser: Browser;
  address: string;
  page: () => Promise<Page>;
  close: () => Promise<void>;
}

/** The site that stands for all the journeys (`site.ts`), and this file's own line to its browser. */
async function joinSite(): Promise<Site> {
  const [address, browserWSEndpoint] = [process.env[ADDRESS], process.env[BROWSER]];
  if (!address || !browserWSEndpoint) throw new Error('no site is open: run the journeys by ./tally test');
  const { default: puppeteer } = await import('puppeteer-core');
  const browser = await puppeteer.connect({ browserWSEndpoint, defaultViewport: null });
  return {
    browser,
    address,
    page: async () => {
      const context = await browser.createBrowserContext();
      const page = await context.newPage();
      await page.setViewport({ width: 1280, height: 800 });
      page.setDefaultTimeout(15_000);
      return page;
    },
    close: () => browser.disconnect(),
  };
}

/**
 * Presses the button or link with these words, or the first whose words contain them. The press is by the pointer, at
 * the place where the button stands: what grew above it meanwhile moves it from under the pointer, so a press it did
 * not hear is made again.
 */
export async function press(page: Page, text: string): Promise<void> {
  for (let tries = 0; tries < 5; tries += 1) {
    const found = await page.waitForFunction(
      (wanted) => {
        const all = [...document.querySelectorAll<HTMLElement>('button:not(:disabled), a')];
        const button =
          all.find((b) => b.textContent?.trim() === wanted) ??
          all.find((b) => b.textContent?.includes(wanted));
        // The mark goes with the press, and with the page if the press left it.
        document.documentElement.setAttribute('data-unheard', '');
        const hear = (): void => document.documentElement.removeAttribute('data-unheard');
        button?.addEventListener('click', hear, { once: true, capture: true });
        return button ?? false;
      },
      {},
      text,
    );
    // A button drawn anew in that moment is no longer there to be pressed: the next try finds the one in its place.
    await (found.asElement() as ElementHandle<HTMLElement> | null)?.click().catch(() => undefined);
    const unheard = await page
      .evaluate(() => document.documentElement.hasAttribute('data-unheard'))
      .catch(() => false);
    if (!unheard) return;
  }
  throw new Error(`"${text}" never heard a press`);
}

export const until = (page: Page, what: () => unknown): Promise<unknown> => page.waitForFunction(what);

export async function enterDemo(site: Site, page: Page): Promise<void> {
  await page.goto(site.address);
  await press(page, 'Look round the demo yard');
  await page.waitForSelector('a[href*="/boat-store/"] canvas');
}

export async function openBoatStore(page: Page, stage = 'bond'): Promise<void> {
  const href = await page.$eval('a[href*="/boat-store/"]', (a) => a.href);
  await page.goto(href.replace(/[^/]+$/, stage));
  await page.waitForSelector('[data-opening="W1"], [data-plan], [data-pole], [data-mud]');
  await settled(page);
}

/**
 * Waits until fixes and choices are there: nothing is being worked out or weighed, and the slip has kept its length, for
 * so long that an edit just made would have begun to be planned.
 */
export async function settled(page: Page): Promise<void> {
  await page.waitForFunction(
    (calm) => {
      const still =
        !document.body.hasAttribute('data-planning') &&
        document.querySelector('[data-weighing]') === null &&
        document.querySelector('[data-says]') !== null;
      const long = document.querySelector('[aria-label="Slip"]')?.scrollHeight ?? 0;
      const at = window as unknown as { since?: number; long?: number };
      if (!still || long !== at.long) at.since = undefined;
      at.long = long;
      at.since ??= performance.now();
      if (!still || performance.now() - at.since < calm) return false;
      at.since = undefined;
      return true;
    },
    // The last fix of a building with every opening off its bond may be long in coming on a busy machine.
    { timeout: 45_000, polling: 50 },
    350,
  );
}

/** Types into the field of that name, and keeps it. */
export async function typeIn(page: Page, name: string, text: string): Promise<void> {
  const field = await page.waitForSelector(`input[name="${name}"]`);
  await field?.focus();
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

/** The words of a part of the page. */
export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (e) => (e as HTMLElement).innerText);

/** A fingerprint of what a canvas shows. */
export const picture = (page: Page): Promise<string> =>
  page.$eval('canvas[role="img"]', (c) => c.toDataURL());

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

/** Violations on the page as it stands, each with the first element it is about. */
export async function violations(page: Page): Promise<string[]> {
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const axe = (
      window as unknown as {
        axe: {
          run: () => Promise<{
            violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[];
          }>;
        };
      }
    ).axe;
    const { violations: found } = await axe.run();
    return found.map(
      (v) => `${v.id}: ${v.nodes[0]?.html.slice(0, 160)} ${v.nodes[0]?.failureSummary?.slice(0, 200)}`,
    );
  });
}

/** Where an element stands once it stands still: what is drawn beside it may still be coming, and move it. */
async function standingBox(page: Page, selector: string): Promise<BoundingBox> {
  let before = '';
  for (let look = 0; look < 60; look++) {
    const found = await page.waitForSelector(selector);
    await found?.evaluate((e) => e.scrollIntoView({ block: 'nearest' })).catch(() => undefined);
    const box = await found?.boundingBox();
    const now = JSON.stringify(box);
    if (box && now === before) return box;
    before = now;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error(`nothing stands still at ${selector}`);
}

/** Takes an element and pulls it so far, still held. Gives where the hand is. */
export async function dragBy(
  page: Page,
  selector: string,
  dx: number,
  dy: number,
  from: { x: number; y: number } = { x: 0.5, y: 0.25 },
): Promise<{ x: number; y: number }> {
  const box = await standingBox(page, selector);
  const [x, y] = [box.x + box.width * from.x, box.y + box.height * from.y];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 6 });
  await page.mouse.move(x + dx, y + dy, { steps: 6 });
  return { x: x + dx, y: y + dy };
}

export interface KeptWall {
  id: string;
  name: string;
  line: Record<string, unknown>[];
  [key: string]: unknown;
}

/** The walls of the open job as the server keeps them. */
export const wallsOf = (page: Page): Promise<KeptWall[]> =>
  page.evaluate(async () => {
    const id = location.pathname.split('/')[2] ?? '';
    const answer = await fetch(`/api/jobs/${id}`);
    return ((await answer.json()) as { document: { walls: KeptWall[] } }).document.walls;
  });

/** Waits until the server has what is on the screen. */
export const kept = (page: Page): Promise<unknown> =>
  page.waitForFunction(() =>
    document.querySelector('header [role="status"]')?.textContent?.startsWith('Kept'),
  );

/** Begins a job from the yard as one of the walls there are to begin with. */
export async function beginJob(page: Page, what = 'garden'): Promise<void> {
  await press(page, 'Begin a job');
  const card = await page.waitForSelector(`[data-begin="${what}"]`);
  await card?.click();
  await page.waitForSelector('[aria-label="The wall says"]');
}

/** A job of its own, put in the yard and opened at a stage. */
export async function openJob(
  site: Site,
  page: Page,
  document: unknown,
  wall: string,
  stage: string,
): Promise<void> {
  const id = await page.evaluate(async (d) => {
    const answer = await fetch('/api/jobs', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ document: d }),
    });
    return ((await answer.json()) as { id: string }).id;
  }, document as object);
  await page.goto(`${site.address}/jobs/${id}/${wall}/0/${stage}`);
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
}

/** A job with one brick wall. */
export const brickJob = (wall: object): unknown => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Porch',
  show: 'mm',
  profile: 'uk',
  walls: [{ id: 'w', name: 'Porch wall', line: [{ run: 4040 }], height: 1800, ...wall }],
});

/** Presses a button that prints a sheet, and reads back the words of what came out. */
export async function printedText(page: Page, button: string): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'even-tally-printed-'));
  const session = await page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: page.browserContext().id,
  });
  await press(page, button);
  const printed = await new Promise<string>((resolve, reject) => {
    const until = Date.now() + 12_000;
    const look = (): void => {
      const file = readdirSync(folder).find((f) => f.endsWith('.pdf'));
      if (file) resolve(join(folder, file));
      else if (Date.now() > until) reject(new Error(`nothing printed by ${button}`));
      else setTimeout(look, 100);
    };
    look();
  });
  const text = await new Promise<string>((resolve, reject) => {
    const child = execFile(process.execPath, [join(ROOT, 'tools/read-pdf.mjs')], (error, out) =>
      error ? reject(new Error(error.message)) : resolve(out),
    );
    child.stdin?.end(readFileSync(printed));
  });
  rmSync(folder, { recursive: true, force: true });
  return text;
}

/**
 * For each test of a file a page of its own on the one site, handed to `opened`. `demo`: in a demo yard of its own, else
 * at the door.
 */
export function journeys(opened: (site: Site, page: Page) => void, demo = true): void {
  let site: Site;
  let page: Page;
  beforeAll(async () => {
    site = await joinSite();
  });
  afterAll(() => site.close());
  beforeEach(async () => {
    page = await site.page();
    if (demo) await enterDemo(site, page);
    opened(site, page);
  });
  afterEach(() => page.browserContext().close());
}
