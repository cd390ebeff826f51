import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Gauge } from './Gauge';

export const gauge: BenchStage = { key: 'gauge', name: BENCH.gauge, Panel: memo(Gauge), paper: 'pole' };
