import type { JobDocument } from '../job/types.js';

/** Everything that can stand on a run of a wall of units, one of each on each of three runs. */
export function threeRuns(): JobDocument {
  const on = <T>(of: (run: number) => T): T[] => [0, 1, 2].map(of);
  return {
    format: 'even-tally/job',
    version: 1,
    name: 'Three runs',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'a',
        name: 'A',
        line: [{ run: 6000 }, { turn: 90 }, { run: 5000 }, { turn: 90 }, { run: 4000 }],
        height: 2400,
        build: {
          kind: 'units',
          unit: 'cmu-8x8x16',
          bond: 'half',
          pieces: on((run) => ({
            id: `p${run}`,
            run,
            course: 2,
            at: 1200,
            length: 396.9,
            do: 'split' as const,
          })),
        },
        openings: on((run) => ({
          id: `o${run}`,
          name: `Window ${run}`,
          run,
          at: 1600,
          width: 800,
          sill: 800,
          head: 1600,
        })),
        tops: on((run) => ({
          id: `t${run}`,
          run,
          kind: 'raked' as const,
          from: 0,
          to: 1000,
          left: 2000,
          right: 2400,
        })),
        steps: on((run) => ({ id: `s${run}`, run, from: 3000, to: 3600, up: 1 })),
        vents: on((run) => ({ id: `v${run}`, run, course: 1, what: 'vent' as const, every: 1800 })),
        piers: on((run) => ({ id: `x${run}`, run, at: 2600, width: 400 })),
        joints: on((run) => ({ id: `j${run}`, run, at: 3200 })),
        poured: on((run) => ({ run, at: 100, level: 2 })),
        steel: {
          cells: on((run) => ({ id: `c${run}`, run, at: 700, bar: true })),
          starters: on((run) => ({ id: `b${run}`, run, at: 100 })),
        },
      },
      {
        id: 'b',
        name: 'B',
        line: [{ run: 2000 }],
        height: 2400,
        build: { kind: 'units', unit: 'cmu-8x8x16', bond: 'half' },
        meets: { wall: 'a', run: 2, at: 2800 },
      },
    ],
  };
}

/** What stands on a run of stone or earth alone: stiles and posts on each of three, and on the middle one a gap or measured stones. */
export function threeRunsOfStone(on: 'gap' | 'fit'): JobDocument {
  const line = [{ run: 6000 }, { turn: 90 }, { run: 5000 }, { turn: 90 }, { run: 4000 }];
  return {
    format: 'even-tally/job',
    version: 1,
    name: 'Three runs of stone',
    show: 'mm',
    profile: 'us',
    walls: [
      {
        id: 'd',
        name: 'D',
        line,
        height: 1200,
        build: {
          kind: 'dry',
          stone: 'limestone',
          base: 700,
          top: 350,
          stiles: [0, 1, 2].map((run) => ({ run, at: 2000 })),
        },
        posts: [0, 1, 2].map((run) => ({ id: `h${run}`, run, at: 3000, width: 140, depth: 140 })),
        holes: [0, 1, 2].map((run) => ({
          id: `g${run}`,
          run,
          at: 500,
          width: 400,
          bottom: 300,
          height: 300,
          depth: 150,
        })),
        ...(on === 'gap' ? { gap: { run: 1, from: 1000, to: 3000 } } : { fit: { run: 1, height: 600 } }),
      },
    ],
  };
}
