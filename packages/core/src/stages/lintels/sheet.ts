import { sayMass, sayMm, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { CAUTION, type PaperSheet } from '../paper.js';
import { lintelsPlaced, type Laid, type PlacedLintel } from './lintels.js';
import { SAYS } from './messages.js';

const leafOf = ({ leaf }: PlacedLintel): 'outer' | 'inner' | 'all' =>
  leaf === null ? 'all' : leaf === 0 ? 'outer' : 'inner';

/** Every lintel to order and to set, with the mark of who designed it: what goes to the supplier and to the hoist. */
export function lintelsSheet(job: string, work: Laid, _run: number, show: Show, say: Say): PaperSheet {
  const all = lintelsPlaced(work);
  const unsaid = say(SAYS.unsaid());
  return {
    title: say(SAYS['lintels-of']({ wall: work.wall.name })),
    sub: say(SAYS['lintels-sub']({ job, count: all.length })),
    says: [SAYS['lintels-rule'](), SAYS['lintels-set']()].map(say),
    drawing: null,
    tables: [
      {
        name: say(SAYS.lintels()),
        head: [
          SAYS.opening(),
          SAYS.leaf(),
          SAYS.kind(),
          SAYS.long(),
          SAYS.bearings(),
          SAYS.high(),
          SAYS.weight(),
          SAYS.mark(),
          SAYS.by(),
        ].map(say),
        figures: [3, 5, 6],
        rows: all.map((l) => [
          l.opening.name,
          say(SAYS['leaf-is']({ leaf: leafOf(l) })),
          say(SAYS['kind-is']({ kind: l.kind ?? 'unsaid' })),
          sayMm(l.length, show),
          say(SAYS['bearings-are']({ left: l.bearings[0], right: l.bearings[1] })),
          l.height === null ? unsaid : sayMm(l.height, show),
          l.weight === null ? unsaid : sayMass(l.weight, show),
          l.mark || unsaid,
          l.by || unsaid,
        ]),
      },
    ],
    caution: say(CAUTION),
  };
}
