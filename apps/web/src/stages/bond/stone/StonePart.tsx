import type { StoneView } from '@even-tally/core';
import { AT_STONE } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useOpenJob } from '../../../state/job';
import { useTell } from '../../../state/words';
import { Pick } from '../../../ui/Pick';
import { Section } from '../../../ui/Section';
import type { PanelProps } from '../../panel';
import { useWallFields } from '../../useWallFields';
import { BuiltOf } from './BuiltOf';
import { Lengths, type LengthOf } from './Fields';

export type StoneProps = PanelProps & { stone: StoneView };

/** The sizes of each kind of wall. */
function sizesOf(stone: StoneView): LengthOf[] {
  if (stone.kind === 'dry')
    return [
      ['base', AT_STONE.base, stone.base],
      ['top', AT_STONE.topUnderCope, stone.top],
    ];
  if (stone.kind === 'ashlar')
    return [
      ['bed', AT_STONE.bed, stone.base],
      ['longest', AT_STONE.longest, stone.longest],
      ['lap', AT_STONE.lap, stone.lap],
      ['joint', AT_STONE.joint, stone.joint],
    ];
  return [
    ['thickness', AT_STONE.thickAtBase, stone.base],
    ['top', AT_STONE.thickAtTop, stone.top],
    ['joint', AT_STONE.joint, stone.joint],
    ['broughtTo', AT_STONE.broughtTo, stone.broughtTo ?? 0],
  ];
}

const LAID = {
  rubble: [
    ['random', AT_STONE.random],
    ['polygonal', AT_STONE.polygonal],
    ['flint', AT_STONE.flint],
  ],
  squared: [
    ['coursed', AT_STONE.coursed],
    ['snecked', AT_STONE.snecked],
  ],
} as const;

/** What stone it is of, how it is laid, and how thick. */
export function StonePart(props: StoneProps): ReactNode {
  const tell = useTell();
  const { job, view, show, stone } = props;
  const { set } = useWallFields(job, view);
  const refusal = useOpenJob((s) => s.refusal);
  const laid = stone.kind === 'rubble' || stone.kind === 'squared' ? LAID[stone.kind] : null;
  return (
    <Section title={tell(AT_STONE.stoneAndSize)}>
      <BuiltOf {...props} />
      <Pick
        label={tell(AT_STONE.stone)}
        value={stone.stone}
        options={stone.stones.map((s) => [s.id, s.name] as const)}
        onChange={(id) => set('/build/stone', id)}
      />
      {laid && (
        <Pick
          label={tell(AT_STONE.laid)}
          value={stone.laid ?? laid[0][0]}
          options={laid}
          onChange={(v) => set('/build/laid', v)}
        />
      )}
      <Lengths show={show} fields={sizesOf(stone)} set={(key, v) => set(`/build/${key}`, v)} />
      {(stone.kind === 'rubble' || stone.kind === 'squared') && (
        <Pick
          label={tell(AT_STONE.faces)}
          value={String(stone.faces) as '1' | '2'}
          options={[
            ['2', AT_STONE.twoFaces],
            ['1', AT_STONE.oneFace],
          ]}
          onChange={(v) => set('/build/faces', Number(v))}
        />
      )}
      {stone.kind === 'dry' && (
        <div className="grid grid-cols-2 gap-x-3">
          <Pick
            label={tell(AT_STONE.setOutBy)}
            value={stone.by}
            options={[
              ['frames', AT_STONE.frames],
              ['pillars', AT_STONE.pillars],
            ]}
            onChange={(v) => set('/build/by', v)}
          />
          <Pick
            label={tell(AT_STONE.judgedAs)}
            value={stone.purpose}
            options={[
              ['field', AT_STONE.fieldWall],
              ['garden', AT_STONE.gardenFace],
            ]}
            onChange={(v) => set('/build/purpose', v)}
          />
          <Pick
            label={tell(AT_STONE.freeEnds)}
            value={stone.ends}
            options={[
              ['cheek', AT_STONE.cheekEnds],
              ['open', AT_STONE.openEnds],
            ]}
            onChange={(v) => set('/build/ends', v)}
          />
        </div>
      )}
      {stone.by === 'pillars' && (
        <Lengths
          show={show}
          fields={[['pillars', AT_STONE.pillarsApart, stone.pillars]]}
          set={(key, v) => set(`/build/${key}`, v)}
        />
      )}
      <p className="text-small text-soft">
        {tell(stone.laidSo)} {tell(stone.weathers)}
        {stone.kind !== 'dry' && ` ${tell(stone.porous ? AT_STONE.dampIt : AT_STONE.layItDry)}`}
      </p>
      {stone.kind !== 'ashlar' && <p className="text-small text-soft">{tell(AT_STONE.drawnAs)}</p>}
      <p role="alert" className="font-semibold text-fault">
        {refusal && tell(refusal)}
      </p>
    </Section>
  );
}
