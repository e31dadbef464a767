import type { Schemas } from '../lib/api';
import { DataTable, type Column } from '../ui/DataTable';
import { usedInColumn, usedQuantityColumn, usedWhole } from './usedColumns';

type Row = Schemas['UsedInRow'];

interface Props {
  rows: Row[];
  /** The item whose uses these are. */
  number: string;
}

const columns: Column<Row>[] = [
  { id: 'level', head: 'Level', text: (row) => String(row.level), cell: (row) => row.level },
  {
    ...usedInColumn,
    cell: (row) => (
      <>
        {usedInColumn.cell(row)}
        {row.level > 1 && <span className="block text-sm text-soft">through {row.through.join(', ')}</span>}
      </>
    ),
  },
  usedQuantityColumn,
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
      whole={usedWhole}
      keyOf={(row) => `${row.item.number} ${row.revision ?? ''}`}
      rowClass={(row) => (row.item.sold ? 'bg-accent-soft' : '')}
      rowHeight={48}
      empty={`Nothing uses ${number} on that day.`}
    />
  );
}
