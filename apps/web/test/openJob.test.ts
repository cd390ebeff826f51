import type { JobDocument, Said } from '@even-tally/core';
import { createWords } from '@even-tally/words';
import { saidBy } from '../src/state/failure';
import { createOpenJob, type OpenJobHandle } from '../src/state/openJob';
import { readPending } from '../src/state/pending';
import { addEntry } from '../src/state/record';

/** What a person would read. */
const said = (message: Said | null | undefined): string => createWords('en-uk', 'mm').say(message ?? '');

const document = (height: string): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Boat store',
  show: 'ft-in',
  profile: 'us',
  walls: [
    {
      id: 'n',
      name: 'North',
      line: [{ run: "24'" }],
      height,
      build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
    },
  ],
});

/** A server of one job, which can be away, and on which somebody else can save. */
const server = {
  away: false,
  revision: 1,
  document: document('8\' 8"'),
  puts: 0,
  added: [] as JobDocument[],
};

const answer = (status: number, body: unknown): Response =>
  ({ ok: status < 400, status, headers: new Headers(), json: () => Promise.resolve(body) }) as Response;
const kept = (): object => ({
  id: 'j',
  revision: server.revision,
  savedAt: '2026-01-05T09:42:00Z',
  document: server.document,
});

beforeEach(() => {
  job = createOpenJob();
  Object.assign(server, { away: false, revision: 1, document: document('8\' 8"'), puts: 0, added: [] });
  globalThis.fetch = ((_url: string, init: RequestInit) => {
    if (server.away) return Promise.reject(new TypeError('away'));
    if (init.method === 'GET') return Promise.resolve(answer(200, kept()));
    const body = JSON.parse(init.body as string) as { revision: number; document: JobDocument };
    if (init.method === 'POST') {
      server.added.push(body.document);
      return Promise.resolve(answer(201, { ...kept(), id: 'copy', document: body.document }));
    }
    server.puts++;
    if (body.revision !== server.revision)
      return Promise.resolve(answer(409, { says: 'stale', newer: kept() }));
    Object.assign(server, { revision: server.revision + 1, document: body.document });
    return Promise.resolve(answer(200, kept()));
  }) as typeof fetch;
});

const until = async (what: () => boolean | Promise<boolean>): Promise<void> => {
  for (let i = 0; i < 300; i++) {
    if (await what()) return;
    await new Promise((r) => setTimeout(r, 20));
  }
  throw new Error('waited in vain');
};
/** One page with the job open. */
let job: OpenJobHandle;
const now = (): ReturnType<OpenJobHandle['store']['getState']> => job.store.getState();
const height = (): unknown => now().job?.walls[0]?.height;
const raise = (to: string): boolean => job.edit([{ op: 'replace', path: '/walls/0/height', value: to }]);

test('an edit is kept soon, undone and redone', async () => {
  await job.open('j');
  expect(raise("9'")).toBe(true);
  expect(now().keeping).toBe('keeping');
  await until(() => now().keeping === 'kept');
  expect(server.document.walls[0]?.height).toBe("9'");
  expect(await readPending('j')).toEqual([]);
  job.undo();
  expect(height()).toBe('8\' 8"');
  job.redo();
  expect(height()).toBe("9'");
  await until(() => server.revision >= 3 || now().keeping === 'kept');
});

test('an edit that cannot be is refused in a sentence and changes nothing', async () => {
  await job.open('j');
  expect(raise('tall')).toBe(false);
  expect(said(now().refusal)).toMatch(/got "tall"/);
  expect(height()).toBe('8\' 8"');
  expect(now().done).toHaveLength(0);
});

test('a drag is one step to undo, however many moves it had', async () => {
  await job.open('j');
  for (const to of ["9'", '9\' 4"', "10'"]) job.drag([{ op: 'replace', path: '/walls/0/height', value: to }]);
  expect(height()).toBe("10'");
  job.drop([{ op: 'replace', path: '/walls/0/height', value: "10'" }]);
  expect(now().done).toHaveLength(1);
  job.undo();
  expect(height()).toBe('8\' 8"');
});

test('with the server away work goes on; the edit is held on the device and sent on return', async () => {
  await job.open('j');
  server.away = true;
  raise("9'");
  await until(() => now().keeping === 'held');
  expect(await readPending('j')).toMatchObject([
    { edit: { changes: [{ at: '/walls/@n/height', from: '8\' 8"', to: "9'" }] } },
  ]);
  raise('9\' 4"');
  server.away = false;
  await until(() => now().keeping === 'held' || now().keeping === 'kept');
  job.wake();
  await until(() => server.document.walls[0]?.height === '9\' 4"');
  await until(async () => (await readPending('j')).length === 0);
});

test('signing while the server is away says what needs it, and that nothing is signed', async () => {
  await job.open('j');
  await until(() => now().keeping === 'kept');
  const sign = (): Promise<string> =>
    addEntry(job, { kind: 'hold-signed', wall: 'n', hold: 'h', by: 'R. Alder', seen: [] }).then(
      () => 'signed',
      (error: unknown) => said(saidBy(error)),
    );
  server.away = true;
  // Kept, but the server does not answer now.
  expect(await sign()).toMatch(/^The server does not answer: nothing is signed yet/);
  raise("10'");
  await until(() => now().keeping === 'held');
  expect(await sign()).toBe('Signing needs the server, and this job is not kept there yet.');
  server.away = false;
  job.wake();
  await until(() => now().keeping === 'kept');
});

test('an edit held when the page was closed is sent when the job is opened again', async () => {
  await job.open('j');
  server.away = true;
  raise('9\' 8"');
  await until(async () => JSON.stringify(await readPending('j')).includes("9' 8".slice(0, 4)));
  server.away = false;
  await job.open('j');
  expect(height()).toBe('9\' 8"');
  await until(() => server.document.walls[0]?.height === '9\' 8"');
});

const stale = async (): Promise<void> => {
  await job.open('j');
  Object.assign(server, { revision: 5, document: document("12'") });
  raise("9'");
  await until(() => now().keeping === 'stale');
  expect(now().stale?.newer.document.walls[0]?.height).toBe("12'");
  expect(height()).toBe("9'");
};

test('a stale write asks; mine stands', async () => {
  await stale();
  await job.settle('mine');
  await until(() => server.document.walls[0]?.height === "9'");
  expect(server.revision).toBe(6);
});

test('a stale write asks; theirs stands', async () => {
  await stale();
  await job.settle('theirs');
  expect(height()).toBe("12'");
  expect(server.document.walls[0]?.height).toBe("12'");
  expect(await readPending('j')).toEqual([]);
});

test('a stale write asks; mine is kept as a copy beside theirs', async () => {
  await stale();
  expect(await job.settle('copy')).toBe('copy');
  expect(server.added[0]).toMatchObject({ name: 'Boat store (my copy)', walls: [{ height: "9'" }] });
  expect(height()).toBe("12'");
});

test('a save whose answer was lost is not taken for somebody else’s', async () => {
  await job.open('j');
  const put = globalThis.fetch;
  let lost = true;
  globalThis.fetch = (async (url: string, init: RequestInit) => {
    const result = await put(url, init);
    if (init.method === 'PUT' && lost) {
      lost = false;
      throw new TypeError('lost on the way');
    }
    return result;
  }) as typeof fetch;
  raise("9'");
  await until(() => now().keeping === 'held');
  job.wake();
  await until(() => now().keeping === 'kept');
  expect(now().stale).toBeNull();
});

const opening = (at: string): object => ({ id: 'W1', at, width: "3'", sill: '3\' 4"', head: '6\' 8"' });
/** What somebody else has saved meanwhile. */
const saved = (change: (wall: Record<string, unknown>) => Record<string, unknown>): void => {
  const [wall] = server.document.walls;
  const walls = [change(wall as never)] as unknown as JobDocument['walls'];
  Object.assign(server, { revision: server.revision + 1, document: { ...server.document, walls } });
};

test('what somebody else saved and does not clash is carried together, unasked', async () => {
  await job.open('j');
  saved((wall) => ({ ...wall, build: { ...(wall.build as object), bond: 'third' } }));
  raise("9'");
  await until(() => now().keeping === 'kept');
  expect(now().stale).toBeNull();
  expect(server.document.walls[0]).toMatchObject({ height: "9'", build: { bond: 'third' } });
  expect(now().job).toEqual(server.document);
  // Mine is taken back, theirs stays.
  job.undo();
  expect(now().job?.walls[0]).toMatchObject({ height: '8\' 8"', build: { bond: 'third' } });
});

test('only what clashes is asked about: mine stands there, and theirs elsewhere', async () => {
  await job.open('j');
  saved((wall) => ({ ...wall, height: "12'", name: 'North side' }));
  raise("9'");
  job.edit([{ op: 'replace', path: '/name', value: 'Boat shed' }]);
  await until(() => now().keeping === 'stale');
  expect(now().stale?.clashes).toEqual([
    { at: '/walls/@n/height', was: '8\' 8"', mine: "9'", theirs: "12'" },
  ]);
  await job.settle('mine');
  await until(() => now().keeping === 'kept');
  expect(server.document).toMatchObject({ name: 'Boat shed', walls: [{ height: "9'", name: 'North side' }] });
});

test('theirs stands where it clashes, and mine elsewhere', async () => {
  await job.open('j');
  saved((wall) => ({ ...wall, height: "12'" }));
  raise("9'");
  job.edit([{ op: 'replace', path: '/name', value: 'Boat shed' }]);
  await until(() => now().keeping === 'stale');
  await job.settle('theirs');
  await until(() => server.document.name === 'Boat shed');
  expect(server.document.walls[0]?.height).toBe("12'");
});

test('an opening one has moved and another taken out: mine brings it back', async () => {
  saved((wall) => ({ ...wall, openings: [opening("4'")] }));
  await job.open('j');
  saved((wall) => ({ ...wall, openings: [] }));
  job.edit([{ op: 'replace', path: '/walls/0/openings/0/at', value: "8'" }]);
  await until(() => now().keeping === 'stale');
  await job.settle('mine');
  await until(() => now().keeping === 'kept');
  expect(server.document.walls[0]?.openings).toEqual([opening("8'")]);
});

test('two that are each a wall and together none are asked about, saying why', async () => {
  await job.open('j');
  saved((wall) => ({ ...wall, height: "6'" }));
  job.edit([{ op: 'add', path: '/walls/0/openings', value: [opening("4'")] }]);
  await until(() => now().keeping === 'stale');
  expect(now().stale?.clashes).toEqual([]);
  expect(said(now().stale?.why)).toMatch(/^Wanted a head no higher/);
  await job.settle('theirs');
  expect(now().job?.walls[0]).toMatchObject({ height: "6'" });
});

test('what two pages of one device hold is all taken up', async () => {
  await job.open('j');
  const other = createOpenJob();
  await other.open('j');
  server.away = true;
  raise("9'");
  other.edit([{ op: 'replace', path: '/name', value: 'Boat shed' }]);
  await until(async () => (await readPending('j')).length === 2);
  job.close();
  other.close();
  server.away = false;
  job = createOpenJob();
  await job.open('j');
  await until(() => now().keeping === 'kept');
  expect(server.document).toMatchObject({ name: 'Boat shed', walls: [{ height: "9'" }] });
  expect(await readPending('j')).toEqual([]);
});

test('what is held here and clashes when the job is opened again is asked about then', async () => {
  await job.open('j');
  server.away = true;
  raise("9'");
  await until(async () => (await readPending('j')).length === 1);
  job.close();
  server.away = false;
  saved((wall) => ({ ...wall, height: "12'" }));
  job = createOpenJob();
  await job.open('j');
  expect(now()).toMatchObject({ keeping: 'stale', stale: { clashes: [{ at: '/walls/@n/height' }] } });
  // It is still held as it was done until somebody says: opened again it is asked about again.
  job.close();
  job = createOpenJob();
  await job.open('j');
  expect(now()).toMatchObject({
    keeping: 'stale',
    stale: { clashes: [{ at: '/walls/@n/height', was: '8\' 8"' }] },
  });
  expect(await readPending('j')).toHaveLength(1);
  expect(await job.settle('copy')).toBe('copy');
  expect(server.added[0]?.walls[0]?.height).toBe("9'");
  await until(async () => (await readPending('j')).length === 0);
});

test('each step says what it is, and one that others have changed since cannot be taken back', async () => {
  await job.open('j');
  raise("9'");
  expect(now().done.map((s) => said(s.says))).toEqual(['North: height']);
  await until(() => now().keeping === 'kept');
  saved((wall) => ({ ...wall, height: "12'" }));
  job.edit([{ op: 'add', path: '/walls/0/openings', value: [opening("4'")] }]);
  expect(now().done.map((s) => said(s.says))).toEqual(['North: height', 'North: openings']);
  await until(() => now().keeping === 'kept');
  job.undo();
  expect(now().job?.walls[0]?.openings).toBeUndefined();
  job.undo();
  expect(said(now().refusal)).toBe(
    '“North: height” cannot be taken back. What it changed has been changed since by somebody else.',
  );
  expect(height()).toBe("12'");
});
