import { sayMm, type Show } from '../measure/format.js';
import type { WallPlan } from '../plan/plan.js';
import { scenesToSvg } from './svg.js';
import { elevationScene, letterFindings } from '../scene/elevation.js';
import { poleScene } from '../scene/pole.js';
import { words, type Scene } from '../scene/scene.js';
import { coursePlanScene, tapeScene } from '../scene/tape.js';

/** Said wherever a wall is drawn or printed. */
export const CAUTION =
  'Setting out and quantities only. Loads, retained ground, height, earthquake and alterations are for local code and licensed people. Cutting makes silica dust: cut wet or with extraction, and wear a mask. Cement and lime burn skin and eyes.';

const label = (shape: ReturnType<typeof words>): Scene => ({ box: { x: 0, y: 0, w: 0, h: 0 }, pieces: null, shapes: [shape] });

/** The sheet of one run as an SVG file: pole, elevation, tape, odd and even courses, and what the wall says. */
export function sheetSvg(plan: WallPlan, run: number, show: Show): string {
  const { wall } = plan;
  const length = wall.runs[run]?.length ?? 0;
  const letters = letterFindings(plan.findings.filter((f) => f.run === null || f.run === run));
  const elevation = elevationScene(plan, run, letters, show);
  const pole = poleScene(plan, run, show);
  const top = 420;
  const base = top + elevation.box.h;
  const left = 1000;
  const lines = letters.map((l) => `${l.letter}  ${l.finding.severity.toUpperCase()}: ${l.finding.says}`);
  const width = Math.max(left + length + 500, 4200);
  const tapeBase = base + 520;
  const says = tapeBase + 3 * (wall.unitWidth + 120) + 100;
  const placed = [
    { scene: label(words('title', 0, 0, `${wall.name}: ${wall.runs[run]?.name ?? ''}`)), dx: 150, base: 160 },
    {
      scene: label(words('course-name', 0, 0, `${sayMm(length, show)} long on the outside face, ${sayMm(wall.height, show)} high, ${wall.unit.name}`)),
      dx: 150,
      base: 300,
    },
    { scene: pole, dx: 450, base },
    { scene: elevation, dx: left, base },
    { scene: tapeScene(plan, run, show), dx: left, base: tapeBase },
    ...[1, 2].flatMap((course, i) => {
      const at = tapeBase + (i + 1) * (wall.unitWidth + 100) + 60;
      return [
        { scene: coursePlanScene(plan, run, course), dx: left, base: at },
        { scene: label(words('course-name', 0, 0, course === 1 ? 'odd' : 'even', 'end')), dx: left - 80, base: at - wall.unitWidth / 2 },
      ];
    }),
    ...lines.map((text, i) => ({ scene: label(words('course-name', 0, 0, text)), dx: 150, base: says + i * 130 })),
    { scene: label(words('caution', 0, 0, CAUTION)), dx: 150, base: says + lines.length * 130 + 120 },
  ];
  const longest = Math.max(CAUTION.length * 31, ...lines.map((l) => l.length * 40));
  return scenesToSvg({ w: Math.max(width, longest + 300), h: says + lines.length * 130 + 300 }, placed, `${wall.name}, ${wall.runs[run]?.name ?? ''}`);
}
