import type { Schemas } from '../lib/api';
import { amount, cents, day } from '../lib/format';
import type { Column } from '../ui/DataTable';

type Row = Schemas['CutInDayRow'];

/** What each day costs, as a table: the same as the curve, for those who do not look at it. */
export const dayColumns: Column<Row>[] = [
  { id: 'on', head: 'Day', text: (r) => r.on, cell: (r) => day(r.on) },
  {
    id: 'possible',
    head: 'Possible',
    text: (r) => (r.possible ? 'yes' : 'no'),
    cell: (r) => (r.possible ? 'yes' : <span className="text-soft">no</span>),
  },
  ...(['leftover', 'cancellation', 'shortage', 'straddling', 'recurring', 'total'] as const).map(
    (name): Column<Row> => ({
      id: name,
      head: {
        leftover: 'Left over',
        cancellation: 'Cancelled',
        shortage: 'Short',
        straddling: 'In progress',
        recurring: 'New vs old',
        total: 'Total',
      }[name],
      numeric: true,
      text: (r) => r[name],
      cell: (r) => amount(cents(r[name])),
    }),
  ),
  {
    id: 'at_risk',
    head: 'At risk before release',
    numeric: true,
    text: (r) => r.at_risk,
    cell: (r) => amount(cents(r.at_risk)),
  },
  {
    id: 'disturbed',
    head: 'Orders affected',
    numeric: true,
    text: (r) => String(r.disturbed),
    cell: (r) => r.disturbed,
  },
];
