import type { Said } from '../../../messages/message.js';
import { LIST } from '../../../stages/listMessages.js';
import type { UnitShape } from '../../../tables/units.js';
import { spokenKind, type SpokenKind } from '../laying/kinds.js';
import type { Row } from '../laying/row.js';

/** What is picked up for rows laid together: "16 stretchers, 1 half". */
export function picksOf(rows: readonly Row[], unit: UnitShape): Said {
  const counts = new Map<SpokenKind | 'sawn', number>();
  for (const row of rows)
    for (const piece of row.pieces) {
      const kind = piece.cutFrom !== null && piece.kind !== 'half' ? 'sawn' : spokenKind(piece.kind, unit);
      counts.set(kind, (counts.get(kind) ?? 0) + 1);
    }
  return LIST.picks({ picks: [...counts].map(([kind, count]) => LIST.pick({ kind, count })) });
}
