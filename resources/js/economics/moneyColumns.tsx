import type { Schemas } from '../lib/api';
import { amount, quantity, signed } from '../lib/format';
import { dispositions, supplyKinds } from '../lib/words';
import { inMoney } from '../lib/settings';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

function saidCell(said: Schemas['FigureSource'] | null) {
  return (
    said && (
      <span className="text-sm">
        {said.reason} <span className="text-soft">{said.by}</span>
      </span>
    )
  );
}

export const dispositionColumns: Column<Schemas['DispositionRow']>[] = [
  { id: 'item', head: 'Item', text: (r) => r.item, cell: (r) => <ItemNumber number={r.item} /> },
  {
    id: 'kind',
    head: 'Kind',
    text: (r) => supplyKinds[r.kind as keyof typeof supplyKinds],
    cell: (r) => supplyKinds[r.kind as keyof typeof supplyKinds],
  },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => r.quantity,
    cell: (r) => `${quantity(r.quantity)} ${r.unit}`,
  },
  {
    id: 'value',
    get head() {
      return inMoney('Value');
    },
    numeric: true,
    text: (r) => r.value,
    cell: (r) => amount(r.value),
  },
  {
    id: 'disposition',
    head: 'Disposition',
    text: (r) => dispositions[r.disposition],
    cell: (r) => dispositions[r.disposition],
  },
  {
    id: 'per_unit',
    get head() {
      return inMoney('Per unit');
    },
    numeric: true,
    text: (r) => r.per_unit,
    cell: (r) => amount(r.per_unit),
  },
  {
    id: 'cost',
    get head() {
      return inMoney('Cost');
    },
    numeric: true,
    text: (r) => r.cost,
    cell: (r) => amount(r.cost),
  },
  {
    id: 'from',
    head: 'Reason',
    text: (r) => r.said?.reason ?? r.from,
    cell: (r) =>
      saidCell(r.said) ?? (
        <span className="text-sm text-soft">
          {r.from === 'category' ? 'usual in the category' : 'not decided: used up'}
        </span>
      ),
  },
];

export const moneyColumns: Column<Schemas['MoneyRow']>[] = [
  { id: 'item', head: 'Item', text: (r) => r.item, cell: (r) => r.item !== '' && <ItemNumber number={r.item} /> },
  { id: 'what', head: 'Purpose', text: (r) => r.what, cell: (r) => r.what },
  {
    id: 'per_unit',
    head: 'Per unit',
    numeric: true,
    text: (r) => r.per_unit ?? '',
    cell: (r) => r.per_unit != null && signed(r.per_unit),
  },
  {
    id: 'units',
    head: 'Units per year',
    numeric: true,
    text: (r) => r.units ?? '',
    cell: (r) => r.units != null && quantity(r.units),
  },
  {
    id: 'amount',
    get head() {
      return inMoney('Amount');
    },
    numeric: true,
    text: (r) => r.amount,
    cell: (r) => amount(r.amount),
  },
  {
    id: 'said',
    head: 'Reason',
    text: (r) => r.said?.reason ?? answeredBy(r),
    cell: (r) => saidCell(r.said) ?? <span className="text-sm text-soft">{answeredBy(r)}</span>,
  },
];

function answeredBy(row: Schemas['MoneyRow']): string {
  return row.answered_by == null ? '' : `answered by ${row.answered_by}`;
}

export const demandColumns: Column<Schemas['DemandRow']>[] = [
  { id: 'product', head: 'Product', text: (r) => r.product, cell: (r) => <ItemNumber number={r.product} /> },
  { id: 'title', head: 'Title', text: (r) => r.title, cell: (r) => r.title },
  { id: 'told', head: 'From planning', numeric: true, text: (r) => r.told, cell: (r) => quantity(r.told) },
  { id: 'units', head: 'Used here', numeric: true, text: (r) => r.units, cell: (r) => quantity(r.units) },
  { id: 'said', head: 'Reason', text: (r) => r.said?.reason ?? '', cell: (r) => saidCell(r.said) },
];
