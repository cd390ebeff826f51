import { type Page } from 'puppeteer-core';
import {
  type Site,
  journeys,
  kept,
  openJob,
  press,
  printedText,
  settled,
  textOf,
  typeIn,
  violations,
} from './support';

let page: Page;
let site: Site;
journeys((at, fresh) => {
  site = at;
  page = fresh;
});

/** A wall of the demo, at a stage. */
async function open(wall: string, run: string, stage = 'bond'): Promise<void> {
  await page.waitForSelector(`a[href*="/${wall}/"]`);
  const href = await page.$eval(`a[href*="/${wall}/"]`, (a) => a.href);
  await page.goto(href.replace(/[^/]+\/[^/]+\/[^/]+$/, `${wall}/${run}/${stage}`));
  await page.waitForSelector('[aria-label="The wall says"]');
  await settled(page);
}
const says = (words: string): Promise<unknown> =>
  page.waitForFunction((w) => document.body.innerText.includes(w), {}, words);
const pick = async (label: string, value: string): Promise<void> => {
  const id = await page.$$eval(
    'label',
    (all, l) => all.find((x) => x.textContent === l)?.htmlFor ?? '',
    label,
  );
  await page.select(`[id="${id}"]`, value);
};
const jobKept = (): Promise<{
  walls: {
    id: string;
    build: object;
    plate?: { kind: string };
    fit?: { order?: object[]; pins?: number[] };
  }[];
}> =>
  page.evaluate(async () => {
    const id = location.pathname.split('/')[2] ?? '';
    return ((await (await fetch(`/api/jobs/${id}`)).json()) as { document: never }).document;
  });

test('a landing wall of rubble says what it is made of, how it comes about, and what to sort the heap into', async () => {
  await open('landing', 'water');
  // 20 in thick and 3′ 6″ high, 34′ and 9′ round one corner, steps out: 6.0 m³ of which three tenths are mortar.
  await says('mortar: 30 %, 63.6 ft³');
  await press(page, 'hearting and pins: 21 %');
  await says('stone in the wall × part that lies between the faces');
  await page.keyboard.press('Escape');
  await press(page, 'Stone by use');
  await page.waitForSelector('table[data-list="stones"]');
  expect(await textOf(page, 'table[data-list="stones"]')).toMatch(/bonders\s+24/);
  await page.keyboard.press('Escape');
  expect(await violations(page)).toEqual([]);
  await press(page, 'Mud');
  await page.waitForSelector('main[data-mud="nhl-3.5"]');
  await says('Levels');
});

test('a terrace of dry stone: throughs pulled apart are asked about, its lines stand otherwise at each end, and its frames print', async () => {
  await open('terrace', 'terrace');
  await says('1 in 8 at the start and 1 in 6 at the end');
  await typeIn(page, 'stone-every', '1600');
  await says('Throughs at 560 mm stand 1600 mm apart');
  await settled(page);
  await press(page, 'One each 1000 mm');
  await settled(page);
  expect(await textOf(page, '[aria-label="The wall says"]')).not.toContain('apart');
  await press(page, 'Lines');
  await page.waitForSelector('table[data-list="lines"]');
  const text = await printedText(page, 'Batter frames as PDF');
  expect(text).toContain('each face leans in 1 in 8');
  expect(text).toContain('Full size, sheet 1');
});

test('measured stones are laid, stopped or not, one is moved by hand and stays, and the lay is in the file', async () => {
  await open('terrace', 'terrace');
  await typeIn(page, 'fit-length', '2000');
  await typeIn(page, 'fit-height', '400');
  await settled(page);
  await press(page, 'Lay them');
  await page.waitForSelector('svg[data-lay]', { timeout: 1000 });
  await page.waitForFunction(() => document.querySelector('progress') === null, { timeout: 40_000 });
  await kept(page);
  const first = (await jobKept()).walls.find((w) => w.id === 'terrace')?.fit;
  expect(first?.order?.length).toBe(24);
  expect(await textOf(page, '[aria-label="Slip"]')).toContain('joints not crossed');
  await page.waitForSelector('[data-stone="1.1"]');
  await page.$eval('[data-stone="1.1"]', (e) => (e as SVGElement).focus());
  await page.keyboard.press('ArrowRight');
  await page.waitForFunction(() => document.querySelector('progress') !== null);
  await press(page, 'Stop and keep this');
  await kept(page);
  await page.waitForFunction(async () => {
    const id = location.pathname.split('/')[2] ?? '';
    const job = (
      (await (await fetch(`/api/jobs/${id}`)).json()) as {
        document: { walls: { id: string; fit?: { pins?: number[] } }[] };
      }
    ).document;
    return job.walls.find((w) => w.id === 'terrace')?.fit?.pins?.[0] === 1;
  });
});

test('a pile that does not read is named by its line, and nothing is changed', async () => {
  await open('terrace', 'terrace');
  const before = (await jobKept()) as unknown as { pile: object[] };
  await page.$eval('textarea[name="pile"]', (t) => {
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(
      t,
      'A, 450, 180, 260\nB, long, 1, 1',
    );
    t.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await page.focus('textarea[name="pile"]');
  await page.focus('input[name="fit-length"]');
  await says('Line 2: its length does not read, “long”. Nothing was changed.');
  expect(((await jobKept()) as unknown as { pile: object[] }).pile).toEqual(before.pile);
});

test('a gap in a lane wall: what comes back, what is short, and the order of work; a fair face is judged harder', async () => {
  await open('lane', 'lane');
  await says('65 % of the face comes back');
  await says('2 joints run up through more than a field wall may have');
  expect(await page.$eval('[data-gap]', (o) => o.getAttribute('data-gap'))).toBe('6');
  await pick('Judged as', 'garden');
  await says('4 joints run up through more than a garden face may have');
  const text = await printedText(page, 'Gap to rebuild as PDF');
  expect(text).toContain('lay 4 throughs at 540 mm');
});

test('a hut of adobe makes its own bricks, and its soil is judged', async () => {
  await open('warming-hut', 'front', 'mud');
  await press(page, 'Making the bricks');
  await says('bricks for');
  await press(page, 'Soil tests');
  await press(page, 'Record a test');
  await page.waitForSelector('[data-verdict="good"]');
  await typeIn(page, 'soil-clay', '3"');
  await page.waitForSelector('[data-verdict="more-sand"]');
  expect(await violations(page)).toEqual([]);
});

test('a garden wall becomes stone and back, and a post in adobe is notched round', async () => {
  await openJob(
    site,
    page,
    {
      format: 'even-tally/job',
      version: 1,
      name: 'Hut',
      show: 'mm',
      profile: 'earth',
      walls: [
        {
          id: 'w',
          name: 'Wall',
          line: [{ run: 3975 }],
          height: 2000,
          build: { kind: 'units', unit: 'adobe-10x14x4', bond: 'half' },
          bears: 'none',
        },
      ],
    },
    'w',
    'bond',
  );
  await press(page, 'Posts');
  await press(page, 'Add a post');
  await says('left with an ear of');
  await press(page, 'Notches');
  await page.waitForSelector('table[data-list="notches"]');
  await pick('Built of', 'rubble');
  await page.waitForSelector('input[name="stone-thickness"]');
  await settled(page);
  await pick('Built of', 'ashlar');
  await says('Cut stones');
  await pick('Built of', 'units');
  await page.waitForSelector('input[name="unit"]');
});

test('a hut’s roof sits on a plate: taken away it is asked for, and put back by a press', async () => {
  await open('warming-hut', 'front', 'set-out');
  const wall = async (): Promise<{ plate?: { kind: string } } | undefined> =>
    (await jobKept()).walls.find((w) => w.id === 'warming-hut');
  expect((await wall())?.plate).toMatchObject({ kind: 'timber' });
  await typeIn(page, 'plate-height', '8"');
  await settled(page);
  await kept(page);
  expect((await wall())?.plate).toMatchObject({ height: '8"' });
  await pick('The roof sits on', 'unsaid');
  await says('Nothing is stated for the roof to sit on');
  await settled(page);
  await press(page, 'A timber plate 6″ deep, all round');
  await settled(page);
  await kept(page);
  expect((await wall())?.plate).toMatchObject({ kind: 'timber' });
  expect(await violations(page)).toEqual([]);
});

test('a hut’s face is kept from the rain by eaves that reach out, or by a coat', async () => {
  await open('warming-hut', 'front', 'set-out');
  const rain = async (): Promise<unknown> =>
    ((await jobKept()).walls.find((w) => w.id === 'warming-hut') as { rain?: unknown }).rain;
  expect(await rain()).toEqual({ base: '8"', dpc: true, eaves: "2'" });
  await typeIn(page, 'rain-eaves', "1'");
  await says('Eaves of 1′-0″ leave its face to the rain');
  await settled(page);
  await press(page, 'Coat it with lime');
  await settled(page);
  await kept(page);
  expect(await rain()).toMatchObject({ coat: 'lime' });
  expect(await textOf(page, 'aside')).not.toContain('leave its face to the rain');
  expect(await violations(page)).toEqual([]);
});

test('flint is laced through with brick, and what its face is judged by stands where it is chosen', async () => {
  await open('landing', 'water');
  await says('joints meet three at a point, not four');
  await pick('How it is laid', 'flint');
  await says('a few rows a day');
  await says('nothing ties its two faces but mortar');
  await settled(page);
  await press(page, '2 courses of brick through it each 3′-0″');
  await settled(page);
  await kept(page);
  expect((await jobKept()).walls.find((w) => w.id === 'landing')).toMatchObject({
    build: { laid: 'flint', lacing: { unit: 'brick-modular-us', courses: 2 } },
  });
});

test('a dry wall may be built by pillars: where they stand and how wide they are is printed', async () => {
  await open('terrace', 'terrace');
  await pick('Set out by', 'pillars');
  await page.waitForSelector('input[name="stone-pillars"]');
  await settled(page);
  expect(await printedText(page, 'Batter frames as PDF')).toContain('Pillars, Terrace wall');
});

test('stone comes by the lorry, and a hole in an old wall is filled: counted, propped, printed', async () => {
  await open('landing', 'water');
  await says('lay it on its natural bed');
  // 6.0 m³ with a tenth over and seven parts in ten of it stone at 2300, and 1.6 t of flat copes: about 12 t.
  await says('2 loads, copes and footing with it');
  await typeIn(page, 'stone-load', '5 t');
  await says('3 loads, copes and footing with it');
  await press(page, 'Holes to fill');
  await press(page, 'Add a hole');
  await page.waitForSelector('[data-hole]');
  await settled(page);
  await typeIn(page, 'hole-depth', '14"');
  await says('is propped before anything is taken out');
  expect(await textOf(page, '[data-hole]')).toMatch(/of limecrete behind it and \d+ stainless fixings/);
  expect(await violations(page)).toEqual([]);
  const text = await printedText(page, 'Holes to fill as PDF');
  expect(text).toContain('Find what made the hole');
  expect(text).toContain('Hole 1');
  await page.click('[aria-label="Drawer"] button:nth-child(2)');
  await page.waitForSelector('table[data-list="holes"]');
});
