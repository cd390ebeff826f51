import { FileDown, Printer } from 'lucide-react';
import Papa from 'papaparse';
import { useState, type ReactNode } from 'react';
import { polePdf } from '../../state/api';
import { whenKept } from '../../state/openJob';
import { download, fileName } from '../../ui/download';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';

/** The pole to carry to the wall. */
export function TakePole({ job, view, show, planner }: PanelProps): ReactNode {
  const [says, setSays] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const name = `${fileName(view.wall.name)}-pole`;
  const csv = async (): Promise<void> =>
    download(
      `${name}.csv`,
      'text/csv',
      Papa.unparse(await planner.pole(job, view.wall.index, show), { escapeFormulae: true }),
    );
  const pdf = async (): Promise<void> =>
    download(`${name}.pdf`, 'application/pdf', await polePdf(await whenKept(), view.wall.id, show));
  const give = (make: () => Promise<void>) => (): void => {
    setSays(null);
    setBusy(true);
    make()
      .catch((error: Error) => setSays(error.message))
      .finally(() => setBusy(false));
  };
  const button = 'press-plain inline-flex items-center gap-2';
  return (
    <Section title="Take the pole">
      <div className="flex flex-wrap gap-2">
        <button className={button} onClick={give(pdf)} disabled={busy}>
          <Printer size={15} aria-hidden="true" /> {busy ? 'Drawing the pole…' : 'Pole as PDF'}
        </button>
        <button className={button} onClick={give(csv)}>
          <FileDown size={15} aria-hidden="true" /> Pole as CSV
        </button>
      </div>
      <p className="text-[13px] text-soft">
        Cumulative marks from the base, nail spacing, and a small full-size gauge with a ruler to check the
        printer by.
      </p>
      <p role="alert" className="font-semibold text-fault">
        {says}
      </p>
    </Section>
  );
}
