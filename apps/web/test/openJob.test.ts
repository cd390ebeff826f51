import type { JobDocument } from '@even-tally/core';
import { drag, drop, edit, open, openJob, redo, settle, undo, wake } from '../src/state/openJob';
import { readPending } from '../src/state/pending';
import { addEntry } from '../src/state/record';

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
  ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Response;
const kept = (): object => ({
  id: 'j',
  revision: server.revision,
  savedAt: '2026-01-05T09:42:00Z',
  document: server.document,
});

beforeEach(() => {
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
const height = (): unknown => openJob.getState().job?.walls[0]?.height;
const raise = (to: string): boolean => edit([{ op: 'replace', path: '/walls/0/height', value: to }]);

test('an edit is kept soon, undone and redone', async () => {
  await open('j');
  expect(raise("9'")).toBe(true);
  expect(openJob.getState().keeping).toBe('keeping');
  await until(() => openJob.getState().keeping === 'kept');
  expect(server.document.walls[0]?.height).toBe("9'");
  expect(await readPending('j')).toBeUndefined();
  undo();
  expect(height()).toBe('8\' 8"');
  redo();
  expect(height()).toBe("9'");
  await until(() => server.revision >= 3 || openJob.getState().keeping === 'kept');
});

test('an edit that cannot be is refused in a sentence and changes nothing', async () => {
  await open('j');
  expect(raise('tall')).toBe(false);
  expect(openJob.getState().refusal).toMatch(/got "tall"/);
  expect(height()).toBe('8\' 8"');
  expect(openJob.getState().done).toHaveLength(0);
});

test('a drag is one step to undo, however many moves it had', async () => {
  await open('j');
  for (const to of ["9'", '9\' 4"', "10'"]) drag([{ op: 'replace', path: '/walls/0/height', value: to }]);
  expect(height()).toBe("10'");
  drop([{ op: 'replace', path: '/walls/0/height', value: "10'" }]);
  expect(openJob.getState().done).toHaveLength(1);
  undo();
  expect(height()).toBe('8\' 8"');
});

test('with the server away work goes on; the edit is held on the device and sent on return', async () => {
  await open('j');
  server.away = true;
  raise("9'");
  await until(() => openJob.getState().keeping === 'held');
  expect((await readPending('j'))?.document.walls[0]?.height).toBe("9'");
  raise('9\' 4"');
  server.away = false;
  await until(() => openJob.getState().keeping === 'held' || openJob.getState().keeping === 'kept');
  wake();
  await until(() => server.document.walls[0]?.height === '9\' 4"');
  await until(async () => (await readPending('j')) === undefined);
});

test('signing while the server is away says what needs it, and that nothing is signed', async () => {
  await open('j');
  await until(() => openJob.getState().keeping === 'kept');
  const sign = (): Promise<string> =>
    addEntry({ kind: 'hold-signed', wall: 'n', hold: 'h', by: 'R. Alder', seen: [] }).then(
      () => 'signed',
      (error: Error) => error.message,
    );
  server.away = true;
  // Kept, but the server does not answer now.
  expect(await sign()).toMatch(/^The server does not answer: nothing is signed yet/);
  raise("10'");
  await until(() => openJob.getState().keeping === 'held');
  expect(await sign()).toBe('Signing needs the server, and this job is not kept there yet.');
  server.away = false;
  wake();
  await until(() => openJob.getState().keeping === 'kept');
});

test('an edit held when the page was closed is sent when the job is opened again', async () => {
  await open('j');
  server.away = true;
  raise('9\' 8"');
  await until(async () => (await readPending('j'))?.document.walls[0]?.height === '9\' 8"');
  server.away = false;
  await open('j');
  expect(height()).toBe('9\' 8"');
  await until(() => server.document.walls[0]?.height === '9\' 8"');
});

const stale = async (): Promise<void> => {
  await open('j');
  Object.assign(server, { revision: 5, document: document("12'") });
  raise("9'");
  await until(() => openJob.getState().keeping === 'stale');
  expect(openJob.getState().newer?.document.walls[0]?.height).toBe("12'");
  expect(height()).toBe("9'");
};

test('a stale write asks; mine stands', async () => {
  await stale();
  await settle('mine');
  await until(() => server.document.walls[0]?.height === "9'");
  expect(server.revision).toBe(6);
});

test('a stale write asks; theirs stands', async () => {
  await stale();
  await settle('theirs');
  expect(height()).toBe("12'");
  expect(server.document.walls[0]?.height).toBe("12'");
  expect(await readPending('j')).toBeUndefined();
});

test('a stale write asks; mine is kept as a copy beside theirs', async () => {
  await stale();
  expect(await settle('copy')).toBe('copy');
  expect(server.added[0]).toMatchObject({ name: 'Boat store (my copy)', walls: [{ height: "9'" }] });
  expect(height()).toBe("12'");
});

test('a save whose answer was lost is not taken for somebody else’s', async () => {
  await open('j');
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
  await until(() => openJob.getState().keeping === 'held');
  wake();
  await until(() => openJob.getState().keeping === 'kept');
  expect(openJob.getState().newer).toBeNull();
});
