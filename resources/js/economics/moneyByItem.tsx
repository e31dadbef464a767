import type { Schemas } from '../lib/api';
import { amount, signed } from '../lib/format';
import { inMoney } from '../lib/settings';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

/** What a change costs for each item; the last row is what belongs to none. */
export const moneyByItem: Column<Schemas['MoneyOfItem']>[] = [
  {
    id: 'item',
    head: 'Item',
    text: (r) => r.item,
    cell: (r) => (r.item === '' ? 'not by item' : <ItemNumber number={r.item} />),
  },
  { id: 'title', head: 'Title', text: (r) => r.title, cell: (r) => r.title },
  {
    id: 'once',
    get head() {
      return inMoney('One-time');
    },
    numeric: true,
    text: (r) => r.one_time,
    cell: (r) => amount(r.one_time),
  },
  {
    id: 'yearly',
    get head() {
      return inMoney('Recurring per year');
    },
    numeric: true,
    text: (r) => r.yearly,
    cell: (r) => signed(r.yearly),
  },
];
