import { memo } from 'react';
import type { BenchStage } from '../stage';
import { Steel } from './Steel';

export const steel: BenchStage = { key: 'steel', name: 'Steel', Panel: memo(Steel) };
