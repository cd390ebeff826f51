import { planOf } from '../../test/jobs.js';

/** Third bond of 6 by 6 by 18 round two corners: beside the second run's first opening no near cell goes up. */
const wall = (every: number) =>
  planOf({
    line: [{ run: 5492 }, { turn: -90 }, { run: 5030 }, { turn: -90 }, { run: 7780.5 }],
    height: 1600,
    unit: 'cmu-6x6x18',
    profile: 'uk',
    show: 'mm',
    lengths: 'actual',
    build: { bond: 'third' },
    openings: [
      { run: 1, at: 1268.225, width: 300, sill: 0, head: 1200 },
      { run: 1, at: 3018.225, width: 650, sill: 0, head: 1500 },
    ],
    wall: { steel: { vertical: { bar: 'T12', every } } },
  });

/** How far the last bar before the first opening stands from its jamb, of those that go up from the footing. */
function toTheJamb(p: ReturnType<typeof wall>): number {
  const jamb = p.wall.openings[0]?.from ?? 0;
  const before = (p.steel.verticals[1]?.bars ?? []).filter((b) => b.at < jamb && b.shaft.low === 0);
  return jamb - Math.max(...before.map((b) => b.at));
}

test.each([400, 600])(
  'bars asked at %p: a jamb further than that from the nearest cell that goes up is said, and no nearer one',
  (every) => {
    const p = wall(every);
    const far = toTheJamb(p);
    const said = p.findings.filter((f) => f.code === 'bar-not-in-cell' && f.run === 1).map((f) => f.says);
    expect(far).toBeGreaterThan(400);
    expect(far).toBeLessThan(600);
    expect(said.some((s) => s.includes(`no bar for ${Math.round(far)} mm, and ${every} mm was asked`))).toBe(
      every === 400,
    );
  },
);

test('hollow units laid so that no cell stands over another: that bars have nowhere to go is said', () => {
  const p = planOf({
    line: [{ run: 5156 }],
    height: 2531,
    // One cell in the middle of each, between webs far thicker than it: over it stands a web.
    unit: 'own',
    units: [
      {
        id: 'own',
        family: 'block',
        actual: { length: 440, height: 215, width: 215 },
        cells: 1,
        shell: 40,
        web: 180,
      },
    ],
    profile: 'uk',
    show: 'mm',
    lengths: 'actual',
    wall: { steel: { vertical: { bar: '#4', every: 900 } } },
  });
  expect(p.steel.verticals[0]?.bars).toEqual([]);
  expect(p.findings.filter((f) => f.code === 'bar-not-in-cell').map((f) => f.run)).toEqual([0]);
});
