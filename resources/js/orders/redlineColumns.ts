import type { Column } from '../ui/DataTable';
import { fields as ofEngineering, heads, seldom, values, type Field } from './redlineFields';
import type { RedlineRow } from './useRedline';

const told = (before: string | null, after: string | null) =>
  before === null || after === null || before === after ? (after ?? before ?? '') : `${before} → ${after}`;

const columnOf = (field: Field): Column<RedlineRow> => ({
  id: field,
  head: heads[field],
  numeric: field === 'quantity',
  text: (row) => {
    const { before, after } = values(row, field);
    return told(before, after);
  },
  cell: () => null,
});

/** The fields of a line as columns, read as what was and what will be. */
export const redlineColumns: Column<RedlineRow>[] = ofEngineering.map(columnOf);

/** Whether it is a field that lines seldom have, and none of these has. */
export function isBare(field: Field, rows: RedlineRow[]): boolean {
  const says = ({ before, after }: ReturnType<typeof values>) => [before, after].some((text) => (text ?? '') !== '');
  return seldom.includes(field) && !rows.some((row) => says(values(row, field)));
}

/**
 * Those of the grid that edits, with who edited a line. Fields in which no line says anything are hidden until somebody
 * asks for them.
 */
export function gridColumns(rows: RedlineRow[], wide: boolean, fields: readonly Field[]): Column<RedlineRow>[] {
  return [
    ...fields.map((field) => (!wide && isBare(field, rows) ? { ...columnOf(field), hidden: true } : columnOf(field))),
    {
      id: 'edited',
      head: 'Edited',
      text: (row) => [row.edited_by, row.task].filter(Boolean).join(' '),
      cell: () => null,
    },
  ];
}
