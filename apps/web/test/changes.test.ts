import { checkJob, plan, benchView, type BenchView } from '@even-tally/core';
import { buffersOf, changeSender, withChange, type ViewChange } from '../src/workers/changes';

const view = (over: object): BenchView =>
  ({
    wall: { id: 'w' },
    run: 0,
    marks: [1],
    tape: [2],
    elevation: { pieces: null },
    ...over,
  }) as unknown as BenchView;

test('only what has changed crosses over, and the rest stays the very same', () => {
  const send = changeSender();
  const first = send(view({}));
  expect(first.whole).toBe(true);
  const shown = withChange(null, first);
  const second = send(view({ marks: [3] }));
  expect(Object.keys(second.parts)).toEqual(['marks']);
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

/** A garden wall of 20 courses with one opening in courses 6 to 12. */
function wallView(at: number, height = 1500): BenchView {
  const checked = checkJob({
    format: 'even-tally/job',
    version: 1,
    name: 'Plot',
    show: 'mm',
    profile: 'uk',
    walls: [
      {
        id: 'w',
        name: 'Garden wall',
        line: [{ run: 8990 }],
        height,
        build: { kind: 'units', unit: 'brick-215x102.5x65', bond: 'half' },
        openings: [{ id: 'W1', name: 'Window', run: 0, at, width: 910, sill: 375, head: 900 }],
      },
    ],
  });
  if (!checked.ok) throw new Error('the wall is sound');
  const wall = plan(checked.job, [], { advise: false }).walls[0];
  if (!wall) throw new Error('the wall is planned');
  return benchView(checked.job, wall, 0, 'mm', false);
}

/** Across as the worker hands it over: what is moved is gone on the other side. */
const across = (change: ViewChange): ViewChange => structuredClone(change, { transfer: buffersOf(change) });

describe('the pieces of a wall', () => {
  test('only the courses a moved opening stands in cross over; put together they are the wall as it stands', () => {
    const send = changeSender();
    const shown = withChange(null, across(send(wallView(2240))));
    expect(shown?.elevation.pieces).toEqual(wallView(2240).elevation.pieces);
    const change = across(send(wallView(2465)));
    expect(change.elevation.pieces.map((c) => c.course)).toEqual([6, 7, 8, 9, 10, 11, 12, 13]);
    const next = withChange(shown, change);
    expect(next?.elevation.pieces).toEqual(wallView(2465).elevation.pieces);
    expect(next?.elevation.pieces?.[0]).toBe(shown?.elevation.pieces?.[0]);
  });

  test('a wall that becomes lower loses its upper courses', () => {
    const send = changeSender();
    const shown = withChange(null, across(send(wallView(2240))));
    const next = withChange(shown, across(send(wallView(2240, 1200))));
    expect(next?.elevation.pieces).toEqual(wallView(2240, 1200).elevation.pieces);
    expect(next?.elevation.pieces).toHaveLength(16);
  });
});
