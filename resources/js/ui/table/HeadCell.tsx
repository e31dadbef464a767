import clsx from 'clsx';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { Column } from './Column';
import type { TableState } from './useTableState';

const STEP = 16;

interface Props<Row> {
  column: Column<Row>;
  state: TableState<Row>;
  /** Whether rows can be put in its order. */
  sorts?: boolean;
}

/** The head of a column: pressed, it sorts; its edge is dragged to size it. By keys: Alt and the arrows size, with Shift they move it. */
export function HeadCell<Row>({ column, state, sorts = true }: Props<Row>) {
  const { sort } = state;
  const size = state.table.getState().columnSizing[column.id];
  const sorted = sorts && sort?.id === column.id ? (sort.down ? 'descending' : 'ascending') : undefined;
  const onKey = (event: KeyboardEvent<HTMLButtonElement>) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0 || !event.altKey) return;
    event.preventDefault();
    if (event.shiftKey) state.move(column.id, by);
    else state.resize(column.id, widthOf(event.currentTarget) + by * STEP);
  };
  const drag = (event: PointerEvent<HTMLSpanElement>) => {
    event.preventDefault();
    const begin = event.clientX - widthOf(event.currentTarget);
    const onMove = (moved: globalThis.PointerEvent) => state.resize(column.id, moved.clientX - begin);
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', () => window.removeEventListener('pointermove', onMove), { once: true });
  };
  return (
    <th
      scope="col"
      aria-sort={sorted}
      style={size === undefined ? undefined : { width: size, minWidth: size, maxWidth: size }}
      className={clsx(
        'relative px-2 py-1 font-medium whitespace-nowrap',
        column.silent && 'no-print',
        column.numeric && 'text-right',
        column.className,
      )}
    >
      {column.silent ? (
        <span className={column.head === '' ? 'sr-only' : undefined}>{column.head || 'Actions'}</span>
      ) : (
        <button
          type="button"
          className={clsx('target max-w-full truncate font-medium', sorts ? 'hover:text-ink' : 'cursor-default')}
          onKeyDown={onKey}
          onClick={() => sorts && state.sortBy(column.id)}
        >
          {column.head}
          <span aria-hidden="true">{sorted === undefined ? '' : sorted === 'descending' ? ' ↓' : ' ↑'}</span>
        </button>
      )}
      <span
        aria-hidden
        onPointerDown={drag}
        className="no-print absolute inset-y-0 right-0 w-1.5 cursor-col-resize hover:bg-accent-soft"
      />
    </th>
  );
}

function widthOf(element: Element): number {
  return element.closest('th')?.getBoundingClientRect().width ?? 100;
}
