import {
  asTheLibraryHas,
  changedMix,
  countedHere,
  materialName,
  MATERIALS,
  showMinutes,
  readDuration,
  type BatchView,
  type Job,
  type MudView,
  type OwnMix,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { AmountField } from '../../ui/AmountField';
import { Fold } from '../../ui/Fold';
import { NameField } from '../../ui/NameField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';

/** What of a wall's mix is not as the library has it: its parts, its life, and what was counted of it. */
export function OwnMixPart({
  job,
  wall,
  mud,
  batch,
}: {
  job: Job;
  wall: number;
  mud: MudView;
  batch: BatchView;
}): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const own = job.mixes?.find((m) => m.id === batch.mix);
  const change = (more: Partial<OwnMix>): boolean =>
    edit(changedMix(job, wall, batch.mix, tell(AT_MUD.ourOwn({ mix: batch.name })), more));
  const count = (measures: number, pieces: number): boolean =>
    change(countedHere(job, { measures, pieces, perPiece: mud.perPiece }));
  return (
    <>
      <Fold title={tell(AT_MUD.ownMix)} aside={own?.name} open={own !== undefined}>
        {own ? (
          <>
            <Own own={own} batch={batch} change={change} />
            {own.like !== undefined && (
              <button
                className="press-plain max-[699px]:min-h-11"
                onClick={() => edit(asTheLibraryHas(job, own.id))}
              >
                {tell(AT_MUD.backToLibrary)}
              </button>
            )}
          </>
        ) : (
          <>
            <p className="text-small text-soft">{tell(AT_MUD.makeOwnSays)}</p>
            <button className="press-plain max-[699px]:min-h-11" onClick={() => change({})}>
              {tell(AT_MUD.makeOwn)}
            </button>
          </>
        )}
      </Fold>
      <Count batch={batch} onCount={count} />
    </>
  );
}

function Own({
  own,
  batch,
  change,
}: {
  own: OwnMix;
  batch: BatchView;
  change: (more: Partial<OwnMix>) => boolean;
}): ReactNode {
  const tell = useTell();
  const rest = MATERIALS.filter((m) => m !== 'water' && !own.parts.some((p) => p.of === m));
  return (
    <>
      <NameField
        label={tell(AT_MUD.measureName)}
        value={own.name ?? own.id}
        onChange={(name) => change({ name })}
      />
      <ul className="space-y-2">
        {own.parts.map((p, i) => (
          <li key={p.of} className="flex items-end gap-2">
            <div className="min-w-0 grow">
              <PartsField
                label={tell(AT_MUD.partOf({ of: materialName(p.of) }))}
                value={p.parts}
                onChange={(parts) =>
                  change({ parts: own.parts.map((q, k) => (k === i ? { ...q, parts } : q)) })
                }
              />
            </div>
            {own.parts.length > 1 && (
              <button
                className="flex min-h-8 min-w-8 items-center justify-center text-soft hover:text-fault max-[699px]:min-h-11 max-[699px]:min-w-11"
                aria-label={tell(AT_MUD.takePart({ of: materialName(p.of) }))}
                onClick={() => change({ parts: own.parts.filter((_, k) => k !== i) })}
              >
                <Trash2 size={15} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-2 gap-x-3">
        <Pick
          label={tell(AT_MUD.addPart)}
          value=""
          options={[
            ['', '–'],
            ...rest.map((m): [string, ReturnType<typeof materialName>] => [m, materialName(m)]),
          ]}
          onChange={(of) =>
            of === ''
              ? false
              : change({ parts: [...own.parts, { of: of as (typeof rest)[number], parts: 1 }] })
          }
        />
        <AmountField
          label={tell(AT_MUD.itsLife)}
          name="own-life"
          value={String(own.life ?? showMinutes(batch.life))}
          reads={readDuration}
          bare="min"
          onChange={(life) => change({ life })}
        />
      </div>
    </>
  );
}

/** Parts may be halves and quarters. */
function PartsField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (parts: number) => boolean;
}): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input
        className="entry"
        type="number"
        min={0.05}
        max={100}
        step="any"
        defaultValue={value}
        key={value}
        onBlur={(e) => {
          const parts = Number(e.currentTarget.value);
          if (parts >= 0.05 && parts <= 100 && parts !== value) onChange(parts);
          else e.currentTarget.value = String(value);
        }}
      />
    </label>
  );
}

/** So many measures laid so many units: what comes of the mix goes by that. */
function Count({
  batch,
  onCount,
}: {
  batch: BatchView;
  onCount: (measures: number, pieces: number) => boolean;
}): ReactNode {
  const tell = useTell();
  const [measures, setMeasures] = useState(0);
  const [units, setUnits] = useState(0);
  return (
    <Fold title={tell(AT_MUD.countIt)}>
      <p className="text-small text-soft">{tell(AT_MUD.countSays({ of: batch.spokenOf }))}</p>
      <div className="flex items-end gap-3">
        <NumberField label={tell(AT_MUD.measuresIn)} value={measures} least={0} onChange={setMeasures} />
        <NumberField
          label={tell(AT_MUD.unitsLaid)}
          value={units}
          least={0}
          most={1_000_000}
          onChange={setUnits}
        />
        <button
          className="press-plain whitespace-nowrap max-[699px]:min-h-11"
          disabled={measures < 1 || units < 1}
          onClick={() => onCount(measures, units) && (setMeasures(0), setUnits(0))}
        >
          {tell(AT_MUD.takeCount)}
        </button>
      </div>
    </Fold>
  );
}
