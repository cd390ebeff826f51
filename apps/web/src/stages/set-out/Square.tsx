import { stated, toMillimetres, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Told } from '../../ui/Told';
import { useNarrow } from '../../ui/useNarrow';
import type { PanelProps } from '../panel';
import { taped, tapesBegun } from './groundEdits';

const SIDES = ['AB', 'BC', 'CD', 'DA'] as const;

/** Four tapes and a diagonal: which corner moves, which way, how far. */
export function Square({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const read = job.walls[view.wall.index]?.square;
  // Four straight sides and their diagonals are typed on the plan, where a screen has room for them.
  const line = job.walls[view.wall.index]?.line ?? [];
  const onPlan = view.wall.closed && view.runs.length === 4 && !line.some((i) => 'arc' in i);
  const typedHere = useNarrow(700) || !onPlan;
  const [a, b] = [view.runs[0]?.length ?? 0, view.runs[1]?.length ?? 0];
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  if (view.runs.length < 2) return null;
  const diagonal = Math.hypot(a, b);
  const three = view.survey.threeFourFive;
  const put = (list: 'sides' | 'diagonals', i: number) => (value: Stated) =>
    edit(taped(job, view.wall.index, list, i, value));
  const answer = view.survey.square;
  return (
    <Fold
      title={tell(AT_SET_OUT.square)}
      aside={
        answer
          ? answer.corners.every((c) => Math.hypot(c.moveX, c.moveY) <= 5)
            ? tell(AT_SET_OUT.isSquare)
            : tell(AT_SET_OUT.aCornerMoves)
          : tell(AT_SET_OUT.diagonalsRead({ length: diagonal }))
      }
    >
      <p>
        <Told said={AT_SET_OUT.bothDiagonals({ length: diagonal })} />
        {three && (
          <>
            {' '}
            <Told said={AT_SET_OUT.toStart({ a: three[0], b: three[1], c: three[2] })} />
          </>
        )}
      </p>
      {!read ? (
        typedHere && (
          <button className="press" onClick={() => edit(tapesBegun(view, show))}>
            {tell(AT_SET_OUT.enterWhatTheTape)}
          </button>
        )
      ) : (
        <>
          {typedHere && (
            <div className="grid grid-cols-2 gap-x-3 gap-y-2">
              {SIDES.map((name, i) => (
                <LengthField
                  key={name}
                  label={tell(AT_SET_OUT.sideOf({ name }))}
                  value={toMillimetres(stated(read.sides[i] ?? 0))}
                  {...measure}
                  onChange={put('sides', i)}
                />
              ))}
              <LengthField
                label={tell(AT_SET_OUT.diagonalAc)}
                value={toMillimetres(stated(read.diagonals[0] ?? 0))}
                {...measure}
                onChange={put('diagonals', 0)}
              />
              <LengthField
                label={tell(AT_SET_OUT.diagonalBdToProve)}
                value={
                  read.diagonals[1] === undefined
                    ? (answer?.otherDiagonal ?? 0)
                    : toMillimetres(stated(read.diagonals[1]))
                }
                {...measure}
                onChange={put('diagonals', 1)}
              />
            </div>
          )}
          {!answer && <p className="font-semibold text-fault">{tell(AT_SET_OUT.theseTapesMakeNo)}</p>}
          {answer && (
            <table className="w-full text-small">
              <caption className="text-left font-bold">{tell(AT_SET_OUT.aKeptAbKept)}</caption>
              <tbody>
                {answer.corners.map((c, i) => (
                  <tr key={c.name} className="border-t border-rule">
                    <td>
                      {c.name}, {answer.angles[i]?.toFixed(2)}°
                    </td>
                    <td className="figures text-right">
                      {tell(
                        Math.abs(c.moveX) < 0.5
                          ? AT_SET_OUT.stays
                          : AT_SET_OUT.moveAlong({
                              by: Math.abs(c.moveX),
                              way: c.moveX > 0 ? 'on' : 'back',
                            }),
                      )}
                    </td>
                    <td className="figures text-right">
                      {tell(
                        Math.abs(c.moveY) < 0.5
                          ? ''
                          : AT_SET_OUT.moveAcross({
                              by: Math.abs(c.moveY),
                              way: c.moveY > 0 ? 'out' : 'in',
                            }),
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </Fold>
  );
}
