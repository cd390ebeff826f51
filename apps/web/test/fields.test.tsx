import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Typeset } from '../src/ui/Typeset';
import { LengthField } from '../src/ui/LengthField';

function field(onChange: (v: string | number) => boolean, show: 'ft-in' | 'mm' = 'ft-in'): HTMLInputElement {
  render(
    <LengthField
      label="Height"
      value={2641.6}
      show={show}
      module={406.4}
      pitch={203.2}
      onChange={onChange}
    />,
  );
  return screen.getByLabelText('Height');
}

test('a length typed the way it is said is kept on Enter, and what it was taken for is shown', async () => {
  const got: unknown[] = [];
  const input = field((v) => got.push(v) > 0);
  expect(input.value).toBe('8′-8″');
  await userEvent.clear(input);
  await userEvent.type(input, '7-4 5/8');
  expect(screen.getByText('taken as 7′-4 5⁄8″')).toBeTruthy();
  await userEvent.keyboard('{Enter}');
  expect(got).toEqual(['7\' 4 5/8"']);
});

test('what is counted is kept as it was said where the file may count it', async () => {
  const got: unknown[] = [];
  const props = {
    value: 2641.6,
    show: 'mm' as const,
    module: 225,
    pitch: 75,
    onChange: (v: unknown) => got.push(v) > 0,
  };
  render(<LengthField label="Along" counts="units" {...props} />);
  const input = screen.getByLabelText('Along');
  await userEvent.clear(input);
  await userEvent.type(input, '5 1/2 bricks');
  expect(screen.getByText('kept as said: 5 1/2 bricks, joints and all')).toBeTruthy();
  await userEvent.keyboard('{Enter}');
  // Courses go up a wall, not along it: they are their length.
  await userEvent.clear(input);
  await userEvent.type(input, '12 courses{Enter}');
  expect(got).toEqual(['5 1/2 bricks', 900]);
});

test('courses count in the wall’s own gauge', async () => {
  const got: unknown[] = [];
  const input = field((v) => got.push(v) > 0, 'mm');
  await userEvent.clear(input);
  await userEvent.type(input, '12 courses{Enter}');
  expect(got).toEqual([2438.4]);
});

test('what is not a length stays in the field, marked, and nothing is changed', async () => {
  const got: unknown[] = [];
  const input = field((v) => got.push(v) > 0);
  await userEvent.clear(input);
  await userEvent.type(input, 'tall{Enter}');
  expect(got).toEqual([]);
  expect(input.getAttribute('aria-invalid')).toBe('true');
  expect(screen.getByText(/Wanted a length such as .*, got “tall”/)).toBeTruthy();
});

test('Escape gives the old length back', async () => {
  const input = field(() => true);
  await userEvent.clear(input);
  await userEvent.type(input, '3{Escape}');
  expect(input.value).toBe('8′-8″');
});

test('a measure is not torn in two where a line breaks, and its fraction is drawn as one', () => {
  const { container } = render(<Typeset words="wants 2″ × 3″; it has 4 5⁄8″ and 1′-2 11⁄16″" />);
  expect(container.textContent).toBe('wants 2″ × 3″; it has 4\u00a05⁄8″ and 1′-2\u00a011⁄16″');
  expect([...container.querySelectorAll('.fraction')].map((f) => f.textContent)).toEqual(['5⁄8', '11⁄16']);
});
