import { pieceOf, writeAddress, type PieceChange, oneOfKind, type Message } from '@even-tally/core';
import { AT_BOND } from '@even-tally/words';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { pieceIn, stepPiece } from '../../bench/chosenPiece';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { look, useViewing } from '../../state/view';
import { useTell } from '../../state/words';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';

const DO: readonly (readonly [PieceChange['do'], Message, Message])[] = [
  ['split', AT_BOND.partItInTwo, AT_BOND.parted],
  ['swap', AT_BOND.changeAboutWithThe, AT_BOND.changedAbout],
  ['turn', AT_BOND.turnItAcross, AT_BOND.turnedAcross],
  ['end-for-end', AT_BOND.turnItEndFor, AT_BOND.turnedEndForEnd],
];

/** The unit that was pressed: what it is, where it lies, and how it might be laid otherwise. */
export function UnitCard({ job, view }: PanelProps): ReactNode {
  const tell = useTell();
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
      title={tell(AT_BOND.thisUnit)}
      aside={
        <span className="flex gap-1">
          <button
            className={arrow}
            aria-label={tell(AT_BOND.theUnitBefore)}
            onClick={() => look({ piece: stepPiece(view, course, at, -1) })}
          >
            <ArrowLeft size={15} aria-hidden="true" />
          </button>
          <button
            className={arrow}
            aria-label={tell(AT_BOND.theNextUnit)}
            onClick={() => look({ piece: stepPiece(view, course, at, 1) })}
          >
            <ArrowRight size={15} aria-hidden="true" />
          </button>
        </span>
      }
    >
      {piece === null ? (
        <p className="text-soft">{tell(AT_BOND.pressUnit({ course }))}</p>
      ) : (
        <>
          <p>
            <Told
              said={AT_BOND.unitSays({
                kind: oneOfKind(piece.kind, { shells: view.steel.hollow ? true : null }),
                sawn: piece.sawn && piece.kind !== 'cut' ? 'yes' : 'no',
                course,
                length: piece.to - piece.from,
                from: piece.from,
              })}
            />
          </p>
          <p className="flex flex-wrap gap-2">
            {DO.filter(([does]) => does !== 'end-for-end' || piece.sawn).map(([does, says]) => (
              <button key={does} className="press-plain" onClick={() => change(does)}>
                {tell(says)}
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
                <Told
                  said={AT_BOND.changeAt({ at: c.at, what: DO.find(([d]) => d === c.does)?.[2] ?? '' })}
                />
              </span>
              <button
                className="min-h-7 shrink-0 pl-2 font-semibold text-chalk"
                onClick={() => edit([{ op: 'remove', path: `${path}/${c.index}` }])}
              >
                {tell(AT_BOND.asTheBondHas)}
              </button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
