import { issue, type Issue, type Try } from '../../../findings/issue.js';
import type { Stated } from '../../../job/types.js';
import { writeLength } from '../../../measure/format.js';
import { millimetres, type Mm } from '../../../measure/length.js';
import { fitAsk, fitFrom } from '../fitter/ofWall.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { BOND, type At } from './at.js';

/** Measured stones are laid round an opening: one side alone, or what is under it, may be laid by itself. */
export function fitted({ job, wall }: At): Issue[] {
  const fit = job.walls[wall.index]?.fit;
  const ask = fit && fitAsk(job, wall, fit);
  if (!fit || !ask) return [];
  const run = fit.run ?? 0;
  const from = fitFrom(fit);
  const to = from + ask.length;
  const over = wall.openings
    .filter((o) => o.run === run && o.from < to - 0.5 && o.to > from + 0.5 && o.sill < ask.height - 0.5)
    .sort((a, b) => a.from - b.from);
  const [first, last] = [over[0], over.at(-1)];
  if (!first || !last) return [];
  const path = `/walls/${wall.index}/fit`;
  const write = (mm: Mm): Stated => writeLength(millimetres(Math.round(mm * 100) / 100), job.show);
  const only = (side: 'left' | 'right' | 'under', set: Record<string, Mm>): Try => ({
    says: SAYS['fit-only']({ side, name: (side === 'right' ? last : first).name }),
    edit: Object.entries(set).map(([key, value]) => ({
      op: 'add',
      path: `${path}/${key}`,
      value: write(value),
    })),
  });
  return [
    issue({
      ...BOND,
      code: 'stone-fit-round-opening',
      severity: 'note',
      run,
      at: (first.from + first.to) / 2,
      key: 'stone-fit-round-opening',
      says: SAYS['fit-round']({ name: first.name, count: over.length }),
      source: 'geometry',
      tries: () => [
        ...(first.from - from >= ask.least ? [only('left', { length: first.from - from })] : []),
        ...(to - last.to >= ask.least ? [only('right', { from: last.to, length: to - last.to })] : []),
        ...(Math.min(...over.map((o) => o.sill)) >= ask.least
          ? [only('under', { height: Math.min(...over.map((o) => o.sill)) })]
          : []),
      ],
    }),
  ];
}
