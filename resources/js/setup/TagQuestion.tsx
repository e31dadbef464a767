import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { groups, topics } from '../lib/words';
import { offered } from '../lib/choices';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';

type Row = Schemas['MappingRow'];
type Control = Schemas['ControlRow'];

const NONE = 'none';

interface Props {
  row: Row;
  controls: Control[];
  set: (change: Partial<Row>) => void;
  error: (place: string) => string | undefined;
}

/** The question that a tag asks when its form comes back: whom, about what, until when. */
export function TagQuestion({ row, controls, set, error }: Props) {
  const people = useQuery(queries.people());
  const tags = (kind: Control['kind']) => ({
    [NONE]: 'None',
    ...Object.fromEntries(controls.filter((one) => one.kind === kind).map(({ tag }) => [tag, tag])),
  });
  const link = (name: 'text_tag' | 'due_tag' | 'item_tag', label: string, kind: Control['kind']) => (
    <Field label={label} error={error(name)}>
      <Select
        value={row[name] ?? NONE}
        onChange={(tag) => set({ [name]: tag === NONE ? null : tag })}
        options={tags(kind)}
      />
    </Field>
  );
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1.5 xl:grid-cols-3">
      <Field label="Question" className="col-span-full" error={error('text')}>
        <Input value={row.text ?? ''} onChange={(event) => set({ text: event.target.value })} />
      </Field>
      <Field label="Function" error={error('function')}>
        <Select
          value={row.function ?? ''}
          onChange={(by) => set({ function: by })}
          options={offered('function', row.function ?? '')}
        />
      </Field>
      <Field label="What" error={error('topic')}>
        <Select value={row.topic ?? ''} onChange={(topic) => set({ topic })} options={topics} />
      </Field>
      <Field label="To" error={error('to')}>
        <Select
          value={row.to ?? ''}
          onChange={(to) => set({ to })}
          options={{
            ...groups,
            ...Object.fromEntries((people.data ?? []).map((person) => [person.login, person.name])),
          }}
        />
      </Field>
      <Field label="Days until it is due" error={error('days')}>
        <Input
          inputMode="numeric"
          value={row.days ?? ''}
          onChange={(event) => set({ days: /^\d+$/.test(event.target.value) ? Number(event.target.value) : null })}
        />
      </Field>
      {link('due_tag', 'Or by the day in', 'date')}
      {link('text_tag', 'With the words in', 'text')}
      {link('item_tag', 'About the item in', 'choice')}
    </div>
  );
}
