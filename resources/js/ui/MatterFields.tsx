import { Field } from './Field';
import { Input, TextArea } from './Input';
import { ItemList } from './ItemList';

interface Matter {
  title: string;
  description: string;
  items: string[];
}

interface Props {
  value: Matter;
  /** How the description is called, and what belongs into it. */
  label: string;
  hint: string;
  rows: number;
  error: (place: string) => string | undefined;
  onChange: (part: Partial<Matter>) => void;
}

/** What a report or a request is about: title, description and affected items. */
export function MatterFields({ value, label, hint, rows, error, onChange }: Props) {
  return (
    <>
      <Field label="Title" error={error('title')}>
        <Input value={value.title} onChange={(event) => onChange({ title: event.target.value })} />
      </Field>
      <Field label={label} hint={hint} error={error('description')}>
        <TextArea
          rows={rows}
          value={value.description}
          onChange={(event) => onChange({ description: event.target.value })}
        />
      </Field>
      <ItemList
        label="Affected items"
        numbers={value.items}
        error={error('items')}
        onChange={(items) => onChange({ items })}
      />
    </>
  );
}
