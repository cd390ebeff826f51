import { jobOf, straight, type OneWall, sayFor } from '../test/jobs.js';
import { scaffold } from '../test/stage/stage.js';
import type { AnyStage } from '../stages/stage.js';
import { plan } from './plan.js';
import { STAGES, withNeeds } from './registry.js';
import { figuresOf, holdsOf, madeOf, materialsOf, papersOf, shapesOver } from './says.js';
import { issuesFrom, workStages } from './work.js';

const wall: OneWall = { line: straight("24'"), height: "10'" };
const job = jobOf(wall);

describe('a stage that does not exist yet', () => {
  const stages: AnyStage[] = [...STAGES, scaffold];
  const work = workStages(stages, job, 0);

  test('is worked after those it needs, and the rest come out as without it', () => {
    const { boards } = work as unknown as { boards: { count: number }[] };
    // 10 ft of wall: boards at 1350 and 2700, two to a run of 24 ft.
    expect(boards.map((b) => b.count)).toEqual([2, 2]);
    const without = workStages(STAGES, job, 0);
    expect(issuesFrom(STAGES, job, work)).toHaveLength(issuesFrom(STAGES, job, without).length);
  });

  test('its finding, figure, working, material, drawing, holds and sheet are there and nobody else was told of it', () => {
    expect(issuesFrom(stages, job, work).map((i) => i.stage)).toContain('mud');
    expect(figuresOf(work, null, stages)).toContainEqual({
      key: 'boards.all',
      name: 'Scaffold boards',
      value: 4,
      quantity: 'count',
    });
    expect(madeOf(work, 'boards.all', null, stages)?.result).toBe(4);
    expect(materialsOf(work, stages).find((m) => m.what === 'Scaffold boards')?.net).toBe(4);
    expect(shapesOver(work, 0, stages).filter((s) => s.role === 'board')).toHaveLength(2);
    expect(holdsOf(work, stages).map((h) => h.id)).toEqual(['lift-1', 'lift-2']);
    const sheet = papersOf(stages).find((p) => p.kind === 'boards');
    expect(sheet?.sheet('Job', work, 0, 'mm', sayFor('mm')).tables[0]?.rows).toEqual([['1'], ['2']]);
  });

  test('says nothing of a wall it has not worked', () => {
    const without = workStages(STAGES, job, 0);
    expect(figuresOf(without, null, stages)).toEqual(figuresOf(without, null));
    expect(holdsOf(without, stages)).toEqual([]);
  });
});

describe('only the stages asked for', () => {
  test('are worked, with those they need, in the order of the work', () => {
    const ids = (asked: string[]): string[] => withNeeds(STAGES, asked).map((s) => s.id);
    expect(ids(['gauge'])).toEqual(['set-out', 'gauge']);
    expect(ids(['grout'])).toEqual(['set-out', 'gauge', 'bond', 'steel', 'grout']);
    expect(ids(['tally', 'ground'])).toEqual([
      'set-out',
      'gauge',
      'bond',
      'ground',
      'steel',
      'grout',
      'tally',
    ]);
  });

  test('so that a later one never runs under a moving finger', () => {
    const never: AnyStage = {
      ...scaffold,
      work: () => {
        throw new Error('ran');
      },
    };
    const stages = [...STAGES, never];
    expect(() => workStages(withNeeds(stages, ['tally', 'grout']), job, 0)).not.toThrow();
    expect(() => workStages(stages, job, 0)).toThrow('ran');
  });

  test('and give what the whole plan gives of them', () => {
    const whole = plan(job, [], { advise: false }).walls[0];
    const some = plan(job, [], { stages: ['gauge', 'tally'] }).walls[0];
    expect(some?.gauge).toEqual(whole?.gauge);
    expect(some?.tally).toEqual(whole?.tally);
    expect(some?.worked).toEqual(['set-out', 'gauge', 'bond', 'steel', 'grout', 'tally']);
    expect(some && 'lintels' in some).toBe(false);
  });

  test('every stage needs only earlier ones, and none has the name of another', () => {
    const ids: string[] = STAGES.map((s) => s.id);
    STAGES.forEach((s, i) => {
      for (const need of s.needs) expect(ids.indexOf(need)).toBeLessThan(i);
      for (const need of s.needs) expect(ids).toContain(need);
    });
    expect(new Set(ids).size).toBe(ids.length);
  });
});
