import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import type { Column } from '../ui/table/Column';

interface Row {
  code: string;
  name: string;
  address: string;
  state: Schemas['ChannelState'];
}

/** How it stands with what goes to another system, in words. */
function standing({ state }: Row): string {
  const said = [
    state.waiting > 0 && `${count(state.waiting)} waiting${state.fault === '' ? '' : `: ${state.fault}`}`,
    state.undelivered > 0 && `${count(state.undelivered)} not delivered`,
  ].filter((one) => one !== false);
  return said.length > 0 ? said.join('; ') : state.last_arrived_at === null ? 'nothing sent yet' : 'all delivered';
}

/** What the table of every way to another system says: where to, and how it stands. */
export function channelColumns<R extends Row>(): Column<R>[] {
  return [
    {
      id: 'address',
      head: 'Goes to',
      text: (row) => row.address,
      cell: (row) => <span className="font-mono text-[0.84rem] break-all">{row.address}</span>,
    },
    {
      id: 'standing',
      head: 'Messages',
      text: standing,
      cell: (row) => (
        <Link
          to={`/set-up/channels/${row.code}`}
          aria-label={`Messages of ${row.name}: ${standing(row)}`}
          className={`underline underline-offset-3 ${
            row.state.undelivered > 0 ? 'text-alarm' : row.state.fault !== '' ? 'text-warn' : 'text-accent'
          }`}
        >
          {standing(row)}
        </Link>
      ),
    },
    {
      id: 'last',
      head: 'Last delivered',
      text: (row) => row.state.last_arrived_at ?? '',
      cell: (row) => <span className="whitespace-nowrap">{moment(row.state.last_arrived_at)}</span>,
    },
  ];
}
