import type { Said } from '../messages/message.js';
import { TABLE } from './messages.js';
/**
 * The bonds a wall can be laid in. `running` bonds lay every unit lengthwise and step by a part of a unit from course to course;
 * `header` bonds mix stretchers and headers (`walling/units/bonds`). Names and rules: common practice.
 */
const LIST = [
  { id: 'half', name: TABLE['half-bond'](), family: 'running', step: 1 / 2, period: 2 },
  { id: 'third', name: TABLE['third-bond'](), family: 'running', step: 1 / 3, period: 2 },
  { id: 'quarter', name: TABLE['quarter-bond'](), family: 'running', step: 1 / 4, period: 2 },
  { id: 'stack', name: TABLE['stack-bond'](), family: 'running', step: 0, period: 2 },
  { id: 'english', name: TABLE['english-bond'](), family: 'header', step: 1 / 4, period: 2 },
  {
    id: 'english-garden',
    name: TABLE['english-garden-wall-bond'](),
    family: 'header',
    step: 1 / 4,
    period: 4,
  },
  { id: 'flemish', name: TABLE['flemish-bond'](), family: 'header', step: 1 / 4, period: 2 },
  {
    id: 'flemish-garden',
    name: TABLE['flemish-garden-wall-bond'](),
    family: 'header',
    step: 1 / 4,
    period: 2,
  },
] as const;

export type BondId = (typeof LIST)[number]['id'];

export interface Bond {
  id: BondId;
  name: Said;
  family: 'running' | 'header';
  /** How far a course steps from the one below, in units: 0 for stack bond. */
  step: number;
  /** Courses until the pattern comes round. */
  period: 2 | 4;
}

export const BONDS: readonly Bond[] = LIST;
export const BOND_IDS: readonly BondId[] = LIST.map((b) => b.id);

export const bondById = (id: BondId): Bond => BONDS.find((b) => b.id === id) ?? LIST[0];
