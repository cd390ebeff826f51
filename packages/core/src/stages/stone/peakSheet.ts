import { sayMm, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { line, shape, words } from '../../shapes/shape.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { templateOf, type PeakStone } from '../../walling/stone/peaks.js';
import { stoneWork } from '../../walling/stone/work.js';
import { CAUTION, type PaperSheet } from '../paper.js';
import type { Laid } from './lists.js';

/** Peaks stand so far from one another on their drawing, mm. */
const APART = 200;

/** The templates side by side, each with its foot, its height and where its point stands. */
function drawing(peaks: readonly PeakStone[], show: Show): PaperSheet['drawing'] {
  let x = 0;
  const shapes = peaks.flatMap((p) => {
    const high = p.top - p.foot;
    const at = x + p.left;
    x += p.left + p.right + APART;
    return [
      shape('template', [
        [at - p.left, 0],
        [at + p.right, 0],
        [at, high],
      ]),
      line('template-mark', at, 0, at, high),
      words('template-number', at - p.left / 2, 12, sayMm(p.left, show), 'middle'),
      words('template-number', at + p.right / 2, 12, sayMm(p.right, show), 'middle'),
      words('template-number', at + 8, high / 2, sayMm(high, show)),
    ];
  });
  return peaks.length === 0
    ? null
    : { box: { x: 0, y: 0, w: x - APART, h: Math.max(...peaks.map((p) => p.top - p.foot)) }, shapes };
}

/** The last stones of gables: what a template is cut by, height by height, and what each weighs. */
export function peakSheet(job: string, { wall, gauge }: Laid, show: Show, say: Say): PaperSheet {
  const { peaks } = stoneWork(wall, gauge);
  return {
    title: say(SAYS['peak-of']({ wall: wall.name })),
    sub: say(SAYS['peak-sub']({ job, count: peaks.length })),
    says: [say(peaks.length > 0 ? SAYS['peak-says']() : SAYS['peak-none']())],
    drawing: drawing(peaks, show),
    tables: peaks.map((p) => ({
      name: say(
        SAYS['peak-stone']({ run: wall.runs[p.run]?.name ?? '', at: p.at, thick: p.thick, mass: p.mass }),
      ),
      head: [SAYS['over-foot'](), SAYS['to-left'](), SAYS['to-right']()].map(say),
      figures: [0, 1, 2],
      rows: templateOf(p).map((row) => [row.up, row.left, row.right].map((n) => sayMm(n, show))),
    })),
    caution: say(CAUTION),
  };
}
