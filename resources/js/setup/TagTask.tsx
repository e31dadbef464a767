import { taskKinds } from '../lib/words';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { useRecipients } from '../ui/useRecipients';
import { WholeInput } from '../ui/WholeInput';
import { TagLink, type TagProps } from './TagLink';

/** The task that a tag makes when its form comes back: what, for whom, until when. */
export function TagTask(props: TagProps) {
  const { row, set, error } = props;
  const recipients = useRecipients();
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1.5 xl:grid-cols-3">
      <Field label="What is to be done" className="col-span-full" error={error('text')}>
        <Input value={row.text ?? ''} onChange={(event) => set({ text: event.target.value })} />
      </Field>
      <Field label="Kind of work" error={error('kind')}>
        <Select value={row.kind ?? ''} onChange={(kind) => set({ kind })} options={taskKinds} />
      </Field>
      <Field label="For" error={error('to')}>
        <Select value={row.to ?? ''} onChange={(to) => set({ to })} options={recipients} />
      </Field>
      <Field label="Days until it is due" error={error('days')}>
        <WholeInput value={row.days ?? undefined} onChange={(days) => set({ days: days ?? null })} />
      </Field>
      <TagLink of={props} name="due_tag" label="Or by the day in" kind="date" />
      <TagLink of={props} name="text_tag" label="With the words in" kind="text" />
    </div>
  );
}
