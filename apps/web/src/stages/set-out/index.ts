import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { SetOut } from './SetOut';

export const setOut: BenchStage = { key: 'set-out', name: BENCH.setOut, Panel: memo(SetOut), paper: 'plan' };
