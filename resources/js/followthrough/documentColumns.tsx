import type { Schemas } from '../lib/api';
import { amount, cents, day, moment } from '../lib/format';
import { oldStates, supplyKinds, ways } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';
import { Person } from '../ui/Person';

export type OldDocument = Schemas['OldDocumentRow'];

const names = (row: OldDocument) =>
  `${row.revision === '' ? 'no revision' : row.revision} → ${row.comes === '' ? 'nothing' : row.comes}`;
const decision = (row: OldDocument) => {
  if (row.way != null) return ways[row.way];
  return row.proposed == null ? '' : `${ways[row.proposed]}?`;
};
/** What planning said to the decision. */
const answers = {
  waiting: 'sent to planning',
  taken: 'accepted by planning',
  refused: 'rejected by planning',
} as const;
const seenBy = (row: OldDocument) => row.seen_by ?? 'planning';
const state = (row: OldDocument) =>
  row.state === 'seen' ? `${oldStates.seen} by ${seenBy(row)}, ${moment(row.seen_at)}` : oldStates[row.state];

/** A document in planning, what it names and is to name, and what is done about it. A proposal is a question: it has a mark of one. */
export const documentColumns: Column<OldDocument>[] = [
  {
    id: 'document',
    head: 'Document',
    text: (r) => r.document,
    cell: (r) => (
      <span className="whitespace-nowrap">
        <a href={r.page} target="_blank" rel="noreferrer" className="font-mono text-[0.84rem] text-accent underline">
          {r.document}
        </a>
        {r.is_new && <span className="ml-1.5 text-sm text-warn">new</span>}
      </span>
    ),
  },
  { id: 'kind', head: 'Kind', text: (r) => supplyKinds[r.kind], cell: (r) => supplyKinds[r.kind] },
  {
    id: 'item',
    head: 'Item',
    text: (r) => `${r.item} ${r.title}`,
    cell: (r) => (
      <>
        <ItemNumber number={r.item} /> {r.title}
      </>
    ),
  },
  { id: 'names', head: 'Names', text: names, cell: (r) => <span className="whitespace-nowrap">{names(r)}</span> },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => `${r.quantity} ${r.unit}`,
    cell: (r) => `${r.quantity} ${r.unit}`,
  },
  { id: 'value', head: 'Value', numeric: true, text: (r) => r.value, cell: (r) => amount(cents(r.value)) },
  {
    id: 'due',
    head: 'Due',
    text: (r) => day(r.due),
    cell: (r) => <span className="whitespace-nowrap">{day(r.due)}</span>,
  },
  { id: 'place', head: 'Place', text: (r) => r.place, cell: (r) => r.place },
  {
    id: 'way',
    head: 'Decision',
    text: decision,
    cell: (r) => <span className={r.way == null ? 'text-soft' : ''}>{decision(r)}</span>,
  },
  {
    id: 'owner',
    head: 'Owner',
    text: (r) => r.owner_name ?? '',
    cell: (r) => (r.owner_name === null ? null : <Person name={r.owner_name} />),
  },
  {
    id: 'due_on',
    head: 'By',
    text: (r) => day(r.due_on),
    cell: (r) => <span className="whitespace-nowrap">{day(r.due_on)}</span>,
  },
  {
    id: 'state',
    head: 'State',
    text: (r) => (r.told === null ? state(r) : `${state(r)}, ${answers[r.told]} ${r.told_reason}`.trim()),
    cell: (r) => (
      <>
        <span className={r.state === 'open' ? 'text-warn' : ''} title={state(r)}>
          {r.state === 'seen' ? `Seen to by ${seenBy(r)}` : oldStates[r.state]}
        </span>
        {r.state === 'decided' && r.told !== null && (
          <span className={r.told === 'refused' ? 'block text-sm text-alarm' : 'block text-sm text-soft'}>
            {answers[r.told]}
            {r.told_reason !== '' && `: ${r.told_reason}`}
          </span>
        )}
      </>
    ),
  },
  {
    id: 'note',
    head: 'Note',
    text: (r) => r.note,
    cell: (r) => (
      <span className="block max-w-44 truncate text-sm" title={r.note}>
        {r.note}
      </span>
    ),
  },
];
