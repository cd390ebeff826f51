/** A piece of a line of words: how large against the rest, and how far it is raised, in sizes of the rest. */
export interface TextPart {
  text: string;
  size: number;
  up: number;
}

/** Numerator and denominator stand smaller, the one raised and the other on the line: the slash between touches neither. */
const SMALL = 0.68;
const RAISED = 0.3;

const FRACTION = /(\d+)\u2044(\d+)/g;

/** A line as it is set: fractions taken apart, all else as it stands. */
export function partsOf(text: string): TextPart[] {
  const parts: TextPart[] = [];
  let from = 0;
  const plain = (to: number): void => {
    if (to > from) parts.push({ text: text.slice(from, to), size: 1, up: 0 });
  };
  for (const m of text.matchAll(FRACTION)) {
    plain(m.index);
    parts.push(
      { text: m[1] ?? '', size: SMALL, up: RAISED },
      { text: '\u2044', size: 1, up: 0 },
      { text: m[2] ?? '', size: SMALL, up: 0 },
    );
    from = m.index + m[0].length;
  }
  plain(text.length);
  return parts;
}
