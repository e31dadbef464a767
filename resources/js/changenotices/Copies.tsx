import type { Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { Person } from '../ui/Person';

type Copy = Schemas['CopyRow'];

const asked = (row: Copy) => {
  if (row.acknowledged_at !== null) return `Acknowledged ${moment(row.acknowledged_at)}`;
  if (!row.acknowledge) return 'Not asked';
  if (row.due_on === null) return 'Waiting';
  return row.overdue ? `▲ overdue since ${day(row.due_on)}` : `Waiting, by ${day(row.due_on)}`;
};

const columns: Column<Copy>[] = [
  { id: 'person', head: 'Person', text: (r) => r.person, cell: (r) => <Person name={r.person} /> },
  {
    id: 'lists',
    head: 'By',
    text: (r) => (r.lists.length === 0 ? 'Sent by hand' : r.lists.join(', ')),
    cell: (r) => (r.lists.length === 0 ? 'Sent by hand' : r.lists.join(', ')),
  },
  {
    id: 'sent',
    head: 'Sent',
    text: (r) => r.sent_at,
    cell: (r) => `${moment(r.sent_at)}${r.times_sent > 1 ? `, ${r.times_sent} times` : ''}`,
  },
  {
    id: 'opened',
    head: 'Opened',
    text: (r) => r.opened_at ?? '',
    cell: (r) => (r.opened_at === null ? '–' : moment(r.opened_at)),
  },
  {
    id: 'acknowledged',
    head: 'Acknowledgement',
    text: asked,
    cell: (r) => <span className={r.overdue ? 'text-alarm' : ''}>{asked(r)}</span>,
  },
];

/** To whom a notice went, who has opened it, and who has acknowledged it or not. */
export function Copies({ copies }: { copies: Copy[] }) {
  return (
    <DataTable
      label="Distribution"
      rows={copies}
      columns={columns}
      keyOf={(row) => row.login}
      empty="No distribution list meets this change: nobody was sent it."
    />
  );
}
