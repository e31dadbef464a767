import type { Schemas } from '../lib/api';
import { quantity } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['ShareRow'];

/** What a plant builds in that engineering does not declare. */
export const additionColumns: Column<Row>[] = [
  {
    id: 'operation',
    head: 'Operation',
    numeric: true,
    text: ({ operation }) => String(operation ?? ''),
    cell: ({ operation }) => operation,
  },
  {
    id: 'component',
    head: 'Component',
    text: ({ item }) => item.number,
    cell: ({ item }) => <ItemNumber number={item.number} />,
  },
  { id: 'title', head: 'Title', text: ({ item }) => item.title, cell: ({ item }) => item.title },
  { id: 'kind', head: 'Kind', text: ({ item }) => item.kind, cell: ({ item }) => item.kind },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (row) => row.quantity,
    cell: (row) => quantity(row.quantity),
  },
  { id: 'unit', head: 'Unit', text: ({ unit }) => unit, cell: ({ unit }) => unit },
  {
    id: 'through',
    head: 'In',
    text: ({ through }) => through.join(' › '),
    cell: ({ through }) => through.join(' › '),
  },
];
