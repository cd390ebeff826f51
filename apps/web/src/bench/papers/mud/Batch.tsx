import {
  countedMeasures,
  showMinutes,
  showMud,
  showWater,
  type BatchView,
  type Caution,
  type MeasuredOut,
  type Message,
  type Show,
  type Suits,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { Typeset } from '../../../ui/Typeset';
import { Buckets } from './Buckets';

export const CAUTIONS: Record<Caution, Message> = {
  cement: AT_MUD.cautionCement,
  lime: AT_MUD.cautionLime,
  quicklime: AT_MUD.cautionQuicklime,
};

/** A batch as it is put together: so many measures of each, what it makes and lays, and how long it is good. */
export function Batch({ batch, show }: { batch: BatchView; show: Show }): ReactNode {
  const tell = useTell();
  const said = (of: readonly MeasuredOut[]): Message[] =>
    of.map((m) => AT_MUD.measured({ count: countedMeasures(m.count), measure: m.measure, of: m.name }));
  if (batch.measures.length === 0) return <NoBatch batch={batch} show={show} />;
  const facts: [Message, string][] = [
    [AT_MUD.makes, showMud(batch.makes, show)],
    [AT_MUD.lays, tell(AT_MUD.units({ n: batch.lays, of: batch.of }))],
    [AT_MUD.water, showWater(batch.water, show)],
    [AT_MUD.life, showMinutes(batch.life)],
    [AT_MUD.inTheHeat, showMinutes(batch.hotLife)],
    [AT_MUD.batchesForWall, tell(AT_MUD.batchesAre({ full: batch.full, last: batch.last ? 'yes' : 'no' }))],
    [AT_MUD.offTheParts, tell(AT_MUD.offBy({ by: Math.round(batch.error * 1000) / 10 }))],
  ];
  return (
    <>
      <h2 className="heading text-lg">{tell(batch.name)}</h2>
      <Buckets
        rows={batch.measures.map((m) => ({ ...m, name: tell(m.name), said: countedMeasures(m.count) }))}
        label={tell(AT_MUD.picture({ mix: batch.name, measures: said(batch.measures) }))}
      />
      <dl>
        {facts.map(([name, value]) => (
          <div
            key={name.code}
            className="flex items-baseline justify-between gap-3 border-b border-dotted border-rule py-1.5"
          >
            <dt>{tell(name)}</dt>
            <dd className="figures text-right font-semibold whitespace-normal">
              <Typeset words={value} />
            </dd>
          </div>
        ))}
      </dl>
      {batch.counted && <p className="pt-2 text-small text-soft">{tell(AT_MUD.asCounted)}</p>}
      {batch.one && (
        <p className="pt-2 text-small" data-one>
          {tell(
            AT_MUD.forOne({
              measures: said(batch.one.measures),
              n: batch.one.lays,
              of: batch.of,
              minutes: showMinutes(batch.one.minutes),
            }),
          )}
        </p>
      )}
      {batch.last && (
        <p className="pt-2 text-small">
          {tell(
            AT_MUD.lastOne({ measures: said(batch.last.measures), makes: showMud(batch.last.makes, show) }),
          )}
        </p>
      )}
    </>
  );
}

/** No whole measures come near the parts: what would. */
function NoBatch({ batch, show }: { batch: BatchView; show: Show }): ReactNode {
  const tell = useTell();
  const { helps } = batch;
  return (
    <section className="space-y-2" data-none>
      <h2 className="heading text-lg">{tell(batch.name)}</h2>
      <p className="font-semibold text-fault">{tell(AT_MUD.tooFar)}</p>
      {helps && (
        <ul className="list-disc space-y-1 pl-5">
          {helps.halves && <li>{tell(AT_MUD.helpHalves)}</li>}
          <li>{tell(AT_MUD.helpMeasure({ holds: showWater(helps.measure, show) }))}</li>
          <li>{tell(AT_MUD.helpMixer({ holds: showMud(helps.mixer, show) }))}</li>
        </ul>
      )}
    </section>
  );
}

const SUITS: Record<Suits, Message> = {
  M: AT_MUD.suitsM,
  S: AT_MUD.suitsS,
  N: AT_MUD.suitsN,
  O: AT_MUD.suitsO,
  rapid: AT_MUD.suitsRapid,
  hydraulic: AT_MUD.suitsHydraulic,
  putty: AT_MUD.suitsPutty,
  'hot-lime': AT_MUD.suitsHotLime,
  stove: AT_MUD.suitsStove,
  earth: AT_MUD.suitsEarth,
};
const LIMES: readonly Suits[] = ['hydraulic', 'putty', 'hot-lime', 'stove'];
const waitOf = (suits: Suits): Message =>
  suits === 'earth' ? AT_MUD.loadEarth : LIMES.includes(suits) ? AT_MUD.loadLime : AT_MUD.loadCement;

/** In what order it goes in, and what to keep off skin and out of lungs. */
export function Order({ batch, kind }: { batch: BatchView; kind: string }): ReactNode {
  const tell = useTell();
  const drum = kind === 'drum' || kind === 'pan';
  return (
    <section className="mt-6 space-y-2" aria-label={tell(AT_MUD.order)}>
      <h2 className="heading border-b-2 border-ink pb-1">{tell(AT_MUD.order)}</h2>
      <p>{tell(drum ? AT_MUD.orderDrum : AT_MUD.orderByHand)}</p>
      <p>{tell(AT_MUD.sameEachTime)}</p>
      <p>{tell(AT_MUD.judgeWater)}</p>
      <p>{tell(batch.retemper ? AT_MUD.retemper : AT_MUD.noRetemper)}</p>
      <p>{tell(SUITS[batch.suits])}</p>
      <p>{tell(waitOf(batch.suits))}</p>
      <p className="text-small text-soft">{tell(AT_MUD.partsBy({ source: batch.source }))}</p>
      {batch.slaked && <p className="font-semibold text-caution">{tell(AT_MUD.slaking(batch.slaked))}</p>}
      {batch.cautions.map((c) => (
        <p key={c} className="font-semibold text-caution">
          {tell(CAUTIONS[c])}
        </p>
      ))}
    </section>
  );
}
