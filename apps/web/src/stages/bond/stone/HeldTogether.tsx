import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { Listed } from '../../../ui/Listed';
import { Pick } from '../../../ui/Pick';
import { Section } from '../../../ui/Section';
import { useWallFields } from '../../useWallFields';
import { written } from '../../written';
import { Lengths } from './Fields';
import type { StoneProps } from './StonePart';

/** Rows of throughs, each at its height. */
function Rows({ job, view, show, stone, after }: StoneProps & { after?: ReactNode }): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const rows = stone.throughs.map((t, index) => ({ ...t, index }));
  const filed = rows.map((t) => ({ at: written(t.at, show), every: written(t.every, show) }));
  const stated = !stone.boundAsUsual && rows.length > 0;
  const add = (): void => {
    const top = rows.at(-1);
    const at = top ? Math.min(top.at + 400, view.wall.height * 0.9) : view.wall.height / 2;
    const every = written(top?.every ?? stone.usualBonders.along, show);
    set('/build/throughs', [...(stated ? filed : []), { at: written(at, show), every }]);
  };
  return (
    <Listed
      title={tell(AT_STONE.throughs)}
      one={AT_STONE.row}
      add={AT_STONE.addRow}
      none={tell(AT_STONE.noThroughs)}
      items={stated ? rows : []}
      keyOf={(t) => String(t.index)}
      onAdd={add}
      onRemove={(t) =>
        filed.length > 1
          ? set(
              '/build/throughs',
              filed.filter((_, i) => i !== t.index),
            )
          : clear('/build/throughs')
      }
      after={after}
    >
      {(t) => (
        <Lengths
          show={show}
          fields={[
            ['at', AT_STONE.rowAt, t.at],
            ['every', AT_STONE.oneEach, t.every],
          ]}
          set={(key, v) =>
            set(
              '/build/throughs',
              filed.map((row, i) => (i === t.index ? { ...row, [key]: v } : row)),
            )
          }
        />
      )}
    </Listed>
  );
}

/** What holds two faces together: bonders so far apart, or rows of throughs. */
export function HeldTogether(props: StoneProps): ReactNode {
  const tell = useTell();
  const { job, view, show, stone } = props;
  const { path, set } = useWallFields(job, view);
  if (stone.kind === 'ashlar' || stone.faces === 1) return null;
  if (stone.kind === 'dry')
    return (
      <Rows
        {...props}
        after={
          <Lengths
            show={show}
            fields={[['past', AT_STONE.outOfFace, stone.past]]}
            set={(key, v) => set(`/build/${key}`, v)}
          />
        }
      />
    );
  const by = stone.throughs.length > 0 ? 'throughs' : 'bonders';
  const bonders = {
    along: written(stone.usualBonders.along, show),
    up: written(stone.usualBonders.up, show),
  };
  const choose = (to: 'bonders' | 'throughs'): void => {
    const build = job.walls[view.wall.index]?.build;
    if (!build || build.kind === 'units') return;
    const { bonders: _b, throughs: _t, ...rest } = build as { bonders?: unknown; throughs?: unknown };
    set('/build', {
      ...rest,
      ...(to === 'bonders'
        ? { bonders }
        : { throughs: [{ at: written(view.wall.height / 2, show), every: bonders.along }] }),
    });
  };
  return (
    <>
      <Section title={tell(AT_STONE.heldTogether)}>
        <Pick
          label={tell(AT_STONE.heldTogether)}
          value={by}
          options={[
            ['bonders', AT_STONE.bonders],
            ['throughs', AT_STONE.throughRows],
          ]}
          onChange={choose}
        />
        {by === 'bonders' && (
          <Lengths
            show={show}
            fields={[
              ['along', AT_STONE.along, stone.usualBonders.along],
              ['up', AT_STONE.up, stone.usualBonders.up],
            ]}
            set={(key, v) => set('/build/bonders', { ...bonders, [key]: v })}
          />
        )}
      </Section>
      {by === 'throughs' && <Rows key={path} {...props} />}
    </>
  );
}
