/** A lean as it is measured: a level held plumb, and the gap at one end of it. Positive leans outward. */
export interface Lean {
  gap: number;
  over: number;
}

export interface SaidLean {
  /** Millimetres in a metre, the n of 1 in n (Infinity when plumb) and degrees. */
  perMetre: number;
  oneIn: number;
  degrees: number;
}

export const sayLean = ({ gap, over }: Lean): SaidLean => ({
  perMetre: (gap / over) * 1000,
  oneIn: gap === 0 ? Infinity : over / Math.abs(gap),
  degrees: (Math.atan2(gap, over) * 180) / Math.PI,
});

export interface FadeCourse {
  course: number;
  /** Top of the course above the old work. */
  top: number;
  /** How far its face stands out of plumb of the old wall's foot, and how far it comes back from the one below. */
  offset: number;
  back: number;
  /** Distance of the resultant of everything above this bed from the middle of the bed. */
  eccentricity: number;
  inMiddleThird: boolean;
}

export interface FadePlan {
  courses: FadeCourse[];
  /** Outside the middle third somewhere, in new work or at the foot of the old. */
  outside: boolean;
  /** The old wall: how high, how far its top stands out of plumb of its foot, and how many new courses bring that back. */
  old: { height: number; out: number; over: number };
  /** Old work to take down to where it is plumb instead, m³ for each metre of wall. */
  takeDown: number;
}

export interface Fade {
  /** The old wall: its lean, its height, and its thickness. */
  lean: Lean;
  oldHeight: number;
  thickness: number;
  /** New courses, their pitch, and how many of them bring the face back to plumb over the old top. */
  courses: number;
  pitch: number;
  over: number;
}

/**
 * Building on above a leaning wall: the first courses lie on the old line and come back a little each, plumb from
 * course `over` upwards. The resultant is the weight of all above a bed, wall of one density, no other load: the
 * check may stop the work, and is never an approval. Statics and common practice.
 */
export function fadePlan(f: Fade): FadePlan {
  const slope = f.lean.gap / f.lean.over;
  const out = slope * f.oldHeight;
  // The old line carries on out of plumb at first; the step back grows course by course until the face is plumb.
  const offsets: number[] = [];
  let offset = out;
  for (let k = 1; k <= f.courses; k++) {
    const left = Math.max(0, 1 - k / Math.max(1, f.over));
    offset += slope * f.pitch * left;
    offsets.push(offset);
  }
  const third = f.thickness / 6;
  const courses = offsets.map((at, i): FadeCourse => {
    const above = offsets.slice(i);
    const mean = above.reduce((a, b) => a + b, 0) / above.length;
    const below = offsets[i - 1] ?? out;
    const eccentricity = mean - below;
    return {
      course: i + 1,
      top: (i + 1) * f.pitch,
      offset: at,
      back: slope * f.pitch - (at - below),
      eccentricity,
      inMiddleThird: Math.abs(eccentricity) <= third + 1e-9,
    };
  });
  // At the foot of the old wall: its own weight leans by half, the new stands on top of it.
  const newWeight = f.courses * f.pitch;
  const mean = offsets.length > 0 ? offsets.reduce((a, b) => a + b, 0) / offsets.length : 0;
  const foot = (f.oldHeight * (out / 2) + newWeight * mean) / (f.oldHeight + newWeight);
  return {
    courses,
    outside: courses.some((c) => !c.inMiddleThird) || Math.abs(foot) > third + 1e-9,
    old: { height: f.oldHeight, out, over: f.over },
    takeDown: (f.oldHeight * f.thickness) / 1e6,
  };
}
