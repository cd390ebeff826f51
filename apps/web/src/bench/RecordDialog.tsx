import { Folded, recordRows } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useEffect, type ReactNode } from 'react';
import { useDates } from '../state/dates';
import { useOpenJob } from '../state/job';
import { openRecord, useRecord } from '../state/record';
import { look, useViewing } from '../state/view';
import { useLanguage, useTell } from '../state/words';
import { Card } from '../ui/Card';
import { download, fileName } from '../ui/download';
import type { Planner } from '../workers/planner';

/** Everything that is on record for the job, as plain rows: what a later row has corrected is struck through, not hidden. */
export function RecordDialog({ planner }: { planner: Planner }): ReactNode {
  const open = useViewing((s) => s.recordOpen);
  return open && <Rows planner={planner} />;
}

function Rows({ planner }: { planner: Planner }): ReactNode {
  const tell = useTell();
  const id = useOpenJob((s) => s.id);
  const job = useOpenJob((s) => s.job);
  const entries = useRecord((s) => s.entries);
  const failure = useRecord((s) => s.failure);
  useEffect(() => {
    if (id !== null) void openRecord(id);
  }, [id]);
  const words = useLanguage();
  const dates = useDates();
  const close = (): void => look({ recordOpen: false });
  const rows = recordRows(new Folded(entries).rows());
  const wallName = (wall: string | null): string =>
    wall === null ? tell(BENCH.theJob) : (job?.walls.find((w) => w.id === wall)?.name ?? wall);
  const save = (): void => {
    void planner
      .ask('export', { kind: 'csv:record', wall: null, run: null, show: 'mm', words, record: entries }, job)
      .then((text) => download(`${fileName(job?.name ?? 'job')}-record.csv`, 'text/csv', text));
  };
  return (
    <Card onClose={close} size="flex max-h-full w-[920px] flex-col">
      <DialogTitle className="heading border-b-2 border-ink px-6 pt-5 pb-2 text-lg">
        {tell(BENCH.recordFor({ job: job?.name ?? '' }))}
      </DialogTitle>
      <div
        className="min-h-0 overflow-y-auto px-6"
        tabIndex={0}
        role="region"
        aria-label={tell(BENCH.rowsOfTheRecord)}
      >
        {rows.length === 0 ? (
          <p className="py-6 text-soft">{tell(BENCH.nothingYetWhatIs)}</p>
        ) : (
          <table className="w-full text-left text-small">
            <thead>
              <tr className="border-b border-ink">
                {[
                  tell(BENCH.when),
                  tell(BENCH.wall),
                  tell(BENCH.what),
                  tell(BENCH.where),
                  tell(BENCH.said),
                  tell(BENCH.by),
                ].map((head) => (
                  <th key={head} scope="col" className="py-2 pr-4 font-bold">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {/* By the clock of whoever was there, as they wrote it. */}
              {rows.map((r) => (
                <tr
                  key={r.id}
                  className={`border-b border-rule align-baseline ${r.corrected ? 'line-through' : ''}`}
                >
                  <td className="figures py-1 pr-4 whitespace-nowrap">
                    {dates.moment(r.happened.slice(0, 16))}
                  </td>
                  <td className="py-1 pr-4">{wallName(r.wall)}</td>
                  <td className="py-1 pr-4 font-semibold whitespace-nowrap">{tell(r.kind)}</td>
                  <td className="py-1 pr-4">{tell(r.where)}</td>
                  <td className="py-1 pr-4 break-words">{r.what.map(tell).join('; ')}</td>
                  <td className="py-1">{r.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <p role="alert" className="px-6 font-semibold text-fault">
        {failure && tell(failure)}
      </p>
      <p className="flex gap-3 px-6 pt-3 pb-5">
        <button className="press" onClick={close}>
          {tell(BENCH.close)}
        </button>
        {rows.length > 0 && (
          <button className="press-plain" onClick={save}>
            {tell(BENCH.asCsv)}
          </button>
        )}
      </p>
    </Card>
  );
}
