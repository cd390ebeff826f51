import { ashlarOf } from '../walling/stone/ashlar/lay.js';
import { stoneIn } from '../walling/stone/stretches.js';
import { stoneWork, toBring } from '../walling/stone/work.js';
import type { WallPlan } from './plan.js';

const tidy = (n: number): number => Math.round(n * 1e6) / 1e6 + 0;
const tidyVolume = (n: number): number => Math.round(n * 1e9) / 1e9 + 0;

/** What a wall of stone comes to, as the contract files it: solid volumes m³, masses kg, lengths mm. */
export function stoneJson({ wall, gauge }: WallPlan): Record<string, unknown> {
  const work = stoneWork(wall, gauge);
  const { volumes: v, throughs, bonders, copes, footing, lines, pillars, bridges, peaks } = work;
  const stone = stoneIn(wall);
  return {
    gross: tidyVolume(v.gross),
    face: tidyVolume(v.face),
    back: tidyVolume(v.back),
    hearting: tidyVolume(v.hearting),
    mortar: tidyVolume(v.mortar),
    voids: tidyVolume(v.voids),
    mass: tidy(v.mass),
    ordered: tidy(v.ordered),
    bonders: bonders.count,
    throughs: throughs.map((t) => ({ at: tidy(t.at), count: t.count, length: tidy(t.length) })),
    copes: copes?.count ?? 0,
    ...(copes ? { copesMass: tidy(copes.mass) } : {}),
    ...(footing ? { footing: { volume: tidyVolume(footing.volume), mass: tidy(footing.mass) } } : {}),
    lines: lines.map((l) => ({
      height: tidy(l.height),
      offset: l.offset.map((o) => ({
        end: o.end,
        run: o.run,
        width: tidy(o.width),
        outer: tidy(o.outer),
        inner: tidy(o.inner),
      })),
    })),
    loads: Math.ceil(toBring(work) / stone.load - 1e-9),
    ...(pillars.length > 0
      ? {
          pillars: pillars.map(({ run, at, section: s }) => ({
            run,
            at: tidy(at),
            base: tidy(s.base),
            top: tidy(s.top),
            height: tidy(s.height),
          })),
        }
      : {}),
    ...(bridges.length > 0
      ? {
          bridges: bridges.map((b) => ({
            opening: b.opening,
            count: b.count,
            length: tidy(b.length),
            mass: tidy(b.mass),
          })),
        }
      : {}),
    ...(peaks.length > 0
      ? {
          peaks: peaks.map((p) => ({
            run: p.run,
            at: tidy(p.at),
            width: tidy(p.left + p.right),
            height: tidy(p.top - p.foot),
            thickness: tidy(p.thick),
            mass: tidy(p.mass),
          })),
        }
      : {}),
    ...(stone.kind === 'ashlar'
      ? {
          stones: ashlarOf(wall, gauge).stones.map((s) => ({
            number: s.number,
            run: s.run,
            course: s.course,
            from: tidy(s.from),
            to: tidy(s.to),
            height: tidy(s.top - s.bottom),
            bed: tidy(s.bed),
            mass: tidy(s.mass),
          })),
        }
      : {}),
  };
}
