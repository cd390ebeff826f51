import { issue, type Issue } from '../../../findings/issue.js';
import { handy } from '../../../measure/handy.js';
import { STONE_RULES } from '../../../tables/stoneWalls.js';
import { ashlarOf } from '../ashlar/lay.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { BOND, set, written, type At } from './at.js';

/** A mortared wall: room for two faces, and beds no wider than its kind has them. */
export function mortared(at: At): Issue[] {
  const { stone } = at;
  if (stone.kind === 'dry') return [];
  const found: Issue[] = [];
  const least = STONE_RULES.twoFaces;
  if (stone.kind !== 'ashlar' && stone.faces === 2 && stone.top < least - 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-thin',
        severity: 'choice',
        key: 'stone-thin',
        says: SAYS['thin-two-faces']({ thick: stone.top, least }),
        source: 'common practice',
        tries: () => [
          {
            says: SAYS.thicker({ thick: least }),
            edit: [
              ...set(at, 'thickness', written(at, Math.max(least, stone.base))),
              ...(stone.top < stone.base ? set(at, 'top', written(at, least)) : []),
            ],
          },
        ],
      }),
    );
  const most = STONE_RULES.joint[stone.kind === 'ashlar' ? 'ashlar' : (stone.laid ?? 'random')];
  if (stone.joint > most + 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-joint-wide',
        severity: 'choice',
        key: 'stone-joint-wide',
        says: SAYS['joint-too-wide']({ joint: stone.joint, most }),
        source: SAYS['is-joints'](),
        tries: () => [{ says: SAYS['joint-as']({ joint: most }), edit: set(at, 'joint', written(at, most)) }],
      }),
    );
  return found;
}

/** Round stone with nothing long in it, and a face without courses that is to be levelled all the same. */
export function byLaying(at: At): Issue[] {
  const { job, wall, stone } = at;
  const { lacing } = STONE_RULES;
  const every = handy(lacing.every, job.show);
  const build = job.walls[wall.index]?.build;
  const found: Issue[] = [];
  if (stone.laid === 'flint' && stone.lacing === null && wall.height > lacing.over + 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-no-lacing',
        severity: 'choice',
        key: 'stone-no-lacing',
        says: SAYS['no-lacing']({ height: wall.height, every }),
        source: 'common practice',
        tries: () => [
          {
            says: SAYS['lace-it']({ every, count: lacing.courses }),
            edit: set(at, 'lacing', {
              every: written(at, every),
              unit: job.show === 'ft-in' ? 'brick-modular-us' : 'brick-215x102.5x65',
              courses: lacing.courses,
            }),
          },
        ],
      }),
    );
  if (stone.laid === 'polygonal' && build?.kind === 'rubble' && build.broughtTo !== undefined)
    found.push(
      issue({
        ...BOND,
        code: 'stone-polygonal-levelled',
        severity: 'choice',
        key: 'stone-polygonal-levelled',
        says: SAYS['polygonal-levelled']({ every: stone.broughtTo ?? 0 }),
        source: 'common practice',
        tries: () => [
          {
            says: SAYS['no-levels'](),
            edit: [{ op: 'remove', path: `/walls/${wall.index}/build/broughtTo` }],
          },
          { says: SAYS['lay-random'](), edit: set(at, 'laid', 'random') },
        ],
      }),
    );
  return found;
}

/** Joints of ashlar that stand nearly over one another. */
export function ashlar(at: At): Issue[] {
  const { stone, wall, laid } = at;
  if (stone.kind !== 'ashlar') return [];
  return ashlarOf(wall, laid.gauge).short.map((s) =>
    issue({
      stage: 'bond',
      code: 'lap-short',
      severity: 'choice',
      course: s.course,
      run: s.run,
      at: s.at,
      key: `lap-short|ashlar|${s.run}|${s.course}`,
      says: SAYS['lap-short']({ course: s.course, count: s.count, lap: stone.lap }),
      source: 'EN 1996-1-1 8.1.4.1, from memory',
      tries: () =>
        [0.85, 0.7].map((part) => ({
          says: SAYS['shorter-stones']({ longest: Math.round(stone.longest * part) }),
          edit: set(at, 'longest', written(at, Math.round(stone.longest * part))),
        })),
    }),
  );
}
