import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { groups, topics } from '../lib/words';
import { offered } from '../lib/choices';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { TagLink, type TagProps } from './TagLink';

/** The question that a tag asks when its form comes back: whom, about what, until when. */
export function TagQuestion(props: TagProps) {
  const { row, set, error } = props;
  const people = useQuery(queries.people());
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
      <TagLink of={props} name="due_tag" label="Or by the day in" kind="date" />
      <TagLink of={props} name="text_tag" label="With the words in" kind="text" />
      <TagLink of={props} name="item_tag" label="About the item in" kind="choice" />
    </div>
  );
}
