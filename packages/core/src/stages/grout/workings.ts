import type { CubicMetres } from '../../measure/length.js';
import { GROUT_FACTOR, GROUT_FACTOR_SOURCE } from '../../tables/grout.js';
import { count, length, volume, type Workings } from '../figure.js';
import { filledVolume, type FillVolume } from './fill.js';
import { primeVolume } from './pours.js';
import type { GroutStageWork } from './work.js';

type Work = Pick<GroutStageWork, 'wall' | 'fills'>;

const CELLS = 'the cells of the units as specified, course by course';

const inWall = (p: Work, of: keyof FillVolume): number => p.fills.reduce((s, f) => s + f.volume[of], 0);

/** Grout in the wall, m³. */
export const groutInWall = (p: Pick<Work, 'fills'>): CubicMetres =>
  p.fills.reduce((s, f) => s + filledVolume(f.volume), 0);

/** How the figures of grout come about. */
export const GROUT_WORKINGS: Workings<Work> = {
  'grout.geometric': (p) => ({
    title: 'Grout in the wall',
    formula: 'Σ cell area × course height + beams + courses filled solid',
    inputs: [
      volume('cells', inWall(p, 'cells'), CELLS),
      volume(
        'beams, full height and inside width',
        inWall(p, 'beams'),
        'length × inside width × course height',
      ),
      volume('courses filled solid, head joints with them', inWall(p, 'solid'), CELLS),
      count(
        'cells filled',
        p.fills.reduce((s, f) => s + f.cells.filter((c) => c.filled).length, 0),
        'counted once each',
      ),
    ],
    result: groutInWall(p),
    quantity: 'volume',
    source: 'geometry: shells and webs as specified, bars not taken off (about 1 %)',
  }),
  'grout.used': (p) => ({
    title: 'Grout to order',
    formula: 'grout in the wall × factor',
    inputs: [
      volume('grout in the wall', groutInWall(p), 'see its own working'),
      { name: 'factor', value: GROUT_FACTOR, quantity: 'factor', source: GROUT_FACTOR_SOURCE },
    ],
    result: groutInWall(p) * GROUT_FACTOR,
    quantity: 'volume',
    source: GROUT_FACTOR_SOURCE,
  }),
  'grout.prime': (p) => ({
    title: 'Slurry to prime the hose',
    formula: 'π/4 × bore² × length',
    inputs: [
      length('length', p.wall.grout?.hose?.length ?? 0, 'stated'),
      length('bore', p.wall.grout?.hose?.bore ?? 0, 'stated'),
    ],
    result: primeVolume(p.wall.grout?.hose ?? null),
    quantity: 'volume',
    source: 'geometry; thrown away, never into a cell or a slab',
  }),
};
