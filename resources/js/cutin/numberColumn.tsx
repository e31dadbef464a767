import type { Column } from '../ui/DataTable';

/** A number of an item or a document, set so that its digits stand below one another. */
export function numberColumn<Row>(id: string, head: string, text: (row: Row) => string): Column<Row> {
  return {
    id,
    head,
    className: 'whitespace-nowrap',
    text,
    cell: (row) => <span className="font-mono text-sm">{text(row)}</span>,
  };
}
