/** What a JSON text holds, as far as can be told without parsing it. */
export interface Scanned {
  /** How deep lists and objects stand in one another. */
  depth: number;
  /** Keys and values, at most. */
  nodes: number;
  /** Where the value of each key of the outermost object stands; of a key given twice the later, as a parser has it. */
  values: Map<string, [from: number, to: number]>;
}

const [QUOTE, BACKSLASH, COMMA, COLON] = [34, 92, 44, 58];
const [OPEN_LIST, CLOSE_LIST, OPEN, CLOSE] = [91, 93, 123, 125];

/** Where the text that begins at a quote ends: the place of its last quote, or the end of all. */
function endOfText(json: string, quote: number): number {
  for (let end = json.indexOf('"', quote + 1); end >= 0; end = json.indexOf('"', end + 1)) {
    let back = end;
    while (json.charCodeAt(back - 1) === BACKSLASH) back--;
    if ((end - back) % 2 === 0) return end;
  }
  return json.length;
}

/** One walk over the characters, before anything recursive meets them. What does not parse is scanned as far as it goes. */
export function scan(json: string): Scanned {
  const values = new Map<string, [number, number]>();
  let [depth, deepest, nodes] = [0, 0, 1];
  let key = '';
  let text: [number, number] = [0, 0];
  let from = -1;
  const ends = (at: number): void => {
    if (from >= 0) values.set(key, [from, at]);
    from = -1;
  };
  for (let i = 0; i < json.length; i++) {
    const c = json.charCodeAt(i);
    if (c === QUOTE) {
      const end = endOfText(json, i);
      if (depth === 1 && from < 0) text = [i + 1, end];
      i = end;
    } else if (c === OPEN || c === OPEN_LIST) {
      depth++;
      nodes++;
      if (depth > deepest) deepest = depth;
    } else if (c === CLOSE || c === CLOSE_LIST) {
      if (depth === 1) ends(i);
      depth--;
    } else if (c === COMMA) {
      nodes++;
      if (depth === 1) ends(i);
    } else if (c === COLON) {
      nodes++;
      if (depth === 1) {
        key = json.slice(...text);
        from = i + 1;
      }
    }
  }
  return { depth: deepest, nodes, values };
}
