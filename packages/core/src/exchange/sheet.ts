import { sayMm, type Show } from '../measure/format.js';
import { CAUTION } from '../stages/paper.js';
import type { WallPlan } from '../plan/plan.js';
import { scenesToSvg } from './svg.js';
import { elevationScene, letterFindings } from '../scene/elevation.js';
import { FOOTING_DRAWN } from '../scene/outline.js';
import { poleScene } from '../scene/pole.js';
import { words, type SceneShape } from '../shapes/shape.js';
import type { Scene } from '../scene/scene.js';
import { shapesOver } from '../plan/says.js';
import { coursePlanScene, tapeScene } from '../scene/tape.js';

const label = (shape: ReturnType<typeof words>): Scene => ({
  box: { x: 0, y: 0, w: 0, h: 0 },
  pieces: null,
  shapes: [shape],
});

/** Letters that stand on one place, set side by side: `wide` apart, mm. */
function apart(shapes: readonly SceneShape[], wide: number): SceneShape[] {
  const stood: { x: number; y: number }[] = [];
  return shapes.map((shape) => {
    if (shape.type !== 'text' || !shape.role.startsWith('letter')) return shape;
    let { x } = shape;
    while (stood.some((s) => Math.abs(s.x - x) < wide && Math.abs(s.y - shape.y) < wide)) x += wide;
    stood.push({ x, y: shape.y });
    return { ...shape, x };
  });
}

/** Sheet width, in mm for each millimetre of label scale: about what an A4 page reads well. */
const PAGE = 5200;

function wrap(text: string, most: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ')) {
    if (line !== '' && line.length + word.length + 1 > most) {
      lines.push(line);
      line = word;
    } else line = line === '' ? word : `${line} ${word}`;
  }
  return [...lines, line];
}

/** The sheet of one run as an SVG file: pole, elevation, tape, odd and even courses, and what the wall says. */
export function sheetSvg(plan: WallPlan, run: number, show: Show): string {
  const { wall } = plan;
  const length = wall.runs[run]?.length ?? 0;
  const letters = letterFindings(plan.findings.filter((f) => f.run === null || f.run === run));
  const elevation = elevationScene(plan, run, letters, show);
  const span = Math.max(length, elevation.box.h * 1.3);
  const t = span / (PAGE - 1700);
  const width = PAGE * t;
  const left = 1100 * t;
  const base = 480 * t + elevation.box.h;
  const tapeBase = base + FOOTING_DRAWN + 190 * t;
  const courses = [1, 2].map((course) => coursePlanScene(plan, run, course));
  const planStep = Math.max(...courses.map((c) => c.box.h)) + 60 * t;
  const says = tapeBase + 2 * planStep + 260 * t;
  const name = wall.runs.length > 1 ? `${wall.name}: ${wall.runs[run]?.name ?? ''}` : wall.name;
  const measure = `${sayMm(length, show)} long on the outside face, ${sayMm(wall.height, show)} high, ${wall.unit.name}`;
  const put = (
    role: 'title' | 'course-name' | 'caution',
    text: string,
    dx: number,
    y: number,
    anchor: 'start' | 'end' = 'start',
  ) => ({
    scene: label(words(role, 0, 0, text, anchor)),
    dx,
    base: y,
  });
  const lines = letters.flatMap((l) =>
    wrap(`${l.letter}  ${l.finding.severity.toUpperCase()}: ${l.finding.says}`, 105),
  );
  const cautions = wrap(CAUTION, 135);
  const saysAt = (i: number): number => says + i * 110 * t;
  const placed = [
    put('title', name, 150 * t, 170 * t),
    put('course-name', measure, 150 * t, 300 * t),
    { scene: poleScene(plan, run, show, 100 * t), dx: 480 * t, base },
    {
      scene: { ...elevation, shapes: [...shapesOver(plan, run), ...apart(elevation.shapes, 140 * t)] },
      dx: left,
      base,
    },
    { scene: tapeScene(plan, run, show, 100 * t), dx: left, base: tapeBase },
    ...courses.flatMap((scene, i) => {
      const course = i + 1;
      const at = tapeBase + course * planStep + scene.box.y;
      return [
        { scene, dx: left, base: at },
        put('course-name', course === 1 ? 'odd' : 'even', left - 80 * t, at - wall.unitWidth / 2, 'end'),
      ];
    }),
    ...lines.map((text, i) => put('course-name', text, 150 * t, saysAt(i))),
    ...cautions.map((text, i) => put('caution', text, 150 * t, saysAt(lines.length) + (i + 1) * 90 * t)),
  ];
  return scenesToSvg({ w: width, h: saysAt(lines.length) + (cautions.length + 2) * 90 * t }, t, placed, name);
}
