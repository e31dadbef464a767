import type { Schemas } from '../lib/api';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';

type Row = Schemas['MappingRow'];
type Control = Schemas['ControlRow'];

const NONE = 'none';

export interface TagProps {
  row: Row;
  controls: Control[];
  set: (change: Partial<Row>) => void;
  error: (place: string) => string | undefined;
}

interface Props {
  of: TagProps;
  name: 'text_tag' | 'due_tag' | 'item_tag';
  label: string;
  kind: Control['kind'];
}

/** Another control of the same form, in which something is written that a tag needs. */
export function TagLink({ of: { row, controls, set, error }, name, label, kind }: Props) {
  return (
    <Field label={label} error={error(name)}>
      <Select
        value={row[name] ?? NONE}
        onChange={(tag) => set({ [name]: tag === NONE ? null : tag })}
        options={{
          [NONE]: 'None',
          ...Object.fromEntries(controls.filter((one) => one.kind === kind).map(({ tag }) => [tag, tag])),
        }}
      />
    </Field>
  );
}
