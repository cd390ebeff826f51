import { toMillimetres } from '../measure/length.js';
import { stated } from '../job/stated.js';
import type { JobDocument, Stated } from '../job/types.js';
import { fadePlan, sayLean, type FadePlan, type SaidLean } from './lean.js';
import { drifts, type Drift } from './oldGauge.js';
import { pouredBeds, type PouredUnit } from './poured.js';
import { checkSquare, threeFourFive, type SquareAnswer } from './square.js';
import type { SetWall } from './wall.js';

/** What measuring the ground, the footing and the old work of one wall comes to. */
export interface Survey {
  poured: { run: number; units: PouredUnit[] }[];
  /** Runs some of whose spot levels come from the simulated level. */
  simulated: number[];
  square: SquareAnswer | null;
  /** Legs and hypotenuse that fit the first two runs, mm. */
  threeFourFive: [number, number, number] | null;
  drifts: Drift[];
  lean: SaidLean | null;
  fade: FadePlan | null;
  /** Why it is not for a mason to decide, each a sentence. */
  engineer: string[];
}

const mm = (s: Stated): number => toMillimetres(stated(s));

/** `firstCourse` gives the units of course one of a run, as the bond laid them. */
export function surveyOf(
  job: JobDocument,
  wall: SetWall,
  firstCourse: (run: number) => { from: number; to: number }[],
): Survey {
  const document = job.walls[wall.index];
  const { firstBed } = wall.profile;
  const limits = {
    least: Math.min(toMillimetres(firstBed.least), wall.bed),
    most: Math.max(toMillimetres(firstBed.most), wall.bed),
  };
  const runs = [...new Set(wall.poured.map((s) => s.run))].sort((a, b) => a - b);
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
          thickness: wall.thickness,
          courses,
          pitch: wall.unitHeight + wall.bed,
          over: old.fade ?? Math.min(courses, 6),
        })
      : null;
  const said = lean ? sayLean(lean) : null;
  const engineer: string[] = [];
  if (said && said.oneIn < wall.profile.leanLimit.oneIn)
    engineer.push(
      `The old wall leans 1 in ${said.oneIn.toFixed(0)}, more than 1 in ${wall.profile.leanLimit.oneIn}.`,
    );
  if (fade?.outside) engineer.push('Built on as planned, the weight leaves the middle third of a bed.');
  return {
    poured: runs.map((run) => ({
      run,
      units: pouredBeds(
        firstCourse(run),
        wall.poured.filter((s) => s.run === run),
        wall.bed,
        limits,
      ),
    })),
    simulated: runs.filter((run) => (document?.poured ?? []).some((s) => s.run === run && s.simulated)),
    square: taped && first > 0 && second > 0 ? checkSquare({ ab, bc, cd, da, ac, bd }, first, second) : null,
    threeFourFive:
      first > 0 && second > 0 ? threeFourFive(first, second, wall.show === 'mm' ? 100 : 304.8) : null,
    drifts:
      old.height !== undefined && old.courses !== undefined
        ? drifts({ height: mm(old.height), courses: old.courses }, wall.unitHeight, wall.bed, courses)
        : [],
    lean: said,
    fade,
    engineer,
  };
}
