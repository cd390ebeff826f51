import { BENCH, PAPER } from '@even-tally/words';
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useRecord } from '../../state/record';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import { Typeset } from '../../ui/Typeset';
import { useAsked } from '../../workers/useAsked';
import { cellSays } from '../drawer/cells';
import { KEYS } from '../keys';
import { found, type Findable } from './finding';
import type { LineProps } from './LineOverDrawer';

/** Anything on the bench by its name: a course, an opening, a cut, a bar, a hold, a finding, a run, a wall, a command. */
export default function FindLine(props: LineProps): ReactNode {
  const tell = useTell();
  const [typed, setTyped] = useState('');
  const all = useFindable(props);
  const hits = useMemo(() => found(all, typed), [all, typed]);
  const close = (): void => look({ finding: false });
  return (
    <section
      aria-label={tell(PAPER.find)}
      className="no-print relative shrink-0 border-t-2 border-ink bg-sheet px-3 py-2"
    >
      <Combobox
        immediate
        value={null as Findable | null}
        onChange={(one) => {
          close();
          one?.act();
        }}
        onClose={() => undefined}
      >
        <div className="flex items-center gap-2">
          <span className="heading shrink-0" aria-hidden="true">
            {tell(PAPER.find)}
          </span>
          <ComboboxInput
            autoFocus
            className="entry font-sans"
            aria-label={tell(PAPER.find)}
            placeholder={tell(PAPER.findHint)}
            displayValue={() => typed}
            onChange={(e) => setTyped(e.target.value)}
            onBlur={close}
            onKeyDown={(e) => e.key === 'Escape' && close()}
          />
        </div>
        <ComboboxOptions
          static
          modal={false}
          className="absolute right-3 bottom-full left-3 z-40 max-h-80 overflow-auto border-2 border-ink bg-sheet empty:hidden"
        >
          {hits.map((one) => (
            <ComboboxOption
              key={`${one.kind}|${one.id}`}
              value={one}
              className="flex min-h-8 cursor-pointer items-center gap-3 px-3 py-1 data-focus:bg-chalk-pale"
            >
              <span className="w-28 shrink-0 text-small text-soft">{one.kind}</span>
              <span className="truncate">
                <Typeset words={one.says} />
              </span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
      {typed.trim() !== '' && hits.length === 0 && (
        <p className="mt-1 text-small text-soft">{tell(PAPER.nothingFound)}</p>
      )}
    </section>
  );
}

function useFindable({ job, view, wall, show, planner, base, stage, keyPlace }: LineProps): Findable[] {
  const tell = useTell();
  const navigate = useNavigate();
  const record = useRecord((s) => s.entries);
  const lists = useAsked(planner, 'lists', { wall, record }, job);
  return useMemo(() => {
    const jobStem = base.slice(0, base.lastIndexOf('/'));
    const go = (to: string): void => {
      look({ paper: null });
      void navigate(to);
    };
    const rows = (lists ?? []).flatMap((list) =>
      list.rows.map((row): Findable => {
        const [spot] = row.spots;
        return {
          id: row.id,
          kind: tell(list.name),
          says: list.columns
            .map((c, i) => cellSays(row.cells[i] ?? null, c, show, tell))
            .filter(Boolean)
            .join(' · '),
          act: () => {
            look({
              row: { list: list.kind, id: row.id, spots: row.spots, near: true },
              paper: null,
              ...(row.course === undefined ? {} : { course: row.course }),
              ...(spot ? {} : { drawer: list.kind }),
            });
            if (spot && !row.spots.some((s) => s.run === view.run)) go(`${base}/${spot.run}/${stage}`);
          },
        };
      }),
    );
    const findings = view.says.map((s): Findable => ({
      id: s.letter,
      kind: tell(BENCH.findingLetter({ letter: s.letter })),
      says: tell(s.finding.says),
      act: () => {
        look({ letter: s.letter, ...(s.finding.course === null ? {} : { course: s.finding.course }) });
        go(`${base}/${view.run}/${s.finding.stage}`);
      },
    }));
    const runs = view.runs.map((r): Findable => ({
      id: r.id,
      kind: tell(PAPER.aRun),
      says: r.name,
      act: () => go(`${base}/${r.index}/${stage}`),
    }));
    const walls = job.walls.map((w): Findable => ({
      id: w.id,
      kind: tell(PAPER.aWall),
      says: w.name,
      act: () => go(`${jobStem}/${encodeURIComponent(w.id)}/0/${stage}`),
    }));
    const commands = KEYS.filter((k) => !/[/←+]/u.test(k.keys)).map((k): Findable => ({
      id: k.keys,
      kind: tell(PAPER.aCommand),
      says: `${tell(k.says)} (${k.keys})`,
      act: () => k.act(keyPlace, new KeyboardEvent('keydown', { key: k.keys })),
    }));
    return [...rows, ...findings, ...runs, ...walls, ...commands];
  }, [lists, view, job, base, stage, show, tell, navigate, keyPlace]);
}
