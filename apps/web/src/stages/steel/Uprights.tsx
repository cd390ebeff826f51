import { EXPOSURE_CLASSES, UNITS } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Pick } from '../../ui/Pick';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { barOptions } from './barOptions';
import { UprightLaps } from './UprightLaps';

const LEAVES = [
  ['outer', AT_STEEL.theOuterLeaf],
  ['inner', AT_STEEL.theInnerLeaf],
] as const;

/** The upright bars: which, how far apart, where in their cells, and how they lap. */
export function Uprights(props: PanelProps): ReactNode {
  const { job, view, show } = props;
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const { steel, spacing, place } = view.steel;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const vertical = steel?.vertical ?? null;
  const face = view.steel.leaf === null ? 'wall' : 'leaf';
  const first = show === 'mm' ? { bar: 'T12', every: 600 } : { bar: '#4', every: '32"' };
  const bars = view.steel.cells.filter((c) => c.bar !== null).length;
  return (
    <Section
      title={tell(AT_STEEL.uprights)}
      aside={
        vertical ? (
          <span className="text-small">{tell(AT_STEEL.uprightsHere({ count: bars }))}</span>
        ) : undefined
      }
    >
      {!view.steel.hollow && (
        <p>
          {tell(
            AT_STEEL.solidSays({
              unit: UNITS.find((u) => u.id === view.wall.unit)?.name ?? view.wall.unit,
            }),
          )}
        </p>
      )}
      {view.steel.carries !== null && (
        <Pick
          label={tell(AT_STEEL.barsAndGroutGo)}
          value={view.steel.carries}
          options={LEAVES}
          onChange={(v) => set('/build/carries', v)}
        />
      )}
      {view.steel.hollow && view.steel.leaf !== null && view.steel.carries === null && (
        <p className="text-small">{tell(AT_STEEL.inLeafOf({ unit: view.steel.leaf }))}</p>
      )}
      {view.steel.hollow && !vertical && (
        <p>
          <button className="press" onClick={() => set('/steel/vertical', first)}>
            {tell(AT_STEEL.putUprightsIn)}
          </button>
        </p>
      )}
      {vertical && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Pick
              label={tell(AT_STEEL.bar)}
              value={vertical.bar}
              options={barOptions(show)}
              onChange={(v) => set('/steel/vertical/bar', v)}
            />
            <LengthField
              label={tell(AT_STEEL.noFurtherApartThan)}
              counts="units"
              name="every"
              value={vertical.every}
              {...measure}
              onChange={(v) => set('/steel/vertical/every', v)}
            />
          </div>
          {spacing && (
            <p className="text-small text-soft">
              <Told said={AT_STEEL.cellsEvery({ pitch: spacing.pitch, used: spacing.used })} />
            </p>
          )}
          {place && (
            <p className="text-small">
              <Told
                said={AT_STEEL.placeSays({
                  says: place.says,
                  from: place.from,
                  face,
                  depth: place.depth,
                  across: place.across,
                  along: place.along,
                })}
              />
            </p>
          )}
          {place && (
            <p className="text-small text-soft">
              <Told
                said={AT_STEEL.coverSays({
                  out: place.cover.outside.has,
                  outLeast: place.cover.outside.least,
                  in: place.cover.inside.has,
                  inLeast: place.cover.inside.least,
                  counts: place.cover.outside.counts,
                })}
              />
            </p>
          )}
          {place?.cover.outside.counts === 'infill' && (
            <Pick
              label={tell(AT_STEEL.exposureClass)}
              value={steel?.exposure ?? 'unsaid'}
              options={[['unsaid', AT_STEEL.unsaid], ...EXPOSURE_CLASSES.map((c) => [c, c] as const)]}
              onChange={(v) => (v === 'unsaid' ? clear('/steel/exposure') : set('/steel/exposure', v))}
            />
          )}
          {view.wall.held === 'drawing' && (
            <LengthField
              label={tell(AT_STEEL.barsMiddle({ face }))}
              value={vertical.from ?? place?.from ?? 0}
              {...measure}
              onChange={(v) => set('/steel/vertical/from', v)}
            />
          )}
          <UprightLaps {...props} />
          <p className="flex flex-wrap gap-2">
            <button
              className="press-plain"
              aria-pressed={vertical.hook}
              onClick={() =>
                vertical.hook ? clear('/steel/vertical/hook') : set('/steel/vertical/hook', true)
              }
            >
              {vertical.hook ? tell(AT_STEEL.leaveTheirTopsStraight) : tell(AT_STEEL.hookTheirTopsInto)}
            </button>
            <button
              className="press-plain"
              aria-pressed={steel?.drilled ?? false}
              onClick={() => (steel?.drilled ? clear('/steel/drilled') : set('/steel/drilled', true))}
            >
              {steel?.drilled ? tell(AT_STEEL.castTheStartersIn) : tell(AT_STEEL.drillTheStartersInto)}
            </button>
            <button className="press-plain" onClick={() => clear('/steel/vertical')}>
              {tell(AT_STEEL.takeTheUprightsOut)}
            </button>
          </p>
        </>
      )}
    </Section>
  );
}
