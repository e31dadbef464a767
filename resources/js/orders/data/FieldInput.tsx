import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { FieldRow } from '../../structures/itemFields';
import { Input } from '../../ui/Input';
import { ItemPicker } from '../../ui/ItemPicker';
import { Select } from '../../ui/Select';

interface Props {
  row: FieldRow;
  error: string | undefined;
  onSet: (value: string) => void;
  /** A block of cells that was pasted: this field and those below it. */
  onBlock: (values: string[]) => void;
}

const supplies = { make: 'Made in house', buy: 'Bought', subcontract: 'Subcontracted' } as const;
const retired = { no: 'In use', yes: 'Retired' } as const;

/** A field of an item while it is edited: saved on Enter or on leaving it, restored by Escape. */
export function FieldInput({ row, error, onSet, onBlock }: Props) {
  const noteId = `note ${row.key}`;
  const label = `${row.label} after`;
  const wrong = { 'aria-invalid': error !== undefined, ...(error !== undefined && { 'aria-describedby': noteId }) };
  return (
    <>
      {row.field === 'supply' ? (
        <Select
          aria-label={label}
          value={row.after as keyof typeof supplies}
          options={supplies}
          onChange={onSet}
          {...wrong}
        />
      ) : row.field === 'retired' ? (
        <Select
          aria-label={label}
          value={row.after === '' ? 'no' : 'yes'}
          options={retired}
          onChange={(value) => onSet(value === 'yes' ? 'yes' : '')}
          {...wrong}
        />
      ) : row.field === 'replaced_by' ? (
        <span className="flex items-center gap-2">
          <ItemPicker
            key={row.after}
            label={label}
            initial={row.after}
            placeholder="Nothing"
            invalid={error !== undefined}
            onPick={(item) => item.number !== row.after && onSet(item.number)}
          />
          {row.after !== '' && (
            <button type="button" className="text-accent hover:underline" onClick={() => onSet('')}>
              Clear
            </button>
          )}
        </span>
      ) : (
        <Text key={row.after} row={row} label={label} wrong={wrong} onSet={onSet} onBlock={onBlock} />
      )}
      {error !== undefined && (
        <p id={noteId} className="mt-0.5 text-sm text-alarm">
          <span aria-hidden="true">▸ </span>
          {error}
        </p>
      )}
    </>
  );
}

/** The field under one, as in a sheet: the answer puts a new one in the place of what was written. */
function below(field: HTMLInputElement): HTMLElement | undefined {
  const fields = [...(field.closest('[role=grid]')?.querySelectorAll<HTMLElement>('input, [role=combobox]') ?? [])];
  return fields[fields.indexOf(field) + 1];
}

interface TextProps extends Omit<Props, 'error'> {
  label: string;
  wrong: { 'aria-invalid': boolean; 'aria-describedby'?: string };
}

function Text({ row, label, wrong, onSet, onBlock }: TextProps) {
  const [text, setText] = useState(row.after);
  // What was sent on Enter is not sent again on leaving the field, while its answer is on the way.
  const sent = useRef(row.after);
  const save = () => {
    const value = text.trim();
    if (value === row.after) return;
    sent.current = value;
    onSet(value);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    event.stopPropagation();
    if (event.key === 'Enter') {
      event.preventDefault();
      save();
      below(event.currentTarget)?.focus();
    }
    if (event.key === 'Escape') setText(row.after);
  };
  const onPaste = (event: ClipboardEvent<HTMLInputElement>) => {
    const lines = event.clipboardData
      .getData('text')
      .replace(/\r?\n$/u, '')
      .split(/\r?\n/u);
    if (lines.length < 2) return;
    event.preventDefault();
    onBlock(lines);
  };
  return (
    <Input
      aria-label={label}
      value={text}
      placeholder="not known"
      onChange={(event) => setText(event.target.value)}
      onBlur={() => text.trim() !== sent.current && save()}
      onKeyDown={onKeyDown}
      onPaste={onPaste}
      {...wrong}
    />
  );
}
