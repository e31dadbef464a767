import type { Schemas } from '../lib/api';
import { amount, cents, day, quantity, signed } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { numberColumn } from './numberColumn';

export type Outcome = Schemas['CutInOutcomeRow'];

const pieces = (name: 'left_planned' | 'left' | 'short_planned' | 'short', head: string): Column<Outcome> => ({
  id: name,
  head,
  numeric: true,
  text: (r) => r[name] ?? '',
  cell: (r) => (r[name] === null ? '' : `${quantity(r[name])} ${r.unit}`),
});

const money = (name: 'cost_planned' | 'cost', head: string): Column<Outcome> => ({
  id: name,
  head,
  numeric: true,
  text: (r) => r[name] ?? '',
  cell: (r) => (r[name] === null ? '' : amount(cents(r[name]))),
});

/** What a plan said of its parts, and what became of them. */
export const outcomeColumns: Column<Outcome>[] = [
  numberColumn('item', 'Item', (r) => r.item),
  { id: 'plant', head: 'Plant', text: (r) => r.plant, cell: (r) => r.plant },
  {
    id: 'cut_in_on',
    head: 'Cut-in',
    className: 'whitespace-nowrap',
    text: (r) => r.cut_in_on,
    cell: (r) => day(r.cut_in_on),
  },
  {
    id: 'seen_on',
    head: 'Actual as of',
    className: 'whitespace-nowrap',
    text: (r) => r.seen_on ?? '',
    cell: (r) => (r.seen_on === null ? 'not yet' : day(r.seen_on)),
  },
  pieces('left_planned', 'Leftover, planned'),
  pieces('left', 'Leftover, actual'),
  pieces('short_planned', 'Short, planned'),
  pieces('short', 'Short, actual'),
  money('cost_planned', 'Cost, planned'),
  money('cost', 'Cost, actual'),
  {
    id: 'difference',
    head: 'Difference',
    numeric: true,
    text: (r) => r.difference ?? '',
    cell: (r) => (r.difference === null ? '' : signed(cents(r.difference))),
  },
];

export const outcomeKey = (one: Outcome) => `${one.plant} ${one.item}`;
