import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Gauge } from './Gauge';

export const gauge: BenchStage = { key: 'gauge', name: 'Gauge', Panel: memo(Gauge) };
