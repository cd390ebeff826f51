import type { Spot } from '@even-tally/core';

/** Something that can be found by its name, and what happens when it is pressed. */
export interface Findable {
  id: string;
  /** What kind of thing it is: a course, a cut, a command. */
  kind: string;
  says: string;
  act: () => void;
  spots?: readonly Spot[];
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[′’]/g, "'")
    .replace(/[″”]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[^\p{L}\p{N}/'".#-]+/gu, ' ')
    .trim();

/** How well a word is met: whole, at its beginning, or not at all. Numbers are met whole. */
function met(wanted: string, words: readonly string[]): number {
  if (words.includes(wanted)) return 2;
  if (/^[\d/'".-]+$/.test(wanted))
    return words.some((w) => w.replace(/["']/g, '') === wanted.replace(/["']/g, '')) ? 2 : 0;
  return words.some((w) => w.startsWith(wanted)) ? 1 : 0;
}

const bare = (words: readonly string[]): string => ` ${words.join(' ').replace(/["']/g, '')} `;

/** Words that stand side by side in it as they were typed count for more: a cut of 10 5/8 before one in course 10. */
function together(wanted: readonly string[], words: readonly string[]): number {
  const text = bare(words);
  for (let n = wanted.length; n > 1; n--)
    if (text.includes(bare(wanted.slice(wanted.length - n)))) return n / 10;
  return 0;
}

/** What stands first is what it is called by: course 17 before a course of 17 units. */
const byName = (wanted: readonly string[], { says }: Findable): number => {
  const [name = ''] = plain(says).split(' ');
  return wanted.some((w) => bare([w]) === bare([name])) ? 0.2 : 0;
};

/** What of all there is answers what is typed, the best first: every word of it is met somewhere. */
export function found(all: readonly Findable[], typed: string, most = 12): Findable[] {
  const wanted = plain(typed).split(' ').filter(Boolean);
  if (wanted.length === 0) return [];
  return all
    .map((one) => {
      const words = plain(`${one.kind} ${one.says}`).split(' ');
      const scores = wanted.map((w) => met(w, words));
      const whole = scores.reduce((a, b) => a + b, 0) / (words.length + 4);
      return { one, score: scores.includes(0) ? 0 : whole + together(wanted, words) + byName(wanted, one) };
    })
    .filter((s) => s.score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map((s) => s.one);
}
