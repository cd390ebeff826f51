import { AT_GAUGE, AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Measure } from '../../ui/Measure';
import { Section } from '../../ui/Section';
import { Typeset } from '../../ui/Typeset';
import { ofSheet, TakeAway } from '../TakeAway';
import type { PanelProps } from '../panel';
import { FixedHeights } from './FixedHeights';

/** Gauge, of a wall of stone: where it is brought level. */
export function Levels(props: PanelProps): ReactNode {
  const tell = useTell();
  const { view, show } = props;
  return (
    <>
      <Section
        title={tell(AT_STONE.levels)}
        aside={
          <span className="figures text-small">
            <Typeset
              words={tell(AT_STONE.levelsIn({ count: view.courses.length, height: view.wall.built }))}
            />
          </span>
        }
      >
        <ol className="text-small">
          {[...view.courses].reverse().map((c) => (
            <li key={c.number} className="flex justify-between border-t border-rule py-1">
              <span className="figures">{c.number}</span>
              <Measure mm={c.top} show={show} />
            </li>
          ))}
        </ol>
        <p className="text-small text-soft">{tell(AT_STONE.levelsSays)}</p>
      </Section>
      <FixedHeights {...props} />
      <TakeAway
        {...props}
        title={tell(AT_GAUGE.takeThePole)}
        which={ofSheet('pole')}
        says={tell(AT_GAUGE.cumulativeMarksFromThe)}
      />
    </>
  );
}
