import { Choice } from '../../ui/Choice';
import type { Column } from '../../ui/DataTable';

/** Two who did different things to the same, field by field. */
interface Conflict {
  key: string;
  part: string;
  /** Empty: all of it. */
  field: string;
  before: string;
  mine: string;
  theirs: string;
}

export type Choices = Record<string, 'mine' | 'theirs'>;

interface Said {
  /** What the columns are called. */
  heads: { before: string; mine: string; theirs: string };
  /** What one keeps. */
  options: { mine: string; theirs: string };
  choices: Choices;
  choose: (key: string, choice: 'mine' | 'theirs') => void;
}

/** Both sides beside each other, and whose is kept. */
export function conflictColumns<Row extends Conflict>({ heads, options, choices, choose }: Said): Column<Row>[] {
  const of = ({ field }: Row) => (field === '' ? 'all of it' : field.replaceAll('_', ' '));
  return [
    { id: 'part', head: 'What', text: ({ part }) => part, cell: ({ part }) => part },
    { id: 'field', head: 'Field', text: of, cell: of },
    { id: 'before', head: heads.before, text: ({ before }) => before, cell: ({ before }) => before },
    {
      id: 'mine',
      head: heads.mine,
      text: ({ mine }) => mine,
      cell: ({ mine }) => <b className="font-semibold">{mine}</b>,
    },
    { id: 'theirs', head: heads.theirs, text: ({ theirs }) => theirs, cell: ({ theirs }) => theirs },
    {
      id: 'choice',
      head: 'Kept',
      text: ({ key }) => choices[key] ?? '',
      cell: ({ key, part }) => (
        <Choice<'mine' | 'theirs' | 'none'>
          label={`Kept of ${part}`}
          value={choices[key] ?? 'none'}
          options={options}
          onChange={(choice) => choice !== 'none' && choose(key, choice)}
        />
      ),
    },
  ];
}
