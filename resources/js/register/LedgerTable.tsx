import type { Schemas } from '../lib/api';
import { moment, stamp } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { ChangeNumber, ItemNumber } from '../ui/Num';
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
  { id: 'subject', head: 'On', text: (r) => r.subject, cell: (r) => <Subject row={r} /> },
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
    cell: (r) => (
      <span className="text-sm" title={detailsOf(r.details)}>
        {detailsOf(r.details)}
      </span>
    ),
  },
];

const CHANGE = /^(PR|ECR|ECO|ECN|T)-\d/;
/** Acts whose subject is an item. */
const ON_ITEM = /^(sheet|item|revision|document)\./;

/** What something was done to, as a link where it has a page. */
function Subject({ row }: { row: Row }) {
  if (CHANGE.test(row.subject)) return <ChangeNumber number={row.subject} />;
  return ON_ITEM.test(row.act) ? <ItemNumber number={row.subject} /> : <span>{row.subject}</span>;
}

interface Props {
  rows: Row[];
  caption?: string;
  paged?: { more: () => void; all: () => Promise<Row[]> };
  empty?: string;
}

/** Records of the ledger, newest first. */
export function LedgerTable({ rows, caption, paged, empty = 'Nothing was done yet.' }: Props) {
  return (
    <DataTable
      label="Ledger"
      caption={caption}
      rows={rows}
      paged={paged}
      columns={columns}
      keyOf={(r) => String(r.number)}
      empty={empty}
      exportName="ledger"
    />
  );
}
