import type { Message } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { Listed } from '../../../ui/Listed';
import { NumberField } from '../../../ui/NumberField';
import { Pick as PickField } from '../../../ui/Pick';
import { useWallFields } from '../../useWallFields';
import { written } from '../../written';
import { UnitPick } from '../UnitPick';
import { Lengths } from './Fields';
import { Optional } from './Optional';
import type { StoneProps } from './StonePart';

const COPES: readonly (readonly ['upright' | 'slanting' | 'flat' | 'turf', Message])[] = [
  ['upright', AT_STONE.upright],
  ['slanting', AT_STONE.slanting],
  ['flat', AT_STONE.flat],
  ['turf', AT_STONE.turf],
];

/** First sizes, as the trade begins with them in each measure. */
const FIRST = {
  'ft-in': {
    high: '10"',
    each: '3"',
    deep: '8"',
    gap: '1"',
    point: '1 1/2"',
    unit: 'cmu-8x8x16',
    brick: 'brick-modular-us',
  },
  mm: {
    high: 250,
    each: 80,
    deep: 200,
    gap: 25,
    point: 40,
    unit: 'block-440x215x100',
    brick: 'brick-215x102.5x65',
  },
} as const;

/** What a wall ends in, stands on, is pointed with and stands before. */
export function Finish({ job, view, show, stone }: StoneProps): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const first = FIRST[show];
  const build = job.walls[view.wall.index]?.build;
  const backing = build && build.kind !== 'units' && build.kind !== 'dry' ? build.backing : undefined;
  const lengths = (under: string) => (key: string, v: unknown) => set(`/build/${under}/${key}`, v);
  return (
    <>
      <Optional
        title={AT_STONE.copes}
        has={stone.copes !== null}
        add={AT_STONE.addCopes}
        leave={AT_STONE.noCopes}
        onAdd={() => set('/build/copes', { height: first.high, each: first.each })}
        onLeave={() => clear('/build/copes')}
      >
        {stone.copes && (
          <>
            <PickField
              label={tell(AT_STONE.copeKind)}
              value={stone.copes.kind}
              options={COPES}
              onChange={(v) => set('/build/copes/kind', v)}
            />
            <Lengths
              of="copes"
              show={show}
              fields={[
                ['height', AT_STONE.copeHigh, stone.copes.height],
                ['each', AT_STONE.copeEach, stone.copes.each],
              ]}
              set={lengths('copes')}
            />
          </>
        )}
      </Optional>
      {stone.kind === 'dry' && (
        <>
          <Optional
            title={AT_STONE.footing}
            has={stone.footing !== null}
            add={AT_STONE.addFooting}
            leave={AT_STONE.noFooting}
            onAdd={() => set('/build/footing', { depth: first.deep })}
            onLeave={() => clear('/build/footing')}
          >
            {stone.footing && (
              <Lengths
                of="footing"
                show={show}
                fields={[
                  ['depth', AT_STONE.deep, stone.footing.depth],
                  ['past', AT_STONE.past, stone.footing.past],
                ]}
                set={lengths('footing')}
              />
            )}
          </Optional>
          <Stiles job={job} view={view} show={show} stone={stone} />
        </>
      )}
      {stone.kind === 'rubble' && (
        <Optional
          title={AT_STONE.lacing}
          has={stone.lacing !== null}
          add={AT_STONE.addLacing}
          leave={AT_STONE.noLacing}
          onAdd={() =>
            set('/build/lacing', {
              every: written(view.wall.height / 3, show),
              unit: first.brick,
              courses: 2,
            })
          }
          onLeave={() => clear('/build/lacing')}
        >
          {stone.lacing && (
            <>
              <UnitPick
                job={job}
                value={stone.lacing.unit}
                onChange={(v) => set('/build/lacing/unit', v)}
                lay={(unit) => set('/build/lacing/unit', unit.id)}
              />
              <Lengths
                of="lacing"
                show={show}
                fields={[['every', AT_STONE.oneEach, stone.lacing.every]]}
                set={lengths('lacing')}
              />
              <NumberField
                label={tell(AT_STONE.courses)}
                value={stone.lacing.courses}
                most={6}
                onChange={(n) => set('/build/lacing/courses', n)}
              />
            </>
          )}
        </Optional>
      )}
      {stone.kind !== 'dry' && (
        <>
          <Optional
            title={AT_STONE.pointing}
            has={stone.pointing !== null}
            add={AT_STONE.addPointing}
            leave={AT_STONE.noPointing}
            onAdd={() => set('/build/pointing', { depth: first.point })}
            onLeave={() => clear('/build/pointing')}
          >
            {stone.pointing && (
              <Lengths
                of="pointing"
                show={show}
                fields={[['depth', AT_STONE.pointDeep, stone.pointing.depth]]}
                set={lengths('pointing')}
              />
            )}
          </Optional>
          <Optional
            title={AT_STONE.backing}
            has={backing !== undefined}
            add={AT_STONE.addBacking}
            leave={AT_STONE.noBacking}
            onAdd={() => set('/build/backing', { unit: first.unit, gap: first.gap })}
            onLeave={() => clear('/build/backing')}
          >
            {backing && (
              <>
                <UnitPick
                  job={job}
                  value={backing.unit}
                  onChange={(v) => set('/build/backing/unit', v)}
                  lay={(unit) => set('/build/backing/unit', unit.id)}
                />
                <Lengths
                  of="backing"
                  show={show}
                  fields={[['gap', AT_STONE.gap, view.steel.cavity?.width ?? 0]]}
                  set={lengths('backing')}
                />
              </>
            )}
          </Optional>
        </>
      )}
    </>
  );
}

/** Where people climb over it, and by how many treads. */
function Stiles({ job, view, show, stone }: Pick<StoneProps, 'job' | 'view' | 'show' | 'stone'>): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const build = job.walls[view.wall.index]?.build;
  const filed = build?.kind === 'dry' ? (build.stiles ?? []) : [];
  const items = stone.stiles.map((s, index) => ({ ...s, index })).filter((s) => s.run === view.run);
  return (
    <Listed
      title={tell(AT_STONE.stiles)}
      one={AT_STONE.stile}
      add={AT_STONE.addStile}
      none={tell(AT_STONE.noStiles)}
      items={items}
      keyOf={(s) => String(s.index)}
      onAdd={() =>
        set('/build/stiles', [
          ...filed,
          { run: view.run, at: written((view.runs[view.run]?.length ?? 0) / 2, show) },
        ])
      }
      onRemove={(s) =>
        filed.length > 1
          ? set(
              '/build/stiles',
              filed.filter((_, i) => i !== s.index),
            )
          : clear('/build/stiles')
      }
    >
      {(s) => (
        <>
          <Lengths
            show={show}
            fields={[['at', AT_STONE.middleAt, s.at]]}
            set={(_, v) => set(`/build/stiles/${s.index}/at`, v)}
          />
          <NumberField
            label={tell(AT_STONE.treads)}
            value={s.treads ?? stone.treadsUsual}
            most={12}
            onChange={(n) => set(`/build/stiles/${s.index}/treads`, n)}
          />
        </>
      )}
    </Listed>
  );
}
