/** A length said by counting what is laid: "5 bricks" along a wall, "12 courses" up it. */
export interface Counted {
  n: number;
  of: 'units' | 'courses';
}

const NUMBER = String.raw`(?:(?<whole>\d{1,6})(?:(?<half>\.5|½| ½| 1\/2))?|(?<only>½|1\/2|\.5|0\.5))`;
const COUNTED = new RegExp(`^${NUMBER} ?(?<of>bricks?|blocks?|units?|adobes?|courses?|crs)$`, 'i');

/** Reads it, halves too; null where the text counts nothing. */
export function parseCounted(text: string): Counted | null {
  const g = COUNTED.exec(
    text
      .trim()
      .replace(/[\s\u00a0]+/g, ' ')
      .replace(/⁄/g, '/'),
  )?.groups;
  if (!g) return null;
  const n = g.only === undefined ? Number(g.whole) + (g.half === undefined ? 0 : 0.5) : 0.5;
  return { n, of: /^c/i.test(g.of ?? '') ? 'courses' : 'units' };
}
