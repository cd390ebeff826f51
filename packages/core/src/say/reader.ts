import type { Message } from '../messages/message.js';
import type { SaidLength, Token } from './tokens.js';

/** What a clause that was begun still wants. Thrown by clauses, caught by whoever reads the sentence. */
export class Wants extends Error {
  constructor(
    readonly says: Message,
    /** Where it would have stood. */
    readonly at: number,
  ) {
    super(says.code);
  }
}

/** Goes through the parts of a sentence; a clause that does not fit gives back what it took. */
export class Reader {
  private at = 0;

  constructor(private readonly tokens: readonly Token[]) {}

  get place(): number {
    return this.at;
  }
  get done(): boolean {
    return this.at >= this.tokens.length;
  }
  get next(): Token | undefined {
    return this.tokens[this.at];
  }
  /** Where the part that comes next begins in the sentence, or where the last one ended. */
  get from(): number {
    return this.next?.from ?? this.to;
  }
  get to(): number {
    return this.tokens[this.at - 1]?.to ?? 0;
  }

  back(to: number): void {
    this.at = to;
  }
  skip(): void {
    this.at += 1;
  }

  /** Takes words one after another, all of them or none; `a|b` takes either. */
  words(...wanted: string[]): boolean {
    const fits = wanted.every((w, i) => {
      const token = this.tokens[this.at + i];
      return token?.is === 'word' && w.split('|').includes(token.word);
    });
    if (fits) this.at += wanted.length;
    return fits;
  }

  /** The first of several that comes next, with what it means. */
  oneOf<T>(phrases: readonly (readonly [string, T])[]): T | null {
    for (const [phrase, means] of phrases) if (this.words(...phrase.split(' '))) return means;
    return null;
  }

  is(kind: 'by' | 'stop' | 'number-sign'): boolean {
    if (this.next?.is !== kind) return false;
    this.at += 1;
    return true;
  }

  length(): SaidLength | null {
    const token = this.next;
    if (token?.is !== 'length') return null;
    this.at += 1;
    return token.length;
  }

  /** A number that counts, and measures nothing. */
  count(): number | null {
    const token = this.next;
    if (token?.is !== 'length' || token.length.unit !== 'bare' || !Number.isInteger(token.length.n))
      return null;
    this.at += 1;
    return token.length.n;
  }

  sizes(): readonly [number, number, number] | null {
    const token = this.next;
    if (token?.is !== 'sizes') return null;
    this.at += 1;
    return token.sizes;
  }

  word(pattern: RegExp): RegExpExecArray | null {
    const token = this.next;
    const m = token?.is === 'word' ? pattern.exec(token.word) : null;
    if (m) this.at += 1;
    return m;
  }

  name(): string | null {
    const token = this.next;
    if (token?.is !== 'name') return null;
    this.at += 1;
    return token.name;
  }

  /** Tries a clause, or part of one; nothing is taken where it does not fit. */
  attempt<T>(read: () => T | null): T | null {
    const start = this.at;
    const got = read();
    if (got === null) this.at = start;
    return got;
  }
}
