import type { Schemas } from '../lib/api';
import { day, quantity } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { numberColumn } from './numberColumn';

type ToDo = Schemas['CutInToDo'];

/** What has to be done by when. */
export const toDoColumns: Column<ToDo>[] = [
  { id: 'by', head: 'By', className: 'whitespace-nowrap', text: (r) => r.by, cell: (r) => day(r.by) },
  { id: 'what', head: 'What', text: (r) => r.what, cell: (r) => r.what },
  numberColumn('document', 'Document', (r) => r.document),
  numberColumn('item', 'Item', (r) => r.item),
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
