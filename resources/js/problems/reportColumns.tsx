import type { Schemas } from '../lib/api';
import { ago, stamp } from '../lib/format';
import { nameOf } from '../lib/choices';
import { priorities, rankOf, states } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Priority } from '../ui/Priority';

type Report = Schemas['ReportRow'];

/** How a problem report reads in any list. */
export const reportColumns: Column<Report>[] = [
  {
    id: 'severity',
    head: 'Severity',
    text: (r) => priorities[r.severity],
    sort: (r) => rankOf(r.severity),
    cell: (r) => <Priority value={r.severity} />,
  },
  { id: 'number', head: 'Number', text: (r) => r.number, cell: (r) => <ChangeNumber number={r.number} /> },
  { id: 'title', head: 'Title', text: (r) => r.title, cell: (r) => r.title },
  {
    id: 'items',
    head: 'Items',
    text: (r) => r.items.join(' '),
    cell: (r) => (
      <span className="flex flex-wrap gap-x-2 gap-y-1">
        {r.items.map((item) => (
          <ItemNumber key={item} number={item} />
        ))}
      </span>
    ),
  },
  { id: 'serial', head: 'Serial or lot', text: (r) => r.serial, cell: (r) => r.serial },
  {
    id: 'source',
    head: 'Source',
    text: (r) => nameOf('source', r.source),
    cell: (r) => <span className="whitespace-nowrap">{nameOf('source', r.source)}</span>,
  },
  { id: 'site', head: 'Site', text: (r) => r.site, cell: (r) => r.site },
  {
    id: 'state',
    head: 'State',
    text: (r) => states[r.state] ?? r.state,
    cell: (r) => <span className="whitespace-nowrap">{states[r.state]}</span>,
  },
  {
    id: 'requests',
    head: 'Requests',
    text: (r) => r.requests.join(' '),
    cell: (r) => (
      <span className="flex flex-wrap gap-x-2 gap-y-1">
        {r.requests.map((request) => (
          <ChangeNumber key={request} number={request} />
        ))}
      </span>
    ),
  },
  {
    id: 'age',
    head: 'Age',
    numeric: true,
    text: (r) => ago(r.raised_at),
    sort: (r) => -Date.parse(r.raised_at),
    exported: (r) => stamp(r.raised_at),
    cell: (r) => <span className="whitespace-nowrap">{ago(r.raised_at)}</span>,
  },
];
