import { checkJob } from '../job/check.js';
import { applyPatch } from '../job/edits/patch.js';
import type { Job, JobDocument } from '../job/types.js';
import { plan } from '../plan/plan.js';
import { documentOf, soundJob, straight, type OneWall } from '../test/jobs.js';
import { makingOf, madeOfOnePart } from './making.js';
import { asTheLibraryHas, changedMix, countedHere } from './ownMix.js';
import { mixOf, mudSettings } from './settings.js';
import { MIXES } from '../tables/mixes/mixes.js';

const BRICK: OneWall = {
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height: 1500,
};
const jobWith = (more: object = {}): Job => soundJob({ ...documentOf(BRICK), ...more });
function after(job: Job, patch: ReturnType<typeof changedMix>): Job {
  const changed = applyPatch(job as JobDocument, patch);
  const checked = changed.ok ? checkJob(changed.value) : null;
  if (!checked?.ok) throw new Error(JSON.stringify(checked ?? changed));
  return checked.job;
}

test.each(MIXES.map((m) => m.id))(
  '%s as the job’s own is what it was, until something of it is changed',
  (id) => {
    const job = jobWith({ mud: { mix: id, sand: { state: 'damp', bulking: 0.2 } } });
    const own = after(job, changedMix(job, 0, id, 'Ours', { life: '50 min' }));
    expect(own.mud?.mix).toBe(`${id}-here`);
    const [was, is] = [mixOf(job, id), mixOf(own, own.mud?.mix)];
    if (!was || !is) throw new Error('no mix');
    expect(is).toMatchObject({ name: 'Ours', retemper: was.retemper, allows: was.allows, for: was.for });
    expect(is.life.metric).toBe(50);
    const { sand } = mudSettings(job);
    const [a, b] = [makingOf(was, 'metric', sand), makingOf(is, 'metric', sand)];
    expect(madeOfOnePart(is, 'metric')).toBeCloseTo(madeOfOnePart(was, 'metric'), 6);
    for (const [of, m3] of Object.entries(a.loose)) expect(b.loose[of as 'sand']).toBeCloseTo(m3, 6);
  },
);

test('what was counted rules: nine buckets of sand that laid 200 bricks lay 200 from nine buckets, damp as it lay', () => {
  const job = jobWith({ mud: { mix: 'cement-lime-n', measure: { name: 'bucket', holds: '14 L' } } });
  const [wall] = plan(job, [], { advise: false }).walls;
  if (!wall) throw new Error('no wall');
  const counted = countedHere(job, { measures: 9, pieces: 200, perPiece: wall.mud.perPiece });
  const own = after(job, changedMix(job, 0, 'cement-lime-n', 'Ours', counted));
  const [planned] = plan(own, [], { advise: false }).walls;
  const batch = planned?.mud.mixes[0]?.batch;
  const sand = batch?.measures.find((m) => m.of === 'sand')?.count ?? 0;
  expect(planned?.mud.mixes[0]?.mix.name).toBe('Ours');
  // The recipe keeps to its parts here, so that its sand alone says what it lays.
  expect(batch?.error).toBeLessThan(0.1);
  const pieces = (batch?.volume ?? 0) / wall.mud.perPiece;
  expect(Math.abs(pieces / sand / (200 / 9) - 1)).toBeLessThan(0.05);
  // Counted again, it is the same mix that is put right.
  const again = after(
    own,
    changedMix(
      own,
      0,
      'cement-lime-n-here',
      'Ours',
      countedHere(own, { measures: 9, pieces: 180, perPiece: wall.mud.perPiece }),
    ),
  );
  expect(again.mixes).toHaveLength(1);
});

test('a wall’s own mix is changed for that wall, and a mix like none is refused', () => {
  const job = soundJob({ ...documentOf({ ...BRICK, build: { mix: 'nhl-3.5' } }) });
  const own = after(job, changedMix(job, 0, 'nhl-3.5', 'Ours', { life: '3 h' }));
  expect([own.walls[0]?.build.mix, own.mud?.mix]).toEqual(['nhl-3.5-here', undefined]);
  const wrong = checkJob({ ...own, mixes: [{ ...own.mixes?.[0], like: 'porridge' }] });
  expect(wrong.ok ? [] : wrong.faults.map((f) => f.path)).toEqual(['/mixes/0/like']);
});

test('taken back to the library it is laid in everywhere it was, and is no more among the job’s own', () => {
  const job = soundJob({ ...documentOf({ ...BRICK, build: { mix: 'nhl-3.5' } }), mud: { mix: 'nhl-3.5' } });
  const own = after(job, changedMix(job, 0, 'nhl-3.5', 'Ours', { life: '3 h' }));
  const both = after(own, [{ op: 'replace', path: '/mud/mix', value: 'nhl-3.5-here' }]);
  const back = after(both, asTheLibraryHas(both, 'nhl-3.5-here'));
  expect([back.walls[0]?.build.mix, back.mud?.mix, back.mixes]).toEqual(['nhl-3.5', 'nhl-3.5', []]);
  expect(asTheLibraryHas(job, 'nhl-3.5')).toEqual([]);
});
