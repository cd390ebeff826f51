import { sayMass, showVolume, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { FILLING } from '../../tables/mending.js';
import { CAUTION, type PaperSheet } from '../paper.js';
import type { FilledHole } from './holes.js';
import { MENDING as SAYS } from './messages.js';

/** In the order it is done. Nothing is propped that need not be. */
const STEPS = ['find', 'prop', 'cut', 'wet', 'ties', 'fill', 'point'] as const;

/** Holes to be filled: what goes into each, and what is done. */
export function mendingSheet(
  job: string,
  wall: string,
  holes: readonly FilledHole[],
  show: Show,
  say: Say,
): PaperSheet {
  const props = holes.some((h) => h.prop);
  return {
    title: say(SAYS.of({ wall })),
    sub: say(SAYS.sub({ job, count: holes.length })),
    says: holes.length === 0 ? [say(SAYS.none())] : [],
    drawing: null,
    tables:
      holes.length === 0
        ? []
        : [
            {
              name: say(SAYS.name()),
              head: [
                SAYS.hole(),
                SAYS.size(),
                SAYS['stone-in'](),
                SAYS.behind(),
                SAYS.ties(),
                SAYS.fixings(),
              ].map(say),
              figures: [2, 3, 4, 5],
              rows: holes.map((h) => [
                h.name,
                say(SAYS['size-is']({ width: h.to - h.from, height: h.top - h.bottom, depth: h.depth })),
                sayMass(h.mass, show),
                showVolume(h.behind, show),
                String(h.ties),
                String(h.fixings),
              ]),
            },
            {
              name: say(SAYS['what-is-done']()),
              head: [SAYS.order(), SAYS['what-is-done']()].map(say),
              figures: [],
              rows: STEPS.filter((step) => step !== 'prop' || props).map((step, i) => [
                `${i + 1}`,
                say(SAYS.step({ step, lift: FILLING.lift })),
              ]),
            },
          ],
    caution: say(CAUTION),
  };
}

/** Where fixings are drilled: spread evenly over a hole. */
export const fixingsAt = ({ from, to, bottom, top, apart }: FilledHole): { x: number; y: number }[] => {
  const spread = (a: number, b: number): number[] => {
    const n = Math.max(1, Math.ceil((b - a) / apart - 1e-9));
    return Array.from({ length: n }, (_, i) => a + ((b - a) * (i + 0.5)) / n);
  };
  return spread(bottom, top).flatMap((y) => spread(from, to).map((x) => ({ x, y })));
};
