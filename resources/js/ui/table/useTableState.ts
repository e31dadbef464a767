import {
  getCoreRowModel,
  useReactTable,
  type ColumnDef,
  type RowSelectionState,
  type Table,
  type Updater,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { tableLayouts, type TableLayout } from '../../lib/tableLayouts';
import { inOrder, type Column } from './Column';

export interface Sort {
  id: string;
  down: boolean;
}

export interface TableState<Row> {
  table: Table<Row>;
  /** The columns as they are shown, in their order. */
  columns: Column<Row>[];
  /** The rows in the order on screen. */
  rows: Row[];
  sort: Sort | null;
  sortBy: (id: string) => void;
  move: (id: string, by: 1 | -1) => void;
  resize: (id: string, size: number) => void;
  reset: () => void;
}

interface Options<Row> {
  name: string;
  rows: Row[];
  columns: Column<Row>[];
  keyOf: (row: Row) => string;
  /** The name of the sort in the address. */
  sortParam: string;
  /** They come in their order, by the server or by what they are. */
  orderedBefore: boolean;
}

/** What a person does to a table: order in the address, columns remembered, rows chosen. The state is TanStack Table's. */
export function useTableState<Row>({
  name,
  rows,
  columns,
  keyOf,
  sortParam,
  orderedBefore,
}: Options<Row>): TableState<Row> {
  const [params, setParams] = useSearchParams();
  const [layout, setLayout] = useState(() => tableLayouts.read(name));
  const [selection, setSelection] = useState<RowSelectionState>({});
  const given = params.get(sortParam) ?? '';
  const sort = useMemo(
    () =>
      columns.some(({ id }) => id === given.replace(/^-/, ''))
        ? { id: given.replace(/^-/, ''), down: given.startsWith('-') }
        : null,
    [columns, given],
  );
  const sorted = useMemo(() => {
    const column = columns.find(({ id }) => id === sort?.id);
    return column === undefined || orderedBefore ? rows : inOrder(rows, column, sort?.down ?? false);
  }, [rows, columns, sort, orderedBefore]);

  const change = (part: Partial<TableLayout>) =>
    setLayout((before) => {
      const next = { ...before, ...part };
      tableLayouts.write(name, next);
      return next;
    });
  const next = <T>(updater: Updater<T>, before: T): T =>
    typeof updater === 'function' ? (updater as (old: T) => T)(before) : updater;
  const visibility = useMemo(
    () => ({
      ...Object.fromEntries(columns.filter(({ hidden }) => hidden).map(({ id }) => [id, false])),
      ...layout.visibility,
    }),
    [columns, layout.visibility],
  );
  const defs = useMemo<ColumnDef<Row>[]>(
    () => columns.map((column) => ({ id: column.id, header: column.head, accessorFn: (row) => column.text(row) })),
    [columns],
  );
  // Its functions read state of its own: what is made of them is made anew at every drawing.
  // oxlint-disable-next-line react/incompatible-library
  const table = useReactTable<Row>({
    data: sorted,
    columns: defs,
    getRowId: keyOf,
    getCoreRowModel: getCoreRowModel(),
    state: {
      columnVisibility: visibility,
      columnOrder: layout.order,
      rowSelection: selection,
      columnSizing: layout.sizing,
    },
    onColumnVisibilityChange: (updater) => change({ visibility: next(updater, visibility) }),
    onColumnOrderChange: (updater) => change({ order: next(updater, layout.order) }),
    onColumnSizingChange: (updater) => change({ sizing: next(updater, layout.sizing) }),
    onRowSelectionChange: (updater) => setSelection((before) => next(updater, before)),
  });
  const ids = table.getAllLeafColumns().map(({ id }) => id);
  const visible = table
    .getVisibleLeafColumns()
    .map(({ id }) => id)
    .join(' ');
  const shown = useMemo(
    () => visible.split(' ').flatMap((id) => columns.filter((column) => column.id === id)),
    [columns, visible],
  );

  return {
    table,
    columns: shown,
    rows: sorted,
    sort,
    sortBy: (id) =>
      setParams(
        (before) => {
          // A third press gives back the order that the list has by itself.
          if (sort?.id === id && sort.down) before.delete(sortParam);
          else before.set(sortParam, sort?.id === id ? `-${id}` : id);
          return before;
        },
        { replace: true },
      ),
    move: (id, by) => {
      const at = ids.indexOf(id);
      const to = at + by;
      if (at < 0 || to < 0 || to >= ids.length) return;
      const order = ids.filter((one) => one !== id);
      order.splice(to, 0, id);
      table.setColumnOrder(order);
    },
    resize: (id, size) =>
      table.setColumnSizing((before) => ({ ...before, [id]: Math.max(40, Math.min(900, Math.round(size))) })),
    reset: () => change({ order: [], visibility: {}, sizing: {} }),
  };
}
