/** Parts a stream of bytes into lines of UTF-8, none longer than `most` bytes. Throws a RangeError at a longer one. */
export async function* linesOf(stream: AsyncIterable<Buffer>, most: number): AsyncGenerator<string> {
  const utf8 = new TextDecoder('utf-8', { fatal: true });
  let parts: Buffer[] = [];
  let held = 0;
  const taken = (): string => {
    const line = utf8.decode(Buffer.concat(parts));
    [parts, held] = [[], 0];
    return line;
  };
  for await (const chunk of stream) {
    let from = 0;
    for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, from)) {
      parts.push(chunk.subarray(from, at));
      held += at - from;
      if (held > most) throw new RangeError('line');
      yield taken();
      from = at + 1;
    }
    parts.push(chunk.subarray(from));
    held += chunk.length - from;
    if (held > most) throw new RangeError('line');
  }
  if (held > 0) yield taken();
}
