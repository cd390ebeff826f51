import type { PatchStep } from '../../../job/edits/patch.js';
import type { JobDocument, Stated } from '../../../job/types.js';
import { writeLength } from '../../../measure/format.js';
import { millimetres, type Mm } from '../../../measure/length.js';
import type { SetStone } from '../../../stages/set-out/stone.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Laid } from '../../walling.js';

/** What of a wall of stone is judged. */
export interface At {
  job: JobDocument;
  wall: SetWall;
  stone: SetStone;
  laid: Laid;
}

export const BOND = { stage: 'bond' } as const;

export const written = ({ job }: At, mm: Mm): Stated =>
  writeLength(millimetres(Math.round(mm * 100) / 100), job.show);
export const set = ({ wall }: At, key: string, value: unknown): PatchStep[] => [
  { op: 'add', path: `/walls/${wall.index}/build/${key}`, value },
];
