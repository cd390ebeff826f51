import { found, type Findable } from '../src/bench/line/finding';

const thing = (kind: string, id: string, says: string): Findable => ({
  kind,
  id,
  says,
  act: () => undefined,
});
const ALL: Findable[] = [
  thing('Courses', '1', '1 · 8″ · ⅜″ · 17'),
  thing('Courses', '7', '7 · 4′-8″ · ⅜″ · 17'),
  thing('Courses', '17', '17 · 11′-4″ · ⅜″ · 17'),
  thing('Cuts', 'a', '4 5⁄8″ · 3 · cut · 6, 8, and 10 · Window, right jamb'),
  thing('Cuts', 'b', '10 5⁄8″ · 3 · cut · 6, 8, and 10 · Window, left jamb'),
  thing('Openings', 'W', 'Window · North · 18′-3″'),
  thing('Bars', 'V3', 'V3 · #5 · upright'),
  thing('To do', 'O', 'every run side by side, and back (O)'),
];
const first = (typed: string): string | undefined => found(ALL, typed)[0]?.id;

test('a course, a cut, an opening, a bar and a command are found by what they are called', () => {
  expect(first('course 7')).toBe('7');
  expect(first('COURSE 17')).toBe('17');
  expect(first('cut 10 5/8')).toBe('b');
  expect(first('cut 4 5/8"')).toBe('a');
  expect(first('opening window')).toBe('W');
  expect(first('v3')).toBe('V3');
  expect(first('side by side')).toBe('O');
});

test('nothing is found by nothing, by what is not there, or by part of a number', () => {
  expect(found(ALL, ' ')).toEqual([]);
  expect(found(ALL, 'chimney')).toEqual([]);
  expect(found(ALL, 'v')).toHaveLength(1);
  expect(found(ALL, 'courses 5')).toEqual([]);
});
