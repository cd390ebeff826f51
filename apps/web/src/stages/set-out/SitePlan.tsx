import { inFull, lineLength, placedWalls, sayMm, siteShapes } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Fitted } from '../../bench/Fitted';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';
import { written } from '../written';

/** The job's walls from above, where they stand to one another: press one to stand before it. */
export function SitePlan({ job, view, show, stem }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const { set, path } = useWallFields(job, view);
  const base = stem.slice(0, stem.lastIndexOf('/'));
  const jobStem = base.slice(0, base.lastIndexOf('/'));
  const walls = useMemo(() => placedWalls(job), [job]);
  const here = walls.find((one) => one.index === view.wall.index);
  const place = job.walls[view.wall.index]?.place;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <Section
      title={tell(AT_SET_OUT.theSite)}
      aside={<span className="text-small">{tell(AT_SET_OUT.wallCount({ count: job.walls.length }))}</span>}
    >
      <Fitted
        draws={(px) => siteShapes(walls, view.wall.index, px)}
        wide={288}
        high={190}
        room={18}
        label={tell(AT_SET_OUT.theWallsOfThe)}
      />
      <ol className="-mx-4">
        {walls.map((one, i) => (
          <li key={one.id} className={`border-b border-rule ${one === here ? 'bg-settled-pale' : ''}`}>
            <Link
              to={`${jobStem}/${encodeURIComponent(one.id)}/0/set-out`}
              className="flex min-h-9 items-center gap-3 px-4 py-1 hover:bg-chalk-pale"
              aria-current={one === here ? 'page' : undefined}
            >
              <span className="figures w-4 font-bold">{i + 1}</span>
              <b className="min-w-0 break-words">{one.name}</b>
              <span className="figures ml-auto shrink-0 text-small text-soft">
                {sayMm(lineLength(inFull(job).walls[one.index]?.line ?? []), show)}
              </span>
            </Link>
          </li>
        ))}
      </ol>
      {place ? (
        <div className="grid grid-cols-3 gap-x-2">
          <LengthField
            label={tell(AT_SET_OUT.beginsAcross)}
            value={here?.points[0]?.x ?? 0}
            {...measure}
            signed
            onChange={(v) => set('/place/x', v)}
          />
          <LengthField
            label={tell(AT_SET_OUT.andUpThePlan)}
            value={here?.points[0]?.y ?? 0}
            {...measure}
            signed
            onChange={(v) => set('/place/y', v)}
          />
          <NumberField
            label={tell(AT_SET_OUT.heading)}
            value={place.heading ?? 0}
            least={-360}
            most={360}
            onChange={(n) => set('/place/heading', n)}
          />
        </div>
      ) : (
        <p className="text-small text-soft">
          {here?.by === 'meets'
            ? tell(AT_SET_OUT.thisOneStandsWhere)
            : tell(AT_SET_OUT.brokenLinesStandWhere)}
          <button
            className="min-h-6 font-semibold text-chalk underline"
            onClick={() =>
              edit([
                {
                  op: 'add',
                  path: `${path}/place`,
                  value: {
                    x: written(here?.points[0]?.x ?? 0, show),
                    y: written(here?.points[0]?.y ?? 0, show),
                  },
                },
              ])
            }
          >
            {tell(AT_SET_OUT.giveThisOneIts)}
          </button>
        </p>
      )}
    </Section>
  );
}
