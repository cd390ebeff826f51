import { THEME, type BenchView, type SceneShape, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import type { Layout } from './layout';

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

type Letter = Extract<SceneShape, { type: 'mark' }>;

/** Letters in the order they stand, those that would lie on one another set apart sideways. */
function lettersOf({ view, layout }: Props): { mark: Letter; x: number; y: number }[] {
  const placed: { mark: Letter; x: number; y: number }[] = [];
  for (const s of view.elevation.shapes) {
    if (s.type !== 'mark' || s.text === undefined) continue;
    let x = Math.min(layout.width - 16, Math.max(16, layout.left + s.x * layout.scale));
    const y = layout.base - s.y * layout.scale;
    while (placed.some((p) => Math.abs(p.x - x) < 27 && Math.abs(p.y - y) < 27)) x += 28;
    placed.push({ mark: s, x, y });
  }
  return placed;
}

/** Findings as chalk letters, each to be pressed. */
export function Letters(props: Props): ReactNode {
  const tell = useTell();
  const inks = useInks();
  const chosen = useViewing((s) => s.letter);
  return lettersOf(props).map(({ mark, x, y }) => {
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
