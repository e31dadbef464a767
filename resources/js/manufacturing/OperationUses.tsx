import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { count, quantity } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { Notice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';
import { WorkCentre } from './WorkCentre';

type Use = Schemas['OperationUse'];

const roles: Record<Use['role'], string> = {
  instruction: 'Instruction',
  tool: 'Tool',
  specification: 'Inspected by',
  work_centre: 'Work centre',
  by_product: 'By-product, comes out',
};
const run = ({ run: minutes, per }: Use) => `${quantity(minutes)}${per === 'batch' ? ' a batch' : ''}`;

const columns: Column<Use>[] = [
  { id: 'item', head: 'Item made', text: ({ item }) => item, cell: ({ item }) => <ItemNumber number={item} /> },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  {
    id: 'plant',
    head: 'Plant',
    text: ({ plant, revision }) => `${plant} ${revision}`,
    cell: ({ item, plant, revision }) => (
      <Link
        to={`/items/${item}?kind=manufacturing&plant=${encodeURIComponent(plant)}&view=routing`}
        className="text-accent hover:underline"
      >
        {plant} {revision}
      </Link>
    ),
  },
  {
    id: 'operation',
    head: 'Operation',
    text: ({ operation, what }) => `${operation} ${what}`,
    sort: ({ operation }) => operation,
    cell: ({ operation, what }) => `${operation} ${what}`,
  },
  { id: 'role', head: 'Used as', text: ({ role }) => roles[role], cell: ({ role }) => roles[role] },
  {
    id: 'centre',
    head: 'Work centre',
    text: ({ work_centre }) => work_centre,
    cell: ({ plant, work_centre }) =>
      work_centre === '' ? 'outside' : <WorkCentre plant={plant} code={work_centre} />,
  },
  {
    id: 'set_up',
    head: 'Set-up, min',
    numeric: true,
    text: ({ set_up }) => set_up,
    cell: ({ set_up }) => quantity(set_up),
  },
  { id: 'run', head: 'Run, min', numeric: true, text: run, cell: run },
];

/** The operations at which something is used, on a day. */
export function OperationUses({ of, uses }: { of: string; uses: Schemas['OperationUses'] }) {
  return (
    <>
      {uses.total > uses.rows.length && (
        <Notice>
          The first {count(uses.rows.length)} of {count(uses.total)} operations are here.
        </Notice>
      )}
      <DataTable
        label={`Operations that use ${of}`}
        exportName={`operations-of-${of}`}
        rows={uses.rows}
        columns={columns}
        keyOf={(use) => `${use.item} ${use.plant} ${use.operation} ${use.role}`}
        rowHeight={null}
        empty="No operation uses it on that day."
      />
    </>
  );
}
