import type { ListRow, Show, WorkList } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Typeset } from '../../ui/Typeset';
import { cellOrder, cellSays, isFigures } from './cells';

interface Props {
  list: WorkList;
  show: Show;
  filter: string;
  chosen: readonly string[];
  onChoose: (row: ListRow) => void;
  /** Told what is shown, head and rows as they are read, for whoever copies it. */
  onShown: (rows: readonly (readonly string[])[]) => void;
}

/** One list as a table: sorted by pressing a head, filtered by what is typed, its sums at the foot. */
export function ListTable({ list, show, filter, chosen, onChoose, onShown }: Props): ReactNode {
  const tell = useTell();
  const [sorting, setSorting] = useState<SortingState>([]);
  const columns = useMemo(
    () =>
      list.columns.map((c, i): ColumnDef<ListRow> => ({
        id: c.key,
        header: tell(c.name),
        accessorFn: (row) => cellOrder(row.cells[i] ?? null, tell),
        cell: ({ row }) => cellSays(row.original.cells[i] ?? null, c, show, tell),
        sortUndefined: 'last',
      })),
    [list.columns, show, tell],
  );
  const data = list.rows as ListRow[];
  // What the library's functions give changes under one name: this component is left as it is written.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data,
    columns,
    state: { sorting, globalFilter: filter },
    onSortingChange: setSorting,
    getRowId: (row) => row.id,
    globalFilterFn: (row, _column, wanted: string) =>
      list.columns.some((c, i) =>
        cellSays(row.original.cells[i] ?? null, c, show, tell)
          .toLowerCase()
          .includes(wanted.toLowerCase()),
      ),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  const rows = table.getRowModel().rows;
  useEffect(() => {
    onShown([
      list.columns.map((c) => tell(c.name)),
      ...rows.map((r) => list.columns.map((c, i) => cellSays(r.original.cells[i] ?? null, c, show, tell))),
    ]);
  }, [list.columns, rows, show, tell, onShown]);
  const body = useRef<HTMLTableSectionElement>(null);
  const [first] = chosen;
  useEffect(() => {
    if (first !== undefined)
      body.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [first]);
  const sums = list.columns.some((c) => c.sums);
  return (
    <table className="w-full text-small" data-list={list.kind}>
      <caption className="sr-only">{tell(list.name)}</caption>
      <thead className="sticky top-0 bg-sheet">
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id} className="border-b-2 border-ink text-left">
            {group.headers.map((h, i) => {
              const sorted = h.column.getIsSorted();
              const right = isFigures(list.columns[i] as WorkList['columns'][number]);
              return (
                <th
                  key={h.id}
                  scope="col"
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  className={right ? 'text-right' : ''}
                >
                  <button
                    className="inline-flex min-h-7 items-center gap-1 px-2 text-soft hover:text-ink"
                    onClick={h.column.getToggleSortingHandler()}
                  >
                    {flexRender(h.column.columnDef.header, h.getContext())}
                    {sorted === 'asc' && <ArrowUp size={13} aria-hidden="true" />}
                    {sorted === 'desc' && <ArrowDown size={13} aria-hidden="true" />}
                  </button>
                </th>
              );
            })}
          </tr>
        ))}
      </thead>
      <tbody ref={body}>
        {rows.map((r) => (
          <tr
            key={r.id}
            tabIndex={0}
            aria-selected={chosen.includes(r.id)}
            data-row={r.id}
            className={`cursor-pointer border-b border-rule align-baseline hover:bg-chalk-pale ${chosen.includes(r.id) ? 'bg-chosen' : ''}`}
            onClick={() => onChoose(r.original)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onChoose(r.original);
            }}
          >
            {r.getVisibleCells().map((cell, i) => (
              <td
                key={cell.id}
                className={`px-2 py-[3px] ${isFigures(list.columns[i] as WorkList['columns'][number]) ? 'figures text-right' : ''}`}
              >
                <Typeset
                  words={cellSays(
                    r.original.cells[i] ?? null,
                    list.columns[i] as WorkList['columns'][number],
                    show,
                    tell,
                  )}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
      {sums && rows.length > 1 && (
        <tfoot className="sticky bottom-0 bg-sheet">
          <tr className="border-t-2 border-ink font-bold">
            {list.columns.map((c, i) => (
              <td key={c.key} className={`px-2 py-1 ${isFigures(c) ? 'figures text-right' : ''}`}>
                {c.sums ? (
                  <Typeset
                    words={cellSays(
                      rows.reduce((sum, r) => sum + Number(r.original.cells[i] ?? 0), 0),
                      c,
                      show,
                      tell,
                    )}
                  />
                ) : i === 0 ? (
                  <span className="font-sans">{tell(PAPER.inAll)}</span>
                ) : null}
              </td>
            ))}
          </tr>
        </tfoot>
      )}
    </table>
  );
}
