import type { Schemas } from '../lib/api';
import { usedQuantity } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['UsedInRow'];

/** The item above: number, title, revision, and whether it is sold. */
export const usedInColumn: Column<Row> = {
  id: 'used-in',
  head: 'Used in',
  text: (row) => row.item.number,
  cell: (row) => (
    <>
      <ItemNumber number={row.item.number} /> {row.item.title}
      {row.revision !== null && `, revision ${row.revision}`}
      {row.item.sold && <b className="font-semibold text-accent"> · sold</b>}
    </>
  ),
};

export const usedQuantityColumn: Column<Row> = {
  id: 'quantity',
  head: 'Qty per assembly',
  numeric: true,
  text: (row) => row.quantity,
  cell: (row) => (
    <span className="whitespace-nowrap">
      {usedQuantity(row.quantity)} {row.unit}
    </span>
  ),
};

export const usedWhole = [
  { head: 'Level', text: (row: Row) => String(row.level), numeric: true },
  { head: 'Used in', text: (row: Row) => row.item.number },
  { head: 'Title', text: (row: Row) => row.item.title },
  { head: 'Revision', text: (row: Row) => row.revision ?? '' },
  { head: 'Sold', text: (row: Row) => (row.item.sold ? 'yes' : '') },
  { head: 'Through', text: (row: Row) => row.through.join(', ') },
  { head: 'Qty per assembly', text: (row: Row) => row.quantity, numeric: true },
  { head: 'Unit', text: (row: Row) => row.unit },
];
