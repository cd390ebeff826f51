import type { Job, Show, Said } from '@even-tally/core';
import type { ExportLine } from '@even-tally/exports';
import { KEEPING } from '@even-tally/words';
import { useEffect, useState } from 'react';
import { exported, readRecord } from '../state/api';
import { saidBy } from '../state/failure';
import { useJob, useOpenJob } from '../state/job';
import { usePaperSize } from '../state/paperSize';
import { useLanguage } from '../state/words';
import { download, fileName } from '../ui/download';
import type { Planner } from '../workers/planner';

interface From {
  job: Job;
  planner: Planner;
  wall: { id: string; index: number; name: string };
  run: { index: number; name: string };
  show: Show;
}

interface TakeAway {
  /** What there is to take away, once it is known. */
  lines: readonly ExportLine[];
  take: (line: ExportLine) => void;
  /** What is being made, and what went wrong with the last. */
  busy: string | null;
  /** How much of it is done, 0 to 1; null where nobody says. */
  part: number | null;
  trouble: Said | null;
}

/** What a file is called: after what it is of. */
const nameOf = ({ kind, of, ending }: ExportLine, { job, wall, run }: From): string => {
  const whose = { job: job.name, wall: wall.name, run: run.name }[of];
  const what = kind.includes(':') ? `-${kind.slice(kind.indexOf(':') + 1)}` : '';
  return `${fileName(whose)}${what}.${ending}`;
};

/**
 * Everything to take away, from the one list of exports. What can be made here is, without the server; what is drawn on paper the server
 * draws from the job as it is kept.
 */
export function useTakeAway(from: From): TakeAway {
  const { whenKept } = useJob();
  const id = useOpenJob((s) => s.id);
  const words = useLanguage();
  const [lines, setLines] = useState<readonly ExportLine[]>([]);
  const [busy, setBusy] = useState<string | null>(null);
  const [part, setPart] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<Said | null>(null);
  const { planner, job, wall, run, show } = from;
  const paper = usePaperSize();
  useEffect(() => {
    let left = false;
    planner.ask('exports', null).then(
      (all) => left || setLines(all),
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [planner]);
  const make = async (line: ExportLine): Promise<string | Blob> => {
    const at = { wall: line.of === 'job' ? null : wall.index, run: line.of === 'run' ? run.index : null };
    if (line.drawn === null) {
      const record = line.recorded && id !== null ? await readRecord(id) : [];
      return planner.ask('export', { kind: line.kind, ...at, show, words, record, paper }, job, setPart);
    }
    return exported(await whenKept(KEEPING.printing), line.kind, {
      show,
      words,
      ...(paper === null ? {} : { paper }),
      ...(at.wall === null ? {} : { wall: wall.id }),
      ...(at.run === null ? {} : { run: String(at.run) }),
    });
  };
  const take = (line: ExportLine): void => {
    setTrouble(null);
    setBusy(line.kind);
    setPart(null);
    make(line)
      .then((content) => download(nameOf(line, from), line.media, content))
      .catch((error: Error) => setTrouble(saidBy(error)))
      .finally(() => setBusy(null));
  };
  return { lines, take, busy, part, trouble };
}
