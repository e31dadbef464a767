import { amount, cents, day, quantity, signed } from '../lib/format';
import type { Column } from '../ui/DataTable';
import type { CostRow } from './costRows';

const shown = (row: CostRow, value: string | null) => {
  if (value === null || value === '') return '';
  if (row.part === 'disturbed') return value;
  return row.part === 'recurring' ? signed(cents(value)) : amount(cents(value));
};

/** An order on something names it; what is on the shelf or rounded says all of it in words. */
const orderOf = ({ single }: CostRow) => (single === null || single.what === 'rest' ? '' : single.document);
const itemOf = ({ single }: CostRow) =>
  single === null || single.title === '' || single.what === 'sale' ? '' : `${single.item} ${single.title}`;
const partOf = ({ single }: CostRow) => single?.of ?? '';
const plantOf = ({ single }: CostRow) => single?.plant ?? '';

/** What a day costs: the part or the single order, its amount, and that of the plan compared. */
export function costColumns(compared: boolean): Column<CostRow>[] {
  return [
    {
      id: 'what',
      head: 'What',
      text: (row) => [row.name, partOf(row), orderOf(row), itemOf(row)].filter(Boolean).join(' '),
      cell: (row) => (
        <>
          {row.name}
          {partOf(row) !== '' && <span className="font-mono text-sm"> {partOf(row)}</span>}
          {orderOf(row) !== '' && (
            <span>
              {partOf(row) === '' ? ' ' : ', '}
              <span className="font-mono text-sm">{orderOf(row)}</span>
            </span>
          )}
          {itemOf(row) !== '' && <span className="text-soft"> for {itemOf(row)}</span>}
        </>
      ),
    },
    {
      id: 'on',
      head: 'Day',
      className: 'whitespace-nowrap',
      text: (r) => r.single?.on ?? '',
      cell: (r) => day(r.single?.on ?? null),
    },
    {
      id: 'quantity',
      head: 'Quantity',
      numeric: true,
      text: (r) => r.single?.quantity ?? '',
      cell: ({ single }) => single !== null && single.quantity !== '' && `${quantity(single.quantity)} ${single.unit}`,
    },
    { id: 'amount', head: 'Amount', numeric: true, text: (r) => r.now, cell: (r) => shown(r, r.now) },
    ...(compared
      ? [
          {
            id: 'compared',
            head: 'Compared',
            numeric: true,
            className: 'text-plum',
            text: (r: CostRow) => r.then ?? '',
            cell: (r: CostRow) => shown(r, r.then),
          },
        ]
      : []),
  ];
}

/** All that a row says, for a spreadsheet. */
export function costWhole(currency: string, compared: boolean) {
  return [
    { head: 'What', text: (r: CostRow) => r.name },
    { head: 'Plant', text: plantOf },
    { head: 'Part', text: partOf },
    { head: 'Document', text: orderOf },
    { head: 'Item', text: itemOf },
    { head: 'Day', text: (r: CostRow) => r.single?.on ?? '' },
    { head: 'Quantity', text: (r: CostRow) => r.single?.quantity ?? '', numeric: true },
    { head: 'Unit', text: (r: CostRow) => r.single?.unit ?? '' },
    { head: `Amount, ${currency}`, text: (r: CostRow) => r.now, numeric: true },
    ...(compared ? [{ head: `Compared, ${currency}`, text: (r: CostRow) => r.then ?? '', numeric: true }] : []),
  ];
}
