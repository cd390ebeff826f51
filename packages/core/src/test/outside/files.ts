/** The job file and the plan as JSON, as far as the outside checker reads them. */
export interface JobFile {
  profile: 'us' | 'uk' | 'earth';
  walls: WallFile[];
}

export interface WallFile {
  id: string;
  line: Record<string, unknown>[];
  height: unknown;
  lengths?: 'nominal' | 'actual';
  build: {
    unit: string;
    bond: string;
    bed?: unknown;
    head?: unknown;
    wythes?: number;
    closers?: boolean;
    cavity?: { inner: string; width: unknown };
    start?: string;
    corners?: string;
    cuts?: string;
    pieces?: unknown[];
    gauge?: unknown;
    samples?: unknown;
  };
  openings?: {
    id: string;
    run?: number;
    at: unknown;
    width: unknown;
    sill: unknown;
    head: unknown;
    over?: string;
  }[];
  steel?: {
    vertical?: { bar: string; every: unknown };
    beams?: { course: unknown; bar: string; count: number }[];
    cells?: unknown[];
  };
  grout?: { fill: unknown; below?: unknown; jambs?: boolean };
  meets?: { wall: string; run: number; at: unknown; how?: string; on?: string };
  tops?: unknown[];
  steps?: unknown[];
  piers?: unknown[];
  vents?: unknown[];
  joints?: unknown[];
}

export interface PieceFile {
  kind: string;
  run: number;
  from: number;
  to: number;
  length?: number;
  cutFrom?: string;
  shows?: { run: number; from: number; to: number };
  bottom?: number;
  top?: number;
  rake?: { left: number; right: number };
  fitting?: string;
}

export interface CourseFile {
  number: number;
  bottom: number;
  top: number;
  bed: number;
  unitHeight: number;
}

export interface RowFile {
  course: number;
  leaf: number;
  pieces: PieceFile[];
}

export interface FindingFile {
  code: string;
  severity: string;
  course?: number;
  to?: number;
  run?: number;
  at?: number;
  says: string;
  fixes: { says: string; edit: unknown[] }[];
}

export interface WallPlanFile {
  id: string;
  courses: CourseFile[];
  rows: RowFile[];
  inner?: { unit: string; courses: CourseFile[]; rows: RowFile[] };
  units: Record<string, number>;
  bars: {
    mark: string;
    run: number;
    at?: number;
    course?: number;
    from?: number;
    to?: number;
    bottom: number;
    top: number;
    length: number;
    count: number;
  }[];
  cells: { run: number; at: number; bottom: number; top: number; grouted: boolean }[];
  findings: FindingFile[];
}

export interface PlanFile {
  walls: WallPlanFile[];
  tally: {
    units: Record<string, Record<string, { net: number; ordered: number }>>;
    mortar: { geometric: number; used: number };
    grout: { geometric: number; used: number };
  };
}
