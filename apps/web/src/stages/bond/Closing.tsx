import {
  closingForecast,
  courseStretches,
  millimetres,
  parseTyped,
  sayMm,
  toMillimetres,
} from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { sayUnread } from '../../ui/unread';
import { Fold } from '../../ui/Fold';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';

/** A course wider than this between two units has an opening in it, mm. */
const WIDEST_JOINT = 40;

/** One measurement in mid-course: will the last unit drop in? */
export function Closing({ view, show }: PanelProps): ReactNode {
  const tell = useTell();
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
    <Fold title={tell(AT_BOND.willItClose)} aside={tell(AT_BOND.courseNo({ course }))}>
      <p className="text-small text-soft">{tell(AT_BOND.stopInMidCourse)}</p>
      {stretches.length > 1 && (
        <Pick
          label={tell(AT_BOND.stretch)}
          value={which}
          options={stretches.map(
            (s, i) =>
              [String(i), AT_BOND.stretchFrom({ from: s[0]?.from ?? 0, to: s.at(-1)?.to ?? 0 })] as const,
          )}
          onChange={setWhich}
        />
      )}
      <div className="grid grid-cols-2 gap-3">
        <label className="block text-small text-soft">
          {tell(AT_BOND.unitsLaid({ count: pieces.length }))}
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
          {tell(AT_BOND.theLastOneEnds)}
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
          <Told said={AT_BOND.shouldRead({ at: last.to })} />
        </p>
      )}
      {reading !== '' && !read.ok && <p className="text-xs text-fault">{tell(sayUnread(read))}</p>}
      {forecast && (
        <p
          aria-live="polite"
          className={forecast.verdict === 'will not close' ? 'font-semibold text-fault' : ''}
        >
          <Told
            said={
              forecast.verdict === 'closes'
                ? AT_BOND.theLastUnitDrops
                : forecast.verdict === 'eased'
                  ? AT_BOND.eased({ joints: forecast.joints, each: forecast.each })
                  : AT_BOND.notClose({ joints: forecast.joints, each: forecast.each, least, most })
            }
          />
        </p>
      )}
    </Fold>
  );
}
