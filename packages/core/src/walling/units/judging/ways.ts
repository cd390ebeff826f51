import { SAYS } from './messages.js';
import type { Said } from '../../../messages/message.js';
import type { PatchStep } from '../../../job/edits/patch.js';
import type { Build } from '../../../job/types.js';
import type { Try } from '../../../findings/issue.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { familyOf } from '../../../tables/units.js';
import { cornerCloser } from '../bonds/running.js';
import { canPair, runEnds } from '../lines/ends.js';

/** A bond the wall could have instead: same line, another start or other corners. */
export interface BondWay {
  kind: string;
  name: Said;
  edit: PatchStep[];
  /** What the file says now, or its default. */
  inForce: boolean;
  /** In force because the file says nothing: the contract's own way, so it leads whatever it costs. */
  leads: boolean;
}

const setKey = (wall: SetWall, key: keyof Stated, value: string | boolean): PatchStep[] => [
  { op: 'add', path: `/walls/${wall.index}/build/${key}`, value },
];

/** Whether closers beside the corners would change anything. */
export const closersMatter = (wall: SetWall): boolean =>
  wall.bond.family === 'running' &&
  wall.bond.step > 0 &&
  runEnds(wall).some((e) => e.start.other !== null || e.end.other !== null) &&
  cornerCloser(wall) !== null;

/** What the file itself says of these. */
export type Stated = Pick<Build, 'start' | 'corners' | 'closers' | 'cuts'>;

/** Every start and corner rule open to this wall. A start only matters where run 0 begins free. */
export function bondWays(wall: SetWall, said: Stated = {}): BondWay[] {
  const unit = familyOf(wall.unit);
  const freeStart = runEnds(wall)[0]?.start.other === null;
  const ways: (Omit<BondWay, 'leads'> & { key: keyof Stated })[] = [];
  if (freeStart) {
    for (const start of ['whole', 'half'] as const) {
      ways.push({
        key: 'start',
        kind: `start-${start}`,
        name: SAYS[`begin-${start}`]({ unit }),
        edit: wall.start === start ? [] : setKey(wall, 'start', start),
        inForce: wall.start === start,
      });
    }
  }
  if (canPair(wall) && wall.bond.family === 'running') {
    for (const corners of ['in-turn', 'in-pairs'] as const) {
      ways.push({
        key: 'corners',
        kind: `corners-${corners}`,
        name: SAYS[`corners-${corners}`](),
        edit: wall.corners === corners ? [] : setKey(wall, 'corners', corners),
        inForce: wall.corners === corners,
      });
    }
  }
  if (closersMatter(wall)) {
    for (const closers of [false, true]) {
      ways.push({
        key: 'closers',
        kind: closers ? 'closers-beside-corners' : 'no-closers',
        name: closers ? SAYS['closers-beside']() : SAYS['no-closers'](),
        edit: wall.closers === closers ? [] : setKey(wall, 'closers', closers),
        inForce: wall.closers === closers,
      });
    }
  }
  if (wall.openings.length > 0 && wall.bond.family === 'running' && wall.bond.step === 1 / 2) {
    for (const cuts of ['panel', 'jamb'] as const) {
      ways.push({
        key: 'cuts',
        kind: `cuts-${cuts}`,
        name: SAYS[`cuts-${cuts}`](),
        edit: wall.cuts === cuts ? [] : setKey(wall, 'cuts', cuts),
        inForce: wall.cuts === cuts,
      });
    }
  }
  return ways.map(({ key, ...way }) => ({ ...way, leads: way.inForce && said[key] === undefined }));
}

/** Those ways as edits to try. */
export const wayTries = (wall: SetWall): Try[] =>
  bondWays(wall)
    .filter((w) => w.edit.length > 0)
    .map((w) => ({ says: w.name, edit: w.edit }));
