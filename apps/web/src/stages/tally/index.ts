import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Tally } from './Tally';

export const tally: BenchStage = { key: 'tally', name: BENCH.tally, Panel: memo(Tally) };
