import type { Schemas } from '../lib/api';
import { signed, signedMinutes } from '../lib/format';
import { inMoney } from '../lib/settings';
import { DataTable, type Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['BuiltProductCost'];

const columns: Column<Row>[] = [
  {
    id: 'product',
    head: 'Product',
    text: ({ product }) => product,
    cell: ({ product }) => <ItemNumber number={product} />,
  },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  { id: 'plant', head: 'As built at', text: ({ plant }) => plant, cell: ({ plant }) => plant },
  {
    id: 'minutes',
    head: 'Work, min',
    numeric: true,
    text: ({ minutes }) => minutes,
    cell: ({ minutes }) => signedMinutes(minutes),
  },
  {
    id: 'difference',
    get head() {
      return inMoney('Material and work');
    },
    numeric: true,
    text: ({ difference }) => difference,
    cell: ({ difference }) => signed(difference),
  },
];

/** The one of which the work changes most. */
export const hardest = (rows: Row[]) =>
  rows.reduce((most, row) => (Math.abs(Number(row.minutes)) > Math.abs(Number(most.minutes)) ? row : most));

/** What end products take and cost more as plants build them. */
export function BuiltProducts({ rows }: { rows: Row[] }) {
  return (
    <DataTable
      label="Minutes and money by product and plant"
      exportName="work-by-product"
      rows={rows}
      columns={columns}
      keyOf={({ product, plant }) => `${product} ${plant}`}
      empty="The work in no product changes."
    />
  );
}
