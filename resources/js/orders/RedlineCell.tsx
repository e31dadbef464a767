import clsx from 'clsx';
import { useState, type KeyboardEvent } from 'react';
import { control } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { mayBeCut } from './flatWidths';
import { RedlineValue } from './RedlineValue';
import { heads, values, type Field } from './redlineFields';
import type { RedlineRow } from './useRedline';

interface Props {
  row: RedlineRow;
  field: Field;
  /** All of it on one line, cut where it is too long. */
  flat?: boolean;
  /** Pixels of its column: where all of it is on one line, or somebody has sized it. */
  size?: number | undefined;
  place: string;
  current: boolean;
  /** It is one of a block that is marked. */
  marked?: boolean;
  editing: boolean;
  /** The key by which it was opened: the first character of what is typed. */
  begun?: string | null;
  invalid: boolean;
  onCommit: (text: string, next: 'down' | 'right' | 'stay') => void;
  onCancel: () => void;
}

/** How many characters it says. */
function lengthOf(row: RedlineRow, field: Field): number {
  const { before, after } = values(row, field);
  const titles = field === 'component' ? (row.item?.title.length ?? 0) + (row.was_item?.title.length ?? 0) : 0;
  const drawn = field === 'notes' && row.after?.not_modelled ? ' not modelled'.length : 0;
  return (before === after ? 0 : (before?.length ?? 0)) + (after?.length ?? 0) + titles + drawn;
}

/**
 * One cell: the old value struck out beside the new one when they differ; a control while it is edited. What happens in it the body of
 * the table hears (cellEvents).
 */
export function RedlineCell(props: Props) {
  const {
    row,
    field,
    flat = false,
    place,
    current,
    marked = false,
    editing,
    begun = null,
    invalid,
    onCommit,
    onCancel,
  } = props;
  const { after } = values(row, field);
  const line = (row.after ?? row.before)?.find ?? 0;
  const isCut = props.size !== undefined && (!flat || mayBeCut(lengthOf(row, field), props.size));

  return (
    <td
      role="gridcell"
      data-cell={place}
      tabIndex={current && !editing ? 0 : -1}
      aria-invalid={invalid || undefined}
      aria-selected={marked}
      style={props.size === undefined || flat ? undefined : { maxWidth: props.size }}
      className={clsx(
        'px-2 py-1 -outline-offset-2',
        flat && !editing && 'whitespace-nowrap',
        isCut && !editing && 'truncate',
        field === 'quantity' && 'text-right',
        marked && 'bg-accent-soft',
        invalid && 'bg-alarm-soft',
      )}
    >
      {editing ? (
        field === 'component' ? (
          <ItemPicker
            label={`Component of line ${line}`}
            initial={after ?? ''}
            begun={begun}
            focusAtOnce
            onPick={(item) => onCommit(item.number, 'down')}
            onCancel={onCancel}
          />
        ) : (
          <TextCell
            label={`${heads[field]} of line ${line}`}
            initial={begun ?? after ?? ''}
            select={begun === null}
            right={field === 'quantity'}
            invalid={invalid}
            onCommit={onCommit}
            onCancel={onCancel}
          />
        )
      ) : (
        <RedlineValue row={row} field={field} flat={flat} />
      )}
    </td>
  );
}

function TextCell({
  label,
  initial,
  select,
  right,
  invalid,
  onCommit,
  onCancel,
}: {
  label: string;
  initial: string;
  /** What is there is to be typed over. */
  select: boolean;
  right: boolean;
  invalid: boolean;
  onCommit: Props['onCommit'];
  onCancel: () => void;
}) {
  const [text, setText] = useState(initial);
  const onKey = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === 'Enter') onCommit(text, 'down');
    if (event.key === 'Tab' && !event.shiftKey) {
      event.preventDefault();
      onCommit(text, 'right');
    }
    if (event.key === 'Escape') onCancel();
  };
  return (
    <input
      aria-label={label}
      aria-invalid={invalid}
      // The cell that was just opened by the person is where they type.
      // eslint-disable-next-line jsx-a11y/no-autofocus
      autoFocus
      value={text}
      onChange={(event) => setText(event.target.value)}
      onFocus={(event) => select && event.target.select()}
      onKeyDown={onKey}
      onBlur={() => onCommit(text, 'stay')}
      className={clsx(control, 'h-7 min-w-16', right && 'text-right')}
    />
  );
}
