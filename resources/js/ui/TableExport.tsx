import { useMutation } from '@tanstack/react-query';
import { download } from '../lib/download';
import { toXlsx, type SheetColumn } from './tableSheet';
import { toCsv } from './tableText';

interface Props<Row> {
  name: string;
  columns: SheetColumn<Row>[];
  /** All rows of the table, in the order on screen. */
  rows: () => Promise<Row[]>;
}

const look = 'target text-accent underline-offset-3 hover:underline';

/** Exports a table as a file: all of its rows, in the order on screen. */
export function TableExport<Row>({ name, columns, rows }: Props<Row>) {
  const xlsx = useMutation({
    mutationFn: async () => toXlsx(columns, await rows()),
    onSuccess: (file) => download(`${name}.xlsx`, file),
  });
  const csv = useMutation({
    // A spreadsheet takes the mark at the beginning for what it is: letters in UTF-8.
    mutationFn: async () => new Blob(['\ufeff', toCsv(columns, await rows())], { type: 'text/csv;charset=utf-8' }),
    onSuccess: (file) => download(`${name}.csv`, file),
  });
  return (
    <>
      {(xlsx.isError || csv.isError) && <span role="alert">The file could not be written.</span>}
      <button
        type="button"
        className={look}
        aria-disabled={csv.isPending}
        onClick={() => !csv.isPending && csv.mutate()}
      >
        Export CSV
      </button>
      <button
        type="button"
        className={look}
        aria-disabled={xlsx.isPending}
        onClick={() => !xlsx.isPending && xlsx.mutate()}
      >
        XLSX
      </button>
    </>
  );
}
