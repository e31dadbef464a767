import type { Schemas } from '../lib/api';
import { day, quantity } from '../lib/format';
import type { Column } from '../ui/DataTable';

type ToDo = Schemas['CutInToDo'];

const words: Record<ToDo['kind'], string> = {
  release: 'Release the change',
  tooling: 'Tools and programs ready',
  order: 'Order the new part',
  last_order: 'Last order of the old part',
  hurry: 'Expedite',
  cancel: 'Cancel',
  ask: 'Ask for a date: overdue',
  see_to: 'Rework or split: in progress on the day',
  wait: 'Begin with the new part, on or after the day',
  cut_in: 'Cut in',
};

/** What has to be done by when. */
export const toDoColumns: Column<ToDo>[] = [
  { id: 'by', head: 'By', className: 'whitespace-nowrap', text: (r) => r.by, cell: (r) => day(r.by) },
  { id: 'what', head: 'What', text: (r) => words[r.kind], cell: (r) => words[r.kind] },
  {
    id: 'document',
    head: 'Document',
    className: 'whitespace-nowrap',
    text: (r) => r.document,
    cell: (r) => <span className="font-mono text-sm">{r.document}</span>,
  },
  {
    id: 'item',
    head: 'Item',
    className: 'whitespace-nowrap',
    text: (r) => r.item,
    cell: (r) => <span className="font-mono text-sm">{r.item}</span>,
  },
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

/** One thing to do among others. */
export const toDoKey = (one: ToDo) => `${one.kind} ${one.plant} ${one.document} ${one.item}`;
