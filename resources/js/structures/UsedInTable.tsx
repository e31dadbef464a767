import type { Schemas } from '../lib/api';
import { usedQuantity } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['UsedInRow'];

interface Props {
  rows: Row[];
  /** The item whose uses these are. */
  number: string;
}

const whole = [
  { head: 'Level', text: (row: Row) => String(row.level), numeric: true },
  { head: 'Used in', text: (row: Row) => row.item.number },
  { head: 'Title', text: (row: Row) => row.item.title },
  { head: 'Revision', text: (row: Row) => row.revision ?? '' },
  { head: 'Sold', text: (row: Row) => (row.item.sold ? 'yes' : '') },
  { head: 'Through', text: (row: Row) => row.through.join(', ') },
  { head: 'Qty per assembly', text: (row: Row) => row.quantity, numeric: true },
  { head: 'Unit', text: (row: Row) => row.unit },
];

const columns: Column<Row>[] = [
  { id: 'level', head: 'Level', text: (row) => String(row.level), cell: (row) => row.level },
  {
    id: 'used-in',
    head: 'Used in',
    text: (row) => row.item.number,
    cell: (row) => (
      <>
        <ItemNumber number={row.item.number} /> {row.item.title}
        {row.revision !== null && `, revision ${row.revision}`}
        {row.item.sold && <b className="font-semibold text-accent"> · sold</b>}
        {row.level > 1 && <span className="block text-sm text-soft">through {row.through.join(', ')}</span>}
      </>
    ),
  },
  {
    id: 'quantity',
    head: 'Qty per assembly',
    numeric: true,
    text: (row) => row.quantity,
    cell: (row) => (
      <span className="whitespace-nowrap">
        {usedQuantity(row.quantity)} {row.unit}
      </span>
    ),
  },
];

/** The items above one item: the level, the item, through what it comes there, and how much goes into one. */
export function UsedInTable({ rows, number }: Props) {
  return (
    <DataTable
      label={`Where ${number} is used`}
      exportName={`where-${number}-is-used`}
      sortParam={`sort-used-${number}`}
      rows={rows}
      columns={columns}
      whole={whole}
      keyOf={(row) => `${row.item.number} ${row.revision ?? ''}`}
      rowClass={(row) => (row.item.sold ? 'bg-accent-soft' : '')}
      rowHeight={48}
      empty={`Nothing uses ${number} on that day.`}
    />
  );
}
