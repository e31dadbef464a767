import { Popover } from 'radix-ui';
import { Button } from '../Button';
import { columnButton } from './columnButton';
import type { Column } from './Column';
import type { TableState } from './useTableState';

interface Props<Row> {
  state: TableState<Row>;
  columns: Column<Row>[];
}

/** Chooses and moves the columns of a table, loaded when somebody opens it; what is chosen is remembered. */
export default function ColumnMenuOpen<Row>({ state, columns }: Props<Row>) {
  const all = state.table.getAllLeafColumns().filter(({ id }) => columns.some((one) => one.id === id && !one.silent));
  const headOf = (id: string) => columns.find((one) => one.id === id)?.head ?? id;
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={columnButton}>Columns</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          aria-label="Columns"
          className="z-50 max-h-[70vh] overflow-y-auto border border-strong bg-sheet p-2 shadow-md"
        >
          <ul>
            {all.map((column, at) => (
              <li key={column.id} className="flex items-center gap-2">
                <label className="flex min-h-7 grow items-center gap-2 pr-4">
                  <input
                    type="checkbox"
                    checked={column.getIsVisible()}
                    disabled={column.getIsVisible() && state.columns.length === 1}
                    onChange={(event) => column.toggleVisibility(event.target.checked)}
                  />
                  {headOf(column.id)}
                </label>
                <button
                  type="button"
                  className="size-7"
                  aria-label={`Move ${headOf(column.id)} to the left`}
                  disabled={at === 0}
                  onClick={() => state.move(column.id, -1)}
                >
                  ←
                </button>
                <button
                  type="button"
                  className="size-7"
                  aria-label={`Move ${headOf(column.id)} to the right`}
                  disabled={at === all.length - 1}
                  onClick={() => state.move(column.id, 1)}
                >
                  →
                </button>
              </li>
            ))}
          </ul>
          <Button look="quiet" className="!px-0" onClick={state.reset}>
            Reset columns
          </Button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
