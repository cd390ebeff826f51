import { setDeep, type Stated } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useId, useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { LengthField } from '../../ui/LengthField';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';

const LIMITS = [
  ['bed', AT_SET_OUT.bedFrom, AT_SET_OUT.bedTo],
  ['firstBed', AT_SET_OUT.firstBedFrom, AT_SET_OUT.firstBedTo],
  ['head', AT_SET_OUT.headFrom, AT_SET_OUT.headTo],
] as const;
const LENGTHS = [
  ['leastPiece', AT_SET_OUT.leastPiece],
  ['leastLap', AT_SET_OUT.leastLap],
] as const;
const FACTORS = [
  ['breakage', AT_SET_OUT.breakagePart, 0, 1],
  ['mortar', AT_SET_OUT.mortarTimes, 1, 10],
  ['grout', AT_SET_OUT.groutTimes, 1, 10],
] as const;

/** A number with a fraction, kept when left or on Enter; what lies outside its limits is not taken. */
function FactorField({
  label,
  value,
  least,
  most,
  onChange,
}: {
  label: string;
  value: number | null;
  least: number;
  most: number;
  onChange: (value: number) => void;
}): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    const n = Number(typed);
    if (typed !== null && typed.trim() !== '' && n >= least && n <= most) onChange(n);
    setTyped(null);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-small text-soft">
        {label}
      </label>
      <input
        id={id}
        className="entry"
        inputMode="decimal"
        value={typed ?? value ?? ''}
        onChange={(e) => setTyped(e.currentTarget.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === 'Enter' && keep()}
      />
    </div>
  );
}

/** Figures this wall or this job has otherwise than its rules. Nothing is stated without the reason. */
export function OwnRulesPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const wall = job.walls[view.wall.index];
  const [whose, setWhose] = useState<'wall' | 'job'>(job.rules && !wall?.rules ? 'job' : 'wall');
  const path = whose === 'wall' ? `/walls/${view.wall.index}/rules` : '/rules';
  const own = whose === 'wall' ? wall?.rules : job.rules;
  const set = (under: string, value: Stated): boolean => edit([setDeep(job, `${path}${under}`, value)]);
  const { rules } = view.wall;
  const measure = { show, module: view.wall.module, pitch: view.wall.pitch };
  return (
    <Fold
      title={tell(AT_SET_OUT.ownRules)}
      aside={wall?.rules?.why ?? job.rules?.why ?? tell(AT_SET_OUT.asTheRulesHave)}
    >
      <Pick
        label={tell(AT_SET_OUT.statedFor)}
        value={whose}
        options={[
          ['wall', AT_SET_OUT.thisWallAlone],
          ['job', AT_SET_OUT.theWholeJob],
        ]}
        onChange={setWhose}
      />
      <NameField
        label={tell(AT_SET_OUT.whoSaysSo)}
        value={own?.why ?? ''}
        onChange={(why) => why.trim() !== '' && set('/why', why)}
      />
      {!own ? (
        <p className="text-small text-soft">{tell(AT_SET_OUT.reasonFirst)}</p>
      ) : (
        <>
          <div className="grid grid-cols-2 gap-x-3 gap-y-2">
            {LIMITS.flatMap(([of, from, to]) =>
              (
                [
                  ['least', from],
                  ['most', to],
                ] as const
              ).map(([key, label], i) => (
                <LengthField
                  key={`${of}-${key}`}
                  label={tell(label)}
                  value={rules[of][i] ?? 0}
                  {...measure}
                  onChange={(v) => set(`/${of}/${key}`, v)}
                />
              )),
            )}
            {LENGTHS.map(([key, label]) => (
              <LengthField
                key={key}
                label={tell(label)}
                value={rules[key]}
                {...measure}
                onChange={(v) => set(`/${key}`, v)}
              />
            ))}
            {FACTORS.map(([key, label, least, most]) => (
              <FactorField
                key={key}
                label={tell(label)}
                value={rules[key]}
                least={least}
                most={most}
                onChange={(v) => set(`/${key}`, v)}
              />
            ))}
          </div>
          <button className="press-plain" onClick={() => edit([{ op: 'remove', path }])}>
            {tell(AT_SET_OUT.asTheRulesHaveIt)}
          </button>
        </>
      )}
    </Fold>
  );
}
