import type { SheetView } from '@even-tally/core';
import { changeSender, withChange } from '../src/workers/changes';

const view = (over: object): SheetView =>
  ({
    wall: { id: 'w' },
    run: 0,
    marks: [1],
    tape: [2],
    elevation: { pieces: null },
    ...over,
  }) as unknown as SheetView;

test('only what has changed crosses over, and the rest stays the very same', () => {
  const send = changeSender();
  const first = send(view({}));
  expect(first.whole).toBe(true);
  const shown = withChange(null, first);
  const second = send(view({ marks: [3] }));
  expect(Object.keys(second.view).sort()).toEqual(['elevation', 'marks']);
  const next = withChange(shown, second);
  expect(next?.marks).toEqual([3]);
  expect(next?.tape).toBe(shown?.tape);
});

test('another run or another wall goes over whole', () => {
  const send = changeSender();
  send(view({}));
  expect(send(view({ run: 1 })).whole).toBe(true);
  expect(send(view({ run: 1, wall: { id: 'x' } })).whole).toBe(true);
  expect(send(view({ run: 1, wall: { id: 'x' } })).whole).toBe(false);
});

test('a change that nothing came before is not a view', () => {
  const send = changeSender();
  send(view({}));
  expect(withChange(null, send(view({})))).toBeNull();
});
