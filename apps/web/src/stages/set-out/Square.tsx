import { Typeset } from '../../ui/Typeset';
import { millimetres, sayMm, stated, toMillimetres, writeLength, type Stated } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import type { PanelProps } from '../panel';

const SIDES = ['AB', 'BC', 'CD', 'DA'] as const;

/** Four tapes and a diagonal: which corner moves, which way, how far. */
export function Square({ job, view, show }: PanelProps): ReactNode {
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}/square`;
  const taped = job.walls[view.wall.index]?.square;
  const [a, b] = [view.runs[0]?.length ?? 0, view.runs[1]?.length ?? 0];
  const say = (n: number): string => sayMm(n, show);
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const text = (mm: number): Stated => writeLength(millimetres(Math.round(mm * 10) / 10), show);
  if (view.runs.length < 2) return null;
  const diagonal = Math.hypot(a, b);
  const three = view.survey.threeFourFive;
  const put = (list: 'sides' | 'diagonals', i: number) => (value: Stated) =>
    edit([{ op: taped?.[list][i] === undefined ? 'add' : 'replace', path: `${path}/${list}/${i}`, value }]);
  const answer = view.survey.square;
  return (
    <Fold
      title="Square"
      aside={
        answer
          ? answer.corners.every((c) => Math.hypot(c.moveX, c.moveY) <= 5)
            ? 'square'
            : 'a corner moves'
          : `diagonals ${say(diagonal)}`
      }
    >
      <p>
        Both diagonals read{' '}
        <b className="figures">
          <Typeset words={say(diagonal)} />
        </b>{' '}
        when it is square
        {three && (
          <>
            ; to start a corner,{' '}
            <b className="figures">
              <Typeset words={say(three[0])} />
            </b>
            ,{' '}
            <b className="figures">
              <Typeset words={say(three[1])} />
            </b>{' '}
            and{' '}
            <b className="figures">
              <Typeset words={say(three[2])} />
            </b>
          </>
        )}
        .
      </p>
      {!taped ? (
        <button
          className="press"
          onClick={() =>
            edit([{ op: 'add', path, value: { sides: [a, b, a, b].map(text), diagonals: [text(diagonal)] } }])
          }
        >
          Enter what the tape reads
        </button>
      ) : (
        <>
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {SIDES.map((name, i) => (
              <LengthField
                key={name}
                label={`Side ${name}`}
                value={toMillimetres(stated(taped.sides[i] ?? 0))}
                {...measure}
                onChange={put('sides', i)}
              />
            ))}
            <LengthField
              label="Diagonal AC"
              value={toMillimetres(stated(taped.diagonals[0] ?? 0))}
              {...measure}
              onChange={put('diagonals', 0)}
            />
            <LengthField
              label="Diagonal BD, to prove it"
              value={
                taped.diagonals[1] === undefined
                  ? (answer?.otherDiagonal ?? 0)
                  : toMillimetres(stated(taped.diagonals[1]))
              }
              {...measure}
              onChange={put('diagonals', 1)}
            />
          </div>
          {!answer && (
            <p className="font-semibold text-fault">These tapes make no figure: one of them is misread.</p>
          )}
          {answer && (
            <table className="w-full text-small">
              <caption className="text-left font-bold">A kept, AB kept on its line</caption>
              <tbody>
                {answer.corners.map((c, i) => (
                  <tr key={c.name} className="border-t border-rule">
                    <td>
                      {c.name}, {answer.angles[i]?.toFixed(2)}°
                    </td>
                    <td className="figures text-right">
                      {Math.abs(c.moveX) < 0.5
                        ? 'stays'
                        : `${say(Math.abs(c.moveX))} ${c.moveX > 0 ? 'on' : 'back'}`}
                    </td>
                    <td className="figures text-right">
                      {Math.abs(c.moveY) < 0.5
                        ? ''
                        : `${say(Math.abs(c.moveY))} ${c.moveY > 0 ? 'out' : 'in'}`}
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
