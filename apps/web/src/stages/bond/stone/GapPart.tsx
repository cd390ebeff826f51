import { lookedFromRows, runningFromRows, type Stated } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { ofSheet, TakeAway } from '../../TakeAway';
import { useWallFields } from '../../useWallFields';
import { written } from '../../written';
import { Lengths } from './Fields';
import { Lines } from './Lines';
import { Optional } from './Optional';
import type { StoneProps } from './StonePart';

const asLine = (cells: readonly (Stated | undefined)[]): string =>
  cells.filter((c) => c !== undefined && c !== '').join(', ');

/** A stretch of an old dry wall that is down: how far it is stripped, what its stones give back, and the order of the work. */
export function GapPart(props: StoneProps): ReactNode {
  const tell = useTell();
  const { job, view, show, stone } = props;
  const { set, clear } = useWallFields(job, view);
  if (stone.kind !== 'dry') return null;
  const filed = job.walls[view.wall.index]?.gap;
  const gap = stone.gap;
  const long = view.runs[view.run]?.length ?? 0;
  const strip = {
    left: written(gap?.stripped.left ?? 0, show),
    right: written(gap?.stripped.right ?? 0, show),
  };
  const out = filed?.out ?? { left: 0, right: 0 };
  return (
    <>
      <Optional
        title={AT_STONE.gapTitle}
        has={filed !== undefined}
        add={AT_STONE.addGap}
        leave={AT_STONE.noGap}
        onAdd={() =>
          set('/gap', { run: view.run, from: written(long / 3, show), to: written((2 * long) / 3, show) })
        }
        onLeave={() => clear('/gap')}
      >
        {filed && gap && (
          <>
            <Lengths
              of="gap"
              show={show}
              fields={[
                ['from', AT_STONE.gapFrom, gap.from],
                ['to', AT_STONE.gapTo, gap.to],
              ]}
              set={(key, v) => set(`/gap/${key}`, v)}
            />
            <Lengths
              of="strip"
              show={show}
              fields={[
                ['left', AT_STONE.stripLeft, gap.stripped.left],
                ['right', AT_STONE.stripRight, gap.stripped.right],
              ]}
              set={(key, v) => set('/gap/strip', { ...strip, [key]: v })}
            />
            <Lines
              label={tell(AT_STONE.lookedAt)}
              name="looked"
              value={(filed.sample ?? [])
                .map((s) => asLine([s.shows, s.height, s.goesIn, s.sound === false ? 'x' : '']))
                .join('\n')}
              read={(rows) => lookedFromRows(rows, show)}
              onChange={(list) => (list.length > 0 ? set('/gap/sample', list) : clear('/gap/sample'))}
            />
            <Lines
              label={tell(AT_STONE.runningJoints)}
              name="running"
              value={(filed.joints ?? []).map((j) => asLine([j.courses, j.covered ? 'x' : ''])).join('\n')}
              read={runningFromRows}
              onChange={(list) => (list.length > 0 ? set('/gap/joints', list) : clear('/gap/joints'))}
            />
            <Lengths
              of="out"
              signed
              show={show}
              fields={[
                ['left', AT_STONE.outLeft, stone.gapOut.left],
                ['right', AT_STONE.outRight, stone.gapOut.right],
              ]}
              set={(key, v) => set('/gap/out', { ...out, [key]: v })}
            />
            {gap.says.map((says, i) => (
              <p key={i} className="text-small">
                {tell(says)}
              </p>
            ))}
            <ol className="list-decimal space-y-1 pl-5 text-small" data-gap={gap.steps.length}>
              {gap.steps.map((step, i) => (
                <li key={i}>{tell(step)}</li>
              ))}
            </ol>
          </>
        )}
      </Optional>
      {gap && (
        <TakeAway
          {...props}
          title={tell(AT_STONE.takeGap)}
          which={ofSheet('gap')}
          says={tell(AT_STONE.takeGapSays)}
        />
      )}
    </>
  );
}
