import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { day, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { ApiProblem } from '../lib/api';

type ToDo = Schemas['CutInToDo'];

const words: Record<ToDo['kind'], (one: ToDo) => string> = {
  release: () => 'Release the change',
  tooling: () => 'Tools and programs ready',
  order: () => 'Order the new part',
  last_order: () => 'Last order of the old part',
  hurry: () => 'Expedite',
  cancel: () => 'Cancel',
  ask: () => 'Ask for a date: overdue',
  see_to: () => 'Rework or split: in progress on the day',
  wait: () => 'Begin with the new part, on or after the day',
  cut_in: () => 'Cut in',
};

const columns: Column<ToDo>[] = [
  { id: 'by', head: 'By', className: 'whitespace-nowrap', text: (r) => r.by, cell: (r) => day(r.by) },
  { id: 'what', head: 'What', text: (r) => words[r.kind](r), cell: (r) => words[r.kind](r) },
  {
    id: 'document',
    head: 'Document',
    text: (r) => r.document,
    cell: (r) => <span className="font-mono text-sm">{r.document}</span>,
  },
  { id: 'item', head: 'Item', text: (r) => r.item, cell: (r) => <span className="font-mono text-sm">{r.item}</span> },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => r.quantity,
    cell: (r) => (r.quantity === '' ? '' : `${quantity(r.quantity)} ${r.unit}`),
  },
  {
    id: 'for',
    head: 'Needed, or due',
    className: 'whitespace-nowrap',
    text: (r) => r.for ?? '',
    cell: (r) => day(r.for),
  },
  { id: 'plant', head: 'Plant', text: (r) => r.plant, cell: (r) => r.plant },
];

/** What has to be done by when for a cut-in on a day. */
export function ToDoTable({ question, on, ready }: { question: Schemas['CutInQuestion']; on: string; ready: boolean }) {
  const list = useQuery({
    ...queries.cutInToDo(question, on),
    enabled: ready && on !== '',
    placeholderData: keepPreviousData,
  });
  return (
    <>
      <ProblemNotice problem={list.error instanceof ApiProblem ? list.error : null} shown={[]} />
      <DataTable
        label="What to do by when"
        caption={`What to do by when, for a cut-in on ${day(on)}`}
        exportName={`cut-in-to-do-${on}`}
        rows={list.data ?? []}
        columns={columns}
        keyOf={(row) => `${row.kind} ${row.plant} ${row.document} ${row.item}`}
        empty={list.isPending ? 'Reading.' : 'Nothing has to be done.'}
      />
    </>
  );
}
