import { checkJob } from '../job/check.js';
import type { Job, JobDocument } from '../job/types.js';
import type { Show } from '../measure/format.js';
import type { Message } from '../messages/message.js';
import { sayFault } from '../statement/fault.js';
import { plainCopy } from './plainCopy.js';
import { apply, unitIdOf } from './apply.js';
import { CLAUSES } from './clauses/all.js';
import { Draft } from './draft.js';
import { Lengths } from './lengths.js';
import { SAYING } from './messages.js';
import { Reader, Wants } from './reader.js';
import type { Saying } from './said.js';
import { LONGEST, tokensOf, type Token } from './tokens.js';
import { BETWEEN } from './vocabulary.js';

/** A part of a sentence: what was understood by it, or what is wanted that it does not say. Places in the text. */
export interface Phrase {
  from: number;
  to: number;
  understood: boolean;
  says: Message;
}

export interface Heard {
  phrases: Phrase[];
  /** What all of it comes to; null where any of it was not understood. */
  document: JobDocument | null;
}

export interface HearAsk {
  /** Whose rules a new wall is by; left out: feet and inches are `us`, millimetres `uk`, adobe `earth`. */
  profile?: JobDocument['profile'] | undefined;
  /** The wall that is changed by what is said, and the run that is looked at; left out, a new wall is made. */
  on?: { job: Job | JobDocument; wall: number; run: number } | undefined;
}

interface Clause {
  from: number;
  to: number;
  saying: Saying;
}

/** Reads a sentence into clauses; what fits none is left over, as far as the next clause or stop. */
function clausesOf(tokens: readonly Token[]): { clauses: Clause[]; left: Phrase[] } {
  const r = new Reader(tokens);
  const clauses: Clause[] = [];
  const left: Phrase[] = [];
  let stray = null as { from: number; to: number } | null;
  const strayed = (): void => {
    if (stray) left.push({ ...stray, understood: false, says: SAYING.strange({ words: '' }) });
    stray = null;
  };
  while (!r.done) {
    if (r.is('stop')) {
      strayed();
      continue;
    }
    const start = r.place;
    const from = r.from;
    const read = readOne(r);
    if (read === 'none') {
      r.back(start);
      if (BETWEEN.some((w) => r.words(w))) continue;
      r.skip();
      stray = { from: stray?.from ?? from, to: r.to };
      continue;
    }
    strayed();
    if (read instanceof Wants) {
      // What was begun and not ended is left over up to the next stop.
      while (!r.done && r.next?.is !== 'stop') r.skip();
      left.push({ from, to: Math.max(r.to, from + 1), understood: false, says: read.says });
    } else clauses.push({ from, to: r.to, saying: read });
  }
  strayed();
  return { clauses, left };
}

function readOne(r: Reader): Saying | Wants | 'none' {
  for (const clause of CLAUSES) {
    const start = r.place;
    try {
      const said = clause(r);
      if (said) return said;
    } catch (error) {
      if (error instanceof Wants) return error;
      throw error;
    }
    r.back(start);
  }
  return 'none';
}

const METRIC_BAR = /^T\d/;

/** Feet and inches, or millimetres: as the lengths that have a unit say, or the bars, or the rules. */
function showOf(tokens: readonly Token[], clauses: readonly Clause[], ask: HearAsk): Show | null {
  for (const t of tokens)
    if (t.is === 'length' && (t.length.unit === 'inches' || t.length.unit === 'metric'))
      return t.length.unit === 'inches' ? 'ft-in' : 'mm';
  for (const { saying } of clauses)
    if (saying.is === 'bars') return METRIC_BAR.test(saying.bar) ? 'mm' : 'ft-in';
  const of = clauses.flatMap(({ saying }) => (saying.is === 'unit' && saying.of ? [saying.of] : []))[0];
  const profile = ask.profile ?? of;
  return profile === undefined ? null : profile === 'uk' ? 'mm' : 'ft-in';
}

const FIRST: readonly Saying['is'][] = [
  'building',
  'size',
  'long',
  'high',
  'unit',
  'stone',
  'cavity',
  'turn',
  'called',
];

/** A new wall needs a length, a height and what it is built of before anything can be said of it. */
function newWall(clauses: readonly Clause[], show: Show, ask: HearAsk): Draft {
  const of = <I extends Saying['is']>(is: I): Extract<Saying, { is: I }> | undefined =>
    clauses.map((c) => c.saying).find((s): s is Extract<Saying, { is: I }> => s.is === is);
  const unit = of('unit');
  const cavity = of('cavity');
  const profile = ask.profile ?? unit?.of ?? (show === 'mm' ? 'uk' : 'us');
  const high = of('size')?.high ?? of('high')?.high;
  const long = of('size')?.long ?? of('long')?.long ?? of('building')?.long;
  const stone = of('stone');
  if (!unit && !cavity && !stone) throw new Wants(SAYING['wants-unit'](), 0);
  if (!long) throw new Wants(SAYING['wants-length'](), 0);
  if (!high) throw new Wants(SAYING['wants-height'](), 0);
  // Until its units are known a counted length has no measure: the file counts it, nothing is worked out here.
  const lengths = new Lengths(show, { unit: 0, course: 0 });
  const job: JobDocument = {
    format: 'even-tally/job',
    version: 1,
    name: of('called')?.name ?? 'Wall',
    show,
    profile,
    walls: [
      {
        id: 'wall',
        name: 'Wall',
        line: [{ run: lengths.stated(long, 'run') }],
        height: lengths.stated(high, 'height'),
        build: { kind: 'units', unit: unitIdOf(unit?.unit ?? 'brick', profile), bond: 'half' },
      },
    ],
  };
  return new Draft(job, 0, 0);
}

/** A job's own copy, which a sentence may change. */
function onWall({ job, wall, run }: NonNullable<HearAsk['on']>): Draft {
  return new Draft(plainCopy(job), wall, run);
}

/**
 * Hears a sentence said of a wall: a new one, or what is to change of one that stands. Every part of it comes back as a
 * phrase with what it was taken for; nothing is guessed where it was not understood.
 */
export function hear(sentence: string, ask: HearAsk = {}): Heard {
  const whole = { from: 0, to: Math.max(1, sentence.length) };
  const not = (says: Message, at: { from: number; to: number } = whole): Heard => ({
    phrases: [{ ...at, understood: false, says }],
    document: null,
  });
  if (sentence.length > LONGEST) return not(SAYING['too-long']({ most: LONGEST }));
  const tokens = tokensOf(sentence);
  const { clauses, left } = clausesOf(tokens);
  const strange = left.map((p) =>
    p.says.code === 'saying.strange'
      ? { ...p, says: SAYING.strange({ words: sentence.slice(p.from, p.to).trim() }) }
      : p,
  );
  if (clauses.length === 0 && strange.length === 0) return not(SAYING['nothing-said']());
  const show = ask.on ? ask.on.job.show : showOf(tokens, clauses, ask);
  if (show === null)
    return {
      phrases: inOrder([...strange, ...not(SAYING['wants-unit-of-length']()).phrases]),
      document: null,
    };
  let draft: Draft;
  try {
    draft = ask.on ? onWall(ask.on) : newWall(clauses, show, ask);
  } catch (error) {
    if (!(error instanceof Wants)) throw error;
    // What is missing may be in what was not understood: that is said first.
    return strange.length > 0 ? { phrases: strange, document: null } : not(error.says);
  }
  const phrases: Phrase[] = [...strange];
  const once = new Set<string>();
  for (const { from, to, saying } of inSaidOrder(clauses, ask.on !== undefined)) {
    try {
      const group = ONCE[saying.is];
      if (group && once.has(group)) throw new Wants(SAYING['said-twice']({ what: group }), from);
      if (group) once.add(group);
      if (!ask.on && CHANGES.includes(saying.is) && (draft.wall.openings ?? []).length === 0)
        throw new Wants(
          saying.is === 'place'
            ? SAYING['wants-width']({ name: (saying.of.word ?? 'opening').replace('-', ' ') })
            : SAYING['only-on-a-wall'](),
          from,
        );
      phrases.push({ from, to, understood: true, says: apply(draft, saying, from) });
    } catch (error) {
      if (!(error instanceof Wants)) throw error;
      phrases.push({ from, to, understood: false, says: error.says });
    }
  }
  if (phrases.some((p) => !p.understood)) return { phrases: inOrder(phrases), document: null };
  const checked = checkJob(draft.job);
  if (checked.ok) return { phrases: inOrder(phrases), document: draft.job };
  const [fault] = checked.faults;
  const why = fault ? sayFault(fault) : '';
  return {
    phrases: [...inOrder(phrases), { ...whole, understood: false, says: SAYING['does-not-stand']({ why }) }],
    document: null,
  };
}

/** Said twice of a new wall, one of the two would be dropped silently. */
const ONCE: Partial<Record<Saying['is'], 'size' | 'unit' | 'bond'>> = {
  size: 'size',
  building: 'size',
  unit: 'unit',
  stone: 'unit',
  bond: 'bond',
};
/** What only changes something that stands already. */
const CHANGES: readonly Saying['is'][] = ['shift', 'place', 'resize', 'remove'];

/** A wall is what it is built of and how large before anything is let into it, in whatever order that is said. */
const inSaidOrder = (clauses: readonly Clause[], onWallThere: boolean): Clause[] => {
  if (onWallThere) return [...clauses];
  const rank = (c: Clause): number =>
    FIRST.includes(c.saying.is) ? FIRST.indexOf(c.saying.is) - FIRST.length : 0;
  return [...clauses].sort((a, b) => rank(a) - rank(b));
};

const inOrder = (phrases: Phrase[]): Phrase[] => [...phrases].sort((a, b) => a.from - b.from);
