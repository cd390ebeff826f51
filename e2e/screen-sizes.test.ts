import { type KeyInput, type Page } from 'puppeteer-core';
import {
  journeys,
  kept,
  openBoatStore,
  picture,
  press,
  settled,
  typeIn,
  violations,
  wallsOf,
} from './support';

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

/** Pairs of things to press or type in that lie on one another, of those that can be seen. */
const overlaps = (): Promise<string[]> =>
  page.evaluate(() => {
    const seen = [...document.querySelectorAll<HTMLElement>('button, a[href], input, select, textarea')]
      .filter((e) => e.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
      .map((e) => ({ e, box: e.getBoundingClientRect() }))
      .filter(({ e, box }) => {
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        const at = box.width > 2 && box.height > 2 ? document.elementFromPoint(x, y) : null;
        // What is scrolled out of its part lies under another and cannot be pressed there.
        return at !== null && (e.contains(at) || at.contains(e) || at.closest('main') === e.closest('main'));
      });
    const called = (e: HTMLElement): string =>
      e.getAttribute('aria-label') ?? e.getAttribute('name') ?? e.textContent.slice(0, 40);
    return seen.flatMap((a, i) =>
      seen.slice(i + 1).flatMap((b) => {
        if (a.e.contains(b.e) || b.e.contains(a.e)) return [];
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const up = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        const apart =
          a.e.closest('aside, main, header, footer') !== b.e.closest('aside, main, header, footer');
        return across > 2 && up > 2 && !apart ? [`${called(a.e)} and ${called(b.e)}`] : [];
      }),
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
  // Two fingers bring it nearer, one carries it, and all of it is one press away.
  const whole = await picture(page);
  const touch = await page.createCDPSession();
  const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number | null): Promise<unknown> =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        apart === null
          ? []
          : [
              { x: 195 - apart, y: 300, id: 0 },
              { x: 195 + apart, y: 300, id: 1 },
            ],
    });
  await fingers('touchStart', 20);
  for (let apart = 24; apart <= 80; apart += 8) await fingers('touchMove', apart);
  await fingers('touchEnd', null);
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() !== was,
    { polling: 100 },
    whole,
  );
  await page.click('[aria-label="All of it (F)"]');
  await page.waitForFunction(
    (was) => document.querySelector<HTMLCanvasElement>('canvas[role="img"]')?.toDataURL() === was,
    { polling: 100 },
    whole,
  );
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  for (const key of ['x', 'c', 'o'] as const) {
    await page.keyboard.press(key);
    await page.waitForSelector('main h1');
    await new Promise((r) => setTimeout(r, 600));
    expect({ key, small: await small() }).toEqual({ key, small: [] });
    await page.keyboard.press(key);
  }
  await page.click('aside[aria-label="Slip"] > button');
  await until('CHOICE', 'aside[aria-label="Slip"]');
  await press(page, 'Move Window 3″ left');
  await settled(page);
  expect(await violations(page)).toEqual([]);
});

/**
 * What could be seen pressed by a mouse that gives it less than 24 px either way, wherever in it one presses; and what
 * the keyboard reaches without its focus being seen. A cell of the wall is as wide as it is drawn, and has its arrows.
 */
const hardToReach = (): Promise<string[]> =>
  page.evaluate(() => {
    const wrong: string[] = [];
    const called = (e: Element): string =>
      `${e.tagName} ${e.getAttribute('aria-label') ?? e.getAttribute('name') ?? e.textContent.slice(0, 40)}`;
    const all = document.querySelectorAll<HTMLElement | SVGGraphicsElement>(
      'button:not(:disabled), select, a[href], input, summary, textarea, [role="button"], [tabindex="0"]',
    );
    for (const e of all) {
      if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      if (e.getAttribute('role') === 'application') continue;
      e.scrollIntoView({ block: 'center', inline: 'nearest' });
      const box = e.getBoundingClientRect();
      if (box.width <= 2 && box.height <= 2) continue;
      const mine = (x: number, y: number): boolean => {
        const hit = document.elementFromPoint(x, y);
        const label = hit?.closest('label');
        return hit !== null && (e.contains(hit) || label?.contains(e) === true || label?.htmlFor === e.id);
      };
      // A stroke of a drawing is pressed on either side of it, so that its box says nothing: it is felt for.
      const reach = Array.from({ length: 23 }, (_, i) => i - 11);
      const steps = (from: number, long: number): number[] => {
        const n = 2 * Math.min(6, Math.floor(long / 12)) + 1;
        return Array.from({ length: n }, (_, i) => from + ((i + 0.5) * long) / n);
      };
      const wide = steps(box.y, box.height).some((y) =>
        steps(box.x, box.width).some(
          (x) => mine(x, y) && reach.every((d) => mine(x + d, y)) && reach.every((d) => mine(x, y + d)),
        ),
      );
      if (!wide) wrong.push(`small: ${called(e)}`);
      e.focus({ preventScroll: true });
      if (document.activeElement !== e || !e.matches(':focus-visible')) continue;
      const { outlineStyle, outlineWidth } = getComputedStyle(e);
      if (outlineStyle === 'none' || parseFloat(outlineWidth) < 2) wrong.push(`unseen: ${called(e)}`);
    }
    return wrong;
  });

test('nothing to press is under 24 px at a desk, and where the keyboard stands is always seen', async () => {
  await openBoatStore(page, 'set-out');
  const wrong: string[] = [];
  for (const stage of ['1', '2', '3', '4', '5', '6'] as const) {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press(stage);
    await settled(page);
    for (const w of await hardToReach()) wrong.push(`stage ${stage}, ${w}`);
  }
  expect(wrong).toEqual([]);
});

test.each([
  [360, 740],
  [1024, 768],
  [1280, 800],
])(
  'at %p by %p nothing that is pressed or typed in lies on another, in any stage and on any paper',
  async (...[width, height]) => {
    await page.setViewport({ width, height });
    await openBoatStore(page, 'set-out');
    const wrong: string[] = [];
    const look = async (what: string): Promise<void> => {
      for (const pair of await overlaps()) wrong.push(`${what}: ${pair}`);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      if (wide > width) wrong.push(`${what}: ${wide} wide`);
    };
    for (const stage of ['1', '2', '3', '4', '5', '6'] as const) {
      await page.keyboard.press(stage);
      await settled(page);
      await look(`stage ${stage}`);
    }
    for (const paper of ['c', 'x', 'o', 'd'] as const) {
      await page.keyboard.press(paper);
      await settled(page);
      await look(`paper ${paper}`);
      await page.keyboard.press(paper);
    }
    expect(wrong).toEqual([]);
  },
);

test('at 1024 by 768 a wall is said, set out, gauged and looked at by the keyboard alone', async () => {
  await page.setViewport({ width: 1024, height: 768 });
  await openBoatStore(page, 'set-out');
  const keys = async (...all: KeyInput[]): Promise<void> => {
    for (const key of all) await page.keyboard.press(key);
  };
  const walls = (): Promise<Record<string, unknown>[]> => wallsOf(page);
  // Said.
  const was = (await walls())[0]?.height;
  await keys('s');
  await page.waitForSelector('#say-line');
  await page.keyboard.type('a course higher');
  await page.waitForSelector('[data-understood="true"]');
  await keys('Enter', 'Escape');
  await settled(page);
  await kept(page);
  expect((await walls())[0]?.height).not.toEqual(was);
  // Set out: a length typed, a corner moved by the arrows.
  await typeIn(page, 'run-0', "30'");
  await settled(page);
  await page.$eval('[data-corner="1"]', (e) => (e as SVGGElement).focus());
  await page.keyboard.down('Shift');
  await keys('ArrowLeft');
  await page.keyboard.up('Shift');
  await settled(page);
  expect(await page.$eval('input[name="run-0"]', (i) => i.value)).toBe('29′-4″');
  // What the tape read, where it was held.
  await page.focus('[data-enter-tapes]');
  await keys('Enter');
  await typeIn(page, 'tape-AC', '36\' 2"');
  await until('along AB', '[aria-label="The wall says"]');
  // Gauged: the height on the pole.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await keys('2');
  await typeIn(page, 'height', "10'");
  await settled(page);
  await kept(page);
  expect((await walls())[0]?.height).toBe("10'");
  // Looked at: a course by its name, from above; the wall unfolded; a section.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await keys('/');
  await page.waitForSelector('section[aria-label="Find"] input');
  await page.keyboard.type('course 5');
  await page.waitForFunction(() =>
    document.querySelector('[role="option"]')?.textContent?.startsWith('Courses5'),
  );
  await keys('Enter');
  await until('Course 5 of', 'footer');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await keys('c');
  await page.waitForSelector('[data-course-above="5"]');
  await keys('c', 'o');
  await until('unfolded', 'main h1');
  await keys('o');
  // Undone by name, all of it, from the keyboard.
  await page.keyboard.down('Control');
  await keys('z', 'z');
  await page.keyboard.up('Control');
  await settled(page);
  expect(await violations(page)).toEqual([]);
});
