import { SAYS } from './messages.js';
import { showMm, type Show } from '../measure/format.js';
import type { Finding } from '../findings/finding.js';
import type { WallWork } from '../plan/work.js';
import { wallingOf } from '../walling/registry.js';
import { FOOTING_DRAWN, skyShapes, stepShapes } from './outline.js';
import { line, mark, rect, words, type SceneShape } from '../shapes/shape.js';
import type { Scene } from './scene.js';

const letterOf = (i: number): string =>
  i < 26
    ? String.fromCharCode(65 + i)
    : `${String.fromCharCode(64 + Math.floor(i / 26))}${String.fromCharCode(65 + (i % 26))}`;

export interface Lettered {
  letter: string;
  finding: Finding;
}

/** Chalk letters for the findings of a sheet, in the order the wall says them. */
export const letterFindings = (findings: readonly Finding[]): Lettered[] =>
  findings.map((finding, i) => ({ letter: letterOf(i), finding }));

const isJoint = (f: Finding): boolean => f.code === 'straight-joint' || f.code === 'lap-short';

function placeOf(work: WallWork, f: Finding): { x: number; y: number } {
  const { courses } = work.gauge;
  const from = courses[(f.course ?? 1) - 1];
  // A joint's letter stands half way up it; any other at the lowest course it is about.
  const to = isJoint(f) ? (courses[(f.to ?? f.course ?? 1) - 1] ?? from) : from;
  const length = work.wall.runs[f.run ?? 0]?.length ?? 0;
  const opening = work.wall.openings.find((o) => o.id === f.opening);
  // Low in an opening, clear of its name.
  if (opening)
    return {
      x: f.at ?? (opening.from + opening.to) / 2,
      y: opening.sill + 0.14 * (opening.head - opening.sill),
    };
  return { x: f.at ?? length / 2, y: from && to ? (from.bottom + to.top) / 2 : 0 };
}

function findingShapes(work: WallWork, { letter, finding }: Lettered): SceneShape[] {
  const { x, y } = placeOf(work, finding);
  const shapes: SceneShape[] = [];
  const { courses } = work.gauge;
  if (isJoint(finding) && finding.course !== null && finding.at !== null) {
    const low = courses[finding.course - 1];
    const high = courses[(finding.to ?? finding.course) - 1];
    if (low && high) shapes.push(line('bad-joint', finding.at, low.bottom, finding.at, high.top));
  }
  shapes.push(mark(`letter-${finding.severity}`, x, y, letter, letter));
  return shapes;
}

/** Air bricks and vents where they are let in. */
const ventShapes = (work: WallWork, run: number): SceneShape[] =>
  work.wall.vents
    .filter((v) => v.run === run)
    .flatMap((v) => {
      const course = work.gauge.courses[v.course - 1];
      const pieces = work.runs.find((r) => r.index === run)?.rows[v.course - 1]?.pieces ?? [];
      return pieces
        .filter((p) => course && p.fitting !== undefined && p.fitting !== 'soldier')
        .map((p) =>
          rect(
            'vent',
            p.from,
            (course?.bottom ?? 0) + (course?.bed ?? 0),
            p.to - p.from,
            course?.unitHeight ?? 0,
          ),
        );
    });

/** The face of one run seen from outside, unit by unit. `letters` are drawn where they belong. */
export function elevationScene(work: WallWork, run: number, letters: readonly Lettered[], show: Show): Scene {
  const length = work.wall.runs[run]?.length ?? 0;
  const height =
    Math.max(work.wall.height, work.gauge.courses.at(-1)?.top ?? 0) + (work.wall.stone?.copes?.height ?? 0);
  const over = Math.min(400, length * 0.06);
  const shapes: SceneShape[] = [
    rect('ground', -over * 2, -FOOTING_DRAWN * 1.6, length + over * 4, FOOTING_DRAWN * 1.6),
    rect('footing', -over, -FOOTING_DRAWN, length + over * 2, FOOTING_DRAWN),
  ];
  shapes.push(...stepShapes(work.wall, work.gauge, run), ...skyShapes(work.wall, work.gauge, run));
  shapes.push(...ventShapes(work, run));
  const { short } = work.gauge;
  if (short > 0)
    shapes.push(
      rect('short', 0, work.wall.height - short, length, short),
      words('short-name', length, work.wall.height, SAYS['not-built']({ by: short }), 'end'),
    );
  for (const o of work.wall.openings.filter((one) => one.run === run)) {
    const middle = (o.from + o.to) / 2;
    shapes.push(
      rect('opening', o.from, o.sill, o.to - o.from, o.head - o.sill, o.id),
      words('opening-name', middle, (o.sill + o.head) / 2, o.name, 'middle', o.id),
      words(
        'opening-size',
        middle,
        (o.sill + o.head) / 2,
        `${showMm(o.to - o.from, show)} × ${showMm(o.head - o.sill, show)}`,
        'middle',
      ),
    );
  }
  for (const l of letters) if ((l.finding.run ?? run) === run) shapes.push(...findingShapes(work, l));
  // A wall that goes into another shows how far.
  const bonded = work.runs.find((r) => r.index === run);
  const from = Math.min(0, bonded?.from ?? 0);
  const reach = Math.max(length, bonded?.to ?? 0) - from;
  return {
    box: { x: from, y: 0, w: reach, h: height },
    pieces: wallingOf(work.wall).pieces(work, run),
    shapes,
  };
}
