import type { Schemas } from '../../lib/api';
import { count } from '../../lib/format';
import { DataTable, type Column } from '../../ui/DataTable';
import { Notice } from '../../ui/Notice';

type Fault = Schemas['SheetFault'];

/** Cells of a sheet that cannot be so, for which nothing of it is done. */
export function SheetFaults({ faults, marked }: { faults: Fault[]; marked: string | null }) {
  return (
    <>
      <Notice look="alarm">
        {count(faults.length)} {faults.length === 1 ? 'cell' : 'cells'} cannot be so: nothing of the sheet is imported.{' '}
        {marked !== null && (
          <a href={marked} download className="underline">
            Download it with each of them marked
          </a>
        )}
      </Notice>
      <DataTable
        label="Cells that cannot be so"
        rows={faults}
        columns={faultColumns}
        keyOf={({ row, column }) => `${row} ${column}`}
        rowHeight={null}
        empty=""
      />
    </>
  );
}

const faultColumns: Column<Fault>[] = [
  { id: 'row', head: 'Row', numeric: true, text: ({ row }) => String(row), cell: ({ row }) => (row === 0 ? '–' : row) },
  {
    id: 'column',
    head: 'Column',
    text: ({ column }) => column,
    cell: ({ column }) => column.replaceAll('_', ' '),
  },
  { id: 'reason', head: 'Reason', text: ({ reason }) => reason, cell: ({ reason }) => reason },
];
