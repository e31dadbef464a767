import { useMemo, useState } from 'react';
import { DataTable, type Column } from '../ui/DataTable';
import { Mark } from '../ui/Mark';
import { isBare, redlineColumns } from './redlineColumns';
import type { Field } from './redlineFields';
import { RedlineValue } from './RedlineValue';
import type { Redline, RedlineRow } from './useRedline';

const difference: Column<RedlineRow> = {
  id: 'difference',
  head: 'Difference',
  className: 'w-28',
  text: (row) => row.mark,
  cell: (row) => <Mark value={row.mark} word />,
};
const readable = redlineColumns.map((column) => ({
  ...column,
  cell: (row: RedlineRow) => <RedlineValue row={row} field={column.id as Field} />,
}));

/** What was and what will be, to be read: first what differs; all lines on demand. */
export function ReviewTable({ redline }: { redline: Redline }) {
  const [all, setAll] = useState(false);
  const differ = redline.rows.filter((row) => row.mark !== 'unchanged');
  const columns = useMemo(
    () => [difference, ...readable.filter(({ id }) => !isBare(id as Field, redline.rows))],
    [redline.rows],
  );
  const rest = redline.rows.length - differ.length;
  return (
    <>
      <DataTable
        label={`Before and after of ${redline.item.number}`}
        exportName="before-and-after"
        rows={all ? redline.rows : differ}
        columns={columns}
        keyOf={(row) => row.key}
        rowClass={(row) => `mark-${row.mark}`}
        rowHeight={48}
        fixedOrder
        empty="No line differs."
      />
      <button
        type="button"
        aria-expanded={all}
        className="no-print mt-1 text-sm text-accent hover:underline"
        onClick={() => setAll(!all)}
      >
        {all ? 'Show differences only' : `Show the ${rest} unchanged lines`}
      </button>
    </>
  );
}
