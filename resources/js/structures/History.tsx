import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { ChangeNumber } from '../ui/Num';
import { Status } from '../ui/Status';

type Revision = Schemas['RevisionRow'];

const columns: Column<Revision>[] = [
  {
    id: 'code',
    head: 'Revision',
    text: (r) => r.code,
    cell: (r) => <Status status={r.status} revision={r.code} />,
  },
  { id: 'first', head: 'First day', text: (r) => r.first_day ?? '', cell: (r) => day(r.first_day) },
  { id: 'last', head: 'Last day', text: (r) => r.last_day ?? '', cell: (r) => day(r.last_day) },
  {
    id: 'at',
    head: 'Released',
    text: (r) => r.released_at ?? '',
    cell: (r) => day(r.released_at?.slice(0, 10) ?? null),
  },
  { id: 'by', head: 'By', text: (r) => r.released_by ?? '', cell: (r) => r.released_by },
  {
    id: 'order',
    head: 'Order',
    text: (r) => r.order ?? '',
    cell: (r) => (r.order === null ? '' : <ChangeNumber number={r.order} />),
  },
  { id: 'reason', head: 'Reason', text: (r) => r.reason, cell: (r) => r.reason },
];

/** Who released which revision, when, under which order and why. */
export function History({ revisions }: { revisions: Revision[] }) {
  return (
    <section aria-labelledby="history">
      <h2 id="history" className="mb-1">
        History
      </h2>
      <DataTable
        label="History of revisions"
        rows={revisions}
        columns={columns}
        keyOf={(r) => r.code}
        empty="It has no revision yet."
        exportName="history"
      />
    </section>
  );
}
