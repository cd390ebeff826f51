import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Bond } from './Bond';

export const bond: BenchStage = { key: 'bond', name: 'Bond', Panel: memo(Bond) };
