import type { ExportLine } from '@even-tally/exports';
import { UI } from '@even-tally/words';
import { FileDown, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';
import { Section } from '../ui/Section';
import type { PanelProps } from './panel';
import { useTakeAway } from './useTakeAway';

interface Props extends PanelProps {
  title: string;
  says?: string;
  /** Which of all there is. */
  which: (line: ExportLine) => boolean;
  /** More to press beside them. */
  children?: ReactNode;
}

/** The sheets each stage has buttons for. What is in none of them is taken away at the last stage. */
export const AT_A_STAGE: readonly string[] = [
  'pole',
  'tape',
  'starters',
  'bars',
  'lifts',
  'holds',
  'lintels',
  'frames',
  'stones',
  'cut-stones',
  'lay',
  'gap',
];

/** Every form of one sheet, the printed one first. */
export const ofSheet =
  (sheet: string) =>
  ({ kind }: ExportLine): boolean =>
    kind.endsWith(`:${sheet}`);

const FIRST = ['pdf', 'csv', 'svg', 'png'];
const place = ({ kind }: ExportLine): number => {
  const i = FIRST.indexOf(kind.slice(0, kind.indexOf(':')));
  return i < 0 ? FIRST.length : i;
};

/** Something to take away, as a button for each form it is to be had in. */
export function TakeAway({ title, says, which, children, ...panel }: Props): ReactNode {
  const tell = useTell();
  const { job, view, show, planner } = panel;
  const run = { index: view.run, name: view.runs[view.run]?.name ?? view.wall.name };
  const { lines, take, busy, part, trouble } = useTakeAway({ job, planner, wall: view.wall, run, show });
  const shown = lines.filter(which).sort((a, b) => place(a) - place(b));
  return (
    <Section title={title}>
      <div className="flex flex-wrap gap-2">
        {shown.map((line) => (
          <button
            key={line.kind}
            className="press-plain inline-flex items-center gap-2"
            onClick={() => take(line)}
            disabled={busy !== null}
          >
            {line.drawn === 'pdf' ? (
              <Printer size={15} aria-hidden="true" />
            ) : (
              <FileDown size={15} aria-hidden="true" />
            )}
            {busy === line.kind ? tell(UI.makingIt) : tell(line.name)}
          </button>
        ))}
        {children}
      </div>
      {busy !== null && part !== null && (
        <progress className="w-full accent-chalk" value={part} max={1} aria-label={tell(UI.makingIt)} />
      )}
      {says && <p className="text-small text-soft">{says}</p>}
      <p role="alert" className="font-semibold text-fault">
        {trouble && tell(trouble)}
      </p>
    </Section>
  );
}
