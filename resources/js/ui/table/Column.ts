import type { ReactNode } from 'react';

/** One column of a table. What is shown, copied, sorted by and exported are four things; each has a value of its own where it has to. */
export interface Column<Row> {
  id: string;
  head: string;
  /** As it is shown. */
  cell: (row: Row) => ReactNode;
  /** As it is copied; sorted and exported by too, where these do not say otherwise. */
  text: (row: Row) => string;
  /** What rows are put in order by: numbers as numbers, ranks as ranks. Null stands last, whichever way. */
  sort?: (row: Row) => string | number | null;
  /** As it stands in a file: in words, days and moments as ISO 8601 writes them. */
  exported?: (row: Row) => string;
  numeric?: boolean;
  className?: string;
  /** Not shown until somebody chooses it. */
  hidden?: boolean;
  /** It holds something to press or to look at, not something to read: it is neither sorted, copied nor exported. */
  silent?: boolean;
}

const DECIMAL = /^-?\d+(\.\d+)?$/;

/** The value of a column that rows are sorted by. */
export function sortValue<Row>(column: Column<Row>, row: Row): string | number | null {
  if (column.sort) return column.sort(row);
  const text = column.text(row);
  return text === '' ? null : text;
}

const words = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** Which of two values comes first. Decimals are compared as numbers, also as text; all else as people sort words. */
export function compareValues(a: string | number, b: string | number): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  const [left, right] = [String(a), String(b)];
  if (DECIMAL.test(left) && DECIMAL.test(right)) return compareDecimals(left, right);
  return words.compare(left, right) || (left < right ? -1 : left > right ? 1 : 0);
}

/** Exact, however many digits there are. */
function compareDecimals(a: string, b: string): number {
  const negative = a.startsWith('-');
  if (negative !== b.startsWith('-')) return Number(a) === 0 && Number(b) === 0 ? 0 : negative ? -1 : 1;
  const parts = (text: string) => {
    const [whole = '0', fraction = ''] = text.replace('-', '').split('.');
    return [whole.replace(/^0+(?=\d)/, ''), fraction] as const;
  };
  const [[wholeA, fractionA], [wholeB, fractionB]] = [parts(a), parts(b)];
  const size = Math.max(fractionA.length, fractionB.length);
  const [left, right] = [fractionA.padEnd(size, '0'), fractionB.padEnd(size, '0')];
  const sign = negative ? -1 : 1;
  if (wholeA.length !== wholeB.length) return sign * (wholeA.length - wholeB.length);
  if (wholeA !== wholeB) return sign * (wholeA < wholeB ? -1 : 1);
  return left === right ? 0 : sign * (left < right ? -1 : 1);
}

/** Rows in the order of a column; those that have no value there stand last, whichever way; ties stay as they were. */
export function inOrder<Row>(rows: Row[], column: Column<Row>, down: boolean): Row[] {
  const turn = down ? -1 : 1;
  const values = rows.map((row) => [row, sortValue(column, row)] as const);
  return values
    .sort(([, a], [, b]) => {
      if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
      return turn * compareValues(a, b);
    })
    .map(([row]) => row);
}
