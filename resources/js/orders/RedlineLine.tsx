import clsx from 'clsx';
import { memo } from 'react';
import { moment } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { Mark } from '../ui/Mark';
import { RedlineCell } from './RedlineCell';
import { flatWidth, mayBeCut } from './flatWidths';
import type { Field } from './redlineFields';
import type { LineHandlers } from './useLineHandlers';
import type { RedlineRow } from './useRedline';

interface Props {
  row: RedlineRow;
  rowAt: number;
  columns: Column<RedlineRow>[];
  /** Columns before those of the line, which are read and not edited. */
  lead: Column<RedlineRow>[] | undefined;
  fields: Field[];
  sizes: Record<string, number>;
  /** All of it on one line of the height that the table names; otherwise as high as it needs. */
  flat: boolean;
  mayEdit: boolean;
  /** Whether it can be dragged to another place. */
  moves: boolean;
  /** Where what is dragged would come. */
  drop: 'above' | 'below' | null;
  /** The place of the field that takes the tab, where it is one of this line. */
  current: number | null;
  /** The first and the last field of a marked block this line is in. */
  markedFrom: number;
  markedTo: number;
  /** The field that is open. */
  editing: number | null;
  /** What was typed to open it. */
  begun: string | null;
  /** The field of which something is wrong. */
  invalid: Field | null;
  handlers: LineHandlers;
}

/** One line of a grid of lines before and after. */
export const RedlineLine = memo(function RedlineLine(props: Props) {
  const { row, rowAt, columns, lead, fields, sizes, flat, mayEdit, moves, drop, handlers } = props;
  const by = [row.task, row.edited_by].filter(Boolean).join(' ');
  return (
    <tr
      className={clsx(
        'group border-b border-rule align-baseline',
        // What is picked from while a cell is open may hang out of its row.
        flat && props.editing === null && 'row-alone',
        `mark-${row.mark}`,
        drop === 'above' && 'shadow-[inset_0_2px_var(--accent)]',
        drop === 'below' && 'shadow-[inset_0_-2px_var(--accent)]',
      )}
      {...(flat && { role: 'row', 'aria-rowindex': rowAt + 2 })}
      {...(moves && {
        onDragOver: (event) => handlers.onDragOver(event, rowAt),
        onDrop: (event) => handlers.onDrop(event, row),
      })}
    >
      <td
        className={clsx('py-1 pl-2', moves && 'cursor-grab')}
        {...(moves && {
          draggable: true,
          title: 'Drag to another place',
          onDragStart: (event) => handlers.onDrag(event, row, rowAt),
          onDragEnd: handlers.onDragEnd,
        })}
      >
        <Mark value={row.mark} />
        {moves && row.mark === 'unchanged' && (
          <span aria-hidden="true" className="invisible text-soft group-hover:visible">
            ⠿
          </span>
        )}
      </td>
      {columns.map((column) => {
        const { id } = column;
        if (lead?.includes(column)) {
          return (
            <td
              key={id}
              className={clsx(
                'px-2 py-1',
                flat && 'whitespace-nowrap',
                flat && mayBeCut(column.text(row).length, flatWidth(id, sizes)) && 'truncate',
              )}
              {...(flat && { title: column.text(row) })}
            >
              {column.cell(row)}
            </td>
          );
        }
        const fieldAt = fields.findIndex((one) => one === id);
        const field = fields[fieldAt];
        return field === undefined ? (
          <td
            key={id}
            className={clsx(
              'px-2 py-1 text-sm whitespace-nowrap text-soft',
              // Only where the button stands over it: whatever has a place of its own is painted apart, in each row.
              flat && 'group-focus-within:relative group-hover:relative',
              flat && mayBeCut(by.length, flatWidth(id, sizes)) && 'truncate',
            )}
            title={[row.edited_by, moment(row.edited_at)].filter(Boolean).join(', ') || undefined}
          >
            {by}
            {mayEdit && row.after !== null && (
              <button
                type="button"
                tabIndex={-1}
                aria-label={`Remove line ${row.after.find}`}
                className={clsx(
                  'target text-alarm hover:underline',
                  flat
                    ? // In a narrow column it stands over the name.
                      'absolute inset-y-0 right-0 hidden bg-sheet px-2 group-focus-within:block group-hover:block'
                    : 'invisible ml-2 group-focus-within:visible group-hover:visible',
                )}
                onClick={() => handlers.onRemove(row)}
              >
                Remove
              </button>
            )}
          </td>
        ) : (
          <RedlineCell
            key={field}
            flat={flat}
            size={flat ? flatWidth(field, sizes) : sizes[field]}
            row={row}
            field={field}
            place={`${rowAt}-${fieldAt}`}
            current={props.current === fieldAt}
            marked={fieldAt >= props.markedFrom && fieldAt <= props.markedTo}
            editing={props.editing === fieldAt}
            begun={props.begun}
            invalid={props.invalid === field}
            onCommit={(text, next) => handlers.onCommit(row, text, next, rowAt, fieldAt)}
            onCancel={() => handlers.onCancel(rowAt, fieldAt)}
          />
        );
      })}
    </tr>
  );
});
