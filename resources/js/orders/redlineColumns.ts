import type { Column } from '../ui/DataTable';
import { fields, heads, seldom, values, type Field } from './redlineFields';
import type { RedlineRow } from './useRedline';

const told = (before: string | null, after: string | null) =>
  before === null || after === null || before === after ? (after ?? before ?? '') : `${before} → ${after}`;

/** The fields of a line as columns, read as what was and what will be. */
export const redlineColumns: Column<RedlineRow>[] = fields.map((field) => ({
  id: field,
  head: heads[field],
  numeric: field === 'quantity',
  text: (row) => {
    const { before, after } = values(row, field);
    return told(before, after);
  },
  cell: () => null,
}));

/** Whether it is a field that lines seldom have, and none of these has. */
export function isBare(field: Field, rows: RedlineRow[]): boolean {
  return seldom.includes(field) && !rows.some((row) => row.before?.[field] != null || row.after?.[field] != null);
}

/**
 * Those of the grid that edits, with who edited a line. Fields in which no line says anything are hidden until somebody
 * asks for them.
 */
export function gridColumns(rows: RedlineRow[], wide: boolean): Column<RedlineRow>[] {
  return [
    ...redlineColumns.map((column) =>
      !wide && isBare(column.id as Field, rows) ? { ...column, hidden: true } : column,
    ),
    { id: 'edited', head: 'Edited', text: (row) => row.edited_by ?? '', cell: () => null },
  ];
}
