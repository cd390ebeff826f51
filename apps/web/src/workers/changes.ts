import { columnBuffer, copyOfCourse, drawnAlike, type CourseColumns, type BenchView } from '@even-tally/core';

/** A drawing without the pieces of courses that are as they were; how many courses there are, and those that are not. */
type Elevation = Omit<BenchView['elevation'], 'pieces'> & { courses: number; pieces: CourseColumns[] };

/** A view, or what of one has changed since the last that was sent: the rest is as it was. */
export interface ViewChange {
  whole: boolean;
  parts: Partial<Omit<BenchView, 'elevation'>>;
  elevation: Elevation;
}

/** Remembers what was sent, so that only what has changed crosses over and is drawn again. */
export function changeSender(): (view: BenchView) => ViewChange {
  let last = '';
  let sent = new Map<string, string>();
  let drawn: CourseColumns[] = [];
  return ({ elevation, ...view }) => {
    const which = `${view.wall.id}|${view.run}`;
    const whole = which !== last;
    if (whole) {
      sent = new Map();
      drawn = [];
    }
    const now = new Map<string, string>();
    const parts: Record<string, unknown> = {};
    for (const [part, value] of Object.entries(view)) {
      const text = JSON.stringify(value);
      now.set(part, text);
      if (sent.get(part) !== text) parts[part] = value;
    }
    const courses = elevation.pieces ?? [];
    const changed = courses.filter((c, i) => {
      const was = drawn[i];
      return !was || !drawnAlike(was, c);
    });
    [last, sent, drawn] = [which, now, courses];
    return {
      whole,
      parts,
      elevation: { ...elevation, courses: courses.length, pieces: changed.map(copyOfCourse) },
    };
  };
}

/** What of a change moves over without being copied. */
export const buffersOf = (change: ViewChange): ArrayBuffer[] => change.elevation.pieces.map(columnBuffer);

/** The view after a change: parts and courses that were not sent are the very same objects as before. */
export function withChange(was: BenchView | null, { whole, parts, elevation }: ViewChange): BenchView | null {
  if (!whole && !was) return null;
  const { courses, ...drawing } = elevation;
  const pieces = whole ? [] : (was?.elevation.pieces ?? []).slice(0, courses);
  for (const c of elevation.pieces) pieces[c.course - 1] = c;
  return { ...(whole ? null : was), ...parts, elevation: { ...drawing, pieces } } as BenchView;
}
