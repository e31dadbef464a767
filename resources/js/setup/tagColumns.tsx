import type { Schemas } from '../lib/api';
import { controlKinds, recordFields, tagUses } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { TagQuestion } from './TagQuestion';
import { TagTask } from './TagTask';

type Row = Schemas['MappingRow'];
type Control = Schemas['ControlRow'];

const NONE = 'none';

/** What each kind of control can be used for; and the fields that a form may correct. */
const uses: Record<Control['kind'], Row['use'][]> = {
  text: ['nothing', 'field', 'finding', 'question', 'task'],
  check: ['nothing', 'finding', 'question', 'task'],
  date: ['nothing', 'finding'],
  choice: ['nothing', 'field', 'finding'],
  picture: ['nothing', 'attachment'],
};
const written = ['title', 'description', 'priority', 'reason', 'source', 'site'] as const;

const only = (words: Record<string, string>, keys: readonly string[]) =>
  Object.fromEntries(keys.map((key) => [key, words[key] ?? key]));

interface Editing {
  controls: Control[];
  onChange: (row: Row) => void;
  /** What the server refused of a row, at its place. */
  error: (row: Row, place: string) => string | undefined;
}

/** The tags of a template and what they mean: each is filled from, and becomes, something. */
export function tagColumns({ controls, onChange, error }: Editing): Column<Row>[] {
  const kindOf = (row: Row) => controls.find(({ tag }) => tag === row.tag)?.kind ?? 'text';
  const fillsOf = (row: Row): Record<string, string> =>
    ['check', 'picture'].includes(kindOf(row)) ? {} : recordFields;
  return [
    {
      id: 'tag',
      head: 'Tag',
      text: (row) => row.tag,
      cell: (row) => (
        <>
          <span className="block font-mono text-[0.84rem]">{row.tag}</span>
          <span className="text-sm text-soft">{controlKinds[kindOf(row)]}</span>
          <Reason text={error(row, 'tag')} />
        </>
      ),
    },
    {
      id: 'called',
      head: 'Called',
      className: 'w-52',
      text: (row) => row.label,
      cell: (row) => (
        <>
          <Input
            aria-label={`${row.tag}: called`}
            value={row.label}
            onChange={(event) => onChange({ ...row, label: event.target.value })}
          />
          <Reason text={error(row, 'label')} />
        </>
      ),
    },
    {
      id: 'fill',
      head: 'Filled from',
      className: 'w-44',
      text: (row) => (row.fill == null ? '' : recordFields[row.fill]),
      cell: (row) => (
        <>
          <Select<string>
            aria-label={`${row.tag}: filled with`}
            value={row.fill ?? NONE}
            disabled={Object.keys(fillsOf(row)).length === 0}
            onChange={(fill) => onChange({ ...row, fill: fill === NONE ? null : (fill as NonNullable<Row['fill']>) })}
            options={{ [NONE]: 'Nothing', ...fillsOf(row) }}
          />
          <Reason text={error(row, 'fill')} />
        </>
      ),
    },
    {
      id: 'use',
      head: 'On return',
      className: 'w-52',
      text: (row) => tagUses[row.use],
      cell: (row) => (
        <>
          <Select<string>
            aria-label={`${row.tag}: when it comes back`}
            value={row.use}
            onChange={(use) => onChange({ ...row, use: use as Row['use'] })}
            options={only(tagUses, uses[kindOf(row)])}
          />
          <Reason text={error(row, 'use')} />
        </>
      ),
    },
    {
      id: 'how',
      head: 'How',
      text: (row) => (row.use === 'field' ? recordFields[row.field ?? 'title'] : (row.text ?? '')),
      cell: (row) => (
        <>
          {row.use === 'field' && (
            <>
              <Select<string>
                className="!w-52"
                aria-label={`${row.tag}: field`}
                value={row.field ?? ''}
                onChange={(field) => onChange({ ...row, field: field as NonNullable<Row['field']> })}
                options={only(recordFields, written)}
              />
              <Reason text={error(row, 'field')} />
            </>
          )}
          {row.use === 'task' && (
            <TagTask
              row={row}
              controls={controls}
              set={(change) => onChange({ ...row, ...change })}
              error={(place) => error(row, place)}
            />
          )}
          {row.use === 'question' && (
            <TagQuestion
              row={row}
              controls={controls}
              set={(change) => onChange({ ...row, ...change })}
              error={(place) => error(row, place)}
            />
          )}
        </>
      ),
    },
  ];
}

function Reason({ text }: { text: string | undefined }) {
  return text === undefined ? null : <p className="text-sm text-alarm">▸ {text}</p>;
}
