import type { Message, Show } from '@even-tally/core';
import { BENCH, PAPER } from '@even-tally/words';
import { STAGES } from '../stages/registry';
import type { BenchStage } from '../stages/stage';
import { chooseShow, look, viewing, type PaperKind } from '../state/view';
import { paperHold } from './paperHold';

export interface KeyPlace {
  stem: string;
  base: string;
  run: number;
  runs: number;
  stage: string;
  courses: number;
  show: Show;
  go: (to: string) => void;
  undo: () => void;
  redo: () => void;
}

export interface Key {
  keys: string;
  says: Message;
  on: (e: KeyboardEvent) => boolean;
  act: (p: KeyPlace, e: KeyboardEvent) => void;
}

const letter =
  (key: string) =>
  (e: KeyboardEvent): boolean =>
    e.key.toLowerCase() === key && !e.ctrlKey && !e.metaKey && !e.shiftKey;

const PANS: Record<string, readonly [number, number]> = {
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Another drawing on the paper, or the stage's own again. */
const turnTo = (paper: PaperKind): void => look({ paper: viewing.getState().paper === paper ? null : paper });

/** A figure for each stage, in the order they hang on the line. */
export const stageKeys = (stages: readonly BenchStage[]): Key[] =>
  stages.map((s, i) => ({
    keys: String(i + 1),
    says: BENCH.stageKey({ stage: s.name }),
    on: (e) => e.key === String(i + 1) && !e.ctrlKey && !e.metaKey,
    act: (p) => p.go(`${p.stem}/${s.key}`),
  }));

/** Our own map. What the sheet under `?` shows is this list, so it cannot say something else. */
export const KEYS: Key[] = [
  ...stageKeys(STAGES),
  {
    keys: 'PgUp',
    says: BENCH.nextCourseUp,
    on: (e) => e.key === 'PageUp',
    act: (p) => look({ course: Math.min(p.courses, viewing.getState().course + 1) }),
  },
  {
    keys: 'PgDn',
    says: BENCH.nextCourseDown,
    on: (e) => e.key === 'PageDown',
    act: () => look({ course: Math.max(1, viewing.getState().course - 1) }),
  },
  {
    keys: ']',
    says: BENCH.nextRun,
    on: (e) => e.key === ']',
    act: (p) => p.go(`${p.base}/${(p.run + 1) % p.runs}/${p.stage}`),
  },
  {
    keys: '[',
    says: BENCH.runBefore,
    on: (e) => e.key === '[',
    act: (p) => p.go(`${p.base}/${(p.run + p.runs - 1) % p.runs}/${p.stage}`),
  },
  {
    keys: '/',
    says: PAPER.findKey,
    on: (e) => e.key === '/',
    act: () => look({ finding: true, saying: false }),
  },
  { keys: 'S', says: PAPER.sayKey, on: letter('s'), act: () => look({ saying: true, finding: false }) },
  {
    keys: 'C',
    says: PAPER.courseKey,
    on: letter('c'),
    act: () => turnTo('course'),
  },
  {
    keys: 'X',
    says: PAPER.sectionKey,
    on: letter('x'),
    act: () => turnTo('section'),
  },
  {
    keys: 'O',
    says: PAPER.unfoldKey,
    on: letter('o'),
    act: () => turnTo('unfolded'),
  },
  {
    keys: 'D',
    says: PAPER.drawerKey,
    on: letter('d'),
    act: () => look({ drawer: viewing.getState().drawer === null ? 'courses' : null, row: null }),
  },
  {
    keys: '+ −',
    says: PAPER.nearerKey,
    on: (e) => e.key === '+' || e.key === '=' || e.key === '-' || e.key === '−',
    act: (_, e) => (e.key === '+' || e.key === '=' ? paperHold()?.nearer() : paperHold()?.farther()),
  },
  { keys: 'F', says: PAPER.fit, on: letter('f'), act: () => paperHold()?.fit() },
  { keys: 'A', says: PAPER.actual, on: letter('a'), act: () => paperHold()?.actual() },
  {
    keys: 'Shift ← → ↑ ↓',
    says: PAPER.panKey,
    on: (e) => e.shiftKey && e.key in PANS,
    act: (_, e) => {
      const [x, y] = PANS[e.key] ?? [0, 0];
      paperHold()?.pan(x, y);
    },
  },
  {
    keys: 'Tab, ← →',
    says: BENCH.moveOpening,
    on: () => false,
    act: () => undefined,
  },
  {
    keys: 'Ctrl Z',
    says: BENCH.undoKey,
    on: (e) => (e.ctrlKey || e.metaKey) && !e.shiftKey && e.key.toLowerCase() === 'z',
    act: (p) => p.undo(),
  },
  {
    keys: 'Ctrl Shift Z',
    says: BENCH.redoKey,
    on: (e) =>
      (e.ctrlKey || e.metaKey) &&
      ((e.shiftKey && e.key.toLowerCase() === 'z') || e.key.toLowerCase() === 'y'),
    act: (p) => p.redo(),
  },
  {
    keys: 'U',
    says: BENCH.feetOrMm,
    on: (e) => e.key.toLowerCase() === 'u' && !e.ctrlKey && !e.metaKey,
    act: (p) => chooseShow(p.show === 'mm' ? 'ft-in' : 'mm'),
  },
  {
    keys: 'L',
    says: BENCH.readTheList,
    on: (e) => e.key.toLowerCase() === 'l' && !e.ctrlKey && !e.metaKey,
    act: () => look({ asList: !viewing.getState().asList }),
  },
  { keys: '?', says: BENCH.thisList, on: (e) => e.key === '?', act: () => look({ keysOpen: true }) },
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && ['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName);

/** Runs the key's act, unless somebody is typing in a field. */
export function onKey(event: KeyboardEvent, place: KeyPlace): void {
  if (typing(event.target) || event.altKey || document.querySelector('[role="dialog"]')) return;
  const found = KEYS.find((k) => k.on(event));
  if (!found) return;
  event.preventDefault();
  found.act(place, event);
}
