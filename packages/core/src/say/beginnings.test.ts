import { checkJob } from '../job/check.js';
import { plan } from '../plan/plan.js';
import { PROFILES } from '../tables/profiles.js';
import { sayFor } from '../test/jobs.js';
import { beginning, BEGINNINGS, type Beginning } from './beginnings.js';
import { hear } from './hear.js';

const PROFILE_IDS = Object.values(PROFILES).map((p) => p.id);
const begun = (
  what: Beginning,
  profile = PROFILE_IDS[0] as (typeof PROFILE_IDS)[number],
  show: 'mm' | 'ft-in' = 'mm',
) => beginning({ what, profile, show, job: 'Some job', wall: 'Some wall' });
const all = BEGINNINGS.flatMap((what) =>
  PROFILE_IDS.flatMap((profile) => (['ft-in', 'mm'] as const).map((show) => [what, profile, show] as const)),
);

test.each(all)(
  '%s by %s rules in %s is a sound job without a fault in its wall',
  (...[what, profile, show]) => {
    const { document, says } = begun(what, profile, show);
    const checked = checkJob(document);
    if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
    expect([document.profile, document.show, document.name, document.walls[0]?.name]).toEqual([
      profile,
      show,
      'Some job',
      'Some wall',
    ]);
    const [wall] = plan(checked.job, [], { advise: false }).walls;
    const faults = wall?.findings.filter((f) => f.severity === 'fault').map((f) => sayFor(show)(f.says));
    expect(faults).toEqual([]);
    // It can be said: what is on the screen is what a mason may type.
    expect(hear(says, { profile }).phrases.every((p) => p.understood)).toBe(true);
  },
);

test('each is what it says: it closes, holds ground, has a gate between piers, or goes on from old work', () => {
  for (const profile of PROFILE_IDS) {
    const wall = (what: Beginning) => {
      const { document } = begun(what, profile);
      const checked = checkJob(document);
      if (!checked.ok) throw new Error('unsound');
      const [p] = plan(checked.job, [], { advise: false }).walls;
      if (!p) throw new Error('no wall');
      return { p, w: document.walls[0] };
    };
    expect(wall('building').p.wall.line.closed && wall('base').p.wall.line.closed).toBe(true);
    expect(wall('garden').p.wall.line.closed).toBe(false);
    expect(wall('retaining').p.wall.retains?.height).toBeGreaterThan(500);
    expect(wall('repair').p.survey.oldPitch).toBeGreaterThan(wall('repair').p.wall.unitHeight);
    const gate = wall('gate').p.wall;
    const [left, right] = gate.piers;
    const [opening] = gate.openings;
    // A pier on either side of the gate, within a joint of it.
    expect(Math.abs((left?.to ?? 0) - (opening?.from ?? 1e9))).toBeLessThanOrEqual(gate.head + 1);
    expect(Math.abs((right?.from ?? 0) - (opening?.to ?? 1e9))).toBeLessThanOrEqual(gate.head + 1);
  }
});
