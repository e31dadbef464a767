import type { Schemas } from '../lib/api';
import { moment, stamp } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { ChangeNumber } from '../ui/Num';
import { Person } from '../ui/Person';
import { actOf, detailsOf } from './acts';

type Row = Schemas['LedgerRow'];

const columns: Column<Row>[] = [
  { id: 'number', head: 'Record', numeric: true, text: (r) => String(r.number), cell: (r) => r.number },
  {
    id: 'at',
    head: 'When',
    text: (r) => moment(r.at),
    sort: (r) => r.at,
    exported: (r) => stamp(r.at),
    cell: (r) => <span className="whitespace-nowrap">{moment(r.at)}</span>,
  },
  { id: 'actor', head: 'Who', text: (r) => r.actor, cell: (r) => <Person name={r.actor} /> },
  { id: 'subject', head: 'On', text: (r) => r.subject, cell: (r) => <ChangeNumber number={r.subject} /> },
  {
    id: 'act',
    head: 'Action',
    text: (r) => actOf(r.act),
    cell: (r) => <span className="whitespace-nowrap">{actOf(r.act)}</span>,
  },
  {
    id: 'details',
    head: 'Details',
    text: (r) => detailsOf(r.details),
    cell: (r) => <span className="text-sm">{detailsOf(r.details)}</span>,
  },
];

/** Records of the ledger, newest first. */
export function LedgerTable({ rows }: { rows: Row[] }) {
  return (
    <DataTable
      label="Ledger"
      rows={rows}
      columns={columns}
      keyOf={(r) => String(r.number)}
      empty="Nothing was done yet."
      exportName="ledger"
    />
  );
}
