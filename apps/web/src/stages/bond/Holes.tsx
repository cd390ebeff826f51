import { AT_BOND } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { Listed } from '../../ui/Listed';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { ofSheet, TakeAway } from '../TakeAway';
import { useWallList } from '../useWallList';
import { written } from '../written';

/** First sizes of a hole, as two or three stones that fell out leave it. */
const FIRST = { 'ft-in': { wide: 24 * 25.4, deep: 8 * 25.4 }, mm: { wide: 600, deep: 200 } } as const;

/** Holes of an old wall in this run, and what fills each. */
export function Holes(props: PanelProps): ReactNode {
  const tell = useTell();
  const { job, view, show } = props;
  const list = useWallList(job, view, 'holes', 'H');
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const length = view.runs[view.run]?.length ?? 0;
  const first = FIRST[show];
  const sizes = {
    width: Math.min(first.wide, length / 2),
    height: Math.min(first.wide, view.wall.height / 2),
  };
  return (
    <>
      <Listed
        title={tell(AT_BOND.holes)}
        one={AT_BOND.hole}
        add={AT_BOND.addHole}
        none={tell(AT_BOND.noHoles)}
        items={view.holes}
        keyOf={(h) => h.id}
        onAdd={() =>
          list.add({
            name: tell(AT_BOND.holeNo({ n: view.holes.length + 1 })),
            run: view.run,
            at: written((length - sizes.width) / 2, show),
            width: written(sizes.width, show),
            bottom: written(view.wall.height / 4, show),
            height: written(sizes.height, show),
            depth: written(Math.min(first.deep, view.wall.thickness), show),
          })
        }
        onRemove={(h) => list.remove(h.index)}
      >
        {(h) => (
          <>
            <div className="grid grid-cols-2 items-end gap-x-3 gap-y-1">
              {(
                [
                  ['at', AT_BOND.fromTheStart, h.from],
                  ['width', AT_BOND.width, h.to - h.from],
                  ['bottom', AT_BOND.holeBottom, h.bottom],
                  ['height', AT_BOND.holeHigh, h.top - h.bottom],
                  ['depth', AT_BOND.holeDeep, h.depth],
                  ['fixings', AT_BOND.fixingsApart, h.apart],
                ] as const
              ).map(([key, label, value]) => (
                <LengthField
                  key={key}
                  name={`hole-${key}`}
                  label={tell(label)}
                  value={value}
                  {...measure}
                  onChange={(v) => list.set(h.index, key, v)}
                />
              ))}
            </div>
            <p className="text-small" data-hole={h.id}>
              <Told
                said={AT_BOND.holeTakes({
                  mass: h.mass,
                  behind: h.behind,
                  ties: h.ties,
                  fixings: h.fixings,
                })}
              />
            </p>
          </>
        )}
      </Listed>
      {view.holes.length > 0 && (
        <TakeAway
          {...props}
          title={tell(AT_BOND.takeHoles)}
          which={ofSheet('mending')}
          says={tell(AT_BOND.takeHolesSays)}
        />
      )}
    </>
  );
}
