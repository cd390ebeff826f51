import { Measure } from '../../ui/Measure';
import { BARS, UNITS, type Held, type LapRule } from '@even-tally/core';
import type { ReactNode } from 'react';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

/** Bars of the system the job is shown in come first. */
export const barOptions = (show: string): readonly (readonly [string, string])[] =>
  [...BARS]
    .sort(
      (a, b) =>
        Number((b.system === 'metric') === (show === 'mm')) -
        Number((a.system === 'metric') === (show === 'mm')),
    )
    .map((b) => [b.size, b.system === 'us' ? `No. ${b.number}` : `${b.number} mm`] as const);

const HELD: readonly (readonly [Held | 'unsaid', string])[] = [
  ['unsaid', 'nobody has said yet'],
  ['soil', 'free at the top, soil behind it'],
  ['floors', 'held by floors at bottom and top'],
  ['free-standing', 'stands free'],
  ['drawing', 'as the drawing says'],
];

const LEAVES = [
  ['outer', 'the outer leaf'],
  ['inner', 'the inner leaf'],
] as const;

const LAPS: readonly (readonly [LapRule, string])[] = [
  ['48d', '48 bar diameters'],
  ['40d', '40 bar diameters'],
  ['computed', 'computed (TMS 402 Eq. 6-1)'],
  ['drawing', 'as the drawing says'],
];

/** The upright bars: which, how far apart, where in their cells, and how they lap. */
export function Uprights({ job, view, show }: PanelProps): ReactNode {
  const { set, clear } = useWallFields(job, view);
  const { steel, spacing, place, lap } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const vertical = steel?.vertical ?? null;
  const first = show === 'mm' ? { bar: 'T12', every: 600 } : { bar: '#4', every: '32"' };
  const bars = view.steel.cells.filter((c) => c.bar !== null).length;
  return (
    <Section title="Uprights" aside={vertical ? <span className="text-small">{bars} here</span> : undefined}>
      {!view.steel.hollow && (
        <p>
          {UNITS.find((u) => u.id === view.wall.unit)?.name ?? view.wall.unit} is solid: bars go up only
          through units with cells. Beds can still be reinforced, below.
        </p>
      )}
      {view.steel.carries !== null && (
        <Pick
          label="Bars and grout go up in"
          value={view.steel.carries}
          options={LEAVES}
          onChange={(v) => set('/build/carries', v)}
        />
      )}
      {view.steel.hollow && view.steel.leaf !== null && view.steel.carries === null && (
        <p className="text-small">
          Bars and grout go up in the leaf behind the cavity, of {view.steel.leaf}.
        </p>
      )}
      {view.steel.hollow && !vertical && (
        <p>
          <button className="press" onClick={() => set('/steel/vertical', first)}>
            Put uprights in
          </button>
        </p>
      )}
      {vertical && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label="Bar"
              value={vertical.bar}
              options={barOptions(show)}
              onChange={(v) => set('/steel/vertical/bar', v)}
            />
            <LengthField
              label="No further apart than"
              counts="units"
              name="every"
              value={vertical.every}
              {...measure}
              onChange={(v) => set('/steel/vertical/every', v)}
            />
          </div>
          {spacing && (
            <p className="text-small text-soft">
              Cells go up every <Measure mm={spacing.pitch} show={show} spacing />; bars stand at{' '}
              <Measure mm={spacing.used} show={show} spacing />, and always at ends, corners, jambs and beside
              movement joints.
            </p>
          )}
          <Pick
            label="How the wall is held"
            value={view.wall.held ?? 'unsaid'}
            options={HELD}
            onChange={(v) => (v === 'unsaid' ? clear('/held') : set('/held', v))}
          />
          {place && (
            <p className="text-small">
              {capital(place.says)}. Its middle stands <Measure mm={place.from} show={show} said /> from{' '}
              {view.steel.leaf === null ? 'the outside face' : 'the outer face of its leaf'}; effective depth{' '}
              <Measure mm={place.depth} show={show} said />. May be off{' '}
              <Measure mm={place.across} show={show} said /> across,{' '}
              <Measure mm={place.along} show={show} said /> along.
            </p>
          )}
          {view.wall.held === 'drawing' && (
            <LengthField
              label={`Bar’s middle from ${view.steel.leaf === null ? 'the outside face' : 'the outer face of its leaf'}`}
              value={vertical.from ?? place?.from ?? 0}
              {...measure}
              onChange={(v) => set('/steel/vertical/from', v)}
            />
          )}
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label="Laps by"
              value={steel?.lap?.rule ?? lap?.rule ?? '48d'}
              options={LAPS}
              onChange={(v) =>
                set(
                  '/steel/lap',
                  v === 'drawing' ? { rule: v, length: show === 'mm' ? 600 : '24"' } : { rule: v },
                )
              }
            />
            {steel?.lap?.rule === 'drawing' ? (
              <LengthField
                label="Lap"
                value={steel.lap.length ?? 0}
                {...measure}
                onChange={(v) => set('/steel/lap/length', v)}
              />
            ) : (
              lap && (
                <p className="pt-4 text-small">
                  <Measure mm={lap.length} show={show} said />, {lap.says}
                </p>
              )
            )}
          </div>
          <p className="flex flex-wrap gap-2">
            <button
              className="press-plain"
              aria-pressed={vertical.hook}
              onClick={() =>
                vertical.hook ? clear('/steel/vertical/hook') : set('/steel/vertical/hook', true)
              }
            >
              {vertical.hook ? 'Leave their tops straight' : 'Hook their tops into the beam'}
            </button>
            <button
              className="press-plain"
              aria-pressed={steel?.drilled ?? false}
              onClick={() => (steel?.drilled ? clear('/steel/drilled') : set('/steel/drilled', true))}
            >
              {steel?.drilled ? 'Cast the starters in the footing' : 'Drill the starters into old concrete'}
            </button>
            <button className="press-plain" onClick={() => clear('/steel/vertical')}>
              Take the uprights out
            </button>
          </p>
        </>
      )}
    </Section>
  );
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
