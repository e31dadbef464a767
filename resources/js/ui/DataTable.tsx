import clsx from 'clsx';
import { useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { TableExport } from './TableExport';
import { fileName, toTabs } from './tableText';

export interface Column<Row> {
  id: string;
  head: string;
  cell: (row: Row) => ReactNode;
  /** The cell as text: for sorting, copying and export. */
  text: (row: Row) => string;
  numeric?: boolean;
  className?: string;
}

interface Props<Row> {
  label: string;
  rows: Row[];
  columns: Column<Row>[];
  keyOf: (row: Row) => string;
  /** What Enter and a click do with a row. */
  onOpen?: (row: Row) => void;
  rowClass?: (row: Row) => string;
  /** What to say, and to do next, when there are no rows. */
  empty: ReactNode;
  /** The name of its files; by its label otherwise. */
  exportName?: string;
  caption?: ReactNode;
}

/**
 * A table read by keyboard: arrows, Home and End move along rows, Enter opens, Ctrl+C copies the row (with Shift: all
 * rows) with tabs between, so that it can be pasted into a spreadsheet. A head sorts.
 */
export function DataTable<Row>(props: Props<Row>) {
  const { label, rows, columns, keyOf, onOpen, rowClass, empty, exportName, caption } = props;
  const [sort, setSort] = useState<{ id: string; down: boolean } | null>(null);
  const [active, setActive] = useState(0);
  const body = useRef<HTMLTableSectionElement>(null);

  const sorted = useMemo(() => {
    const column = columns.find((one) => one.id === sort?.id);
    if (!column) return rows;
    const turn = sort?.down ? -1 : 1;
    return [...rows].sort(
      (a, b) => turn * column.text(a).localeCompare(column.text(b), 'en', { numeric: true, sensitivity: 'base' }),
    );
  }, [rows, columns, sort]);

  const move = (to: number) => {
    const next = Math.max(0, Math.min(sorted.length - 1, to));
    setActive(next);
    body.current?.rows[next]?.focus();
  };

  const onKey = (event: KeyboardEvent<HTMLTableRowElement>, row: Row, index: number) => {
    if (event.target !== event.currentTarget) return;
    const jumps: Record<string, number> = {
      ArrowDown: index + 1,
      ArrowUp: index - 1,
      PageDown: index + 15,
      PageUp: index - 15,
      Home: 0,
      End: sorted.length - 1,
    };
    const to = jumps[event.key];
    if (to !== undefined) {
      event.preventDefault();
      move(to);
    } else if (event.key === 'Enter' && onOpen) {
      onOpen(row);
    } else if (
      event.key.toLowerCase() === 'c' &&
      (event.ctrlKey || event.metaKey) &&
      !window.getSelection()?.toString()
    ) {
      event.preventDefault();
      void navigator.clipboard.writeText(event.shiftKey ? toTabs(columns, sorted) : toTabs(columns, [row]));
    }
  };

  if (rows.length === 0) return <div className="border-y border-rule py-3 text-soft">{empty}</div>;

  const taken = <TableExport name={exportName ?? fileName(label)} columns={columns} rows={sorted} />;
  return (
    <div>
      {caption !== undefined && (
        <div className="flex items-baseline justify-between gap-4 pb-1 text-sm text-soft">
          <span>{caption}</span>
          {taken}
        </div>
      )}
      <div className="overflow-x-auto">
        <table aria-label={label} className="w-full border-collapse border-y border-strong bg-sheet text-base">
          <thead>
            <tr className="border-b border-strong text-left text-sm text-soft">
              {columns.map((column) => (
                <th
                  key={column.id}
                  scope="col"
                  aria-sort={sort?.id === column.id ? (sort.down ? 'descending' : 'ascending') : undefined}
                  className={clsx(
                    'px-2 py-1 font-medium whitespace-nowrap',
                    column.numeric && 'text-right',
                    column.className,
                  )}
                >
                  <button
                    type="button"
                    className="font-medium hover:text-ink"
                    onClick={() => setSort({ id: column.id, down: sort?.id === column.id && !sort.down })}
                  >
                    {column.head}
                    <span aria-hidden="true">{sort?.id === column.id ? (sort.down ? ' ↓' : ' ↑') : ''}</span>
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {sorted.map((row, index) => (
              <tr
                key={keyOf(row)}
                tabIndex={index === Math.min(active, sorted.length - 1) ? 0 : -1}
                onKeyDown={(event) => onKey(event, row, index)}
                onFocus={() => setActive(index)}
                onClick={(event) => {
                  if (onOpen && !(event.target as HTMLElement).closest('a,button,input,label')) onOpen(row);
                }}
                className={clsx(
                  'border-b border-rule align-baseline -outline-offset-2 last:border-b-0',
                  onOpen && 'cursor-pointer hover:bg-well',
                  rowClass?.(row),
                )}
              >
                {columns.map((column) => (
                  <td key={column.id} className={clsx('px-2 py-1', column.numeric && 'text-right', column.className)}>
                    {column.cell(row)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {caption === undefined && <div className="pt-0.5 text-right text-sm">{taken}</div>}
    </div>
  );
}
