import { inFull } from '../job/full.js';
import { stated } from '../job/stated.js';
import { toMillimetres, type Mm } from '../measure/length.js';
import type { JobDocument, Opening, Stated, Wall } from '../job/types.js';
import { setOutWall } from '../stages/set-out/wall.js';
import { Lengths } from './lengths.js';
import { SAYING } from './messages.js';
import { plainCopy } from './plainCopy.js';
import { Wants } from './reader.js';
import type { OpeningSaid, OpeningWord } from './said.js';

const LETTER: Record<OpeningWord, string> = {
  door: 'D',
  'garage-door': 'D',
  window: 'W',
  gate: 'G',
  opening: 'O',
};
export const NAME: Record<OpeningWord, string> = {
  door: 'Door',
  'garage-door': 'Garage door',
  window: 'Window',
  gate: 'Gate',
  opening: 'Opening',
};

/** What an opening is called by who speaks of it. */
export function wordOf(o: Opening): OpeningWord {
  const named = (Object.keys(NAME) as OpeningWord[]).find((w) => o.name?.startsWith(NAME[w]));
  const lettered = (Object.keys(LETTER) as OpeningWord[]).find((w) => o.id.startsWith(LETTER[w]));
  return named ?? lettered ?? 'opening';
}

/** A job while a sentence is read onto it, one wall of it and one run of that. Its own copy: nothing of the job it came from is changed. */
export class Draft {
  /** The opening spoken of last: "sill 3 feet" is its. */
  last: string | null = null;

  constructor(
    readonly job: JobDocument,
    private readonly index: number,
    readonly run: number,
  ) {}

  get wall(): Wall {
    return this.job.walls[this.index] as Wall;
  }

  /** As it stands now: what is worked out of a document is kept by the document, and this one changes as it is spoken of. */
  private get now(): JobDocument {
    return plainCopy(this.job);
  }

  /** The wall with every counted length worked out. */
  private get full(): Wall {
    return inFull(this.now).walls[this.index] as Wall;
  }

  get lengths(): Lengths {
    const { unitLength, head, unitHeight, bed } = setOutWall(this.now, this.index);
    return new Lengths(this.job.show, { unit: unitLength + head, course: unitHeight + bed });
  }

  /** How long a run is stated, mm. */
  runLength(run: number): Mm {
    return setOutWall(this.now, this.index).runs[run]?.stated ?? 0;
  }
  get runs(): number {
    return setOutWall(this.now, this.index).runs.length;
  }
  /** Place in the line of a run's item. */
  itemOf(run: number): number {
    return setOutWall(this.now, this.index).runs[run]?.item ?? 0;
  }
  get height(): Mm {
    return toMillimetres(stated(this.full.height));
  }

  /** A length of an opening as it stands, mm. */
  mm(o: Opening, key: 'at' | 'width' | 'sill' | 'head'): Mm {
    const i = (this.wall.openings ?? []).indexOf(o);
    return toMillimetres(stated(this.full.openings?.[i]?.[key] ?? 0));
  }

  add(word: OpeningWord, name: string | null, o: Omit<Opening, 'id' | 'name'>): Opening {
    const openings = (this.wall.openings ??= []);
    const letter = LETTER[word];
    let n = 1;
    while (openings.some((x) => x.id === `${letter}${n}`)) n++;
    const alike = openings.filter(
      (x) => x.name === NAME[word] || x.name?.startsWith(`${NAME[word]} `),
    ).length;
    const made: Opening = {
      id: `${letter}${n}`,
      name: name ?? (alike === 0 ? NAME[word] : `${NAME[word]} ${alike + 1}`),
      ...(this.runs > 1 ? { run: o.run ?? 0 } : {}),
      at: o.at,
      width: o.width,
      sill: o.sill,
      head: o.head,
    };
    openings.push(made);
    this.last = made.id;
    return made;
  }

  drop(o: Opening): void {
    this.wall.openings = (this.wall.openings ?? []).filter((x) => x !== o);
    if (this.last === o.id) this.last = null;
  }

  /** The opening that is spoken of. Throws what is wanted where it could be more than one, or none. */
  find(of: OpeningSaid | null, at: number): Opening {
    const openings = this.wall.openings ?? [];
    const inRun = openings.filter((o) => (o.run ?? 0) === this.run);
    if (of === null) {
      const last = openings.find((o) => o.id === this.last);
      if (last) return last;
      // A door has no sill to speak of: of a door and a window it is the window's.
      const raised = inRun.filter((o) => this.mm(o, 'sill') > 0);
      const [only] = raised.length === 1 ? raised : inRun;
      if (only && (raised.length === 1 || inRun.length === 1)) return only;
      throw openings.length === 0
        ? new Wants(SAYING['no-opening-to-say-of'](), at)
        : new Wants(SAYING['wants-which']({ names: inRun.map((o) => o.name ?? o.id) }), at);
    }
    const fits = (o: Opening): boolean => {
      const called = (o.name ?? '').toLowerCase();
      if (of.name !== null)
        return called === of.name.toLowerCase() || o.id.toLowerCase() === of.name.toLowerCase();
      if (of.word === null || of.word === 'opening') return true;
      return called.includes(NAME[of.word].toLowerCase()) || o.id.startsWith(LETTER[of.word]);
    };
    const here = inRun.filter(fits);
    const found = (here.length > 0 ? here : openings.filter(fits)).sort(
      (a, b) => this.mm(a, 'at') - this.mm(b, 'at'),
    );
    const one =
      of.nth === null
        ? found.length === 1
          ? found[0]
          : undefined
        : found.at(of.nth > 0 ? of.nth - 1 : of.nth);
    if (!one)
      throw found.length > 1 && of.nth === null
        ? new Wants(SAYING['wants-which']({ names: found.map((o) => o.name ?? o.id) }), at)
        : new Wants(SAYING['no-opening'](), at);
    this.last = one.id;
    return one;
  }

  written(mm: Mm): Stated {
    return this.lengths.written(mm);
  }
}
