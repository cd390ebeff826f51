import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ElementHandle, Page } from 'puppeteer-core';
import {
  type Site,
  enterDemo,
  journeys,
  openBoatStore,
  press,
  settled,
  textOf,
  until,
  violations,
  beginJob,
} from './support';

let site: Site;
let page: Page;
journeys((at, fresh) => {
  [site, page] = [at, fresh];
}, false);

const fill = async (name: string, text: string): Promise<void> => {
  await page.type(`input[name="${name}"]`, text);
};
const open = async (email: string): Promise<void> => {
  await page.goto(site.address);
  await press(page, 'Open a yard of my own');
  await fill('yard', 'Our crew');
  await fill('email', email);
  await fill('password', 'a long enough word');
  await press(page, 'Open the yard');
  await page.waitForFunction(() => location.pathname === '/yard');
  await page.waitForSelector('input[type="file"]');
};

test('a wrong sign-in is refused in a sentence', async () => {
  await page.goto(site.address);
  await page.waitForSelector('input[name="email"]');
  await fill('email', 'nobody@example.test');
  await fill('password', 'not the password');
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    () =>
      document.querySelector('[role="alert"]')?.textContent ===
      'That address and password do not go together.',
  );
  expect(page.url()).toBe(`${site.address}/`);
});

test('no screen has an accessibility violation', async () => {
  const found: Record<string, string[]> = {};
  const look = async (name: string): Promise<void> => {
    found[name] = await violations(page);
  };
  await page.goto(site.address);
  await page.waitForSelector('input[name="email"]');
  await look('door');
  await enterDemo(site, page);
  await look('yard');
  const yard = page.url();
  await page.goto(`${site.address}/yard/new`);
  await page.waitForSelector('[data-begin="repair"]');
  await look('begin');
  await page.goto(yard);
  await page.waitForSelector('a[href*="/boat-store/"]');
  for (const stage of ['bond', 'gauge', 'set-out', 'mud', 'tally']) {
    if (stage !== 'bond') await page.goto(page.url().replace(/[^/]+$/, stage));
    else await openBoatStore(page);
    await page.waitForSelector('[data-opening="W1"], [data-plan], [data-pole], [data-mud]');
    await settled(page);
    await look(stage);
  }
  await press(page, 'Mortar to mix');
  await page.waitForSelector('[role="dialog"]');
  await look('working');
  await page.keyboard.press('Escape');
  await until(page, () => !document.querySelector('[role="dialog"]'));
  await page.keyboard.press('?');
  await page.waitForSelector('[role="dialog"]');
  await look('keys');
  await page.keyboard.press('Escape');
  await until(page, () => !document.querySelector('[role="dialog"]'));
  await page.keyboard.press('l');
  await page.waitForSelector('[aria-label="The sheet as a list"]');
  await look('list');
  await page.goto(`${site.address}/nowhere`);
  await until(page, () => document.querySelector('h1'));
  await look('nothing here');
  await page.goto(`${site.address}/yard`);
  await press(page, 'Put away');
  await page.waitForSelector('section[aria-label="Put away"]');
  await look('put away');
  await press(page, 'Throw away');
  await page.waitForSelector('[role="dialog"]');
  await look('throw away');
  expect(found).toEqual(Object.fromEntries(Object.keys(found).map((k) => [k, []])));
});

test('by night and in the sun every stage can be read as well, and the light chosen stays', async () => {
  const found: Record<string, string[]> = {};
  await enterDemo(site, page);
  await openBoatStore(page);
  for (const light of ['night', 'sun']) {
    await page.select('select[aria-label="The light you read this in"]', light);
    for (const stage of ['set-out', 'steel', 'mud']) {
      await page.goto(page.url().replace(/[^/]+$/, stage));
      await page.waitForSelector('[data-opening="W1"], [data-plan], [data-mud]');
      await settled(page);
      expect(await page.evaluate(() => document.documentElement.dataset.scheme)).toBe(light);
      found[`${stage}, ${light}`] = await violations(page);
    }
    await page.goto(`${site.address}/yard`);
    await page.waitForSelector('section a canvas');
    found[`yard, ${light}`] = await violations(page);
    await openBoatStore(page);
  }
  expect(found).toEqual(Object.fromEntries(Object.keys(found).map((k) => [k, []])));
});

test('the first screen’s script is at most 250 kB gzipped, and no request leaves the machine', async () => {
  const scripts: Buffer[] = [];
  const elsewhere: string[] = [];
  page.on('request', (r) => {
    if (!r.url().startsWith(site.address) && !/^(data|blob):/.test(r.url())) elsewhere.push(r.url());
  });
  page.on('response', (r) => {
    if (/\.js$/.test(r.url())) void r.buffer().then((b) => scripts.push(b));
  });
  await page.goto(site.address, { waitUntil: 'networkidle0' });
  const bytes = scripts.reduce((sum, s) => sum + gzipSync(s).length, 0);
  expect(scripts.length).toBeGreaterThan(0);
  expect(bytes).toBeLessThanOrEqual(250 * 1024);
  await enterDemo(site, page);
  await openBoatStore(page);
  expect(elsewhere).toEqual([]);
});

test('the job file and the tally are downloaded, and the file is loaded into another yard', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-tally-downloads-'));
  const files = async (ending: string): Promise<string> => {
    for (let i = 0; i < 100; i++) {
      const name = readdirSync(folder).find((f) => f.endsWith(ending));
      if (name) return join(folder, name);
      await new Promise((r) => setTimeout(r, 50));
    }
    throw new Error(`no ${ending} was downloaded`);
  };
  await enterDemo(site, page);
  await openBoatStore(page, 'tally');
  const client = await page.createCDPSession();
  await client.send('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: folder,
    browserContextId: page.browserContext().id,
  });
  await press(page, 'Job file');
  const job = await files('.even-tally.json');
  expect(JSON.parse(readFileSync(job, 'utf8'))).toEqual(
    JSON.parse(readFileSync(join(__dirname, '../apps/server/demo/1-sandpiper-boat-club.json'), 'utf8')),
  );
  await press(page, 'Tally as CSV');
  const rows = readFileSync(await files('-tally.csv'), 'utf8').split(/\r?\n/);
  expect(rows[0]).toBe('wall,run,what,unit,net,order,measure');
  expect(rows.some((r) => r.startsWith('Boat store,North,Stretchers,cmu-8x8x16,'))).toBe(true);
  // Made here, and drawn by the server: every export is behind a button of its own.
  await press(page, 'Drawing as DXF');
  expect(readFileSync(await files('.dxf'), 'utf8')).toContain('SECTION');
  await press(page, 'Model as IFC');
  expect(readFileSync(await files('.ifc'), 'utf8')).toMatch(/^ISO-10303-21;/);
  await press(page, 'Plan as PNG');
  expect(
    readFileSync(await files('-plan.png'))
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG');

  await page.goto(`${site.address}/yard`);
  await press(page, 'Leave the demo');
  await page.waitForSelector('input[name="email"]');
  await open('second@example.test');
  expect(await textOf(page, 'main')).toContain('The yard is empty.');
  expect(await violations(page)).toEqual([]);
  const input = (await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(job);
  await page.waitForSelector('a[href*="/boat-store/"] canvas');

  const bad = join(folder, 'bad.json');
  writeFileSync(bad, readFileSync(job, 'utf8').replace('"9\'"', '"tall"'));
  await input.uploadFile(bad);
  await page.waitForFunction(() =>
    document.querySelector('[role="alert"]')?.textContent?.includes('/walls/0/height'),
  );
  expect(await textOf(page, '[role="alert"]')).toMatch(/wanted a length.*got "tall".*Nothing was changed/s);
  expect(await page.$$('section[aria-label="Sandpiper Boat Club"]')).toHaveLength(1);
});

test('a script in a name is shown as text', async () => {
  await open('third@example.test');
  const name = '<script>window.harm = 1</script>';
  const file = join(mkdtempSync(join(tmpdir(), 'even-tally-names-')), 'job.json');
  const job = JSON.parse(
    readFileSync(join(__dirname, '../apps/server/demo/2-linden-row-allotments.json'), 'utf8'),
  ) as Record<string, unknown>;
  writeFileSync(file, JSON.stringify({ ...job, name }));
  await ((await page.$('input[type="file"]')) as ElementHandle<HTMLInputElement>).uploadFile(file);
  await page.waitForFunction((n) => document.querySelector('h2')?.textContent === n, {}, name);
  expect(await page.evaluate(() => (window as unknown as { harm?: number }).harm)).toBeUndefined();
});

test('a new wall in an empty yard is changed into a closed building', async () => {
  await open('fourth@example.test');
  await beginJob(page);
  await page.waitForSelector('a[href*="/wall/"]');
  await page.click('a[href*="/wall/"]');
  await page.waitForSelector('canvas[role="img"], [data-plan]');
  await press(page, 'Layout');
  await page.waitForFunction(() => location.pathname.endsWith('/set-out'));
  await page.waitForSelector('select');
  await page.select('select', 'closed');
  await page.waitForFunction(() => document.querySelectorAll('input[name^="run-"]').length === 4);
  await press(page, 'Bond');
  await press(page, 'Add one');
  await page.waitForSelector('[data-opening]');
  await settled(page);
  expect(await textOf(page, '[aria-label="The wall says"]')).toContain('NOTE');
});

test('what the wall says is read in the words of its trade, or in Spanish, and stays so', async () => {
  const page = await site.page();
  await enterDemo(site, page);
  await openBoatStore(page, 'bond');
  // The job is by the US profile: its trade says head joints.
  expect(await textOf(page, '[data-says]')).toContain('stand off the head joints');
  await page.select('footer select', 'en-uk');
  expect(await textOf(page, '[data-says]')).toContain('stand off the perps');
  await page.select('footer select', 'es');
  // Its texts come when somebody reads it.
  await page.waitForFunction(() => document.documentElement.lang === 'es');
  expect(await textOf(page, '[data-says]')).toContain('sus jambas no caen en las juntas verticales');
  expect(await violations(page)).toEqual([]);
  await page.reload();
  await settled(page);
  expect(await textOf(page, '[data-says]')).toContain('Se cortan 12 piezas por Window');
});
