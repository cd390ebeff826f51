import { sayMm, type Show } from '../measure/format.js';
import type { Mm } from '../measure/length.js';
import { shapesInSection } from '../plan/says.js';
import type { WallPlan } from '../plan/plan.js';
import { coresOf, insideWidth } from '../stages/steel/cells.js';
import { line, rect, shape, words, type SceneShape } from '../shapes/shape.js';
import { leafOnFace, type Leaf } from '../walling/units/leaves/leaf.js';
import type { Piece } from '../walling/units/laying/row.js';
import { SAYS } from './messages.js';
import { offsetsAt, sectionAlong } from '../walling/stone/section.js';
import { stoneWork } from '../walling/stone/work.js';
import { acrossOf } from './tape.js';
import { boxOf, type Scene } from './scene.js';

/** How far ground is drawn to either side of the wall, and how deep where no footing says how deep it goes, mm. */
const GROUND = 450;
const GROUND_DEEP = 300;
/** Names and widths stand so far over the top, mm. */
const OVER = 130;

/** Words stand so far beside what they name, and the height beside the wall, mm. */
const BESIDE = 40;
const HIGH_AT = 200;

/** A cut through a run: what is seen of it, and where along the run it was taken. */
export interface Section {
  scene: Scene;
  at: Mm;
  /** It shows something the face does not: leaves, a footing, ground, a step. */
  tells: boolean;
}

/** Ground over the wall's base, where the site's levels say it; null where nobody measured. */
function groundOver({ site, wall, rain }: WallPlan): Mm | null {
  const levels = site.points.filter((p) => p.is === 'ground').map((p) => p.level);
  // What was not measured is as somebody means it to be.
  if (levels.length === 0) return rain && rain.base !== null ? -rain.base : null;
  return Math.max(...levels) - wall.base;
}

const tellsMore = (p: WallPlan): boolean =>
  p.leaves.length > 1 ||
  p.wall.stone !== null ||
  p.survey.fade !== null ||
  p.rain !== null ||
  p.wall.footing !== null ||
  p.wall.retains !== null ||
  p.wall.steps.length > 0 ||
  groundOver(p) !== null;

/** The longest stretch of a run that no opening breaks. */
function longestPier(p: WallPlan, run: number): { from: Mm; to: Mm } {
  const length = p.wall.runs[run]?.length ?? 0;
  const here = p.wall.openings.filter((o) => o.run === run).sort((a, b) => a.from - b.from);
  let best = { from: 0, to: 0 };
  let from = 0;
  for (const next of [...here.map((o) => ({ from: o.from, to: o.to })), { from: length, to: length }]) {
    if (next.from - from > best.to - best.from) best = { from, to: next.from };
    from = Math.max(from, next.to);
  }
  return best;
}

/** Where a run is cut when nobody says: through the upright nearest the middle of its longest pier, or that middle. */
function usualCut(p: WallPlan, run: number): Mm {
  const pier = longestPier(p, run);
  const middle = (pier.from + pier.to) / 2;
  const bars = (p.steel.verticals.find((v) => v.run === run)?.bars ?? []).map((b) => b.at);
  const inPier = bars.filter((at) => at > pier.from && at < pier.to);
  return inPier.reduce(
    (best, at) => (Math.abs(at - middle) < Math.abs(best - middle) ? at : best),
    inPier[0] ?? middle,
  );
}

/** The piece of a row that is cut: over a joint, the one nearer. */
function pieceAtCut(pieces: readonly Piece[], at: Mm, joint: Mm): Piece | undefined {
  const off = (p: Piece): Mm => Math.max(p.from - at, at - p.to, 0);
  const [nearest] = pieces.filter((p) => off(p) <= joint).sort((a, b) => off(a) - off(b));
  return nearest;
}

/** What of a course of the face is cut, and how far through the wall it goes, mm. */
function faceAcross(p: WallPlan, course: number, run: number, at: Mm): { y: Mm; deep: Mm } | null {
  const [face] = p.leaves;
  const row = p.runs.find((r) => r.index === run)?.rows[course];
  const piece = face && pieceAtCut(row?.pieces ?? [], at, p.wall.head);
  return piece ? acrossOf(p, face, run, piece) : null;
}

/** The units of a leaf that are cut, the hollow of each where it has one. */
function leafCut(p: WallPlan, leaf: Leaf, run: number, at: Mm): SceneShape[] {
  const row = leafOnFace(leaf, p).runs.find((r) => r.index === run);
  const inside = insideWidth(leaf.wall);
  const shell = coresOf(leaf.wall.unit) ? (leaf.wall.unitWidth - inside) / 2 : 0;
  return leaf.gauge.courses.flatMap((c, i) => {
    const piece = pieceAtCut(row?.rows[i]?.pieces ?? [], at, leaf.wall.head);
    if (!piece) return [];
    const { y, deep } = acrossOf(p, leaf, run, piece);
    // Over the joint beside a header the brick behind the next one is as near: what goes through has nothing behind it.
    const before = leaf.heldBy === 'bond' ? faceAcross(p, i, run, at) : null;
    if (before && y < before.y + before.deep && before.y < y + deep) return [];
    const bottom = piece.band?.from ?? c.bottom + c.bed;
    const share = (at - piece.from) / Math.max(1, piece.to - piece.from);
    const raked = piece.rake ? piece.rake.left + (piece.rake.right - piece.rake.left) * share : null;
    const top = raked ?? piece.band?.to ?? c.top;
    if (top - bottom < 1) return [];
    const hollow = shell > 0 && deep === leaf.wall.unitWidth && piece.kind !== 'beam';
    return [
      rect('unit-cut', y, bottom, deep, top - bottom),
      ...(hollow ? [rect('core-cut', y + shell, bottom, deep - 2 * shell, top - bottom)] : []),
    ];
  });
}

/** The footing at the cut: as high as it has stepped there. */
function footingCut(p: WallPlan, run: number, at: Mm, deep: Mm, show: Show): SceneShape[] {
  const { footing, steps } = p.wall;
  const step = steps.find((s) => s.run === run && s.from <= at && s.to >= at);
  const top = p.gauge.courses[(step?.up ?? 0) - 1]?.top ?? 0;
  if (!footing) return top > 0 ? [rect('footing', 0, 0, deep, top)] : [];
  const { width, depth } = footing;
  return [
    rect('footing', (deep - width) / 2, top - depth, width, depth),
    words(
      'dimension-name',
      (deep + width) / 2 + BESIDE,
      top - depth / 2,
      `${sayMm(width, show)} × ${sayMm(depth, show)}`,
      'start',
    ),
  ];
}

/** How high a wall stands where it is cut. */
function heightAt(p: WallPlan, run: number, at: Mm): Mm {
  const done = p.wall.stone ? stoneWork(p.wall, p.gauge).runs[run] : undefined;
  return done ? sectionAlong(done.stretches, at).height : (p.gauge.courses.at(-1)?.top ?? 0);
}

/** From where to where a stone wall goes at its top. */
function topCut(p: WallPlan, run: number, at: Mm): readonly [Mm, Mm] | null {
  const done = p.wall.stone && p.leaves.length === 1 ? stoneWork(p.wall, p.gauge).runs[run] : undefined;
  if (!done) return null;
  const section = sectionAlong(done.stretches, at);
  const { outer, inner } = offsetsAt(section, section.height);
  return [outer, section.base - inner];
}

/** Ground on either side, as it was measured or is held back. */
function groundCut(p: WallPlan, deep: Mm): SceneShape[] {
  const { wall } = p;
  const foot = -(wall.footing?.depth ?? GROUND_DEEP);
  const side = (from: Mm, to: Mm, level: Mm): SceneShape[] => [
    shape('ground', [
      [from, foot],
      [to, foot],
      [to, level],
      [from, level],
    ]),
    line('ground-line', from, level, to, level),
  ];
  const ground = groundOver(p);
  return [
    ...(ground === null ? [] : side(-GROUND, 0, ground)),
    ...(wall.retains ? side(deep, deep + GROUND, wall.retains.height) : []),
  ];
}

/**
 * A cut through one run, the outside at the left: leaves course by course, what crosses the cavity, footing, ground, steel and
 * grout where it passes through them. `at` along the run; left out, where it shows most. Nothing that is not stated is drawn.
 */
export function sectionOf(p: WallPlan, run: number, show: Show, at: Mm | null = null): Section {
  const cut = at ?? usualCut(p, run);
  const { wall } = p;
  const deep = wall.cavity?.overall ?? wall.thickness;
  const top = heightAt(p, run, cut);
  // A stone wall leans in to its top; copes, or the plate of a roof, stand over that.
  const [left, right] = topCut(p, run, cut) ?? [0, deep];
  const over = top + (wall.stone?.copes?.height ?? p.onTop?.height ?? 0);
  const shapes: SceneShape[] = [
    ...groundCut(p, deep),
    ...footingCut(p, run, cut, deep, show),
    ...p.leaves.flatMap((leaf) => leafCut(p, leaf, run, cut)),
    ...shapesInSection(p, run, cut),
    line('dimension', left, over + OVER / 2, right, over + OVER / 2),
    words('dimension-name', (left + right) / 2, over + OVER, sayMm(right - left, show), 'middle'),
    line('dimension', deep + HIGH_AT, 0, deep + HIGH_AT, top),
    line('dimension', deep + HIGH_AT - BESIDE, 0, deep + HIGH_AT + BESIDE, 0),
    line('dimension', deep + HIGH_AT - BESIDE, top, deep + HIGH_AT + BESIDE, top),
    words('dimension-name', deep + HIGH_AT + BESIDE, top / 2, sayMm(top, show), 'start'),
    words('section-side', Math.min(0, left) - BESIDE, over + OVER / 2, SAYS.outside(), 'end'),
    words('section-side', deep + BESIDE, over + OVER / 2, SAYS.inside(), 'start'),
  ];
  return { scene: { box: boxOf(shapes), pieces: null, shapes }, at: cut, tells: tellsMore(p) };
}
