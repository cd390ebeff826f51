import { Typeset } from '../../ui/Typeset';
import {
  closingForecast,
  courseStretches,
  millimetres,
  parseTyped,
  sayMm,
  toMillimetres,
} from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { useViewing } from '../../state/view';
import { Fold } from '../../ui/Fold';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';

/** A course wider than this between two units has an opening in it, mm. */
const WIDEST_JOINT = 40;

/** One measurement in mid-course: will the last unit drop in? */
export function Closing({ view, show }: PanelProps): ReactNode {
  const course = useViewing((s) => s.course);
  const [which, setWhich] = useState('0');
  const [laid, setLaid] = useState(1);
  const [reading, setReading] = useState('');
  const columns = view.elevation.pieces?.[course - 1];
  const stretches = columns ? courseStretches(columns, WIDEST_JOINT) : [];
  const pieces = stretches[Number(which)] ?? stretches[0] ?? [];
  const last = pieces[Math.min(laid, pieces.length) - 1];
  const say = (n: number): string => sayMm(n, show);
  const read = parseTyped(reading, show === 'mm' ? 'mm' : 'in', {
    length: millimetres(view.wall.module),
    course: millimetres(view.wall.pitch),
  });
  const [least, most] = view.wall.headLimits;
  const forecast = read.ok
    ? closingForecast(pieces, laid, toMillimetres(read.length), view.wall.head, { least, most })
    : null;
  return (
    <Fold title="Will it close?" aside={`course ${course}`}>
      <p className="text-small text-soft">
        Stop in mid-course and hook the tape on the start of the run. Press another course on the drawing to
        ask about that one.
      </p>
      {stretches.length > 1 && (
        <Pick
          label="Stretch"
          value={which}
          options={stretches.map(
            (s, i) => [String(i), `${say(s[0]?.from ?? 0)} to ${say(s.at(-1)?.to ?? 0)}`] as const,
          )}
          onChange={setWhich}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <label className="block text-small text-soft">
          Units laid, of {pieces.length}
          <input
            className="entry"
            type="number"
            min={1}
            max={Math.max(1, pieces.length - 1)}
            value={laid}
            onChange={(e) => setLaid(Math.max(1, Math.floor(Number(e.currentTarget.value) || 1)))}
          />
        </label>
        <label className="block text-small text-soft">
          The last one ends at
          <input
            className="entry"
            value={reading}
            placeholder={last ? say(last.to) : ''}
            onChange={(e) => setReading(e.currentTarget.value)}
          />
        </label>
      </div>
      {last && (
        <p className="text-small text-soft">
          It should read{' '}
          <span className="figures text-ink">
            <Typeset words={say(last.to)} />
          </span>
          .
        </p>
      )}
      {reading !== '' && !read.ok && <p className="text-xs text-fault">{read.why}</p>}
      {forecast && (
        <p
          aria-live="polite"
          className={forecast.verdict === 'will not close' ? 'font-semibold text-fault' : ''}
        >
          {forecast.verdict === 'closes'
            ? 'The last unit drops in: carry on.'
            : forecast.verdict === 'eased'
              ? `It closes with each of the ${forecast.joints} joints left at ${say(forecast.each)}.`
              : `It will not close: each of the ${forecast.joints} joints left would be ${say(forecast.each)}, and they may be ${say(least)} to ${say(most)}.`}
        </p>
      )}
    </Fold>
  );
}
