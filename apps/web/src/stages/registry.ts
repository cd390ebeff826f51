import { bond } from './bond';
import { gauge } from './gauge';
import { mud } from './mud';
import { setOut } from './set-out';
import type { BenchStage } from './stage';
import { steel } from './steel';
import { tally } from './tally';

/** The stages built so far, in the order of the work: the line, the keys and the slip follow. */
export const STAGES: readonly BenchStage[] = [setOut, gauge, bond, steel, mud, tally];

export const stageNamed = (
  key: string | undefined,
  stages: readonly BenchStage[] = STAGES,
): BenchStage | undefined => stages.find((s) => s.key === key);
