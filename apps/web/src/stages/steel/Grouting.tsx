import { Typeset } from '../../ui/Typeset';
import { sayMm, showVolume, type Grout } from '@even-tally/core';
import type { ReactNode } from 'react';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

type Fill = 'none' | 'steel' | 'all' | 'every';
const FILLS: readonly (readonly [Fill, string])[] = [
  ['steel', 'cells with bars, and beams'],
  ['every', 'every so many cells too'],
  ['all', 'every cell, solid'],
  ['none', 'nothing'],
];
const fillOf = (fill: Grout['fill']): Fill => (typeof fill === 'object' ? 'every' : fill);

/** What is filled, how high at once, and what it takes. */
export function Grouting({ job, view, show }: PanelProps): ReactNode {
  const { set, clear } = useWallFields(job, view);
  const { grout, pours, volume } = view.steel;
  if (!view.steel.hollow) return null;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const fill = grout?.fill ?? 'none';
  const say = (n: number): string => sayMm(n, show);
  const put = (key: string, value: unknown): boolean =>
    grout?.stated
      ? set(`/grout/${key}`, value)
      : set('/grout', { fill: grout?.fill ?? 'steel', [key]: value });
  return (
    <Section
      title="Grout"
      aside={<span className="figures text-small">{showVolume(volume.used, show)} to order</span>}
    >
      <Pick
        label="Filled"
        value={fillOf(fill)}
        options={FILLS}
        onChange={(f) => set('/grout/fill', f === 'every' ? { every: 4 } : f)}
      />
      {typeof fill === 'object' && (
        <NumberField
          label="Every so many cells"
          value={fill.every}
          most={1000}
          onChange={(every) => set('/grout/fill', { every })}
        />
      )}
      {fill !== 'none' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <LengthField
              label="Solid up to"
              counts="courses"
              value={grout?.below ?? 0}
              {...measure}
              onChange={(v) => put('below', v)}
            />
            <Pick
              label="Grout"
              value={grout?.aggregate ?? 'fine'}
              options={[
                ['fine', 'fine'],
                ['coarse', 'coarse'],
              ]}
              onChange={(v) => put('aggregate', v)}
            />
            <LengthField
              label="Most poured at once"
              name="pour"
              value={grout?.pour ?? 1625.6}
              {...measure}
              onChange={(v) => put('pour', v)}
            />
            <Pick
              label="Beside openings"
              value={grout?.jambs ? 'yes' : 'no'}
              options={[
                ['no', 'as the rest'],
                ['yes', 'always filled'],
              ]}
              onChange={(v) => (v === 'yes' ? put('jambs', true) : clear('/grout/jambs'))}
            />
          </div>
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label="Placed by"
              value={grout?.hose ? 'pump' : 'hand'}
              options={[
                ['hand', 'hand, in batches'],
                ['pump', 'a pump'],
              ]}
              onChange={(v) =>
                v === 'pump'
                  ? put('hose', show === 'mm' ? { length: 30_000, bore: 50 } : { length: "100'", bore: '2"' })
                  : clear('/grout/hose')
              }
            />
            {grout?.hose && (
              <LengthField
                label="Hose"
                value={grout.hose.length}
                {...measure}
                onChange={(v) => set('/grout/hose/length', v)}
              />
            )}
          </div>
          <p className="text-small">
            In the wall <span className="figures">{showVolume(volume.geometric, show)}</span>: cells{' '}
            <span className="figures">{showVolume(volume.cells, show)}</span>, beams{' '}
            <span className="figures">{showVolume(volume.beams, show)}</span>, solid{' '}
            <span className="figures">{showVolume(volume.solid, show)}</span>. To order × 1.10
            {show === 'ft-in' ? `, ${(volume.used / 0.764554857984).toFixed(2)} yd³` : ''}.
            {volume.prime > 0 ? ` Prime for the hose ${showVolume(volume.prime, show)}, thrown away.` : ''}
          </p>
          {pours.length > 0 && (
            <table className="w-full text-small">
              <caption className="sr-only">Pours, from the footing up</caption>
              <thead>
                <tr className="border-b border-ink text-left">
                  <th className="py-1 pr-3 font-semibold">Pour</th>
                  <th className="font-semibold">Courses</th>
                  <th className="pl-3 text-right font-semibold">High</th>
                  <th className="pl-3 text-right font-semibold">Grout</th>
                </tr>
              </thead>
              <tbody>
                {pours.map((p) => (
                  <tr key={p.number} className="border-b border-rule align-top">
                    <td className="py-1 font-bold">{p.number}</td>
                    <td>
                      {p.from} to {p.to}
                      {p.lifts.length > 1 ? `, in ${p.lifts.length} lifts` : ''}
                      {p.cleanouts > 0 ? `, ${p.cleanouts} cleanouts` : ''}
                      {p.stopsUnder !== null ? ', stopped under the beam' : ''}
                    </td>
                    <td className="figures pl-3 text-right">
                      <Typeset words={say(p.height)} />
                    </td>
                    <td className="figures pl-3 text-right">{showVolume(p.used, show)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </Section>
  );
}
