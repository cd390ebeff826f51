import { writeLength } from '../../../measure/format.js';
import { INCH, millimetres } from '../../../measure/length.js';
import type { Stated } from '../../../job/types.js';
import type { SetWall } from '../../../stages/set-out/wall.js';

/** A place as a fix writes it: to half a millimetre or a sixteenth of an inch, which a tape can set out. */
export function toTheTape(wall: SetWall, mm: number): Stated {
  const grid = wall.show === 'mm' ? 0.5 : INCH / 16;
  return writeLength(millimetres(Math.round(mm / grid) * grid), wall.show);
}
