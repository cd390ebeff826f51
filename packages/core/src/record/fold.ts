import { readInstant } from '../measure/times.js';
import type { EntryOf, RecordEntry } from './entries.js';

/** An entry that is no correction, as it stands after all corrections. */
export type Standing = Exclude<RecordEntry, { kind: 'correction' }>;

const instant = (e: Pick<RecordEntry, 'happened'>): number => {
  const read = readInstant(e.happened);
  return read.ok ? read.value : 0;
};

/** The order entries apply in: by when they happened, then by id, whatever the order they come in. */
export const before = (a: RecordEntry, b: RecordEntry): number =>
  instant(a) - instant(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * A record as it stands: entries may come in any order, one at a time or all at once, and it comes out the same. What an added
 * entry does not concern is not looked at again.
 */
export class Folded {
  private readonly all = new Map<string, RecordEntry>();
  /** Corrections of an entry, by its id, the one that counts last. */
  private readonly corrections = new Map<string, EntryOf<'correction'>[]>();
  private readonly stands = new Map<string, Standing | null>();
  private inOrder: Standing[] | null = null;

  constructor(entries: Iterable<RecordEntry> = []) {
    this.add(entries);
  }

  /** Adds entries; one with an id that is there already is the same entry, and changes nothing. */
  add(entries: Iterable<RecordEntry>): void {
    for (const e of entries) {
      if (this.all.has(e.id)) continue;
      this.all.set(e.id, e);
      if (e.kind === 'correction') {
        const of = this.corrections.get(e.of) ?? [];
        of.push(e);
        of.sort(before);
        this.corrections.set(e.of, of);
      }
      // What it corrects, and what that corrects, stands otherwise now.
      const seen = new Set<string>();
      for (let id: string | null = e.id; id !== null && !seen.has(id);) {
        seen.add(id);
        this.stands.delete(id);
        const one: RecordEntry | undefined = this.all.get(id);
        id = one?.kind === 'correction' ? one.of : null;
      }
      this.inOrder = null;
    }
  }

  get size(): number {
    return this.all.size;
  }

  /** The correction of an entry that counts: the last that is not itself taken back. */
  private correctionOf(id: string, within: ReadonlySet<string>): EntryOf<'correction'> | null {
    const own = [...(this.corrections.get(id) ?? [])].reverse();
    const stands = (c: EntryOf<'correction'>): boolean =>
      !within.has(c.id) && this.correctionOf(c.id, new Set([...within, c.id])) === null;
    return own.find(stands) ?? null;
  }

  /** How one entry stands; null where a correction has left nothing of it, or it is a correction or unknown. */
  standing(id: string): Standing | null {
    const known = this.stands.get(id);
    if (known !== undefined) return known;
    const e = this.all.get(id);
    let stands: Standing | null = null;
    if (e && e.kind !== 'correction') {
      const by = this.correctionOf(id, new Set([id]));
      const { wall, happened } = e;
      if (!by) stands = e;
      else if (by.entry) stands = { wall, happened, by: by.by, ...by.entry, id };
    }
    this.stands.set(id, stands);
    return stands;
  }

  /** Everything that stands, in the order it applies. */
  entries(): readonly Standing[] {
    this.inOrder ??= [...this.all.keys()].flatMap((id) => this.standing(id) ?? []).sort(before);
    return this.inOrder;
  }

  /** Every row there is, corrections too, in the order they apply. */
  rows(): RecordEntry[] {
    return [...this.all.values()].sort(before);
  }
}
