import { Typeset } from '../../ui/Typeset';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import {
  DRAWING_UNITS,
  linesFrom,
  millimetres,
  pointsOf,
  sayMm,
  writeLength,
  type DrawingUnit,
  type DrawnLine,
  type LineItem,
  type Show,
} from '@even-tally/core';
import { useState, type ReactNode } from 'react';
import { Pick } from '../../ui/Pick';
import { readDxf, type Drawing } from './readDxf';

const UNIT_NAMES: Record<DrawingUnit, string> = {
  mm: 'millimetres',
  cm: 'centimetres',
  m: 'metres',
  in: 'inches',
  ft: 'feet',
};
const UNITS = (Object.keys(DRAWING_UNITS) as DrawingUnit[]).map((u) => [u, UNIT_NAMES[u]] as const);

/** A line small, as it would be walked. */
function Small({ items }: { items: LineItem[] }): ReactNode {
  const points = pointsOf(items);
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  const [left, low] = [Math.min(...xs), Math.min(...ys)];
  const scale = Math.min(84 / Math.max(Math.max(...xs) - left, 1), 44 / Math.max(Math.max(...ys) - low, 1));
  return (
    <svg width="100" height="60" aria-hidden="true" className="shrink-0 bg-paper">
      <polyline
        points={points.map((p) => `${8 + (p.x - left) * scale},${52 - (p.y - low) * scale}`).join(' ')}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="3"
      />
    </svg>
  );
}

/** Lines of walls read out of a drawing: which layer, in what units, what was taken and what was left. */
export function FromDrawing({
  show,
  onTaken,
  onClose,
}: {
  show: Show;
  onTaken: (line: LineItem[]) => boolean;
  onClose: () => void;
}): ReactNode {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [layer, setLayer] = useState('');
  const [unit, setUnit] = useState<DrawingUnit>(show === 'mm' ? 'mm' : 'in');
  const [says, setSays] = useState('');
  const taken = drawing
    ? linesFrom(drawing.strokes, drawing.unread, layer, unit, (mm) => writeLength(millimetres(mm), show))
    : null;
  const read = (file: File | undefined): void => {
    if (!file) return;
    setSays('Reading it…');
    file
      .text()
      .then(readDxf)
      .then((d) => {
        const most = (l: string): number => d.strokes.filter((s) => s.layer === l).length;
        setDrawing(d);
        setLayer([...d.layers].sort((a, b) => most(b) - most(a))[0] ?? '');
        setSays('');
      })
      .catch((error: Error) => {
        setDrawing(null);
        setSays(error.message);
      });
  };
  const use = (line: DrawnLine): void => {
    if (onTaken(line.items)) onClose();
    else setSays('The wall cannot be so: an opening no longer fits. Move it first.');
  };
  return (
    <Dialog open onClose={onClose} className="relative z-20">
      <div className="fixed inset-0 bg-ink/40" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="max-h-full w-[640px] space-y-3 overflow-y-auto border-2 border-ink bg-sheet p-5">
          <DialogTitle className="heading">A line from a drawing</DialogTitle>
          <label className="block text-small text-soft">
            A DXF file
            <input
              type="file"
              accept=".dxf"
              className="entry font-sans"
              onChange={(e) => read(e.currentTarget.files?.[0])}
            />
          </label>
          {drawing && (
            <div className="grid grid-cols-2 gap-3">
              <Pick
                label="Layer"
                value={layer}
                options={drawing.layers.map((l) => [l, l] as const)}
                onChange={setLayer}
              />
              <Pick label="One unit of it is" value={unit} options={UNITS} onChange={setUnit} />
            </div>
          )}
          {taken && taken.lines.length === 0 && <p>Nothing on this layer is a line of a wall.</p>}
          {taken && (
            <ul>
              {taken.lines.slice(0, 12).map((line, i) => (
                <li key={i} className="flex items-center gap-4 border-t border-rule py-2">
                  <Small items={line.items} />
                  <span className="grow">
                    <b className="figures">
                      <Typeset words={sayMm(line.length, show)} />
                    </b>{' '}
                    {line.closed ? 'round, closed' : 'long'},{' '}
                    {line.items.filter((x) => !('turn' in x)).length} runs
                  </span>
                  <button className="press-plain" onClick={() => use(line)}>
                    Take this line
                  </button>
                </li>
              ))}
            </ul>
          )}
          {taken && taken.left.length > 0 && (
            <p className="text-small text-soft">Left where it was: {taken.left.join('; ')}.</p>
          )}
          <p role="alert" className="font-semibold text-fault">
            {says}
          </p>
          <button className="press-plain" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
