import { useState } from 'react';
import { count } from '../../lib/format';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ItemPicker } from '../../ui/ItemPicker';
import { Select } from '../../ui/Select';
import { heads, type Field as LineField } from '../redlineFields';
import type { LineEdit } from '../useRedline';
import { replaced } from './massEdits';
import type { SheetRow } from './sheetRows';

interface Props {
  /** Those on screen: a filter narrows down where it is replaced. */
  rows: SheetRow[];
  fields: readonly LineField[];
  busy: boolean;
  onEdits: (edits: LineEdit[]) => void;
}

/** Finds and replaces in one column of the rows on screen; how many cells it is stands on the button before anything changes. */
export function FindReplace({ rows, fields, busy, onEdits }: Props) {
  const [field, setField] = useState<LineField>('component');
  const [find, setFind] = useState('');
  const [by, setBy] = useState('');
  const ofItems = field === 'component';
  const edits = ofItems && (find === '' || by === '') ? [] : replaced(rows, field, find, by);
  const text = (label: string, value: string, set: (value: string) => void) =>
    ofItems ? (
      <div>
        <span className="mb-0.5 block text-sm font-medium text-soft">
          {label} {value !== '' && <span className="font-mono">{value}</span>}
        </span>
        <ItemPicker label={label} onPick={(item) => set(item.number)} />
      </div>
    ) : (
      <Field label={label}>
        <Input value={value} onChange={(event) => set(event.target.value)} />
      </Field>
    );
  return (
    <form
      aria-label="Find and replace"
      className="grid items-end gap-3 md:grid-cols-[10rem_1fr_1fr_auto] border-y border-rule bg-sheet px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (edits.length > 0) onEdits(edits);
      }}
    >
      <Field label="In column">
        <Select
          value={field}
          onChange={(one) => {
            setField(one);
            setFind('');
            setBy('');
          }}
          options={Object.fromEntries(fields.map((one) => [one, heads[one]])) as Record<LineField, string>}
        />
      </Field>
      {text('Look for', find, setFind)}
      {text('Replace by', by, setBy)}
      <Button type="submit" busy={busy} disabled={edits.length === 0}>
        Replace in {count(edits.length)} {edits.length === 1 ? 'cell' : 'cells'}
      </Button>
    </form>
  );
}
