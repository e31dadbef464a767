import { values, type Field } from '../redlineFields';
import type { LineEdit } from '../useRedline';
import { placeOf, type SheetRow } from './sheetRows';

const changed = (row: SheetRow, fields: Partial<Record<Field, string>>): LineEdit => ({
  operation: fields.component === undefined ? 'change' : 'replace',
  line: row.key,
  fields,
});

/**
 * What finding and replacing would do in one column: a component is another one as a whole; of other fields each place where the text
 * stands is replaced, or what is empty filled where nothing is looked for.
 */
export function replaced(rows: SheetRow[], field: Field, find: string, by: string): LineEdit[] {
  return rows.flatMap((row) => {
    const is = values(row, field).after;
    if (is === null) return [];
    const whole = field === 'component' || find === '';
    if (whole ? is !== find : !is.includes(find)) return [];
    const text = whole ? by : is.replaceAll(find, by);
    return text === is ? [] : [changed(row, { [field]: text })];
  });
}

/** New find numbers in the order of the rows, in each structure from the start on. */
export function renumbered(rows: SheetRow[], start: number, step: number): LineEdit[] {
  const next = new Map<number, number>();
  return rows.flatMap((row) => {
    if (row.after === null) return [];
    const find = next.get(row.subject) ?? start;
    next.set(row.subject, find + step);
    return row.after.find === find ? [] : [changed(row, { find: String(find) })];
  });
}

const COPIED: Field[] = ['component', 'quantity', 'unit', 'designators', 'notes', 'first_day', 'last_day', 'revision'];

/** The same lines in another structure, after its last one; moved: and no longer where they were. */
export function copied(rows: SheetRow[], all: SheetRow[], to: number, moves: boolean): LineEdit[] {
  const there = all.filter((row) => row.subject === to);
  let find = Math.max(0, ...there.map((row) => row.after?.find ?? 0));
  return rows.flatMap((row): LineEdit[] => {
    if (row.after === null || row.subject === to) return [];
    find += 10;
    const said = COPIED.map((field) => [field, values(row, field).after ?? ''] as const).filter(
      ([, text]) => text !== '',
    );
    const added: LineEdit = {
      operation: 'add',
      line: '',
      fields: { find: String(find), ...Object.fromEntries(said) },
      beside: `${to} `,
    };
    return moves ? [added, { operation: 'remove', line: row.key, fields: {} }] : [added];
  });
}

/** The structures that edits are of, by their place. */
export function subjectsOf(edits: LineEdit[]): number[] {
  return [...new Set(edits.map((edit) => placeOf(edit.beside ?? edit.line).subject))];
}
