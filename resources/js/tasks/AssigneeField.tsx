import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';

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
  const people = useQuery(queries.people()).data ?? [];
  const groups = useQuery(queries.groups()).data ?? [];
  return (
    <Field label={label} error={error}>
      <Select
        value={value}
        onChange={onChange}
        {...(placeholder === undefined ? {} : { placeholder })}
        options={{
          ...Object.fromEntries(
            groups
              .filter(({ retired, members }) => !retired && members.length > 0)
              .map(({ code, name, members }) => [`group:${code}`, `${name} (group of ${members.length})`]),
          ),
          ...Object.fromEntries(people.map(({ login, name }) => [login, name])),
        }}
      />
    </Field>
  );
}
