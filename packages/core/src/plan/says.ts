import type { StageName } from '../findings/finding.js';
import { MEASURES, type Figure, type Made, type MaterialRow } from '../stages/figure.js';
import type { Hold } from '../stages/hold.js';
import type { SceneShape } from '../shapes/shape.js';
import type { AnyStage, Paper } from '../stages/stage.js';
import { STAGES } from './registry.js';
import type { Worked } from './work.js';

/** The stages a wall has been worked by, as they are asked what they say of it: those alone know it. */
const asked = (stages: readonly AnyStage[], { worked }: Worked): AnyStage[] =>
  stages.filter((s) => worked.includes(s.id));

/** The figures of a run, or of the whole wall: what is counted last stands first, as an order is read. */
export const figuresOf = (work: Worked, run: number | null, stages: readonly AnyStage[] = STAGES): Figure[] =>
  asked(stages, work)
    .reverse()
    .flatMap((s) => s.figures?.(work, run) ?? []);

/** How a figure comes about, from the stage whose figure it is; null where none has it. */
export function madeOf(
  work: Worked,
  figure: string,
  run: number | null,
  stages: readonly AnyStage[] = STAGES,
): Made | null {
  for (const s of asked(stages, work)) {
    const made = s.working?.(work, figure, run);
    if (made) return made;
  }
  return null;
}

const asMaterial = ({ name, value, quantity }: Figure): MaterialRow => ({
  run: '',
  what: name,
  unit: '',
  net: Number(value.toFixed(6)),
  order: '',
  measure: MEASURES[quantity],
});

/** What a wall takes, line by line. */
export const materialsOf = (work: Worked, stages: readonly AnyStage[] = STAGES): MaterialRow[] =>
  asked(stages, work)
    .reverse()
    .flatMap((s) => s.materials?.(work) ?? (s.figures?.(work, null) ?? []).map(asMaterial));

/** What is filled lies under what stands in it, whichever stage draws which. */
const UNDER: readonly SceneShape['role'][] = ['grout', 'cell-open'];

/** What stages draw on the elevation of a run, over its units: those shown under one of the product's stages, or all. */
export const shapesOver = (
  work: Worked,
  run: number,
  stages: readonly AnyStage[] = STAGES,
  shown?: StageName,
): SceneShape[] =>
  asked(stages, work)
    .filter((s) => shown === undefined || s.shown === shown)
    .flatMap((s) => s.shapes?.(work, run) ?? [])
    .sort((a, b) => Number(UNDER.includes(b.role)) - Number(UNDER.includes(a.role)));

/** What stages put into one course of a run, seen from above. `course` counts from 1. */
export const shapesAbove = (
  work: Worked,
  run: number,
  course: number,
  stages: readonly AnyStage[] = STAGES,
): SceneShape[] => asked(stages, work).flatMap((s) => s.above?.(work, run, course) ?? []);

/** What stages put where a run is cut through, what is filled under what stands in it. */
export const shapesInSection = (
  work: Worked,
  run: number,
  at: number,
  stages: readonly AnyStage[] = STAGES,
): SceneShape[] =>
  asked(stages, work)
    .flatMap((s) => s.section?.(work, run, at) ?? [])
    .sort((a, b) => Number(UNDER.includes(b.role)) - Number(UNDER.includes(a.role)));

/** Every point of a wall that may not be passed until somebody signs, in the order of the work. */
export const holdsOf = (work: Worked, stages: readonly AnyStage[] = STAGES): Hold[] =>
  asked(stages, work).flatMap((s) => s.holds?.(work) ?? []);

/** The sheets there are to print, each from the stage whose it is. */
export const papersOf = (stages: readonly AnyStage[] = STAGES): (Paper<object> & { of: string })[] =>
  stages.flatMap((s) => (s.papers ?? []).map((p) => ({ ...p, of: s.id })));
