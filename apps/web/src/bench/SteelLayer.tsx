import type { BenchView, CellShown, SceneShape, Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useMemo, type KeyboardEvent, type ReactNode } from 'react';
import { useInks } from '../state/scheme';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Shapes } from './Shapes';
import type { Layout } from './layout';

interface Props {
  view: BenchView;
  layout: Layout;
  show: Show;
}

const isChosen = (cell: CellShown, at: { at: number; bottom: number } | null): boolean =>
  at !== null && Math.abs(cell.at - at.at) < 1 && Math.abs(cell.bottom - at.bottom) < 1;

/** The cell next along the wall, for the arrow keys. */
export function stepCell(
  cells: readonly CellShown[],
  at: { at: number; bottom: number } | null,
  by: 1 | -1,
): { at: number; bottom: number } | null {
  const here = cells.findIndex((c) => isChosen(c, at));
  const next = cells[here < 0 ? 0 : Math.min(cells.length - 1, Math.max(0, here + by))];
  return next ? { at: next.at, bottom: next.bottom } : null;
}

/** Cells that can be pressed, over what is drawn of them: one stop for the keyboard, arrows go along. */
function Cells({ view, layout }: Pick<Props, 'view' | 'layout'>): ReactNode {
  const tell = useTell();
  const at = useViewing((s) => s.cell);
  const inks = useInks();
  const { cells } = view.steel;
  if (cells.length === 0) return null;
  const step = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : null;
    if (by === null) return;
    event.preventDefault();
    event.stopPropagation();
    look({ cell: stepCell(cells, at, by) });
  };
  const chosen = cells.find((c) => isChosen(c, at));
  const says = chosen
    ? BENCH.cellSays({
        at: chosen.at,
        bar: chosen.bar ? 'some' : 'none',
        mark: chosen.bar ?? '',
        filled: chosen.filled ? 'filled' : 'empty',
      })
    : BENCH.cellCount({ count: cells.length });
  return (
    <g
      role="application"
      tabIndex={0}
      aria-label={tell(BENCH.cellsSay({ says }))}
      onKeyDown={step}
      // The cell in its ring is what has the focus; the whole face in one would hide it.
      style={{ outline: 'none' }}
      onFocus={() => at === null && look({ cell: stepCell(cells, null, 1) })}
      data-cells={cells.length}
    >
      {cells.map((c) => (
        <rect
          key={`${c.at}|${c.bottom}`}
          x={layout.left + c.from * layout.scale}
          y={layout.base - c.top * layout.scale}
          width={(c.to - c.from) * layout.scale}
          height={(c.top - c.bottom) * layout.scale}
          data-cell={Math.round(c.at)}
          fill="transparent"
          stroke={isChosen(c, at) ? inks.ink : 'none'}
          strokeWidth="3"
          className="cursor-pointer"
          onClick={() => look({ cell: { at: c.at, bottom: c.bottom } })}
        />
      ))}
    </g>
  );
}

/** What lies behind whatever can be pressed, and what over it. */
const UNDER: readonly SceneShape['role'][] = ['grout', 'cell-open'];
const JOINTS: readonly SceneShape['role'][] = ['movement-joint', 'joint-refused', 'joint-head'];

/** Movement joints, seen at every stage: a gap through the whole wall. */
export function MovementJoints({ view, layout }: Pick<Props, 'view' | 'layout'>): ReactNode {
  const { steel } = view.over;
  const joints = useMemo(() => (steel ?? []).filter((s) => JOINTS.includes(s.role)), [steel]);
  return <Shapes shapes={joints} layout={layout} />;
}

/** What stands and is poured inside the wall, and goes across its cavity, over its face. */
export const SteelLayer = memo(function SteelLayer(props: Props): ReactNode {
  const { view, layout } = props;
  const { steel } = view.over;
  const [under, over] = useMemo(() => {
    const rest = (steel ?? []).filter((s) => !JOINTS.includes(s.role));
    return [rest.filter((s) => UNDER.includes(s.role)), rest.filter((s) => !UNDER.includes(s.role))];
  }, [steel]);
  return (
    <>
      <Shapes shapes={under} layout={layout} />
      <Cells {...props} />
      <Shapes shapes={over} layout={layout} />
    </>
  );
});
