import {
  DRAWING_UNITS,
  linesFrom,
  millimetres,
  pointsOf,
  writeLength,
  type DrawingUnit,
  type DrawnLine,
  type LineItem,
  type Show,
  type Message,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import { saidBy } from '../../state/failure';
import { useTell } from '../../state/words';
import { Pick } from '../../ui/Pick';
import { Told } from '../../ui/Told';
import { readDxf, type Drawing } from './readDxf';

const UNIT_NAMES: Record<DrawingUnit, Message> = {
  mm: AT_SET_OUT.millimetres,
  cm: AT_SET_OUT.centimetres,
  m: AT_SET_OUT.metres,
  in: AT_SET_OUT.inches,
  ft: AT_SET_OUT.feet,
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
  const tell = useTell();
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [layer, setLayer] = useState('');
  const [unit, setUnit] = useState<DrawingUnit>(show === 'mm' ? 'mm' : 'in');
  const [says, setSays] = useState('');
  const taken = drawing
    ? linesFrom(drawing.strokes, drawing.unread, layer, unit, (mm) => writeLength(millimetres(mm), show))
    : null;
  const read = (file: File | undefined): void => {
    if (!file) return;
    setSays(tell(AT_SET_OUT.readingIt));
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
        setSays(tell(saidBy(error)));
      });
  };
  const use = (line: DrawnLine): void => {
    if (onTaken(line.items)) onClose();
    else setSays(tell(AT_SET_OUT.noLongerFits));
  };
  return (
    <Dialog open onClose={onClose} className="relative z-20">
      <div className="fixed inset-0 bg-black/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="max-h-full w-[640px] space-y-3 overflow-y-auto border-2 border-ink bg-sheet p-5">
          <DialogTitle className="heading">{tell(AT_SET_OUT.aLineFromA)}</DialogTitle>
          <label className="block text-small text-soft">
            {tell(AT_SET_OUT.aDxfFile)}
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
                label={tell(AT_SET_OUT.layer)}
                value={layer}
                options={drawing.layers.map((l) => [l, l] as const)}
                onChange={setLayer}
              />
              <Pick label={tell(AT_SET_OUT.oneUnitOfIt)} value={unit} options={UNITS} onChange={setUnit} />
            </div>
          )}
          {taken && taken.lines.length === 0 && <p>{tell(AT_SET_OUT.nothingOnThisLayer)}</p>}
          {taken && (
            <ul>
              {taken.lines.slice(0, 12).map((line, i) => (
                <li key={i} className="flex items-center gap-4 border-t border-rule py-2">
                  <Small items={line.items} />
                  <span className="grow">
                    <Told
                      said={AT_SET_OUT.lineFound({
                        length: line.length,
                        shape: line.closed ? 'closed' : 'open',
                        runs: line.items.filter((x) => !('turn' in x)).length,
                      })}
                    />
                  </span>
                  <button className="press-plain" onClick={() => use(line)}>
                    {tell(AT_SET_OUT.takeThisLine)}
                  </button>
                </li>
              ))}
            </ul>
          )}
          {taken && taken.left.length > 0 && (
            <p className="text-small text-soft">
              {tell(AT_SET_OUT.leftWhere({ what: taken.left.join('; ') }))}
            </p>
          )}
          <p role="alert" className="font-semibold text-fault">
            {says && tell(says)}
          </p>
          <button className="press-plain" onClick={onClose}>
            {tell(AT_SET_OUT.close)}
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
