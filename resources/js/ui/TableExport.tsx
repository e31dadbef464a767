import { useMutation } from '@tanstack/react-query';
import { download } from '../lib/download';
import { toXlsx, type SheetColumn } from './tableSheet';
import { toCsv } from './tableText';

interface Props<Row> {
  name: string;
  columns: SheetColumn<Row>[];
  rows: Row[];
}

const look = 'min-h-6 text-accent underline-offset-3 hover:underline';

/** Takes a table along as a file: all of its rows, in the order on screen. */
export function TableExport<Row>({ name, columns, rows }: Props<Row>) {
  const xlsx = useMutation({
    mutationFn: () => toXlsx(columns, rows),
    onSuccess: (file) => download(`${name}.xlsx`, file),
  });
  // A spreadsheet takes the mark at the beginning for what it is: letters in UTF-8.
  const csv = () =>
    download(`${name}.csv`, new Blob(['\ufeff', toCsv(columns, rows)], { type: 'text/csv;charset=utf-8' }));

  return (
    <span className="no-print space-x-3 whitespace-nowrap">
      {xlsx.isError && <span role="alert">The file could not be written.</span>}
      <button type="button" className={look} onClick={csv}>
        Export CSV
      </button>
      <button type="button" className={look} disabled={xlsx.isPending} onClick={() => xlsx.mutate()}>
        XLSX
      </button>
    </span>
  );
}
