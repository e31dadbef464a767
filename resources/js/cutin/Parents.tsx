import { useState } from 'react';
import { count } from '../lib/format';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';

interface Props {
  /** Tells the swaps apart. */
  name: string;
  /** Numbers; none: all that have what goes. */
  parents: string[];
  /** Whether some have to be named. */
  needed: boolean;
  error: string | undefined;
  onChange: (parents: string[]) => void;
}

/** The parents in which something is swapped: named one by one, or all of them. */
export function Parents({ name, parents, needed, error, onChange }: Props) {
  const joined = parents.join(' ');
  const [typed, setTyped] = useState(joined);
  const [seen, setSeen] = useState(joined);
  if (joined !== seen) {
    setSeen(joined);
    setTyped(joined);
  }
  const said =
    parents.length === 0
      ? needed
        ? 'name the parents'
        : 'all parents'
      : parents.length <= 2
        ? parents.join(', ')
        : `${count(parents.length)} parents`;
  return (
    <Details summary={`In ${said}`} open={error !== undefined} className="text-sm">
      <Field
        label={`Parents${name}, separated by spaces`}
        hint={needed ? undefined : 'Empty: all that have what goes.'}
        error={error}
      >
        <Input
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => onChange(typed.split(/[\s,;]+/).filter((one) => one !== ''))}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
        />
      </Field>
    </Details>
  );
}
