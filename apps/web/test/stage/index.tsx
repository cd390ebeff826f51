import type { ReactNode } from 'react';
import type { BenchStage } from '../../src/stages/stage';

const Scaffold = (): ReactNode => <p>Boards</p>;

/** A stage that is not there: what one costs the bench is this folder, and a line in the registry. */
export const scaffold: BenchStage = {
  key: 'days',
  name: 'Scaffold',
  Panel: Scaffold,
};
