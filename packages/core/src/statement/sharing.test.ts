import fc from 'fast-check';
import { same, sharing } from './same.js';

const json = fc.jsonValue({ maxDepth: 4 });
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

test('whatever it shares with another, a value is what it was', () => {
  fc.assert(
    fc.property(json, json, (a, b) => {
      const was = copy(a);
      expect(same(sharing(copy(a), b), was)).toBe(true);
    }),
  );
});

test('equal values become one object, and of unequal ones the parts that are equal', () => {
  const before = {
    name: 'A',
    walls: [
      { id: 'n', line: [{ run: 1 }] },
      { id: 's', line: [{ run: 2 }] },
    ],
  };
  expect(sharing(copy(before), before)).toBe(before);
  const changed = copy(before);
  (changed.walls[1] as { line: { run: number }[] }).line = [{ run: 3 }];
  const shared = sharing(changed, before);
  expect(shared).not.toBe(before);
  expect(shared.walls[0]).toBe(before.walls[0]);
  expect(shared.walls[1]).not.toBe(before.walls[1]);
  expect(shared.walls[1]?.line).toEqual([{ run: 3 }]);
});

test('a key named as what every object has is a key like another, and is not found where it is not', () => {
  const now = JSON.parse('{"__proto__":{"a":1},"constructor":2}') as object;
  expect(sharing(now, {})).toBe(now);
  expect(JSON.stringify(sharing(now, JSON.parse('{"__proto__":{"a":1},"x":1}') as object))).toBe(
    JSON.stringify(now),
  );
});
