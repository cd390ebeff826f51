import {
  lettersBeside,
  THEME,
  type BenchView,
  type LetterBox,
  type LetterPlace,
  type SceneShape,
  type StageName,
} from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import type { Layout } from './layout';

interface Props {
  view: BenchView;
  layout: Pick<Layout, 'width' | 'left' | 'base' | 'scale'> & Partial<Pick<Layout, 'tapeTop'>>;
  /** Those of one stage alone, beside what it shows: in a column there, px. */
  stage?: StageName;
  column?: number;
}

type Letter = Extract<SceneShape, { type: 'mark' }>;

interface Stood extends LetterPlace {
  mark: Letter;
  /** What it speaks of. */
  of: LetterPlace;
}

/** A name in an opening: so wide a letter, and so far over and under its middle, px. */
const NAME = { letter: 7.6, up: 20, down: 24 };

/** What letters keep off: the names and sizes that stand in openings. */
function namesOn({ view, layout }: Props): LetterBox[] {
  return view.openings
    .filter((o) => o.run === view.run)
    .map((o) => {
      const x = layout.left + ((o.from + o.to) / 2) * layout.scale;
      const y = layout.base - ((o.sill + o.head) / 2) * layout.scale;
      const half = (Math.max(o.name.length, 8) * NAME.letter) / 2;
      return { left: x - half, right: x + half, top: y - NAME.up, foot: y + NAME.down };
    });
}

/** A wall drawn lower than this has no room for letters on it: they stand over and under it, px. */
const LOW = 110;

/** The wall itself, where it is drawn so low that letters on it would cover it. */
function lowWall({ view, layout }: Props): LetterBox[] {
  const { x, w, y, h } = view.elevation.box;
  if (h * layout.scale > LOW) return [];
  return [
    {
      left: layout.left + x * layout.scale,
      right: layout.left + (x + w) * layout.scale,
      top: layout.base - (y + h) * layout.scale,
      foot: layout.base - Math.max(0, y) * layout.scale,
    },
  ];
}

/** Words that stand over the wall end where they are placed, and are about so long, px. */
const OVER = 90;

const wordsOver = ({ view, layout }: Props): LetterBox[] =>
  [view.elevation.shapes, ...Object.values(view.over)].flat().flatMap((s) => {
    if (s.type !== 'text' || s.role !== 'short-name') return [];
    const x = layout.left + s.x * layout.scale;
    const y = layout.base - s.y * layout.scale;
    return [{ left: x - OVER, right: x, top: y - NAME.up, foot: y }];
  });

/** Letters in the order they stand: beside their places, or in a column at their heights. */
function lettersOf(props: Props): Stood[] {
  const { view, layout, stage, column } = props;
  const marks = view.elevation.shapes.filter(
    (s): s is Letter =>
      s.type === 'mark' &&
      s.text !== undefined &&
      (!stage || view.says.find((l) => l.letter === s.text)?.finding.stage === stage),
  );
  const places = marks.map((s) => ({
    x: column ?? layout.left + s.x * layout.scale,
    y: layout.base - s.y * layout.scale,
  }));
  const at =
    column === undefined
      ? lettersBeside(places, {
          clear: [...namesOn(props), ...lowWall(props), ...wordsOver(props)],
          within: { left: 0, right: layout.width, top: 0, foot: layout.tapeTop ?? Infinity },
        })
      : places;
  return marks.map((mark, i) => ({
    mark,
    of: places[i] as LetterPlace,
    ...(at[i] as LetterPlace),
  }));
}

/** Findings as chalk letters, each to be pressed. */
export function Letters(props: Props): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const chosen = useViewing((s) => s.letter);
  return lettersOf(props).map(({ mark, x, y, of }) => {
    const letter = tell(mark.text ?? '');
    const theme = THEME[mark.role] ?? {};
    const ink = inks[theme.ink ?? 'ink'];
    return (
      <g
        key={letter}
        transform={`translate(${x} ${y})`}
        role="button"
        tabIndex={0}
        aria-label={tell(BENCH.findingLetter({ letter }))}
        className="cursor-pointer"
        onClick={() => look({ letter })}
        onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && look({ letter })}
      >
        {props.column === undefined && (
          <>
            <line x2={of.x - x} y2={of.y - y} stroke={ink} strokeWidth="1.6" />
            <circle cx={of.x - x} cy={of.y - y} r="3.2" fill={ink} stroke={inks.sheet} strokeWidth="1" />
          </>
        )}
        <path
          d={theme.glyph}
          fill={chosen === letter ? inks.tape : inks.sheet}
          stroke={ink}
          strokeWidth={theme.weight}
        />
        <text y="5" textAnchor="middle" fill={ink} className="text-body font-bold">
          {letter}
        </text>
      </g>
    );
  });
}
