import { planOf, straight, sayFor } from '../test/jobs.js';
import { poleRows, poleSheet } from './poleSheet.js';

const say = sayFor('mm');

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };

test('a footing that steps asks a pole for each corner, and says at which course each stands', () => {
  const p = planOf({
    ...brick,
    line: [{ run: 4490, name: 'Front' }, { turn: 90 }, { run: 4490, name: 'Side' }],
    height: 750,
    wall: { steps: [{ id: 'S', run: 1, from: 2250, to: 4490, up: 3 }] },
  });
  const sheet = poleSheet('Job', p, say);
  expect(sheet.stands.map((s) => ({ ...s, where: say(s.where) }))).toEqual([
    { where: 'Front, start', up: 0, level: 0 },
    { where: 'Front, end', up: 0, level: 0 },
    { where: 'Side, start', up: 0, level: 0 },
    { where: 'Side, end', up: 3, level: 225 },
  ]);
  expect(poleRows(sheet, 'mm', say).at(-1)).toEqual([
    'stands at Side, end',
    '',
    '',
    '',
    225,
    'first course 4',
    '',
  ]);
});

test('a level footing needs no more than the one pole', () => {
  expect(poleSheet('Job', planOf({ ...brick, line: straight(4490), height: 750 }), say).stands).toEqual([]);
});

test('the old work’s gauge is carried over, each mark against its nearest course', () => {
  const p = planOf({
    ...brick,
    line: straight(4490),
    height: 750,
    wall: { old: { height: 710, courses: 10 } },
  });
  const sheet = poleSheet('Job', p, say);
  expect(sheet.oldPitch).toBe(71);
  // 4 mm a course: at course 10 the new mark is at 750; the old 11th at 781 is 31 off, the 10th at 710 is 40. By hand.
  expect(sheet.rows[0]?.old).toEqual({ course: 1, top: 71, above: 4 });
  expect(sheet.rows[9]?.old).toEqual({ course: 11, top: 781, above: -31 });
  expect(poleRows(sheet, 'mm', say)[1]?.slice(-3)).toEqual([1, 71, 4]);
});

test('spot levels on a step are judged against the step, not the base', () => {
  const p = planOf({
    ...brick,
    line: straight(4490),
    height: 750,
    wall: {
      steps: [{ id: 'S', run: 0, from: 2245, to: 4490, up: 3 }],
      poured: [
        { run: 0, at: 500, level: 0 },
        { run: 0, at: 3000, level: 230 },
      ],
    },
  });
  const { units } = p.survey.poured[0] ?? { units: [] };
  // On the step it stands 5 mm over 225: a bed of 5, under the least of 6, so it is ground off. By hand.
  expect(units.filter((u) => u.from > 2245).every((u) => u.verdict === 'grind')).toBe(true);
  expect(units.filter((u) => u.to < 2245).every((u) => u.verdict === 'sound')).toBe(true);
});
