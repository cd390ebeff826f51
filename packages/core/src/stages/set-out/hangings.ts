import { SAME_PLACE, toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { readMass } from '../../measure/amounts.js';
import type { Keep, Lintel, Opening, PieceChange, Stated, Top, Vents, Wall } from '../../job/types.js';
import { BRIDGE } from '../../tables/stoneWalls.js';
import { topSegments, type TopSegment } from './outline.js';
import type { SetRun } from './wall.js';

export interface SetOpening {
  id: string;
  name: string;
  /** Place in the document's list, for edits. */
  index: number;
  run: number;
  /** Clear opening, actual mm along the run's outside face. */
  from: Mm;
  to: Mm;
  sill: Mm;
  head: Mm;
  must: boolean;
  /** Whether it may move, as somebody said; null where nobody has. */
  keep: Keep | null;
  /** How far its sill and head may stand off a course, mm. */
  tolerance: number;
  soldiers: boolean;
  symmetric: boolean;
  /** Of a wall of stone: stones laid across it side by side, how far each bears and how wide one is. */
  bridged: { bearing: Mm; each: Mm } | null;
  lintels: SetLintel[];
}

/** What is stated of a lintel; what is not is null. */
export interface SetLintel {
  /** Its place under the opening, for edits: `/lintel`, or `/lintel/0`. */
  path: string;
  leaf: number | null;
  kind: Lintel['kind'] | null;
  length: Mm | null;
  /** Where it bears at its left and its right. */
  bearings: [Mm, Mm] | null;
  height: Mm | null;
  /** kg. */
  weight: number | null;
  mark: string;
  by: string;
}

/** A top that is not level, in actual mm along its run. */
export interface SetTop {
  id: string;
  /** Place in the document's list, for edits. */
  index: number;
  run: number;
  kind: Top['kind'];
  from: Mm;
  to: Mm;
  /** Height above the base where it begins and where it ends, mm. */
  left: Mm;
  right: Mm;
  segments: TopSegment[];
}

/** A length of footing that stands `up` whole courses above the base. */
export interface SetStep {
  id: string;
  index: number;
  run: number;
  from: Mm;
  to: Mm;
  up: number;
}

/** One unit laid otherwise than the bond would have it. */
export interface SetChange {
  id: string;
  index: number;
  run: number;
  course: number;
  at: Mm;
  length: Mm;
  does: PieceChange['do'];
  /** Its address, where it is filed by that. */
  place: string | null;
}

export interface SetVents {
  id: string;
  index: number;
  run: number;
  course: number;
  what: Vents['what'];
  every: Mm;
}

export interface SetPier {
  id: string;
  name: string;
  index: number;
  run: number;
  from: Mm;
  to: Mm;
  side: 'inside' | 'outside';
}

/** A post of a frame, where it stands in the wall: its middle along the run, and how far in where somebody says, mm. */
export interface SetPost {
  id: string;
  name: string;
  index: number;
  run: number;
  at: Mm;
  width: Mm;
  depth: Mm;
  in: Mm | null;
}

/** A movement joint: the gap it leaves along its run, from footing to top. */
export interface SetJoint {
  id: string;
  index: number;
  run: number;
  from: Mm;
  to: Mm;
  beams: 'dowelled' | 'cut';
  /** Why it is not wanted: nothing is laid to it. */
  refused: string | null;
}

/** A fixed height that is not an opening's, mm above the base. */
export interface SetHeight {
  id: string;
  name: string;
  index: number;
  at: Mm;
  must: boolean;
  tolerance: number;
}

/** Everything that hangs on a wall's runs: what the bond lays round, over and up to. */
export interface Hangings {
  openings: SetOpening[];
  heights: SetHeight[];
  tops: SetTop[];
  steps: SetStep[];
  changes: SetChange[];
  vents: SetVents[];
  piers: SetPier[];
  /** Posts of a frame the wall fills. */
  posts: SetPost[];
  joints: SetJoint[];
}

/** A place stated at a run's nominal end is the end of its face. */
const endOn = (run: SetRun | undefined, to: number): number =>
  run && to > run.length && to <= run.stated + SAME_PLACE ? run.length : to;

const length = (l: Stated): number => toMillimetres(stated(l));

const optionally = (l: Stated | undefined): Mm | null => (l === undefined ? null : length(l));

function setLintel(l: Lintel, path: string): SetLintel {
  const { leaf = null, kind = null, bearings, mark = '', by = '' } = l;
  const [left, right] = Array.isArray(bearings) ? bearings : [bearings, bearings];
  const weight = l.weight === undefined ? null : readMass(l.weight);
  return {
    path,
    leaf,
    kind,
    length: optionally(l.length),
    bearings: left === undefined || right === undefined ? null : [length(left), length(right)],
    height: optionally(l.height),
    weight: weight?.ok ? weight.value : null,
    mark: mark.trim(),
    by: by.trim(),
  };
}

function lintelsOf({ lintel }: Opening): SetLintel[] {
  if (lintel === undefined) return [];
  return Array.isArray(lintel)
    ? lintel.map((l, i) => setLintel(l, `/lintel/${i}`))
    : [setLintel(lintel, '/lintel')];
}

/** Reads them. `off`: what a nominal length has over the tape, mm. `jointWidth`: a movement joint's, unstated. */
export function hangingsOf(
  wall: Wall,
  runs: readonly SetRun[],
  laid: { unitHeight: number; bed: number },
  off: number,
  jointWidth: number,
): Hangings {
  return {
    openings: (wall.openings ?? []).map((o, i) => ({
      id: o.id,
      name: o.name ?? o.id,
      index: i,
      run: o.run ?? 0,
      from: length(o.at) - off,
      to: length(o.at) + length(o.width),
      sill: length(o.sill),
      head: length(o.head),
      must: o.keep !== 'wish',
      keep: o.keep ?? null,
      tolerance: length(o.tolerance ?? 0),
      soldiers: o.over === 'soldiers',
      symmetric: o.symmetric ?? false,
      bridged: o.bridged
        ? {
            bearing: length(o.bridged.bearing ?? `${BRIDGE.bearing} mm`),
            each: length(o.bridged.each ?? `${BRIDGE.each} mm`),
          }
        : null,
      lintels: lintelsOf(o),
    })),
    tops: (wall.tops ?? []).map((t, i): SetTop => {
      const shape = {
        kind: t.kind,
        from: length(t.from),
        to: endOn(runs[t.run ?? 0], length(t.to)),
        left: length(t.left),
        right: length(t.right),
        step: t.step ?? 1,
        dip: length(t.dip ?? 0),
      };
      const segments = topSegments(shape, laid.unitHeight + laid.bed);
      const { kind, from, to, left, right } = shape;
      return { id: t.id, index: i, run: t.run ?? 0, kind, from, to, left, right, segments };
    }),
    steps: (wall.steps ?? []).map((s, i) => ({
      id: s.id,
      index: i,
      run: s.run ?? 0,
      from: length(s.from),
      to: endOn(runs[s.run ?? 0], length(s.to)),
      up: s.up,
    })),
    changes: (wall.build.pieces ?? []).map((p, i) => ({
      id: p.id,
      index: i,
      run: p.run ?? 0,
      course: p.course ?? 0,
      at: length(p.at ?? 0),
      length: length(p.length ?? 0),
      does: p.do,
      place: p.place ?? null,
    })),
    vents: (wall.vents ?? []).map((v, i) => ({
      id: v.id,
      index: i,
      run: v.run ?? 0,
      course: v.course ?? 1,
      what: v.what,
      every: length(v.every),
    })),
    piers: (wall.piers ?? []).map((p, i) => ({
      id: p.id,
      name: p.name ?? p.id,
      index: i,
      run: p.run ?? 0,
      from: length(p.at),
      to: length(p.at) + length(p.width),
      side: p.side ?? 'inside',
    })),
    posts: (wall.posts ?? []).map((p, i) => ({
      id: p.id,
      name: p.name ?? p.id,
      index: i,
      run: p.run ?? 0,
      at: length(p.at),
      width: length(p.width),
      depth: length(p.depth),
      in: optionally(p.from),
    })),
    joints: (wall.joints ?? []).map((j, i): SetJoint => {
      const width = j.width === undefined ? jointWidth : length(j.width);
      const from = length(j.at) - width / 2;
      const { id, run = 0, beams = 'dowelled', refused = null } = j;
      return { id, index: i, run, from, to: from + width, beams, refused };
    }),
    heights: (wall.heights ?? []).map((h, i) => ({
      id: h.id,
      name: h.name ?? h.id,
      index: i,
      at: length(h.at),
      must: h.keep !== 'wish',
      tolerance: length(h.tolerance ?? 0),
    })),
  };
}
