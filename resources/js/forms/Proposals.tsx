import type { Schemas } from '../lib/api';
import { allOf, nameOf } from '../lib/choices';
import { day } from '../lib/format';
import { priorities, tagUses } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { tickColumn } from '../ui/table/columns';

type Proposal = Schemas['ProposalRow'];

interface Props {
  rows: Proposal[];
  left: string[];
  onLeave: (tag: string, out: boolean) => void;
}

/** A form corrects what is chosen by its code, and texts. */
const called = (value: string): string =>
  ({ ...priorities, ...allOf('reason'), ...allOf('source'), ...allOf('site') })[value] ?? value;
const becomes = ({ use, before, after }: Proposal) =>
  use === 'field' ? `${called(before)} → ${called(after)}` : after;

const columns: Column<Proposal>[] = [
  { id: 'use', head: 'What it does', text: (row) => tagUses[row.use], cell: (row) => tagUses[row.use] },
  { id: 'field', head: 'Field of the form', text: (row) => row.label, cell: (row) => row.label },
  {
    id: 'becomes',
    head: 'Becomes',
    className: 'whitespace-pre-line',
    text: becomes,
    cell: (row) => <Becomes row={row} />,
  },
];

/** What a form that came back would do, field by field; what is not wanted, or cannot be, is left out. */
export function Proposals({ rows, left, onLeave }: Props) {
  return (
    <DataTable
      label="What it will do"
      exportName="returned-form"
      rows={rows}
      keyOf={(row) => row.tag}
      empty=""
      fixedOrder
      columns={[
        tickColumn<Proposal>({
          head: 'Import',
          label: (row) => `Import: ${row.label}`,
          checked: (row) => !left.includes(row.tag),
          disabled: (row) => row.fault !== null,
          onTick: (row, on) => onLeave(row.tag, !on),
        }),
        ...columns,
      ]}
    />
  );
}

function Becomes({ row }: { row: Proposal }) {
  return (
    <>
      {row.use === 'field' && (
        <>
          <del className="text-soft">{called(row.before)}</del> →{' '}
        </>
      )}
      {row.use === 'field' ? called(row.after) : row.after}
      {row.use === 'attachment' && 'The picture in the form'}
      {row.use === 'task' && (
        <p className="text-sm text-soft">
          For {row.asked}
          {row.due_on !== null && `, by ${day(row.due_on)}`}
        </p>
      )}
      {row.use === 'question' && (
        <p className="text-sm text-soft">
          {row.function != null && nameOf('function', row.function)}, put to {row.asked}
          {row.item !== '' && (
            <>
              , about <span className="font-mono">{row.item}</span>
            </>
          )}
          {row.due_on !== null && `, by ${day(row.due_on)}`}
        </p>
      )}
      {row.fault !== null && <p className="text-sm text-alarm">▸ {row.fault}</p>}
    </>
  );
}
