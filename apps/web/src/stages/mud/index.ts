import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Mud } from './Mud';

export const mud: BenchStage = { key: 'mud', name: BENCH.mud, Panel: memo(Mud), paper: 'mud' };
