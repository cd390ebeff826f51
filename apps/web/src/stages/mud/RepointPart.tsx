import { sayMm, showMud, type MudView, type Said, type Show, type Stated } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { Pick as PickField } from '../../ui/Pick';
import type { PanelProps } from '../panel';
import { useWallFields } from '../useWallFields';

type Again = NonNullable<MudView['repointing']>;

/** Joints of an old face pointed again: how far it has come, and what still goes in. */
export function RepointPart({
  job,
  view,
  show,
  mud,
}: Pick<PanelProps, 'job' | 'view' | 'show'> & { mud: MudView }): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const again = mud.repointing;
  return (
    <Fold title={tell(AT_MUD.repointing)} open={again !== null}>
      {again ? (
        <Joints job={job} view={view} show={show} mud={mud} again={again} />
      ) : (
        <p className="text-small text-soft">{tell(AT_MUD.repointSays)}</p>
      )}
      <button
        className="press-plain max-[699px]:min-h-11"
        onClick={() => (again ? clear('/repoint') : set('/repoint', { depth: show === 'ft-in' ? '1"' : 25 }))}
      >
        {tell(again ? AT_MUD.noPointing : AT_MUD.pointAgain)}
      </button>
    </Fold>
  );
}

function Joints({
  job,
  view,
  show,
  mud,
  again,
}: Pick<PanelProps, 'job' | 'view' | 'show'> & { mud: MudView; again: Again }): ReactNode {
  const tell = useTell();
  const { set, clear } = useWallFields(job, view);
  const repoint = job.walls[view.wall.index]?.repoint;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  const fields: [string, Said, number][] = [
    ['depth', AT_MUD.depthRaked, again.depth],
    ['width', AT_MUD.jointWidth, again.width],
    ['joints', AT_MUD.allJoints, again.joints],
    ['raked', AT_MUD.rakedSoFar, again.raked],
    ['pointed', AT_MUD.pointedSoFar, again.pointed],
  ];
  const mixes = mud.pointing.map(({ id, name }): readonly [string, Said] => [id, name]);
  const pick = (key: 'mix' | 'behind', id: string): boolean =>
    id === '' ? clear(`/repoint/${key}`) : set(`/repoint/${key}`, id);
  return (
    <>
      <div className="grid grid-cols-2 gap-x-3">
        {fields.map(([key, label, value]) => (
          <LengthField
            key={key}
            name={`repoint-${key}`}
            label={tell(label)}
            value={value}
            {...measure}
            onChange={(v: Stated) => set(`/repoint/${key}`, v)}
          />
        ))}
      </div>
      <div className="grid grid-cols-2 gap-x-3">
        <PickField
          label={tell(AT_MUD.pointedWith)}
          value={repoint?.mix ?? ''}
          options={[['', AT_MUD.asTheWall], ...mixes]}
          onChange={(id) => pick('mix', id)}
        />
        <PickField
          label={tell(AT_MUD.filledWith)}
          value={repoint?.behind ?? ''}
          options={[['', AT_MUD.asTheFace], ...mixes]}
          onChange={(id) => pick('behind', id)}
        />
      </div>
      <Comes again={again} show={show} />
    </>
  );
}

/** What it comes to: metres, layers, and the mud of each. */
function Comes({ again, show }: { again: Again; show: Show }): ReactNode {
  const tell = useTell();
  const length = (mm: number): string => sayMm(mm, show);
  const mud = (m3: number): string => showMud(m3, show);
  return (
    <div className="space-y-1 text-small" data-repointing={again.layers}>
      <p className="font-semibold">
        {tell(AT_MUD.leftToDo({ rake: length(again.toRake), point: length(again.toPoint) }))}
      </p>
      <p>
        {tell(
          again.layers === 1
            ? AT_MUD.oneLayer({ face: mud(again.faceUsed), facing: again.mix })
            : AT_MUD.inLayers({
                n: again.layers,
                each: length(again.layer),
                behind: mud(again.behindUsed),
                filling: again.behindMix,
                face: mud(again.faceUsed),
                facing: again.mix,
              }),
        )}{' '}
        {again.pointed > 0 && tell(AT_MUD.muchLeft({ left: mud(again.left) }))}
      </p>
      {again.shallow !== null && (
        <p className="font-semibold text-caution">
          {tell(AT_MUD.tooShallow({ least: length(again.shallow) }))}
        </p>
      )}
      <p className="text-caution">{tell(AT_MUD.pointingDust)}</p>
    </div>
  );
}
