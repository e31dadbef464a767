import type { Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { Field } from './Field';
import { Select } from './Select';

interface Props {
  label: string;
  list: Schemas['ChoiceRow']['list'];
  /** Its code; empty until chosen. */
  value: string;
  error: string | undefined;
  onChange: (code: string) => void;
}

/** One of what an administrator has set up. */
export function ChoiceField({ label, list, value, error, onChange }: Props) {
  return (
    <Field label={label} error={error}>
      <Select value={value} onChange={onChange} options={offered(list)} />
    </Field>
  );
}
