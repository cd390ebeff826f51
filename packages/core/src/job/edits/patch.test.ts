import fc from 'fast-check';
import { setDeep, applyPatch, setAt, type Patch, type PatchStep } from './patch.js';

const doc = {
  name: 'a',
  walls: [
    {
      id: 'n',
      openings: [
        { id: 'D1', at: 1 },
        { id: 'W1', at: 2 },
      ],
    },
  ],
};

test('an edit gives a new document and leaves the old one as it was', () => {
  const before = JSON.stringify(doc);
  const done = applyPatch(doc, [{ op: 'replace', path: '/walls/0/openings/1/at', value: 9 }]);
  expect(done.ok && done.value.walls[0]?.openings[1]?.at).toBe(9);
  expect(JSON.stringify(doc)).toBe(before);
});

test('the inverse takes it back, whatever it was', () => {
  const step = fc.oneof(
    fc.constantFrom<PatchStep>(
      { op: 'remove', path: '/walls/0/openings/0' },
      { op: 'add', path: '/walls/0/openings/-', value: { id: 'X', at: 0 } },
      { op: 'add', path: '/walls/0/openings/1', value: { id: 'Y', at: 5 } },
      { op: 'replace', path: '/name', value: 'b' },
      { op: 'add', path: '/name', value: 'c' },
      { op: 'add', path: '/show', value: 'mm' },
    ),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 8 }), (steps: Patch) => {
      const done = applyPatch(doc, steps);
      if (!done.ok) return true;
      const back = applyPatch(done.value, done.inverse);
      return back.ok && JSON.stringify(back.value) === JSON.stringify(doc);
    }),
  );
});

test.each([
  [{ op: 'replace', path: '/nowhere', value: 1 }, /wanted something to replace/],
  [{ op: 'remove', path: '/walls/3' }, /wanted a place from 0 to 1|wanted something to remove/],
  [{ op: 'add', path: '/walls/0/openings/9', value: 1 }, /wanted a place from 0 to 2, got "9"/],
  [{ op: 'add', path: '/__proto__/x', value: 1 }, /cannot be edited/],
  [{ op: 'replace', path: '', value: 1 }, /cannot be edited/],
  [{ op: 'add', path: '/name/first', value: 1 }, /nothing to edit there/],
] as [PatchStep, RegExp][])('%j is refused with one sentence', (step, why) => {
  const done = applyPatch(doc, [step]);
  expect(done).toMatchObject({ ok: false });
  expect(!done.ok && done.why).toMatch(why);
});

test('setAt replaces what stands and adds what does not', () => {
  expect(setAt(doc, '/name', 'x').op).toBe('replace');
  expect(setAt(doc, '/show', 'mm').op).toBe('add');
});

test('a key is set with whatever holders of it are missing', () => {
  const document = { walls: [{ id: 'w' }] };
  const step = setDeep(document, '/walls/0/steel/lap/rule', '48d');
  expect(step).toEqual({ op: 'add', path: '/walls/0/steel', value: { lap: { rule: '48d' } } });
  const after = applyPatch(document, [step]);
  expect(after.ok && after.value).toEqual({ walls: [{ id: 'w', steel: { lap: { rule: '48d' } } }] });
  expect(setDeep(document, '/walls/0/id', 'x')).toEqual({ op: 'replace', path: '/walls/0/id', value: 'x' });
});
