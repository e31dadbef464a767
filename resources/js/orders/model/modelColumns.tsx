import type { Schemas } from '../../lib/api';
import type { Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';

export type Row = Schemas['ModelRow'];

const missing = (row: Row, waits: string[]) =>
  row.why !== '' ? row.why : waits.length > 0 ? `${waits.join(', ')} has no number yet: choose its category.` : '';

/** @param waitsFor what of a row still waits for its category, by what the model calls it */
export const modelColumns = (waitsFor: (row: Row) => string[]): Column<Row>[] => [
  { id: 'mark', head: 'Difference', text: ({ mark }) => mark, cell: ({ mark }) => <Mark value={mark} word /> },
  {
    id: 'parent',
    head: 'Assembly',
    text: ({ parent }) => parent,
    cell: ({ parent }) => <span className="font-mono text-sm whitespace-nowrap">{parent}</span>,
  },
  {
    id: 'find',
    head: 'Find',
    numeric: true,
    text: ({ before }) => String(before?.find ?? ''),
    cell: ({ before }) => before?.find,
  },
  {
    id: 'component',
    head: 'Component',
    text: ({ component, title }) => `${component} ${title}`,
    cell: ({ component, title }) => (
      <>
        <span className="font-mono text-sm whitespace-nowrap">{component}</span> {title}
      </>
    ),
  },
  {
    id: 'now',
    head: 'Now',
    numeric: true,
    text: ({ before }) => (before === null ? '' : `${before.quantity} ${before.unit}`),
    cell: ({ before }) => before && `${before.quantity} ${before.unit}`,
  },
  {
    id: 'pieces',
    head: 'In the model',
    numeric: true,
    text: ({ pieces }) => `${pieces} pc`,
    cell: ({ pieces }) => (pieces === 0 ? 'none' : `${pieces} pc`),
  },
  {
    id: 'why',
    head: 'Before it can be taken over',
    text: (row) => missing(row, waitsFor(row)),
    cell: (row) =>
      missing(row, waitsFor(row)) !== '' && <span className="text-warn">△ {missing(row, waitsFor(row))}</span>,
  },
];
