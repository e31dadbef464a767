import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { useRecipients } from '../ui/useRecipients';

interface Props {
  label: string;
  /** A sign-in name, or a group by its code behind "group:". */
  value: string;
  onChange: (to: string) => void;
  error?: string | undefined;
  placeholder?: string;
}

/** Whom a task is for: a group, or one person. */
export function AssigneeField({ label, value, onChange, error, placeholder }: Props) {
  const options = useRecipients();
  return (
    <Field label={label} error={error}>
      <Select
        value={value}
        onChange={onChange}
        {...(placeholder === undefined ? {} : { placeholder })}
        options={options}
      />
    </Field>
  );
}
