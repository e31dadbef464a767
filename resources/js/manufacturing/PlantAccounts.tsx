import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['PlantAccount'];

const columns = (order: string): Column<Row>[] => [
  { id: 'item', head: 'Item', text: ({ item }) => item, cell: ({ item }) => <ItemNumber number={item} /> },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  { id: 'plant', head: 'Plant', text: ({ plant }) => plant, cell: ({ plant }) => plant },
  { id: 'built', head: 'Builds it by', text: ({ built }) => built ?? '', cell: ({ built }) => built ?? 'not yet' },
  {
    id: 'edits',
    head: 'Changed by the order',
    text: ({ edits }) => edits.join('; '),
    cell: ({ edits }) => (edits.length === 0 ? 'nothing' : edits.join('; ')),
  },
  {
    id: 'open',
    head: 'Accountability',
    text: ({ open, lines }) => `${open} of ${lines}`,
    sort: ({ open }) => open,
    cell: ({ item, plant, open, lines }) => (
      <Link
        to={`/items/${item}?kind=manufacturing&plant=${encodeURIComponent(plant)}&view=accounted&order=${order}`}
        className="py-[2.5px] text-accent hover:underline"
      >
        {open === 0 ? `■ complete, ${count(lines)} lines` : `▲ ${count(open)} of ${count(lines)} lines open`}
      </Link>
    ),
  },
];

/** The plants that build what an order revises, and what each would still have to take over. */
export function PlantAccounts({ order, rows }: { order: string; rows: Row[] }) {
  return (
    <DataTable
      label={`Plants that build what ${order} revises`}
      exportName={`${order}-accountability`}
      rows={rows}
      keyOf={({ item, plant }) => `${item} ${plant}`}
      columns={columns(order)}
      rowHeight={null}
      empty="No plant builds what this order revises."
    />
  );
}
