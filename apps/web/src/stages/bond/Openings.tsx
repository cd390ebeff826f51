import { AT_BOND } from '@even-tally/words';
import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';
import { Section } from '../../ui/Section';
import { Told } from '../../ui/Told';
import type { PanelProps } from '../panel';
import { OpeningFields } from './OpeningFields';
import { newOpening } from './newOpening';

/** Narrow piers between openings: which units stand first, and the perp between them. */
function Narrow({ view }: PanelProps): ReactNode {
  const tell = useTell();
  if (view.narrow.length === 0) return null;
  return (
    <div className="border-t border-rule pt-2">
      <p className="font-semibold">{tell(AT_BOND.narrowPiers)}</p>
      <ol className="list-decimal space-y-1 pl-5">
        {view.narrow.map((n) => (
          <li key={n.from}>
            <Told
              said={AT_BOND.narrowPier({
                width: n.to - n.from,
                at: n.from,
                more: Math.max(n.odd.length, n.even.length) - 2 > 0 ? 'rest' : 'perp',
                joint: n.joint,
                odd: n.odd.length,
                even: n.even.length,
              })}
            />
          </li>
        ))}
      </ol>
    </div>
  );
}

export function Openings(props: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const here = props.view.openings.filter((o) => o.run === props.view.run);
  const fresh = newOpening(props, tell);
  return (
    <Section
      title={tell(AT_BOND.openings)}
      aside={
        <button
          className="inline-flex min-h-7 items-center gap-1 font-semibold text-chalk disabled:text-soft"
          disabled={!fresh}
          onClick={() => fresh && edit(fresh)}
        >
          <Plus size={15} aria-hidden="true" /> {tell(AT_BOND.addOne)}
        </button>
      }
    >
      {here.length === 0 && <p className="text-soft">{tell(AT_BOND.noneInThisRun)}</p>}
      <ul className="-mx-4">
        {here.map((o) => (
          <OpeningFields key={o.id} {...props} o={o} />
        ))}
      </ul>
      <Narrow {...props} />
    </Section>
  );
}
