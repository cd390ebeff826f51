import { BENCH } from '@even-tally/words';
import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Bond } from './Bond';

export const bond: BenchStage = { key: 'bond', name: BENCH.bond, Panel: memo(Bond) };
