import type { Said, Say } from '../messages/message.js';
import type { Mm } from '../measure/length.js';
import type { Role, SceneShape } from '../shapes/shape.js';
import { THEME } from './theme.js';

/** Words that keep off one another, those that stay where others give way first. What is not among them is placed by who draws it. */
const KEEPS: readonly Role[] = [
  'opening-name',
  'run-name',
  'dimension-name',
  'diagonal-name',
  'line-name',
  'corner-move',
  'plan-level',
  'lay-from',
  'pour-name',
  'cut-length',
  'opening-size',
];
/** Those that are left out sooner than written over others: each is read in the list twin, and nearer. */
const GIVES_WAY: readonly Role[] = ['cut-length', 'opening-size', 'line-name', 'corner-move', 'plan-level'];

/** Of their size: how wide a letter is on the whole, and how high a line. */
const LETTER = 0.6;
const LINE = 1.15;
/** A word may be moved so many lines up or down. */
const MOVES = [0, -1, 1, -2, 2] as const;

type Words<T extends Said> = Extract<SceneShape<T>, { type: 'text' }>;
interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

const meets = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.low < b.high && b.low < a.high;

/** Where words lie, mm: about their place by their anchor. `px`: millimetres to a pixel of the medium. */
export function boxOfWords<T extends Said>(s: Words<T>, px: Mm, says: string): Box {
  const size = (THEME[s.role]?.size ?? 12) * px;
  const wide = says.length * size * LETTER;
  const left = s.anchor === 'middle' ? s.x - wide / 2 : s.anchor === 'end' ? s.x - wide : s.x;
  const middle = s.y - (THEME[s.role]?.drop ?? 0) * px + size / 3;
  return { left, right: left + wide, low: middle - (size * LINE) / 2, high: middle + (size * LINE) / 2 };
}

/**
 * The same shapes with words that would lie on one another moved a line or two apart, and left out where that does not help and they can be spared: at whatever
 * scale the drawing is held. `px`: millimetres to a pixel of the medium.
 */
export function wordsApart<T extends Said>(
  shapes: readonly SceneShape<T>[],
  px: Mm,
  say: Say,
): SceneShape<T>[] {
  const rank = (s: SceneShape<T>): number => KEEPS.indexOf(s.role);
  const own = shapes.filter((s): s is Words<T> => s.type === 'text' && rank(s) >= 0);
  if (own.length < 2) return [...shapes];
  const stands: Box[] = [];
  const placed = new Map<SceneShape<T>, SceneShape<T> | null>();
  for (const s of [...own].sort((a, b) => rank(a) - rank(b))) {
    const line = (THEME[s.role]?.size ?? 12) * LINE * px;
    const says = typeof s.text === 'string' ? s.text : say(s.text);
    const tried = MOVES.map((by) => ({ ...s, y: s.y + by * line }));
    const clear = tried.find((t) => !stands.some((b) => meets(b, boxOfWords(t, px, says))));
    const put = clear ?? (GIVES_WAY.includes(s.role) ? null : s);
    placed.set(s, put);
    if (put) stands.push(boxOfWords(put, px, says));
  }
  return shapes.flatMap((s) => {
    const put = placed.get(s);
    return put === undefined ? [s] : put === null ? [] : [put];
  });
}
