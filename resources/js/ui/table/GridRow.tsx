import type { ColumnSizingState } from '@tanstack/react-table';
import clsx from 'clsx';
import { memo } from 'react';
import type { Columns } from '../../lib/useBlock';
import type { Column } from './Column';
import type { GridHandlers } from './useGrid';

interface Props<Row> {
  row: Row;
  rowKey: string;
  at: number;
  columns: Column<Row>[];
  sizes: ColumnSizingState;
  handlers: GridHandlers<Row>;
  /** Whether it takes the tab. */
  tabbed: boolean;
  marked: boolean;
  /** The columns of a marked block it is in. */
  block: Columns | null;
  /** Whether it is marked as one of several. */
  among: boolean;
  /** Whether it is chosen; null where rows cannot be. */
  chosen: boolean | null;
  opens: boolean;
  /** In pixels, where only what is in sight is drawn. */
  height: number | undefined;
  className: string | undefined;
  /** In a tree: its level, whether it is open, and how its button calls it. */
  level: number | undefined;
  open: boolean | undefined;
  name: string | undefined;
}

/** Characters that fit into the widest column. */
const SHORT = 40;

/** One row of a grid. Drawn anew only when something about it has changed. */
function Row<Row>(props: Props<Row>) {
  const { row, rowKey, at, columns, sizes, handlers, block, chosen, opens, height, level, open } = props;
  const spoken = columns.filter((column) => !column.silent);
  return (
    <tr
      aria-rowindex={at + 2}
      aria-level={level}
      aria-expanded={open}
      aria-selected={chosen ?? props.marked}
      tabIndex={props.tabbed ? 0 : -1}
      onKeyDown={handlers.onKey}
      onFocus={(event) => event.target === event.currentTarget && handlers.onFocus(at)}
      onClick={(event) => {
        if (event.shiftKey) {
          handlers.onActive(at, true);
          return;
        }
        // Whoever follows a link comes back to this row.
        handlers.remember(row);
        const pressed = (event.target as HTMLElement).closest('a,button,input,label') !== null;
        if (level !== undefined) handlers.onActive(at, false);
        else if (opens && !pressed && window.getSelection()?.toString() === '') handlers.open(row);
      }}
      style={height === undefined ? undefined : { height }}
      className={clsx(
        'scroll-mt-9 align-baseline -outline-offset-2',
        opens && level === undefined && 'cursor-pointer hover:bg-well',
        level !== undefined && level > 1 && 'bg-paper',
        props.among && '!bg-accent-soft',
        props.className,
      )}
    >
      {chosen !== null && (
        <td role="gridcell" className="no-print px-2">
          <input
            type="checkbox"
            aria-label={`Select ${rowKey}`}
            checked={chosen}
            onChange={(event) => handlers.choose(row, event.target.checked)}
          />
        </td>
      )}
      {columns.map((column, index) => {
        const size = sizes[column.id];
        const here = spoken.indexOf(column);
        // Cutting a text off costs the browser time for every cell: it is done where there can be something to cut.
        const mayBeCut = size !== undefined || (height !== undefined && column.text(row).length > SHORT);
        return (
          <td
            key={column.id}
            role="gridcell"
            {...(column.silent
              ? {}
              : {
                  onPointerDown: (event) => handlers.onPointerDown(event, at, here),
                  onPointerEnter: () => handlers.onPointerEnter(at, here),
                })}
            style={{
              ...(size === undefined ? {} : { maxWidth: size }),
              ...(index === 0 && level !== undefined ? { paddingLeft: `${0.5 + (level - 1) * 0.9}rem` } : {}),
            }}
            className={clsx(
              'px-2 py-1',
              column.silent && 'no-print',
              column.numeric && 'text-right',
              height !== undefined && 'whitespace-nowrap',
              mayBeCut && 'truncate',
              mayBeCut && size === undefined && 'max-w-[34rem]',
              block !== null && !column.silent && here >= block[0] && here <= block[1] && 'bg-accent-soft',
              column.className,
            )}
          >
            {index === 0 && level !== undefined && (
              <span className="inline-block w-4">
                {open !== undefined && (
                  <button
                    type="button"
                    tabIndex={-1}
                    aria-label={`${open ? 'Close' : 'Open'} ${props.name ?? ''}`}
                    onClick={() => handlers.turn(row, !open)}
                    className="text-soft hover:text-ink"
                  >
                    {open ? '▾' : '▸'}
                  </button>
                )}
              </span>
            )}
            {column.cell(row)}
          </td>
        );
      })}
    </tr>
  );
}

export const GridRow = memo(Row) as typeof Row;
