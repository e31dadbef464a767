import { parseDay } from '../lib/days';
import { typedNumber } from '../lib/format';
import { plantFields as allFields, heads, values, type Field } from './redlineFields';
import type { LineEdit, RedlineRow } from './useRedline';

interface Place {
  row: number;
  field: number;
}

/** What a cell says, as the server reads it: days as ISO 8601 writes them. */
export function written(field: Field, text: string, today: string): string {
  const said = text.trim();
  if (field === 'quantity') return typedNumber(said);
  return field === 'first_day' || field === 'last_day' ? (parseDay(said, today) ?? said) : said;
}

/**
 * What pasting a block of cells at a place would do: edits of the lines it lies on, and new lines where it goes beyond the
 * last one. Nothing is dropped: a block that does not fit is told as a whole, with the reason.
 */
export function pasteBlock(
  block: string[][],
  at: Place,
  rows: RedlineRow[],
  fields: Field[],
  today: string,
): { edits: LineEdit[] } | { reason: string } {
  const width = Math.max(...block.map((cells) => cells.length));
  if (width > fields.length - at.field)
    return {
      reason: `The block is ${width} columns wide, and from ${heads[fields[at.field] ?? 'find']} on there are ${fields.length - at.field}. Paste it further to the left, or copy fewer columns.`,
    };
  const named = fields.slice(at.field, at.field + width);
  const edits: LineEdit[] = [];
  const last = rows.at(-1);
  // In a grid of many structures what goes beyond the last line belongs to the structure of that one.
  const among = last === undefined ? [] : rows.filter((row) => structureOf(row) === structureOf(last));
  let find = Math.max(0, ...among.map((row) => Math.max(row.after?.find ?? 0, row.before?.find ?? 0)));
  for (const [down, cells] of block.entries()) {
    const said = Object.fromEntries(
      cells.map((cell, across) => [named[across] ?? 'find', written(named[across] ?? 'find', cell, today)]),
    ) as Partial<Record<Field, string>>;
    const row = rows[at.row + down];
    if (row === undefined) {
      if ((said.component ?? '') === '')
        return {
          reason: `The block has ${block.length - down === 1 ? 'a row' : `${block.length - down} rows`} beyond the last line, and ${block.length - down === 1 ? 'it names' : 'they name'} no component. A new line needs one: copy the column of the component along.`,
        };
      find = said.find === undefined || said.find === '' ? find + 10 : Math.max(find, Number(said.find) || 0);
      edits.push({
        operation: 'add',
        line: '',
        fields: { quantity: '1', find: String(find), ...withoutEmpty(said) },
        beside: last?.key,
      });
      continue;
    }
    if (row.after === null)
      return {
        reason: `Row ${down + 1} of the block lies on line ${row.before?.find}, which is removed. Undo that first.`,
      };
    const changed = Object.fromEntries(
      Object.entries(said).filter(([field, text]) => text !== values(row, field as Field).after),
    );
    if (Object.keys(changed).length > 0)
      edits.push({ operation: changed.component === undefined ? 'change' : 'replace', line: row.key, fields: changed });
  }
  return { edits };
}

/** Rows of many structures are told apart by what stands before the key of the line. */
function structureOf(row: RedlineRow): string {
  return row.key.includes(' ') ? (row.key.split(' ')[0] ?? '') : '';
}

function withoutEmpty(said: Partial<Record<Field, string>>): Partial<Record<Field, string>> {
  return Object.fromEntries(Object.entries(said).filter(([, text]) => text !== ''));
}

/** Where an edit of a block was refused, in words: "Row 3, Quantity". */
export function placeInBlock(place: string): string {
  const [, at, field = ''] = /^edits\.(\d+)\.(.*)$/.exec(place) ?? [];
  if (at === undefined) return '';
  const head = allFields.find((one) => one === field);
  return `Row ${Number(at) + 1}${head === undefined ? '' : `, ${heads[head]}`}: `;
}
