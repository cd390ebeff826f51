import { type Said, THEME, type BenchView, type SceneShape } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { useTell } from '../state/words';
import { TypesetInDrawing } from '../ui/Typeset';
import type { Layout } from './layout';

/** Air between one name and the next, px. */
const LINE = 18;
/** Nothing is drawn nearer the top of the paper than this, px. */
const TOP = 60;

interface Level {
  line: Extract<SceneShape, { type: 'line' }>;
  says: Said;
  /** Where its line lies, null when it is off the drawing; and where its name stands clear of the others, px. */
  y: number | null;
  name: number;
}

/** Levels from the highest down, as the scene has them: a line, then its words. */
function levelsOf(shapes: readonly SceneShape[], layout: Layout): Level[] {
  const low = layout.tapeTop - 6;
  return shapes.reduce<Level[]>((list, line, i) => {
    const words = shapes[i + 1];
    if (line.type !== 'line' || words?.type !== 'text') return list;
    const at = layout.base - line.y1 * layout.scale;
    const y = Math.min(low, Math.max(TOP, at));
    const name = Math.max(y - 4, (list.at(-1)?.name ?? -Infinity) + LINE);
    return [...list, { line, says: words.text, y: y === at ? y : null, name }];
  }, []);
}

/** Levels over the drawing at Set out: the lines right across it, their names at its right edge. */
export function LevelLines({ view, layout }: { view: BenchView; layout: Layout }): ReactNode {
  const tell = useTell();
  const inks = useInks();
  return (
    <g pointerEvents="none" aria-hidden="true">
      {levelsOf(view.over['set-out'] ?? [], layout).map(({ line, says, y, name }) => {
        const look = THEME[line.role] ?? {};
        const ink = inks[look.ink ?? 'ink'];
        return (
          <g key={line.role}>
            {y !== null && (
              <line
                x1="0"
                x2={layout.width}
                y1={y}
                y2={y}
                stroke={ink}
                strokeWidth={look.weight}
                strokeDasharray={look.dash?.join(' ')}
              />
            )}
            <text
              x={layout.width - 36}
              y={name}
              textAnchor="end"
              className="text-fine font-semibold"
              fill={ink}
              stroke={inks.paper}
              strokeWidth="5"
              paintOrder="stroke"
            >
              <TypesetInDrawing words={tell(says)} />
            </text>
          </g>
        );
      })}
    </g>
  );
}
