import type { Schemas } from '../lib/api';
import { amount, quantity } from '../lib/format';
import { inMoney } from '../lib/settings';
import { supplyKinds } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['ExposureOfItem'];

const kinds = Object.keys(supplyKinds) as (keyof typeof supplyKinds)[];
const totalOf = (row: Row, kind: string) => row.totals.find((one) => one.kind === kind);

const columns: Column<Row>[] = [
  { id: 'item', head: 'Item', text: (row) => row.item, cell: (row) => <ItemNumber number={row.item} /> },
  ...kinds.map((kind): Column<Row> => ({
    id: kind,
    head: supplyKinds[kind],
    numeric: true,
    text: (row) => totalOf(row, kind)?.quantity ?? '',
    cell: (row) => {
      const total = totalOf(row, kind);
      return total ? (
        <span className="whitespace-nowrap">
          {quantity(total.quantity)} {total.unit}
          <span className="text-sm text-soft"> in {total.rows}</span>
        </span>
      ) : (
        <span className="text-soft">{row.known ? 'none' : 'not known'}</span>
      );
    },
  })),
  {
    id: 'value',
    get head() {
      return inMoney('Value');
    },
    numeric: true,
    text: (row) => row.value,
    cell: (row) => amount(row.value),
  },
];

const whole = [
  { head: 'Item', text: (row: Row) => row.item },
  ...kinds.flatMap((kind) => [
    { head: supplyKinds[kind], numeric: true, text: (row: Row) => totalOf(row, kind)?.quantity ?? '' },
    { head: `${supplyKinds[kind]}, unit`, text: (row: Row) => totalOf(row, kind)?.unit ?? '' },
  ]),
  { head: 'Value', numeric: true, text: (row: Row) => row.value },
  { head: 'Currency', text: (row: Row) => row.currency },
];

/** What is at stake of each item: so much of each kind, in so many documents, and what all of it is worth. */
export function ExposureTotals({ rows }: { rows: Row[] }) {
  return (
    <DataTable
      label="Exposure by item"
      exportName="exposure-by-item"
      rows={rows}
      columns={columns}
      whole={whole}
      keyOf={(row) => row.item}
      empty="No item is affected."
    />
  );
}
