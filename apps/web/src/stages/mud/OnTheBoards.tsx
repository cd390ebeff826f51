import {
  batchState,
  showMinutes,
  showMud,
  type BatchClock,
  type BatchView,
  type Job,
  type MudView,
  type Show,
} from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { BellRing } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useOpenJob } from '../../state/job';
import { logEntry, useRecord } from '../../state/record';
import { useTell } from '../../state/words';
import { AmountField } from '../../ui/AmountField';
import { Section } from '../../ui/Section';
import { lastSigner, Signer, signedBy } from '../steel/Signer';
import { Barrow } from './Barrow';
import { Lessons } from './Lessons';
import { useAlarm } from './useAlarm';
import { useClocks } from './useClocks';

const MINUTE = 60_000;
const ENDED = { used: AT_MUD.endedUsed, thrown: AT_MUD.endedThrown, dried: AT_MUD.endedDried } as const;
type Why = 'used' | 'thrown' | 'dried';
type OnEnd = (why: Why, left?: string) => void;
const TONE = {
  good: 'text-ink',
  'getting-on': 'text-caution',
  dead: 'text-fault',
  ended: 'text-soft',
} as const;

/** The batches that are about, each with its clock, and what is done with them. */
export function OnTheBoards({
  alarm,
  job,
  wall,
  batch,
  mud,
  wallIndex,
  show,
}: {
  /** What puts the alarm into a calendar. */
  alarm: ReactNode;
  job: Job;
  wall: string;
  batch: BatchView;
  mud: MudView;
  wallIndex: number;
  show: Show;
}): ReactNode {
  const tell = useTell();
  const id = useOpenJob((s) => s.id);
  const held = useRecord((s) => s.held);
  const failure = useRecord((s) => s.failure);
  const [by, setBy] = useState(lastSigner);
  const { clocks, learned, now } = useClocks(job, batch.mix);
  useAlarm(clocks, now);
  // Whose it is, and of which wall.
  const told = (): { wall: string; by: string } => {
    const name = by.trim();
    if (name !== '') signedBy(name);
    return { wall, by: name === '' ? tell(AT_MUD.somebody) : name };
  };
  const mixed = (): void => {
    if (id === null) return;
    void logEntry(id, {
      kind: 'batch-mixed',
      mix: batch.mix,
      measures: batch.measures.map((m) => ({ of: m.of, count: m.count, measure: tell(m.measure) })),
      volume: Number(batch.makes.toFixed(5)),
      water: Number(batch.water.toFixed(5)),
      ...told(),
    });
  };
  const ended = (clock: BatchClock, why: Why, left?: string): void => {
    if (id === null) return;
    void logEntry(id, {
      kind: 'batch-ended',
      batch: clock.id,
      why,
      ...(left === undefined ? {} : { left }),
      ...told(),
    });
  };
  const shown = [...clocks].reverse();
  return (
    <Section title={tell(AT_MUD.onTheBoards)}>
      {shown.length === 0 && <p className="text-soft">{tell(AT_MUD.nothingMixed)}</p>}
      <ul className="divide-y divide-rule" data-clocks={shown.length}>
        {shown.map((c) => (
          <OneBatch
            key={c.id}
            clock={c}
            now={now}
            show={show}
            unsent={held.includes(c.id)}
            onEnd={(why, left) => ended(c, why, left)}
          />
        ))}
      </ul>
      <div className="flex items-end gap-3">
        <div className="min-w-0 grow">
          <Signer label={tell(AT_MUD.mixedBy)} value={by} onChange={setBy} />
        </div>
        <button
          className="press whitespace-nowrap max-[699px]:min-h-11"
          onClick={mixed}
          disabled={batch.measures.length === 0}
        >
          {tell(AT_MUD.mixedNow)}
        </button>
      </div>
      {failure && (
        <p role="alert" className="font-semibold text-fault">
          {tell(failure)}
        </p>
      )}
      {learned.batches > 0 && (
        <Lessons job={job} wall={wallIndex} batch={batch} mud={mud} learned={learned} show={show} />
      )}
      <Alarms />
      {clocks.some((c) => !c.ended) && <p className="flex flex-wrap items-center gap-2">{alarm}</p>}
    </Section>
  );
}

/** What rings, said plainly: a page that is shut rings nothing. */
function Alarms(): ReactNode {
  const tell = useTell();
  const [may, setMay] = useState(() =>
    typeof Notification === 'undefined' ? 'denied' : Notification.permission,
  );
  return (
    <p className="text-small text-soft">
      {tell(AT_MUD.ringsWhileOpen)}{' '}
      {may === 'default' && (
        <button
          className="press-plain inline-flex items-center gap-1"
          onClick={() => void Notification.requestPermission().then(setMay)}
        >
          <BellRing size={15} aria-hidden="true" /> {tell(AT_MUD.letItNotify)}
        </button>
      )}
    </p>
  );
}

function OneBatch({
  clock,
  now,
  show,
  unsent,
  onEnd,
}: {
  clock: BatchClock;
  now: number;
  show: Show;
  unsent: boolean;
  onEnd: OnEnd;
}): ReactNode {
  const tell = useTell();
  const state = batchState(clock, now);
  const left = Math.max(0, Math.ceil((clock.dies - now) / MINUTE));
  const part = Math.max(0, Math.min(1, (clock.dies - now) / (clock.dies - clock.mixed)));
  const says = {
    good: clock.retemper ? AT_MUD.mayRetemper : AT_MUD.noWaterIn,
    'getting-on': AT_MUD.useItUp,
    dead: AT_MUD.throwIt,
    ended: ENDED[clock.ended?.why ?? 'used'],
  }[state];
  return (
    <li className="flex gap-3 py-2" data-clock={state}>
      <Barrow full={state === 'ended' ? 0 : part} dead={state === 'dead'} />
      <div className="min-w-0 grow">
        <p className={`flex items-baseline gap-2 ${TONE[state]}`}>
          <strong>{tell(AT_MUD.batchNo({ n: clock.number }))}</strong>
          <span className="figures text-lg font-semibold" data-left={left}>
            {state === 'ended'
              ? tell(AT_MUD.closed)
              : state === 'dead'
                ? tell(AT_MUD.dead)
                : showMinutes(left)}
          </span>
          {unsent && <span className="text-small text-caution">{tell(AT_MUD.notSentYet)}</span>}
        </p>
        <p className="text-small text-soft">
          {tell(says)}
          {(clock.ended?.left ?? 0) > 0 && ` (${showMud(clock.ended?.left ?? 0, show)})`}
        </p>
        {state !== 'ended' && <Ends clock={clock} onEnd={onEnd} />}
      </div>
    </li>
  );
}

/** A batch ends used up, thrown away in part, or dried on whoever spread it. */
function Ends({ clock, onEnd }: { clock: BatchClock; onEnd: OnEnd }): ReactNode {
  const tell = useTell();
  const [throwing, setThrowing] = useState(false);
  const small = 'press-plain text-small max-[699px]:min-h-11';
  return (
    <div className="flex flex-wrap items-end gap-2 pt-1">
      <button className={small} onClick={() => onEnd('used')}>
        {tell(AT_MUD.usedUp)}
      </button>
      {throwing ? (
        <AmountField
          label={tell(AT_MUD.howMuch)}
          name={`thrown-${clock.number}`}
          value=""
          onChange={(left) => {
            onEnd('thrown', left);
            return true;
          }}
        />
      ) : (
        <button className={small} onClick={() => setThrowing(true)}>
          {tell(AT_MUD.throwAway)}
        </button>
      )}
      <button className={small} onClick={() => onEnd('dried')}>
        {tell(AT_MUD.driedOnMe)}
      </button>
    </div>
  );
}
