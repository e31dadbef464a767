import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { controlKinds, functions, groups, recordFields, tagUses, topics } from '../lib/words';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';

type Row = Schemas['MappingRow'];
type Control = Schemas['ControlRow'];

const NONE = 'none';

/** What each kind of control can be used for; and the fields that a form may correct. */
const uses: Record<Control['kind'], Row['use'][]> = {
  text: ['nothing', 'field', 'finding', 'question'],
  check: ['nothing', 'finding', 'question'],
  date: ['nothing', 'finding'],
  choice: ['nothing', 'field', 'finding'],
  picture: ['nothing', 'attachment'],
};
const written = ['title', 'description', 'priority', 'reason', 'source', 'site'] as const;

const only = (words: Record<string, string>, keys: readonly string[]) =>
  Object.fromEntries(keys.map((key) => [key, words[key] ?? key]));

interface Props {
  row: Row;
  controls: Control[];
  onChange: (row: Row) => void;
  error: (place: string) => string | undefined;
}

/** One tag of a template and what it means. */
export function TagRow({ row, controls, onChange, error }: Props) {
  const kind = controls.find(({ tag }) => tag === row.tag)?.kind ?? 'text';
  const set = (change: Partial<Row>) => onChange({ ...row, ...change });
  const fills = kind === 'check' || kind === 'picture' ? {} : recordFields;
  return (
    <tr className="border-b border-rule align-top">
      <td className="py-1.5 pr-3">
        <span className="block font-mono text-[0.84rem]">{row.tag}</span>
        <span className="text-sm text-soft">{controlKinds[kind]}</span>
        <Reason text={error('tag')} />
      </td>
      <td className="w-52 py-1.5 pr-3">
        <Input
          aria-label={`${row.tag}: called`}
          value={row.label}
          onChange={(event) => set({ label: event.target.value })}
        />
        <Reason text={error('label')} />
      </td>
      <td className="w-44 py-1.5 pr-3">
        <Select<string>
          aria-label={`${row.tag}: filled with`}
          value={row.fill ?? NONE}
          disabled={Object.keys(fills).length === 0}
          onChange={(fill) => set({ fill: fill === NONE ? null : (fill as NonNullable<Row['fill']>) })}
          options={{ [NONE]: 'Nothing', ...fills }}
        />
        <Reason text={error('fill')} />
      </td>
      <td className="w-52 py-1.5 pr-3">
        <Select<string>
          aria-label={`${row.tag}: when it comes back`}
          value={row.use}
          onChange={(use) => set({ use: use as Row['use'] })}
          options={only(tagUses, uses[kind])}
        />
        <Reason text={error('use')} />
      </td>
      <td className="py-1.5">
        {row.use === 'field' && (
          <>
            <Select<string>
              className="!w-52"
              aria-label={`${row.tag}: field`}
              value={row.field ?? ''}
              onChange={(field) => set({ field: field as NonNullable<Row['field']> })}
              options={only(recordFields, written)}
            />
            <Reason text={error('field')} />
          </>
        )}
        {row.use === 'question' && <Question row={row} controls={controls} set={set} error={error} />}
      </td>
    </tr>
  );
}

function Reason({ text }: { text: string | undefined }) {
  return text === undefined ? null : <p className="text-sm text-alarm">▸ {text}</p>;
}

interface QuestionProps {
  row: Row;
  controls: Control[];
  set: (change: Partial<Row>) => void;
  error: (place: string) => string | undefined;
}

function Question({ row, controls, set, error }: QuestionProps) {
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
        <Select value={row.function ?? ''} onChange={(by) => set({ function: by })} options={functions} />
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
