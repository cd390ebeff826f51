import {
  changedMix,
  countedHere,
  sayMm,
  setDeep,
  showMinutes,
  writeLength,
  millimetres,
  type BatchView,
  type Job,
  type Learned,
  type MudView,
  type Show,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';

const percent = (part: number): number => Math.round(part * 100);
const minutes = ({
  mean,
  least,
  most,
}: NonNullable<Learned['usedUp']>): { mean: string; least: string; most: string } => ({
  mean: showMinutes(mean),
  least: showMinutes(least),
  most: showMinutes(most),
});

/** What batches that are gone have taught, each with its spread; and once there are enough, what the job may go by. */
export function Lessons({
  job,
  wall,
  batch,
  mud,
  learned,
  show,
}: {
  job: Job;
  wall: number;
  batch: BatchView;
  mud: MudView;
  learned: Learned;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { batches, thrown, usedUp, dried, diedAt, laid, enough } = learned;
  const name = tell(AT_MUD.ourOwn({ mix: batch.name }));
  const offer = 'press-plain text-small max-[699px]:min-h-11';
  const life = diedAt && showMinutes(Math.floor(diedAt.least));
  return (
    <div className="space-y-1 text-small" data-learned={batches}>
      <p>
        {tell(AT_MUD.ofBatches({ n: batches }))}{' '}
        {thrown &&
          tell(
            AT_MUD.onAverage({
              mean: percent(thrown.mean),
              least: percent(thrown.least),
              most: percent(thrown.most),
            }),
          )}{' '}
        {usedUp && tell(AT_MUD.lasted(minutes(usedUp)))} {dried > 0 && tell(AT_MUD.driedSo({ n: dried }))}{' '}
        {diedAt && tell(AT_MUD.driedAfter(minutes(diedAt)))}
      </p>
      {laid && (
        <p>
          {tell(
            AT_MUD.goesByCount({
              units: laid.units,
              measures: laid.measures,
              days: laid.days,
              least: Math.round(laid.spread.least),
              most: Math.round(laid.spread.most),
            }),
          )}
        </p>
      )}
      {!enough && <p className="text-soft">{tell(AT_MUD.tooFew)}</p>}
      {enough && (
        <>
          {thrown && thrown.mean > 0.05 && <p className="font-semibold">{tell(AT_MUD.mixSmaller)}</p>}
          {dried > 1 && <p className="font-semibold">{tell(AT_MUD.spreadLess)}</p>}
          <div className="flex flex-wrap gap-2">
            {dried > 1 && life !== null && (
              <>
                <button
                  className={offer}
                  onClick={() => edit(changedMix(job, wall, batch.mix, name, { life }))}
                >
                  {tell(AT_MUD.takeLife({ life }))}
                </button>
                <button
                  className={offer}
                  onClick={() =>
                    edit([
                      setDeep(
                        job,
                        '/mud/spread',
                        writeLength(millimetres(Math.round(mud.spread.less)), 'mm'),
                      ),
                    ])
                  }
                >
                  {tell(AT_MUD.takeSpread({ far: sayMm(mud.spread.less, show) }))}
                </button>
              </>
            )}
            {laid && (
              <button
                className={offer}
                onClick={() =>
                  edit(
                    changedMix(
                      job,
                      wall,
                      batch.mix,
                      name,
                      countedHere(job, {
                        measures: laid.measures,
                        pieces: laid.units,
                        perPiece: mud.perPiece,
                      }),
                    ),
                  )
                }
              >
                {tell(AT_MUD.takeCount)}
              </button>
            )}
          </div>
        </>
      )}
    </div>
  );
}
