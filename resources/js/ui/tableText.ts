export interface TextColumn<Row> {
  head: string;
  text: (row: Row) => string;
}

/** Rows as text with tabs between cells, as spreadsheets paste them. */
export function toTabs<Row>(columns: TextColumn<Row>[], rows: Row[]): string {
  return rows.map((row) => columns.map((column) => column.text(row).replace(/[\t\r\n]+/g, ' ')).join('\t')).join('\n');
}

/**
 * Rows as CSV (RFC 4180) with a head. A cell that a spreadsheet would take for a formula gets an apostrophe in front, and so
 * does one that has apostrophes before a formula already: each reads back as it was.
 */
export function toCsv<Row>(columns: TextColumn<Row>[], rows: Row[]): string {
  const cell = (text: string) => {
    const safe =
      /^'*[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20]/.test(text) && !/^-?\d+(\.\d+)?$/.test(text) ? `'${text}` : text;
    return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
  };
  const lines = [
    columns.map((column) => cell(column.head)),
    ...rows.map((row) => columns.map((c) => cell(c.text(row)))),
  ];
  return lines.map((line) => `${line.join(',')}\r\n`).join('');
}

/** A block copied from a spreadsheet, as rows of cells. */
export function fromTabs(text: string): string[][] {
  return text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((line) => line.split('\t').map((cell) => cell.trim()));
}

/** What a table is called, as the name of a file. */
export function fileName(label: string): string {
  return label
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '');
}

/** Under which name the layout of a table is remembered: tables of one kind have one, whatever record they are of. */
export function layoutName(file: string): string {
  const parts = file.split('-').filter((part) => /^[a-z]+$/.test(part));
  return parts.join('-').slice(0, 80) || 'table';
}
