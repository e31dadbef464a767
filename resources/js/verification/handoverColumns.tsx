import type { Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { handoverStates } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ChangeNumber } from '../ui/Num';

export type Unsettled = Schemas['UnsettledHandover'];

const looks = { waiting: 'text-soft', partly_refused: 'text-alarm', refused: 'text-alarm', unanswered: 'text-warn' };
const state = (r: Unsettled) =>
  r.sending && r.state !== 'waiting' ? `${handoverStates[r.state]}, being resent` : (handoverStates[r.state] ?? '');

/** A hand-over that planning has not taken whole: what it is of, how it stands, why, and since when. */
export const handoverColumns: Column<Unsettled>[] = [
  {
    id: 'name',
    head: 'Hand-over',
    text: (r) => r.name,
    cell: (r) => <span className="font-mono text-[0.84rem] whitespace-nowrap">{r.name}</span>,
  },
  {
    id: 'order',
    head: 'Order',
    text: (r) => `${r.order ?? ''} ${r.title}`.trim(),
    cell: (r) => (
      <>
        {r.order !== null && <ChangeNumber number={r.order} />} {r.title}
      </>
    ),
  },
  {
    id: 'state',
    head: 'State',
    text: state,
    cell: (r) => <span className={`font-semibold ${looks[r.state]}`}>{state(r)}</span>,
  },
  {
    id: 'refused',
    head: 'Rejected',
    numeric: true,
    text: (r) => `${r.refused} of ${r.entries}`,
    cell: (r) => (r.refused === 0 ? '' : `${count(r.refused)} of ${count(r.entries)}`),
  },
  { id: 'reason', head: 'Reason', text: (r) => r.reason, cell: (r) => r.reason },
  { id: 'tries', head: 'Tries', numeric: true, text: (r) => String(r.tries), cell: (r) => r.tries },
  {
    id: 'since',
    head: 'Since',
    text: (r) => moment(r.since),
    cell: (r) => <span className="whitespace-nowrap">{moment(r.since)}</span>,
  },
];
