import { canonical, sayMm } from '@even-tally/core';
import { FileDown, Printer } from 'lucide-react';
import Papa from 'papaparse';
import { useState, type ReactNode } from 'react';
import { Figures } from '../../bench/Figures';
import { download, fileName } from '../../ui/download';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';

/** Quantities, each open to its working, and everything that can be taken away. */
export function Tally({ job, view, show, planner }: PanelProps): ReactNode {
  const [says, setSays] = useState<string | null>(null);
  const name = fileName(job.name);
  const give = (make: () => Promise<void>) => () => {
    setSays(null);
    make().catch((error: Error) => setSays(error.message));
  };
  const csv = give(async () =>
    download(
      `${name}-tally.csv`,
      'text/csv',
      Papa.unparse(await planner.rows(job), { escapeFormulae: true }),
    ),
  );
  const svg = give(async () =>
    download(
      `${fileName(view.wall.name)}-sheet.svg`,
      'image/svg+xml',
      await planner.svg(job, view.wall.index, view.run, show),
    ),
  );
  const file = give(() =>
    Promise.resolve(
      download(`${name}.even-tally.json`, 'application/json', `${JSON.stringify(canonical(job), null, 2)}\n`),
    ),
  );
  const button = 'press-plain inline-flex items-center gap-2';
  return (
    <>
      <Figures
        title={`Tally, ${view.runs[view.run]?.name ?? ''}`}
        figures={view.runFigures}
        show={show}
        aside={`${sayMm(view.runs[view.run]?.length ?? 0, show)} × ${sayMm(view.wall.height, show)}`}
      />
      <Figures
        title={view.runs.length > 1 ? 'The whole wall' : 'To order'}
        figures={view.wallFigures}
        show={show}
      />
      <Section title="Take away">
        <div className="flex flex-wrap gap-2">
          <button className={button} onClick={csv}>
            <FileDown size={15} aria-hidden="true" /> Tally as CSV
          </button>
          <button className={button} onClick={svg}>
            <FileDown size={15} aria-hidden="true" /> Sheet as SVG
          </button>
          <button className={button} onClick={file}>
            <FileDown size={15} aria-hidden="true" /> Job file
          </button>
          <button className={button} onClick={() => window.print()}>
            <Printer size={15} aria-hidden="true" /> Print the sheet
          </button>
        </div>
        <p role="alert" className="font-semibold text-fault">
          {says}
        </p>
      </Section>
    </>
  );
}
