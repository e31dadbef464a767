import type { Schemas } from '../lib/api';
import { ago, day, stamp } from '../lib/format';
import { nameOf } from '../lib/choices';
import { changeTypes, priorities, rankOf, states, steps } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ChangeNumber } from '../ui/Num';
import { Person } from '../ui/Person';
import { Priority } from '../ui/Priority';

type Change = Schemas['ChangeRow'];

/** How a request or an order reads in any list. */
export const changeColumns: Column<Change>[] = [
  {
    id: 'priority',
    head: 'Priority',
    text: (c) => priorities[c.priority],
    sort: (c) => rankOf(c.priority),
    cell: (c) => <Priority value={c.priority} />,
  },
  { id: 'number', head: 'Number', text: (c) => c.number, cell: (c) => <ChangeNumber number={c.number} /> },
  { id: 'title', head: 'Title', text: (c) => c.title, cell: (c) => c.title },
  {
    id: 'state',
    head: 'State',
    text: (c) => states[c.state] ?? c.state,
    cell: (c) => <span className="whitespace-nowrap">{states[c.state] ?? c.state}</span>,
  },
  {
    id: 'source',
    head: 'Source',
    text: (c) => (c.source === null ? '' : nameOf('source', c.source)),
    cell: (c) => (c.source === null ? '' : nameOf('source', c.source)),
  },
  { id: 'site', head: 'Site', text: (c) => c.site ?? '', cell: (c) => c.site },
  {
    id: 'by',
    head: 'Raised by',
    text: (c) => c.raised_by,
    cell: (c) => <Person name={c.raised_by} />,
  },
  {
    id: 'age',
    head: 'Age',
    numeric: true,
    text: (c) => ago(c.raised_at),
    sort: (c) => -Date.parse(c.raised_at),
    exported: (c) => stamp(c.raised_at),
    cell: (c) => <span className="whitespace-nowrap">{ago(c.raised_at)}</span>,
  },
];

/** The same with what orders have besides. */
export const registerColumns: Column<Change>[] = [
  ...changeColumns.slice(0, 2),
  {
    id: 'type',
    head: 'Kind',
    text: (c) => changeTypes[c.type],
    cell: (c) => changeTypes[c.type],
    hidden: true,
  },
  ...changeColumns.slice(2, 4),
  {
    id: 'step',
    head: 'Step',
    text: (c) => steps[c.step as keyof typeof steps],
    sort: (c) => Object.keys(steps).indexOf(c.step),
    cell: (c) => <span className="whitespace-nowrap">{steps[c.step as keyof typeof steps]}</span>,
  },
  {
    id: 'waits',
    head: 'Waits for',
    text: (c) => c.waits_for ?? '',
    cell: (c) => <Person name={c.waits_for} to="waits_for" />,
  },
  {
    id: 'effective',
    head: 'Effective',
    text: (c) => day(c.effective_on),
    sort: (c) => c.effective_on,
    exported: (c) => c.effective_on ?? '',
    cell: (c) => <span className="whitespace-nowrap">{day(c.effective_on)}</span>,
  },
  ...changeColumns.slice(4, 6).map((column) => ({ ...column, hidden: true })),
  ...changeColumns.slice(6),
];
