import type { CellObject, SheetData } from 'write-excel-file/browser';
import type { TextColumn } from './tableText';

export interface SheetColumn<Row> extends TextColumn<Row> {
  numeric?: boolean;
}

/** Digits that a spreadsheet keeps of a number. More stay text, so that none is lost. */
const DIGITS = 15;

/** Rows as an Office Open XML workbook (ISO/IEC 29500) with a head: numbers and days can be reckoned with, all else is text. */
export async function toXlsx<Row>(columns: SheetColumn<Row>[], rows: Row[]): Promise<Blob> {
  // Loaded when somebody wants it: most never do.
  const { default: write } = await import('write-excel-file/browser');
  const texts = rows.map((row) => columns.map((column) => column.text(row)));
  const sheet: SheetData = [
    columns.map(({ head }) => ({ value: head, type: String, fontWeight: 'bold' as const })),
    ...texts.map((line) => line.map((text, at) => cell(text, columns[at]?.numeric ?? false))),
  ];
  const widths = columns.map(({ head }, at) => {
    const longest = Math.max(head.length, ...texts.map((line) => line[at]?.length ?? 0));
    return { width: Math.min(60, longest + 2) };
  });
  return write(sheet, { columns: widths, stickyRowsCount: 1 }).toBlob();
}

function cell(text: string, numeric: boolean): CellObject | null {
  if (text === '') return null;
  if (numeric && /^-?\d+(\.\d+)?$/.test(text) && text.replace(/\D/g, '').length <= DIGITS)
    return { value: Number(text), type: Number };
  if (/^\d{4}-\d{2}-\d{2}$/.test(text))
    return { value: new Date(`${text}T00:00:00Z`), type: Date, format: 'yyyy-mm-dd' };
  return { value: text, type: String };
}
