import type { Schemas } from '../../lib/api';
import { moment, stamp } from '../../lib/format';
import type { Column } from '../../ui/DataTable';
import { Person } from '../../ui/Person';

type Row = Schemas['IterationRow'];

/** How a saved iteration reads; what can be done with it comes behind. */
export const iterationColumns: Column<Row>[] = [
  {
    id: 'name',
    head: 'Iteration',
    text: (row) => row.name,
    cell: (row) => <b className="font-semibold">{row.name}</b>,
  },
  { id: 'note', head: 'Note', text: (row) => row.note, cell: (row) => row.note },
  { id: 'by', head: 'Saved by', text: (row) => row.by, cell: (row) => <Person name={row.by} /> },
  {
    id: 'at',
    head: 'Saved',
    text: (row) => moment(row.at),
    sort: (row) => row.at,
    exported: (row) => stamp(row.at),
    cell: (row) => moment(row.at),
  },
  { id: 'edits', head: 'Edits', numeric: true, text: (row) => String(row.edits), cell: (row) => row.edits },
];
