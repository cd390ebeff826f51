import { LIST, rowAt, type Job, type ListRow, type Message, type Show } from '@even-tally/core';
import { AT_BOND, AT_STONE, PAPER } from '@even-tally/words';
import { ChevronDown, ChevronUp, ClipboardCopy, Download, Search } from 'lucide-react';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useOpenJob } from '../../state/job';
import { openRecord, useRecord } from '../../state/record';
import { keepNumber, keptNumber } from '../../state/kept';
import { look, useViewing } from '../../state/view';
import { useLanguage, useTell } from '../../state/words';
import { download, fileName } from '../../ui/download';
import type { Planner } from '../../workers/planner';
import { useAsked } from '../../workers/useAsked';
import { Edge } from '../Edge';
import { ListTable } from './ListTable';

interface Props {
  job: Job;
  wall: number;
  run: number;
  show: Show;
  planner: Planner;
  base: string;
  stage: string;
}

const [LEAST, MOST, USUAL] = [96, 620, 232];

/** A list by its kind and its name. */
type Tab = readonly [kind: string, name: Message];

/** The lists there are, in the order they stand: known before a wall has been asked for any. */
const TABS: readonly Tab[] = [
  ['courses', LIST.courses()],
  ['cuts', LIST.cuts()],
  ['openings', LIST.openings()],
  ['bars', LIST.bars()],
  ['holds', LIST.holds()],
  ['tally', LIST.tally()],
  ['record', LIST.record()],
];

const OPENINGS: Tab = ['openings', LIST.openings()];
const AFTER: readonly Tab[] = [
  ['holds', LIST.holds()],
  ['tally', LIST.tally()],
  ['record', LIST.record()],
];
/** Of rough stone, and of ashlar: no cuts of units, and no bars. */
const ROUGH: readonly Tab[] = [
  ['courses', AT_STONE.levels],
  ['stones', AT_STONE.stoneByUse],
  ['lines', AT_STONE.lines],
  OPENINGS,
  ...AFTER,
];
const CUT: readonly Tab[] = [
  ['cut-stones', AT_STONE.cutStones],
  ['stones', AT_STONE.stoneByUse],
  OPENINGS,
  ...AFTER,
];

const WITH_POSTS: readonly Tab[] = TABS.flatMap((tab) =>
  tab[0] === 'openings' ? [['notches', AT_BOND.notches] as const, tab] : [tab],
);

/** The lists of a wall, by what it is built of. */
function tabsOf(job: Job, wall: number): readonly Tab[] {
  const own = builtTabs(job, wall);
  return job.walls[wall]?.holes?.length
    ? [...own.slice(0, 1), ['holes', AT_BOND.holes], ...own.slice(1)]
    : own;
}

function builtTabs(job: Job, wall: number): readonly Tab[] {
  const kind = job.walls[wall]?.build.kind ?? 'units';
  if (kind !== 'units') return kind === 'ashlar' ? CUT : ROUGH;
  return job.walls[wall]?.posts?.length ? WITH_POSTS : TABS;
}

/** Where a list that is empty gets its first line: the stage that fills it. What is rightly empty has none. */
const FIRST: Readonly<Record<string, { says: Message; stage: string }>> = {
  courses: { says: PAPER.giveItHeight, stage: 'gauge' },
  openings: { says: PAPER.putInAnOpening, stage: 'bond' },
  bars: { says: PAPER.placeBars, stage: 'steel' },
  record: { says: PAPER.signOrReadOn, stage: 'steel' },
};

/** Tables of the wall along the bottom, pulled up when wanted: a row and its place on the drawing mark each other. */
export function Drawer(props: Props): ReactNode {
  const tell = useTell();
  const tabs = tabsOf(props.job, props.wall);
  const asked = useViewing((s) => s.drawer);
  // A list the last wall had and this one has not gives way to its first.
  const open = asked === null || tabs.some(([kind]) => kind === asked) ? asked : (tabs[0]?.[0] ?? null);
  return (
    <section aria-label={tell(PAPER.drawer)} className="no-print shrink-0 bg-sheet">
      {open === null ? (
        <Tabs open={null} tabs={tabs}>
          <button
            className="inline-flex min-h-8 items-center px-2 text-chalk hover:bg-chalk-pale"
            aria-label={tell(PAPER.pullUp)}
            onClick={() => look({ drawer: tabs[0]?.[0] ?? 'courses' })}
          >
            <ChevronUp size={17} aria-hidden="true" />
          </button>
        </Tabs>
      ) : (
        <Open {...props} tabs={tabs} kind={open} />
      )}
    </section>
  );
}

function Tabs({
  open,
  tabs,
  children,
}: {
  open: string | null;
  tabs: readonly Tab[];
  children: ReactNode;
}): ReactNode {
  const tell = useTell();
  return (
    <div className="relative flex items-stretch overflow-x-auto border-t-2 border-ink px-2">
      <div className="flex shrink-0" role="group" aria-label={tell(PAPER.lists)}>
        {tabs.map(([kind, name]) => (
          <button
            key={kind}
            aria-pressed={kind === open}
            className={`min-h-8 border-b-[3px] px-3 max-[1180px]:px-2 font-narrow text-lead font-bold ${kind === open ? 'border-live' : 'border-transparent hover:bg-chalk-pale'}`}
            onClick={() => look({ drawer: kind === open ? null : kind, row: null })}
          >
            {tell(name)}
          </button>
        ))}
      </div>
      <div className="ml-auto flex shrink-0 items-center gap-1">{children}</div>
    </div>
  );
}

function Open({
  kind,
  tabs,
  job,
  wall,
  run,
  show,
  planner,
  base,
  stage,
}: Props & { kind: string; tabs: readonly Tab[] }): ReactNode {
  const tell = useTell();
  const navigate = useNavigate();
  const words = useLanguage();
  const id = useOpenJob((s) => s.id);
  const record = useRecord((s) => s.entries);
  const [filter, setFilter] = useState('');
  const [high, setHigh] = useState(() => keptNumber('drawer', USUAL));
  const shown = useRef<readonly (readonly string[])[]>([]);
  const [copied, setCopied] = useState(false);
  const lists = useAsked(planner, 'lists', { wall, record }, job);
  const list = lists?.find((l) => l.kind === kind) ?? null;
  const chosen = useViewing((s) => s.row);
  useEffect(() => {
    if (id !== null) void openRecord(id);
  }, [id]);
  const onShown = useCallback((rows: readonly (readonly string[])[]) => {
    shown.current = rows;
  }, []);
  const choose = (row: ListRow): void => {
    const here = row.spots.some((s) => s.run === run);
    const [spot] = row.spots;
    look({
      row: { list: kind, id: row.id, spots: row.spots },
      paper: null,
      ...(row.course === undefined ? {} : { course: row.course }),
    });
    if (!here && spot) void navigate(`${base}/${spot.run}/${stage}`);
  };
  const pressed = useViewing((s) => s.pressed);
  useEffect(() => {
    const row = pressed && list && rowAt(list, pressed.run, pressed.x, pressed.y);
    if (row) look({ row: { list: list.kind, id: row.id, spots: row.spots }, pressed: null });
  }, [pressed, list]);
  const copy = (): void => {
    void navigator.clipboard.writeText(shown.current.map((r) => r.join('\t')).join('\n')).then(
      () => setCopied(true),
      () => setCopied(false),
    );
  };
  const save = (): void => {
    void planner
      .ask('listCsv', { wall, record, kind, words, show }, job)
      .then((text) => download(`${fileName(job.name)}-${kind}.csv`, 'text/csv', text));
  };
  const press =
    'inline-flex min-h-7 items-center gap-1 px-2 text-small font-semibold text-chalk hover:bg-chalk-pale';
  return (
    <>
      <Edge
        label={tell(PAPER.drawerEdge)}
        upright={false}
        value={high}
        least={LEAST}
        most={MOST}
        onChange={(to) => {
          setHigh(to);
          keepNumber('drawer', to);
        }}
      />
      <Tabs open={kind} tabs={tabs}>
        <label className="relative flex items-center">
          <Search size={14} aria-hidden="true" className="absolute left-2 text-soft" />
          <input
            className="entry min-h-7 w-36 py-0 max-[1180px]:w-24 pl-7 font-sans text-small"
            placeholder={tell(PAPER.filter)}
            aria-label={tell(PAPER.filter)}
            value={filter}
            onChange={(e) => setFilter(e.target.value)}
          />
        </label>
        <button className={press} onClick={copy}>
          <ClipboardCopy size={14} aria-hidden="true" />
          <span className="max-[1180px]:sr-only">{tell(copied ? PAPER.copied : PAPER.copy)}</span>
        </button>
        <button className={press} onClick={save}>
          <Download size={14} aria-hidden="true" /> CSV
        </button>
        <button
          className={press}
          aria-label={tell(PAPER.pushDown)}
          onClick={() => look({ drawer: null, row: null })}
        >
          <ChevronDown size={17} aria-hidden="true" />
        </button>
      </Tabs>
      <div
        className="overflow-auto px-2"
        style={{ height: high }}
        tabIndex={0}
        role="region"
        aria-label={tell(tabs.find(([k]) => k === kind)?.[1] ?? '')}
      >
        {list?.rows.length === 0 ? (
          <p className="flex flex-wrap items-center gap-3 px-2 py-3 text-soft">
            {tell(list.empty)}
            {FIRST[kind] && FIRST[kind].stage !== stage && (
              <Link className="press-plain" to={`${base}/${run}/${FIRST[kind].stage}`}>
                {tell(FIRST[kind].says)}
              </Link>
            )}
          </p>
        ) : list ? (
          <ListTable
            key={kind}
            list={list}
            show={show}
            filter={filter}
            chosen={chosen?.list === kind ? [chosen.id] : []}
            onChoose={choose}
            onShown={onShown}
          />
        ) : (
          <p className="px-2 py-3 text-soft">{tell(PAPER.counting)}</p>
        )}
      </div>
    </>
  );
}
