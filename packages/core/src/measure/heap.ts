/** A heap of numbered nodes, the least key first; of equal keys the later node, which is further along, or the earlier. */
export class Heap {
  private readonly nodes: number[] = [];
  constructor(
    private readonly key: readonly number[],
    private readonly ofEqual: 'later' | 'earlier' = 'later',
  ) {}

  get size(): number {
    return this.nodes.length;
  }

  private before(a: number, b: number): boolean {
    const [x, y] = [this.key[a] as number, this.key[b] as number];
    return x < y || (x === y && (this.ofEqual === 'later' ? a > b : a < b));
  }

  push(node: number): void {
    const { nodes } = this;
    let i = nodes.push(node) - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (!this.before(node, nodes[up] as number)) break;
      nodes[i] = nodes[up] as number;
      i = up;
    }
    nodes[i] = node;
  }

  pop(): number {
    const { nodes } = this;
    const top = nodes[0] as number;
    const last = nodes.pop() as number;
    if (nodes.length === 0) return top;
    let i = 0;
    for (;;) {
      let down = 2 * i + 1;
      if (down >= nodes.length) break;
      if (down + 1 < nodes.length && this.before(nodes[down + 1] as number, nodes[down] as number)) down++;
      if (!this.before(nodes[down] as number, last)) break;
      nodes[i] = nodes[down] as number;
      i = down;
    }
    nodes[i] = last;
    return top;
  }
}
