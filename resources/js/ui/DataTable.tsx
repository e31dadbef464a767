import clsx from 'clsx';
import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { useBlock } from '../lib/useBlock';
import { useWindow } from '../lib/useWindow';
import { ColumnMenu } from './table/ColumnMenu';
import type { Column } from './table/Column';
import { HeadCell } from './table/HeadCell';
import { tablePlace } from './table/place';
import { useTableState } from './table/useTableState';
import { TableExport } from './TableExport';
import { fileName, toTabs } from './tableText';

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
}

/** So many rows are drawn at once; of more, those in sight. */
const FEW = 120;
const ROW = 30;

/**
 * A table in the grid pattern. One row takes the tab; arrows, Page, Home and End move along rows, with Shift they mark
 * several, and sideways columns of them; Enter opens, Space chooses; Ctrl+C copies what is marked (with Shift: all rows)
 * with tabs between, so that it can be pasted into a spreadsheet. A head sorts.
 */
export function DataTable<Row>(props: Props<Row>) {
  const { label, columns, keyOf, onOpen, rowClass, empty, caption, acts, paged } = props;
  const name = props.exportName ?? fileName(label);
  const { key: entry } = useLocation();
  const state = useTableState<Row>({
    name,
    rows: props.rows,
    columns,
    keyOf,
    sortParam: props.sortParam ?? `sort-${fileName(label)}`,
    sortedByServer: paged !== undefined,
  });
  const { rows } = state;
  const onRows = useRef(props.onRows);
  useEffect(() => {
    onRows.current = props.onRows;
  });
  useEffect(() => onRows.current?.(rows), [rows]);
  const before = tablePlace.read(entry, name);
  const [active, setActive] = useState(() =>
    Math.max(0, before ? rows.findIndex((row) => keyOf(row) === before.row) : 0),
  );
  const [anchor, setAnchor] = useState(active);
  const body = useRef<HTMLTableSectionElement>(null);
  const frame = useRef(0);
  // A list that grows by pages looks the same before and after the next one.
  const windowed = rows.length > FEW || paged !== undefined;
  const { scroller, first, end, show, restore } = useWindow(rows.length, ROW);
  const [from, to] = windowed ? [first, end] : [0, rows.length];
  const current = Math.min(active, rows.length - 1);
  const marked: [number, number] = [Math.min(anchor, current), Math.max(anchor, current)];
  const readable = state.columns.filter((column) => !column.silent);
  const onActive = (row: number, extend: boolean) => {
    setActive(row);
    if (!extend) setAnchor(row);
  };
  const block = useBlock(readable.length - 1, onActive);

  const top = before?.top;
  useLayoutEffect(() => {
    if (top !== undefined) restore(top);
  }, [top, restore]);
  const near = windowed && end > rows.length - 30;
  const more = paged?.more;
  useEffect(() => {
    if (near || !windowed) more?.();
    // Asked once for each length of the list: more() itself knows whether there is any.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [near, rows.length]);
  const remember = (row: Row) => tablePlace.write(entry, name, keyOf(row), scroller.current?.scrollTop ?? 0);

  const move = (row: number, extend: boolean) => {
    const next = Math.max(0, Math.min(rows.length - 1, row));
    onActive(next, extend);
    if (!extend) block.clear();
    if (windowed) show(next);
    cancelAnimationFrame(frame.current);
    const focus = () => body.current?.querySelector<HTMLElement>(`[aria-rowindex="${next + 2}"]`)?.focus();
    // The row may only now be drawn.
    if (windowed) frame.current = requestAnimationFrame(focus);
    else focus();
  };
  const copy = async (all: boolean) => {
    const wanted = all ? ((await paged?.all()) ?? rows) : rows.slice(marked[0], marked[1] + 1);
    const of = all || block.columns === null ? readable : readable.slice(block.columns[0], block.columns[1] + 1);
    await navigator.clipboard.writeText(toTabs(of, wanted));
  };
  const selection = state.table.getState().rowSelection;
  const chosen = rows.filter((row) => selection[keyOf(row)] === true);
  const choose = (row: Row, on: boolean) => state.table.setRowSelection((was) => ({ ...was, [keyOf(row)]: on }));

  const onKey = (event: KeyboardEvent<HTMLTableRowElement>) => {
    const row = rows[current];
    if (event.target !== event.currentTarget || row === undefined) return;
    const mod = event.ctrlKey || event.metaKey;
    const jumps: Record<string, number> = {
      ArrowDown: current + 1,
      ArrowUp: current - 1,
      PageDown: current + 15,
      PageUp: current - 15,
      Home: 0,
      End: rows.length - 1,
    };
    const to_ = jumps[event.key];
    const letter = event.key.toLowerCase();
    if (to_ !== undefined && !mod && !event.altKey) {
      event.preventDefault();
      move(to_, event.shiftKey);
    } else if (event.shiftKey && (event.key === 'ArrowRight' || event.key === 'ArrowLeft')) {
      event.preventDefault();
      block.widen(event.key === 'ArrowRight' ? 1 : -1);
    } else if (event.key === 'Enter' && onOpen && !mod) {
      remember(row);
      onOpen(row);
    } else if (event.key === ' ' && acts) {
      event.preventDefault();
      choose(row, selection[keyOf(row)] !== true);
    } else if (event.key === 'Escape') {
      block.clear();
      setAnchor(current);
    } else if (letter === 'a' && mod) {
      event.preventDefault();
      block.clear();
      setAnchor(0);
      setActive(rows.length - 1);
    } else if (letter === 'c' && mod && !window.getSelection()?.toString()) {
      event.preventDefault();
      void copy(event.shiftKey);
    }
  };

  if (rows.length === 0) return <div className="border-y border-rule py-3 text-soft">{empty}</div>;

  const files = readable.map((column) => ({
    head: column.head,
    text: column.exported ?? column.text,
    ...(column.numeric === undefined ? {} : { numeric: column.numeric }),
  }));
  const tools = (
    <span className="no-print space-x-3 whitespace-nowrap">
      <ColumnMenu state={state} columns={columns} />
      <TableExport name={name} columns={files} rows={paged ? paged.all : () => Promise.resolve(rows)} />
    </span>
  );
  const several = marked[0] !== marked[1];
  const inBlock = (at: number, id: string) => {
    if (block.columns === null || at < marked[0] || at > marked[1]) return false;
    const column = readable.findIndex((one) => one.id === id);
    return column >= block.columns[0] && column <= block.columns[1];
  };
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
        ref={scroller}
        className="max-h-[calc(100vh-8rem)] overflow-auto border-y border-strong bg-sheet print:max-h-none print:overflow-visible"
      >
        {/* A table whose rows act on keys is a grid. */}
        <table
          role="grid"
          aria-label={label}
          aria-rowcount={rows.length + 1}
          aria-multiselectable
          className="w-full border-collapse text-base"
        >
          <thead>
            <tr
              aria-rowindex={1}
              className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]"
            >
              {acts && (
                <th scope="col" className="w-8 px-2">
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
                <HeadCell key={column.id} column={column} state={state} />
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {from > 0 && <tr aria-hidden style={{ height: from * ROW }} />}
            {rows.slice(from, to).map((row, offset) => {
              const at = from + offset;
              const mark = at >= marked[0] && at <= marked[1];
              return (
                <tr
                  key={keyOf(row)}
                  aria-rowindex={at + 2}
                  aria-selected={acts ? selection[keyOf(row)] === true : mark}
                  tabIndex={at === current ? 0 : -1}
                  onKeyDown={onKey}
                  onFocus={(event) => {
                    // A window that gets the focus back gives it to the row it was on: what is marked stays marked.
                    if (event.target === event.currentTarget && !mark) onActive(at, false);
                  }}
                  onClick={(event) => {
                    if (event.shiftKey) onActive(at, true);
                    else if (
                      onOpen &&
                      !(event.target as HTMLElement).closest('a,button,input,label') &&
                      window.getSelection()?.toString() === ''
                    ) {
                      remember(row);
                      onOpen(row);
                    }
                  }}
                  style={windowed ? { height: ROW } : undefined}
                  className={clsx(
                    'border-b border-rule align-baseline -outline-offset-2 last:border-b-0',
                    onOpen && 'cursor-pointer hover:bg-well',
                    several && mark && block.columns === null && '!bg-accent-soft',
                    rowClass?.(row),
                  )}
                >
                  {acts && (
                    <td role="gridcell" className="px-2">
                      <input
                        type="checkbox"
                        aria-label={`Select ${keyOf(row)}`}
                        checked={selection[keyOf(row)] === true}
                        onChange={(event) => choose(row, event.target.checked)}
                      />
                    </td>
                  )}
                  {state.columns.map((column) => {
                    const size = state.table.getState().columnSizing[column.id];
                    const place = readable.indexOf(column);
                    return (
                      <td
                        key={column.id}
                        role="gridcell"
                        {...(place < 0 ? {} : block.cell(at, place))}
                        style={size === undefined ? undefined : { maxWidth: size }}
                        className={clsx(
                          'px-2 py-1',
                          column.numeric && 'text-right',
                          (windowed || size !== undefined) && 'truncate',
                          windowed && size === undefined && 'max-w-[34rem]',
                          inBlock(at, column.id) && 'bg-accent-soft',
                          column.className,
                        )}
                      >
                        {column.cell(row)}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
            {to < rows.length && <tr aria-hidden style={{ height: (rows.length - to) * ROW }} />}
          </tbody>
        </table>
      </div>
      {caption === undefined && <div className="pt-0.5 text-right text-sm">{tools}</div>}
    </div>
  );
}
