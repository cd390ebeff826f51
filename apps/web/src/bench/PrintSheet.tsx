import { CAUTION, sayQuantity, type Job, type BenchView, type Show } from '@even-tally/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useTell, useLanguage } from '../state/words';
import { Typeset } from '../ui/Typeset';
import type { Planner } from '../workers/planner';

/** What comes out of the printer: the drawing as a picture, the tally, what the wall says and the caution. */
export function PrintSheet({
  job,
  view,
  show,
  planner,
}: {
  job: Job;
  view: BenchView;
  show: Show;
  planner: Planner;
}): ReactNode {
  const [svg, setSvg] = useState('');
  const { index } = view.wall;
  const { run } = view;
  const words = useLanguage();
  const tell = useTell();
  useEffect(() => {
    // Made while the hands rest, so that it is there when the printer asks.
    const timer = setTimeout(() => {
      planner
        .ask('export', { kind: 'svg:elevation', wall: index, run, show, words, record: [] }, job)
        .then(setSvg, () => setSvg(''));
    }, 700);
    return () => clearTimeout(timer);
  }, [job, index, run, show, words, planner]);
  // Encoded once, not with every move of a drag: a picture of ten thousand units is megabytes.
  const picture = useMemo(() => (svg ? `data:image/svg+xml;utf8,${encodeURIComponent(svg)}` : ''), [svg]);
  return (
    <div className="only-print" aria-hidden="true">
      <p className="heading text-lg">{job.name}</p>
      {picture && (
        <img alt="" src={picture} style={{ width: '100%', maxHeight: '170mm', objectFit: 'contain' }} />
      )}
      <table style={{ width: '100%', marginTop: '6mm' }}>
        <tbody>
          {view.wallFigures.map((f) => (
            <tr key={f.key}>
              <td style={{ borderTop: '1px solid #000' }}>{tell(f.name)}</td>
              <td style={{ borderTop: '1px solid #000', textAlign: 'right' }} className="figures">
                <Typeset words={sayQuantity(f.value, f.quantity, show)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {svg === '' && <p style={{ marginTop: '4mm' }}>{tell(CAUTION)}</p>}
    </div>
  );
}
