import { checkJob } from '../job/check.js';
import { sayFault } from '../statement/fault.js';
import type {
  UnitBuild,
  FixedHeight,
  Job,
  JobDocument,
  LineItem,
  Opening,
  OwnUnit,
  Stated,
  Wall,
} from '../job/types.js';
import { createWords } from '@even-tally/words';
import type { Choice, Finding, Fix } from '../findings/finding.js';
import type { Say } from '../messages/message.js';
import { plan, type WallPlan } from '../plan/plan.js';
import { rowsSeen } from '../walling/units/leaves/leaf.js';
import type { Row } from '../walling/units/laying/row.js';

/** Small jobs for tests: one wall, everything unsaid left to the defaults. */
export interface OneWall {
  line: LineItem[];
  height: Stated;
  unit?: string;
  profile?: JobDocument['profile'];
  show?: JobDocument['show'];
  lengths?: Wall['lengths'];
  build?: Partial<UnitBuild>;
  openings?: Partial<Opening>[];
  heights?: FixedHeight[];
  units?: OwnUnit[];
  /** Anything else of the wall, as the file has it. */
  wall?: Partial<Wall>;
}

export function documentOf(w: OneWall): JobDocument {
  return {
    format: 'even-tally/job',
    version: 1,
    name: 'Test',
    show: w.show ?? 'ft-in',
    profile: w.profile ?? 'us',
    ...(w.units ? { units: w.units } : {}),
    walls: [
      {
        id: 'w',
        name: 'Wall',
        line: w.line,
        height: w.height,
        ...(w.lengths ? { lengths: w.lengths } : {}),
        build: { kind: 'units', unit: w.unit ?? 'cmu-8x8x16', bond: 'half', ...w.build },
        openings: (w.openings ?? []).map((o, i) => ({
          id: `O${i + 1}`,
          run: 0,
          at: 0,
          width: 0,
          sill: 0,
          head: 0,
          ...o,
        })),
        ...(w.heights ? { heights: w.heights } : {}),
        ...w.wall,
      },
    ],
  };
}

export function soundJob(document: unknown): Job {
  const checked = checkJob(document);
  if (!checked.ok) throw new Error(checked.faults.map(sayFault).join('\n'));
  return checked.job;
}

export const jobOf = (w: OneWall): Job => soundJob(documentOf(w));

export function planOf(w: OneWall, advise = false): SaidPlan {
  const p = plan(jobOf(w), [], { advise }).walls[0];
  if (!p) throw new Error('no wall');
  return inWords(p);
}

/** What puts into words, for tests that read them: the trade’s own, British, as lengths are shown there. */
export const sayFor = (show: JobDocument['show']): Say => createWords('en-uk', show).say;

type SaidFix = Omit<Fix, 'says'> & { says: string };
type SaidFinding = Omit<Finding, 'says' | 'fixes'> & { says: string; fixes: SaidFix[] };
type SaidChoice = Omit<Choice, 'says' | 'name'> & { says: string; name: string };
/** A plan with its sentences said. */
export type SaidPlan = Omit<WallPlan, 'findings' | 'choices'> & {
  findings: SaidFinding[];
  choices: SaidChoice[];
};

/** The same plan, everything it says in words. */
export function inWords(p: WallPlan): SaidPlan {
  const say = sayFor(p.wall.show);
  return {
    ...p,
    findings: p.findings.map((f) => ({
      ...f,
      says: say(f.says),
      fixes: f.fixes.map((x) => ({ ...x, says: say(x.says) })),
    })),
    choices: p.choices.map((c) => ({ ...c, says: say(c.says), name: say(c.name) })),
  };
}

export const faultsOf = (document: unknown): string[] => {
  const checked = checkJob(document);
  return checked.ok ? [] : checked.faults.map(sayFault);
};

export const straight = (run: Stated): LineItem[] => [{ run }];
export const corner = (a: Stated, b: Stated, turn = 90): LineItem[] => [{ run: a }, { turn }, { run: b }];
export const closed = (a: Stated, b: Stated): LineItem[] => [
  { run: a },
  { turn: 90 },
  { run: b },
  { turn: 90 },
  { run: a },
  { turn: 90 },
  { run: b },
];

export const lengths = (p: WallPlan, course: number, run = 0): number[] =>
  (p.runs[run]?.rows[course - 1]?.pieces ?? []).map((x) => Math.round((x.to - x.from) * 1e4) / 1e4);
export const kinds = (p: WallPlan, course: number, run = 0): string[] =>
  (p.runs[run]?.rows[course - 1]?.pieces ?? []).map((x) => x.kind);

/** The rows of what stands behind the face of a run, in places of the face; none where nothing does. */
export function rowsBehind(p: WallPlan, run = 0): Row[] {
  const leaf = p.leaves[1];
  const own = leaf?.runs.find((r) => r.index === run);
  return leaf && own ? rowsSeen(leaf, own).rows : [];
}
