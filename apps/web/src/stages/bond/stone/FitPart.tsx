import {
  FITTED_MOST,
  pileAsRows,
  pileFromRows,
  STONE_USES,
  type LayView,
  type PileRead,
  type Wall,
} from '@even-tally/core';
import { fromCsv } from '@even-tally/exports';
import { AT_STONE } from '@even-tally/words';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useJob } from '../../../state/job';
import { useTell } from '../../../state/words';
import { Fold } from '../../../ui/Fold';
import { Pick } from '../../../ui/Pick';
import { Told } from '../../../ui/Told';
import { fitInWorker, type FitAnswer } from '../../../workers/fitter';
import { ofSheet, TakeAway } from '../../TakeAway';
import { useWallFields } from '../../useWallFields';
import { FitDrawing } from './FitDrawing';
import { Lengths } from './Fields';
import type { StoneProps } from './StonePart';

type Fit = NonNullable<Wall['fit']>;

/** The pile, typed or pasted: a stone a line. What does not read is said, and nothing is changed. */
function Pile({ job, show }: StoneProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const filed = pileAsRows(job.pile ?? [])
    .map((row) => row.join(', ').replace(/(, )+$/, ''))
    .join('\n');
  const [typed, setTyped] = useState<string | null>(null);
  const [read, setRead] = useState<PileRead | null>(null);
  const keep = (): void => {
    if (typed === null) return;
    const found = pileFromRows(fromCsv(typed), show);
    setRead(found);
    if (!found.ok) return;
    setTyped(null);
    edit([
      found.pile.length > 0
        ? { op: 'add', path: '/pile', value: found.pile }
        : { op: 'remove', path: '/pile' },
    ]);
  };
  return (
    <label className="block text-small text-soft">
      {tell(AT_STONE.pileIs)}
      <textarea
        className="entry h-28 resize-y py-1 font-mono leading-5"
        name="pile"
        value={typed ?? filed}
        placeholder={show === 'mm' ? 'A, 450, 180, 260, 2, face' : 'A, 18", 7", 10", 2, face'}
        spellCheck={false}
        aria-invalid={read !== null && !read.ok}
        onChange={(e) => setTyped(e.currentTarget.value)}
        onBlur={keep}
      />
      <span role="alert" className="block font-semibold text-fault">
        {read && !read.ok && tell(AT_STONE.pileUnread({ line: read.line, key: read.key, got: read.got }))}
      </span>
    </label>
  );
}

/** What is to be said for a lay, beside what is laid without looking ahead. */
function Judged({ lay, greedy }: { lay: LayView; greedy: LayView }): ReactNode {
  const tell = useTell();
  const rows = [
    [AT_STONE.notCrossed, lay.uncrossed, greedy.uncrossed],
    [
      AT_STONE.dressedAway,
      tell(AT_STONE.areaIs({ area: lay.dressed })),
      tell(AT_STONE.areaIs({ area: greedy.dressed })),
    ],
    [AT_STONE.toBuy, tell(AT_STONE.areaIs({ area: lay.open })), tell(AT_STONE.areaIs({ area: greedy.open }))],
    [AT_STONE.alongFace, lay.traced, greedy.traced],
    [AT_STONE.over, lay.over.length, greedy.over.length],
  ] as const;
  return (
    <table className="w-full text-small">
      <thead>
        <tr className="text-left text-soft">
          <th className="font-normal">{tell(AT_STONE.judgedBy)}</th>
          <th className="text-right font-normal">{tell(AT_STONE.thisLay)}</th>
          <th className="text-right font-normal">{tell(AT_STONE.notAhead)}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, here, there]) => (
          <tr key={name.code} className="border-t border-rule">
            <td>{tell(name)}</td>
            <td className="figures text-right">{here}</td>
            <td className="figures text-right text-soft">{there}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Measured stones laid into a stretch of this wall: the pile, the stretch, and the best lay so far, kept when it is stopped. */
export function FitPart(props: StoneProps): ReactNode {
  const tell = useTell();
  const { job, view, show, stone } = props;
  const { set } = useWallFields(job, view);
  const fit: Fit = job.walls[view.wall.index]?.fit ?? { run: view.run };
  const [going, setGoing] = useState<Extract<FitAnswer, { kind: 'lay' }> | null>(null);
  const [part, setPart] = useState<number | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const seed = useRef(1);
  /** What is being laid: its pins are those of the stone that was just moved. */
  const asked = useRef<Fit>({});
  useEffect(() => () => stop.current?.(), []);
  const keep = (found: Fit['order'], pins: Fit['pins'] = fit.pins): void => {
    const { order: _o, pins: _p, ...where } = fit;
    set('/fit', { ...where, ...(found ? { order: found } : {}), ...(pins?.length ? { pins } : {}) });
  };
  const run = (of: Fit): void => {
    stop.current?.();
    asked.current = of;
    setPart(0);
    setGoing(null);
    stop.current = fitInWorker({ job, wall: view.wall.index, fit: of, seed: seed.current++ }, (found) => {
      setPart(found.part);
      if (found.kind !== 'lay') return;
      setGoing(found);
      if (!found.done) return;
      setPart(null);
      keep(found.order, of.pins);
      setGoing(null);
    });
  };
  const leave = (): void => {
    stop.current?.();
    setPart(null);
    // Stopped before the first answer, a stone moved by hand still stands where it was put.
    const found = going?.order ?? asked.current.order;
    if (found) keep(found, asked.current.pins);
    setGoing(null);
  };
  const move = (from: number, to: number): void => {
    const order = [...(fit.order ?? [])];
    const [one] = order.splice(from, 1);
    if (!one) return;
    order.splice(to, 0, one);
    run({ ...fit, order, pins: [...new Set([...(fit.pins ?? []).filter((p) => p !== from), to])] });
  };
  const kept = stone.fit;
  const shown = going?.view ?? kept?.lay ?? null;
  const pile = job.pile ?? [];
  const count = pile.reduce((n, s) => n + (s.count ?? 1), 0);
  return (
    <>
      <Fold
        title={tell(AT_STONE.measuredStones)}
        open={pile.length > 0}
        aside={count > 0 ? String(count) : undefined}
      >
        <Pile {...props} />
        <Lengths
          of="fit"
          show={show}
          fields={[
            ['from', AT_STONE.from, stone.fitting.from],
            ['length', AT_STONE.stretch, stone.fitting.length],
            ['height', AT_STONE.upTo, stone.fitting.height],
            ['lap', AT_STONE.lap, stone.fitting.lap],
          ]}
          set={(key, v) => set('/fit', { ...fit, [key]: v })}
        />
        <Pick
          label={tell(AT_STONE.takeOf)}
          value={fit.use ?? 'any'}
          options={[
            ['any', AT_STONE.anyUse],
            ...STONE_USES.map((u) => [u, AT_STONE.servesFor({ use: u })] as const),
          ]}
          onChange={(u) => {
            const { use: _u, ...rest } = fit;
            set('/fit', u === 'any' ? rest : { ...rest, use: u });
          }}
        />
        {count > FITTED_MOST && (
          <p className="text-small text-caution">
            <Told said={AT_STONE.onlyMost({ most: FITTED_MOST })} />
          </p>
        )}
        {pile.length === 0 && <p className="text-small text-soft">{tell(AT_STONE.pileEmpty)}</p>}
        {part === null ? (
          <button
            className="press-plain max-[699px]:min-h-11"
            disabled={pile.length === 0}
            onClick={() => {
              const { order: _o, pins: _p, ...fresh } = fit;
              run(fresh);
            }}
          >
            {tell(AT_STONE.layThem)}
          </button>
        ) : (
          <p className="flex items-center gap-3">
            <progress className="grow" value={part} aria-label={tell(AT_STONE.laying)} />
            <button className="press-plain" onClick={leave}>
              {tell(AT_STONE.stopAndKeep)}
            </button>
          </p>
        )}
        {shown && (
          <>
            <FitDrawing
              lay={shown}
              pins={kept?.pins ?? []}
              onMove={part === null && fit.order ? move : null}
            />
            {kept && <Judged lay={shown} greedy={kept.greedy} />}
            {part === null && <p className="text-small text-soft">{tell(AT_STONE.moveStones)}</p>}
          </>
        )}
      </Fold>
      {kept && (
        <TakeAway
          {...props}
          title={tell(AT_STONE.takeLay)}
          which={ofSheet('lay')}
          says={tell(AT_STONE.takeLaySays)}
        />
      )}
    </>
  );
}
