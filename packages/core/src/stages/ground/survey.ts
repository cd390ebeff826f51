import type { Said } from '../../messages/message.js';
import { SAYS } from './messages.js';
import { FOOT, toMillimetres } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import type { JobDocument, Stated } from '../../job/types.js';
import { fadePlan, sayLean, type FadePlan, type SaidLean } from '../set-out/lean.js';
import { drifts, oneEnd, type Drift, type OneEnd } from '../set-out/oldGauge.js';
import { leastLine, spotsOf, type LeastLine, type SpotOn } from '../set-out/leastLine.js';
import { pouredBeds, type PouredUnit, type Spot } from '../set-out/poured.js';
import { checkSquare, threeFourFive, type SquareAnswer } from '../set-out/square.js';
import { thicknessActing, type SetWall } from '../set-out/wall.js';

/** What measuring the ground, the footing and the old work of one wall comes to. */
export interface Survey {
  poured: { run: number; units: PouredUnit[] }[];
  /** The line that serves the footing as poured with least grinding and packing; null where nothing is levelled. */
  line: LeastLine | null;
  /** Runs some of whose spot levels come from the simulated level. */
  simulated: number[];
  square: SquareAnswer | null;
  /** Legs and hypotenuse that fit the first two runs, mm. */
  threeFourFive: [number, number, number] | null;
  drifts: Drift[];
  /** Old marks followed at one end of the first run alone. */
  oneEnd: OneEnd | null;
  /** Height of one course of the old work, bed and all, mm, where it was measured. */
  oldPitch: number | null;
  lean: SaidLean | null;
  fade: FadePlan | null;
  /** Why it is not for a mason to decide, each a sentence. */
  engineer: Said[];
}

const mm = (s: Stated): number => toMillimetres(stated(s));

/** Units laid first on the footing, and how far above the base it stands there: more than nothing on a step. */
export interface FirstLaid {
  from: number;
  to: number;
  rise: number;
}

/** Steps apart: each is judged by the spots shot on it. */
function bedsOf(
  wall: SetWall,
  run: number,
  laid: readonly FirstLaid[],
  limits: { least: number; most: number },
): { units: PouredUnit[]; spots: SpotOn[] } {
  const spots = spotsOf(wall, run);
  const rises = [...new Set(laid.map((u) => u.rise))];
  const riseAt = (x: number): number =>
    laid.reduce(
      (near, u) => {
        const by = Math.max(0, u.from - x, x - u.to);
        return by < near.by ? { by, rise: u.rise } : near;
      },
      { by: Infinity, rise: 0 },
    ).rise;
  const over = (s: Spot): Spot => ({ at: s.at, level: s.level - riseAt(s.at) });
  return {
    units: rises.flatMap((rise) => {
      const own = spots.filter((s) => riseAt(s.at) === rise).map(over);
      const units = laid.filter((u) => u.rise === rise);
      return own.length > 0 ? pouredBeds(units, own, wall.bed, limits) : [];
    }),
    // A neighbour's spot is on the list of its own run already.
    spots: wall.poured.filter((s) => s.run === run).map((s) => ({ run, ...over(s) })),
  };
}

/** `firstLaid` gives the units that stand on a run's footing, as the bond laid them. */
export function surveyOf(job: JobDocument, wall: SetWall, firstLaid: (run: number) => FirstLaid[]): Survey {
  const document = job.walls[wall.index];
  const { firstBed } = wall.profile;
  const limits = {
    least: Math.min(toMillimetres(firstBed.least), wall.bed),
    most: Math.max(toMillimetres(firstBed.most), wall.bed),
  };
  const runs =
    wall.poured.length === 0 ? [] : wall.runs.map((_, i) => i).filter((i) => spotsOf(wall, i).length > 0);
  const laid = runs.map((run) => ({ run, ...bedsOf(wall, run, firstLaid(run), limits) }));
  const courses = Math.round(wall.height / (wall.unitHeight + wall.bed));
  const taped = document?.square;
  const [first, second] = [wall.runs[0]?.length ?? 0, wall.runs[1]?.length ?? 0];
  const [ab = 0, bc = 0, cd = 0, da = 0] = (taped?.sides ?? []).map(mm);
  const [ac = 0, bd = null] = (taped?.diagonals ?? []).map(mm);
  const old = document?.old ?? {};
  const lean =
    old.gap !== undefined && old.over !== undefined ? { gap: mm(old.gap), over: mm(old.over) } : null;
  const fade =
    lean && old.wallHeight !== undefined
      ? fadePlan({
          lean,
          oldHeight: mm(old.wallHeight),
          thickness: thicknessActing(wall),
          courses,
          pitch: wall.unitHeight + wall.bed,
          over: old.fade ?? Math.min(courses, 6),
        })
      : null;
  const said = lean ? sayLean(lean) : null;
  const engineer: Said[] = [];
  if (said && said.oneIn < wall.profile.leanLimit.oneIn)
    engineer.push(SAYS.leans({ oneIn: Math.round(said.oneIn), most: wall.profile.leanLimit.oneIn }));
  if (fade?.outside) engineer.push(SAYS['leaves-middle-third']());
  return {
    poured: laid.map(({ run, units }) => ({ run, units })),
    line: leastLine(
      laid.flatMap((l) => l.spots),
      wall.bed,
      limits,
    ),
    simulated: runs.filter((run) => (document?.poured ?? []).some((s) => s.run === run && s.simulated)),
    square: taped && first > 0 && second > 0 ? checkSquare({ ab, bc, cd, da, ac, bd }, first, second) : null,
    threeFourFive:
      first > 0 && second > 0 ? threeFourFive(first, second, wall.show === 'mm' ? 100 : FOOT) : null,
    oldPitch: old.height !== undefined && old.courses !== undefined ? mm(old.height) / old.courses : null,
    drifts:
      old.height !== undefined && old.courses !== undefined
        ? drifts({ height: mm(old.height), courses: old.courses }, wall.unitHeight, wall.bed, courses)
        : [],
    oneEnd:
      old.height !== undefined && old.courses !== undefined
        ? oneEnd({ height: mm(old.height), courses: old.courses }, wall.unitHeight, wall.bed, courses, first)
        : null,
    lean: said,
    fade,
    engineer,
  };
}
