import { LIST } from '../listMessages.js';
import type { WorkList } from '../list.js';
import type { Laid } from './lintels.js';

/** Openings as a joiner asks for them: where, how wide, sill and head over the base, and how high between. */
export const openingList = ({ wall }: Laid): WorkList => ({
  kind: 'openings',
  name: LIST.openings(),
  empty: LIST['openings-empty'](),
  columns: [
    { key: 'opening', name: LIST.opening(), is: 'text' },
    { key: 'run', name: LIST.run(), is: 'text' },
    { key: 'from', name: LIST.from(), is: 'length' },
    { key: 'width', name: LIST.width(), is: 'length' },
    { key: 'high', name: LIST.high(), is: 'length' },
    { key: 'sill', name: LIST.sill(), is: 'length' },
    { key: 'head', name: LIST.head(), is: 'length' },
  ],
  rows: wall.openings.map((o) => ({
    id: o.id,
    cells: [o.name, wall.runs[o.run]?.name ?? '', o.from, o.to - o.from, o.head - o.sill, o.sill, o.head],
    spots: [{ run: o.run, x: o.from, y: o.sill, w: o.to - o.from, h: o.head - o.sill }],
  })),
});
