import { Measure } from '../../ui/Measure';
import { pieceOf, writeAddress, type PieceChange } from '@even-tally/core';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { look, useViewing } from '../../state/view';
import { pieceIn, stepPiece } from '../../bench/chosenPiece';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';

const DO: readonly (readonly [PieceChange['do'], string, string])[] = [
  ['split', 'Part it in two', 'parted in two'],
  ['swap', 'Change about with the next', 'changed about with the next'],
  ['turn', 'Turn it across', 'turned across the wall'],
  ['end-for-end', 'Turn it end for end', 'turned end for end'],
];

/** The unit that was pressed: what it is, where it lies, and how it might be laid otherwise. */
export function UnitCard({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const course = useViewing((s) => s.course);
  const at = useViewing((s) => s.piece);
  const piece = at === null ? null : pieceIn(view, course, at);
  const list = job.walls[view.wall.index]?.build.pieces;
  const path = `/walls/${view.wall.index}/build/pieces`;
  const here = view.changes.filter((c) => c.course === course);
  const change = (does: PieceChange['do']): void => {
    if (!piece) return;
    const { id } = newId('U', list);
    const value = {
      id,
      place: writeAddress({
        wall: view.wall.id,
        run: view.runs[view.run]?.called ?? `#${view.run}`,
        leaf: 0,
        course,
        piece: pieceOf(piece),
      }),
      do: does,
    };
    edit([list ? { op: 'add', path: `${path}/-`, value } : { op: 'add', path, value: [value] }]);
  };
  const arrow = 'flex min-h-8 min-w-8 items-center justify-center border border-rule hover:bg-chalk-pale';
  return (
    <Section
      title="This unit"
      aside={
        <span className="flex gap-1">
          <button
            className={arrow}
            aria-label="The unit before"
            onClick={() => look({ piece: stepPiece(view, course, at, -1) })}
          >
            <ArrowLeft size={15} aria-hidden="true" />
          </button>
          <button
            className={arrow}
            aria-label="The next unit"
            onClick={() => look({ piece: stepPiece(view, course, at, 1) })}
          >
            <ArrowRight size={15} aria-hidden="true" />
          </button>
        </span>
      }
    >
      {piece === null ? (
        <p className="text-soft">
          Press a unit on the drawing, or step along course {course} with the arrows.
        </p>
      ) : (
        <>
          <p>
            <b className="capitalize">{piece.kind === 'cut' ? 'Sawn' : piece.kind}</b>
            {piece.sawn && piece.kind !== 'cut' ? ', sawn' : ''} in course {course},{' '}
            <Measure mm={piece.to - piece.from} show={show} said /> long, from{' '}
            <Measure mm={piece.from} show={show} said />.
          </p>
          <p className="flex flex-wrap gap-2">
            {DO.filter(([does]) => does !== 'end-for-end' || piece.sawn).map(([does, says]) => (
              <button key={does} className="press-plain" onClick={() => change(does)}>
                {says}
              </button>
            ))}
          </p>
        </>
      )}
      {here.length > 0 && (
        <ul>
          {here.map((c) => (
            <li key={c.id} className="flex items-center justify-between border-t border-rule py-1 text-small">
              <span>
                At <Measure mm={c.at} show={show} said />: {DO.find(([d]) => d === c.does)?.[2]}
              </span>
              <button
                className="min-h-7 shrink-0 pl-2 font-semibold text-chalk"
                onClick={() => edit([{ op: 'remove', path: `${path}/${c.index}` }])}
              >
                As the bond has it
              </button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
