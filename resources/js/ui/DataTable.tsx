import clsx from 'clsx';
import { useEffect, useRef, type ReactNode } from 'react';
import { ColumnMenu } from './table/ColumnMenu';
import type { Column } from './table/Column';
import { GridRow } from './table/GridRow';
import { HeadCell } from './table/HeadCell';
import type { Tree } from './table/Tree';
import { useGrid } from './table/useGrid';
import { useTableState } from './table/useTableState';
import { TableExport } from './TableExport';
import { fileName, layoutName } from './tableText';

export type { Column } from './table/Column';

interface Props<Row> {
  label: string;
  rows: Row[];
  columns: Column<Row>[];
  keyOf: (row: Row) => string;
  /** Told the rows in the order on screen, whenever it changes. */
  onRows?: (rows: Row[]) => void;
  /** What Enter and a click do with a row. */
  onOpen?: (row: Row) => void;
  rowClass?: (row: Row) => string;
  /** What to say, and to do next, when there are no rows. */
  empty: ReactNode;
  /** The name of its files, and under which its columns are remembered; by its label otherwise. */
  exportName?: string;
  caption?: ReactNode;
  /** What can be done with several rows at once; given, rows can be chosen. */
  acts?: (rows: Row[], clear: () => void) => ReactNode;
  /** The list comes in pages from the server, which puts it in order too. */
  paged?: { more: () => void; all: () => Promise<Row[]> };
  sortParam?: string;
  /** Given, the order of the rows says something itself, and they are not sorted by another. */
  fixedOrder?: boolean;
  /** Rows stand below others, and open. Their order says something too. */
  tree?: Tree<Row>;
  /** What a whole row is copied and exported as, where that is more than its columns. */
  whole?: Pick<Column<Row>, 'head' | 'text' | 'numeric'>[];
  /** Pixels of a row of many, of which only those in sight are drawn; null where each has a height of its own: all are drawn. */
  rowHeight?: number | null;
  /** Leads to a row, as a new value each time. */
  goTo?: { row: number } | null;
}

/**
 * A table in the grid pattern, or the tree grid pattern. One row takes the tab; arrows, Page, Home and End move along rows,
 * with Shift they mark several, and sideways columns of them; Enter opens, Space chooses; Ctrl+C copies what is marked (with
 * Shift: all rows) with tabs between, so that it can be pasted into a spreadsheet. A head sorts.
 */
export function DataTable<Row>(props: Props<Row>) {
  const { label, columns, keyOf, onOpen, rowClass, empty, caption, acts, paged, tree } = props;
  const name = props.exportName ?? fileName(label);
  const fixedOrder = props.fixedOrder === true || tree !== undefined;
  const state = useTableState<Row>({
    name: layoutName(name),
    rows: props.rows,
    columns,
    keyOf,
    sortParam: props.sortParam ?? `sort-${fileName(label)}`,
    orderedBefore: paged !== undefined || fixedOrder,
  });
  const { rows } = state;
  const onRows = useRef(props.onRows);
  useEffect(() => {
    onRows.current = props.onRows;
  });
  useEffect(() => onRows.current?.(rows), [rows]);
  const rowHeight = props.rowHeight ?? 30;
  const drawsAll = props.rowHeight === null;
  const files = state.columns
    .filter((column) => !column.silent)
    .map((column) => ({
      head: column.head,
      text: column.exported ?? column.text,
      ...(column.numeric === undefined ? {} : { numeric: column.numeric }),
    }));
  const { attach, body, from, to, windowed, current, isMarked, several, block, handlers } = useGrid<Row>({
    name,
    state,
    keyOf,
    rowHeight,
    drawsAll,
    whole: props.whole ?? state.columns.filter((column) => !column.silent),
    tree,
    onOpen,
    choosable: acts !== undefined,
    paged,
    goTo: props.goTo,
  });

  if (rows.length === 0) return <div className="border-y border-rule py-3 text-soft">{empty}</div>;

  const { rowSelection, columnSizing } = state.table.getState();
  const chosen = rows.filter((row) => rowSelection[keyOf(row)] === true);
  const blank = (count: number) => count > 0 && <tr aria-hidden style={{ height: count * rowHeight }} />;
  const tools = (
    <span className="no-print space-x-3 whitespace-nowrap">
      <ColumnMenu state={state} columns={columns} />
      <TableExport name={name} columns={props.whole ?? files} rows={paged ? paged.all : () => Promise.resolve(rows)} />
    </span>
  );
  return (
    <div>
      {(caption !== undefined || chosen.length > 0) && (
        <div className="flex flex-wrap items-baseline justify-between gap-x-4 pb-1 text-sm text-soft">
          <span role={paged ? 'status' : undefined}>{caption}</span>
          {acts && chosen.length > 0 && (
            <span className="no-print flex items-center gap-3 text-ink">
              {chosen.length} selected
              {acts(chosen, () => state.table.resetRowSelection(true))}
              <button
                type="button"
                className="target text-accent hover:underline"
                onClick={() => state.table.resetRowSelection(true)}
              >
                Clear selection
              </button>
            </span>
          )}
          {caption !== undefined && tools}
        </div>
      )}
      <div
        ref={attach}
        className={clsx(
          'fits-window overflow-auto border-y border-strong bg-sheet',
          caption === undefined && '[--below:3.25rem]',
        )}
      >
        {/* A table whose rows act on keys is a grid; one in which rows open is a tree grid. */}
        <table
          role={tree ? 'treegrid' : 'grid'}
          aria-label={label}
          aria-rowcount={rows.length + 1}
          aria-multiselectable
          className="rows-apart w-full text-base"
        >
          <thead>
            <tr
              aria-rowindex={1}
              className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]"
            >
              {acts && (
                <th scope="col" className="no-print w-8 px-2">
                  <input
                    type="checkbox"
                    aria-label={`Select all ${rows.length}`}
                    checked={chosen.length === rows.length}
                    onChange={(event) =>
                      state.table.setRowSelection(
                        event.target.checked ? Object.fromEntries(rows.map((row) => [keyOf(row), true])) : {},
                      )
                    }
                  />
                </th>
              )}
              {state.columns.map((column) => (
                <HeadCell key={column.id} column={column} state={state} sorts={!fixedOrder} />
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {blank(from)}
            {rows.slice(from, to).map((row, offset) => {
              const at = from + offset;
              const key = keyOf(row);
              const marked = isMarked(at);
              return (
                <GridRow
                  key={key}
                  row={row}
                  rowKey={key}
                  at={at}
                  columns={state.columns}
                  sizes={columnSizing}
                  handlers={handlers}
                  tabbed={at === current}
                  marked={marked}
                  among={several && marked && block === null}
                  block={marked ? block : null}
                  chosen={acts ? rowSelection[key] === true : null}
                  opens={onOpen !== undefined}
                  height={windowed ? rowHeight : undefined}
                  className={clsx(rowClass?.(row)) || undefined}
                  level={tree?.level(row)}
                  open={tree?.open(row)}
                  name={tree?.name(row)}
                />
              );
            })}
            {blank(rows.length - to)}
          </tbody>
        </table>
      </div>
      {caption === undefined && <div className="pt-0.5 text-right text-sm">{tools}</div>}
    </div>
  );
}
