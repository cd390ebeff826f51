import type { CubicMetres } from '../../measure/length.js';
import { count, length, volume, type Workings } from '../figure.js';
import { filledVolume, type FillVolume } from './fill.js';
import { primeVolume } from './pours.js';
import type { GroutStageWork } from './work.js';
import { HOW } from '../workingMessages.js';

type Work = Pick<GroutStageWork, 'wall' | 'fills'>;

const CELLS = HOW['the-cells-of-the']();

const inWall = (p: Work, of: keyof FillVolume): number => p.fills.reduce((s, f) => s + f.volume[of], 0);

/** Grout in the wall, m³. */
export const groutInWall = (p: Pick<Work, 'fills'>): CubicMetres =>
  p.fills.reduce((s, f) => s + filledVolume(f.volume), 0);

/** How the figures of grout come about. */
export const GROUT_WORKINGS: Workings<Work> = {
  'grout.geometric': (p) => ({
    title: HOW['grout-in-the-wall'](),
    formula: HOW['cell-area-course-height'](),
    inputs: [
      volume(HOW.cells(), inWall(p, 'cells'), CELLS),
      volume(HOW['beams-full-height-and'](), inWall(p, 'beams'), HOW['length-inside-width-course']()),
      volume(HOW['courses-filled-solid-head'](), inWall(p, 'solid'), CELLS),
      count(
        HOW['cells-filled'](),
        p.fills.reduce((s, f) => s + f.cells.filter((c) => c.filled).length, 0),
        HOW['counted-once-each'](),
      ),
    ],
    result: groutInWall(p),
    quantity: 'volume',
    source: HOW['geometry-shells-and-webs'](),
  }),
  'grout.used': (p) => ({
    title: HOW['grout-to-order'](),
    formula: HOW['grout-in-the-wall-factor'](),
    inputs: [
      volume(HOW['grout-in-the-wall-x'](), groutInWall(p), HOW['see-its-own-working']()),
      {
        name: HOW.factor(),
        value: p.wall.profile.grout.factor,
        quantity: 'factor',
        source: p.wall.profile.grout.source,
      },
    ],
    result: groutInWall(p) * p.wall.profile.grout.factor,
    quantity: 'volume',
    source: p.wall.profile.grout.source,
  }),
  'grout.prime': (p) => ({
    title: HOW['slurry-to-prime-the'](),
    formula: HOW['4-bore-length'](),
    inputs: [
      length(HOW.length(), p.wall.grout?.hose?.length ?? 0, 'stated'),
      length(HOW.bore(), p.wall.grout?.hose?.bore ?? 0, 'stated'),
    ],
    result: primeVolume(p.wall.grout?.hose ?? null),
    quantity: 'volume',
    source: HOW['geometry-thrown-away-never'](),
  }),
};
