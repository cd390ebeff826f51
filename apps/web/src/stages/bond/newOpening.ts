import type { PatchStep, Stated, Said } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { newId } from '../../state/newId';
import type { PanelProps } from '../panel';
import { written } from '../written';

/** A new opening two units wide in the widest clear stretch of the run, on the bond when it can be. */
export function newOpening(
  { job, view, show }: PanelProps,
  tell: (said: Said) => string,
): PatchStep[] | null {
  const { module, pitch, head, height, nominal, index } = view.wall;
  const off = nominal ? head : 0;
  const length = view.runs[view.run]?.length ?? 0;
  const here = view.openings.filter((o) => o.run === view.run).sort((a, b) => a.from - b.from);
  const edges = [0, ...here.flatMap((o) => [o.from, o.to]), length];
  let [from, to] = [0, 0];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    const [a, b] = [edges[i] ?? 0, edges[i + 1] ?? 0];
    if (b - a > to - from) [from, to] = [a, b];
  }
  const left = view.jambs.find((j) => j > from + (to - from) / 2 - module * 1.2) ?? from + module;
  if (to - from < module * 3 || left + module * 2 > to) return null;
  const courses = Math.max(2, Math.floor(height / pitch));
  const list = job.walls[index]?.openings;
  const { id, label } = newId('W', list);
  const text = (mm: number): Stated => written(mm, show);
  const value = {
    id,
    name: tell(AT_BOND.openingNo({ label })),
    run: view.run,
    at: text(left + off),
    width: text(module * 2 + (nominal ? 0 : head)),
    sill: text(Math.round(courses * 0.35) * pitch),
    head: text(Math.max(Math.round(courses * 0.35) + 1, Math.round(courses * 0.8)) * pitch),
  };
  return list
    ? [{ op: 'add', path: `/walls/${index}/openings/-`, value }]
    : [{ op: 'add', path: `/walls/${index}/openings`, value: [value] }];
}
