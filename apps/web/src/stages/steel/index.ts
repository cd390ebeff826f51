import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Steel } from './Steel';

export const steel: BenchStage = { key: 'steel', name: BENCH.steel, Panel: memo(Steel) };
