import { type Grout, cubicYards, type Message } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { Pours } from './Pours';

type Fill = 'none' | 'steel' | 'all' | 'every';
const FILLS: readonly (readonly [Fill, Message])[] = [
  ['steel', AT_STEEL.cellsWithBars],
  ['every', AT_STEEL.everySoMany],
  ['all', AT_STEEL.everyCellSolid],
  ['none', AT_STEEL.nothing],
];
const fillOf = (fill: Grout['fill']): Fill => (typeof fill === 'object' ? 'every' : fill);

/** What is filled, how high at once, and what it takes. */
export function Grouting(props: PanelProps): ReactNode {
  const { job, view, show } = props;
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const { grout, pours, volume } = view.steel;
  if (!view.steel.hollow) return null;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const fill = grout?.fill ?? 'none';
  const put = (key: string, value: unknown): boolean =>
    grout?.stated
      ? set(`/grout/${key}`, value)
      : set('/grout', { fill: grout?.fill ?? 'steel', [key]: value });
  return (
    <Section
      title={tell(AT_STEEL.grout)}
      aside={
        <span className="figures text-small">{tell(AT_STEEL.volumeToOrder({ volume: volume.used }))}</span>
      }
    >
      <Pick
        label={tell(AT_STEEL.whatIsFilled)}
        value={fillOf(fill)}
        options={FILLS}
        onChange={(f) => set('/grout/fill', f === 'every' ? { every: 4 } : f)}
      />
      {typeof fill === 'object' && (
        <NumberField
          label={tell(AT_STEEL.everySoManyCells)}
          value={fill.every}
          most={1000}
          onChange={(every) => set('/grout/fill', { every })}
        />
      )}
      {fill !== 'none' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label={tell(AT_STEEL.solidUpTo)}
              counts="courses"
              value={grout?.below ?? 0}
              {...measure}
              onChange={(v) => put('below', v)}
            />
            <Pick
              label={tell(AT_STEEL.grout)}
              value={grout?.aggregate ?? 'fine'}
              options={[
                ['fine', AT_STEEL.fine],
                ['coarse', AT_STEEL.coarse],
              ]}
              onChange={(v) => put('aggregate', v)}
            />
            <LengthField
              label={tell(AT_STEEL.mostPouredAtOnce)}
              name="pour"
              value={grout?.pour ?? 1625.6}
              {...measure}
              onChange={(v) => put('pour', v)}
            />
            <Pick
              label={tell(AT_STEEL.besideOpenings)}
              value={grout?.jambs ? 'yes' : 'no'}
              options={[
                ['no', AT_STEEL.asTheRest],
                ['yes', AT_STEEL.alwaysFilled],
              ]}
              onChange={(v) => (v === 'yes' ? put('jambs', true) : clear('/grout/jambs'))}
            />
          </div>
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label={tell(AT_STEEL.placedBy)}
              value={grout?.hose ? 'pump' : 'hand'}
              options={[
                ['hand', AT_STEEL.byHandBatches],
                ['pump', AT_STEEL.aPump],
              ]}
              onChange={(v) =>
                v === 'pump'
                  ? put('hose', show === 'mm' ? { length: 30_000, bore: 50 } : { length: "100'", bore: '2"' })
                  : clear('/grout/hose')
              }
            />
            {grout?.hose && (
              <LengthField
                label={tell(AT_STEEL.hose)}
                value={grout.hose.length}
                {...measure}
                onChange={(v) => set('/grout/hose/length', v)}
              />
            )}
          </div>
          <p className="text-small">
            <Told
              said={AT_STEEL.groutSays({
                all: volume.geometric,
                cells: volume.cells,
                beams: volume.beams,
                solid: volume.solid,
                yards: show === 'ft-in' ? 'yes' : 'no',
                yd3: Number(cubicYards(volume.used).toFixed(2)),
              })}
            />
            {volume.prime > 0 && (
              <>
                {' '}
                <Told said={AT_STEEL.primeSays({ prime: volume.prime })} />
              </>
            )}
          </p>
          {pours.length > 0 && <Pours {...props} />}
        </>
      )}
    </Section>
  );
}
