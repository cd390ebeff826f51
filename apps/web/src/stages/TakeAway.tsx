import { FileDown, Printer } from 'lucide-react';
import Papa from 'papaparse';
import { useState, type ReactNode } from 'react';
import { printed, type Printed } from '../state/api';
import { useJob } from '../state/job';
import { download } from '../ui/download';
import { Section } from '../ui/Section';

interface Props {
  title: string;
  /** Which printed sheet, what it is called on its button, and what it is asked for. */
  what: Printed;
  name: string;
  asked: Record<string, string>;
  rows: () => Promise<(string | number)[][]>;
  file: string;
  says: string;
}

/** A sheet to carry to the wall: printed by the server from the job as it is kept, or as rows for a spreadsheet. */
export function TakeAway({ title, what, name, asked, rows, file, says }: Props): ReactNode {
  const { whenKept } = useJob();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const give = (make: () => Promise<void>) => (): void => {
    setTrouble(null);
    setBusy(true);
    make()
      .catch((error: Error) => setTrouble(error.message))
      .finally(() => setBusy(false));
  };
  const pdf = give(async () =>
    download(`${file}.pdf`, 'application/pdf', await printed(await whenKept('Printing'), what, asked)),
  );
  const csv = give(async () =>
    download(`${file}.csv`, 'text/csv', Papa.unparse(await rows(), { escapeFormulae: true })),
  );
  const button = 'press-plain inline-flex items-center gap-2';
  return (
    <Section title={title}>
      <div className="flex flex-wrap gap-2">
        <button className={button} onClick={pdf} disabled={busy}>
          <Printer size={15} aria-hidden="true" /> {busy ? 'Drawing it…' : `${name} as PDF`}
        </button>
        <button className={button} onClick={csv} disabled={busy}>
          <FileDown size={15} aria-hidden="true" /> {name} as CSV
        </button>
      </div>
      <p className="text-[13px] text-soft">{says}</p>
      <p role="alert" className="font-semibold text-fault">
        {trouble}
      </p>
    </Section>
  );
}
