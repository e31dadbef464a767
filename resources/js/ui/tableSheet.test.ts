import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { toXlsx } from './tableSheet';

interface Row {
  number: string;
  quantity: string;
  due: string;
}

const columns = [
  { head: 'Number', text: (row: Row) => row.number },
  { head: 'Quantity', text: (row: Row) => row.quantity, numeric: true },
  { head: 'Due', text: (row: Row) => row.due },
];

/** The cells of the sheet by their place: what is written in them, and as what. */
async function sheet(rows: Row[]) {
  const file = await toXlsx(columns, rows);
  const bytes = await new Promise<ArrayBuffer>((done) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as ArrayBuffer);
    reader.readAsArrayBuffer(file);
  });
  const files = unzipSync(new Uint8Array(bytes));
  const read = (name: string) =>
    new DOMParser().parseFromString(strFromU8(files[name] ?? new Uint8Array()), 'application/xml');
  const shared = [...read('xl/sharedStrings.xml').querySelectorAll('si')].map((one) => one.textContent);
  const cells = new Map<string, { value: string; text: boolean }>();
  for (const one of read('xl/worksheets/sheet1.xml').querySelectorAll('c')) {
    const text = one.getAttribute('t') === 's';
    const value = one.querySelector('v')?.textContent ?? '';
    cells.set(one.getAttribute('r') ?? '', { value: text ? (shared[Number(value)] ?? '') : value, text });
  }
  return cells;
}

describe('a table as a workbook', () => {
  it('has a head, numbers as numbers and days as days', async () => {
    const cells = await sheet([{ number: '200-0040', quantity: '0.250000', due: '2027-04-14' }]);
    expect(cells.get('A1')).toEqual({ value: 'Number', text: true });
    expect(cells.get('A2')).toEqual({ value: '200-0040', text: true });
    expect(cells.get('B2')).toEqual({ value: '0.25', text: false });
    // Days are counted from 30 December 1899.
    expect(cells.get('C2')).toEqual({ value: '46491', text: false });
  });

  it('never turns text into a number or a formula, and loses no digit', async () => {
    const cells = await sheet([
      { number: '0040', quantity: '9007199254740993.000001', due: '' },
      { number: '=1+1', quantity: 'not known', due: 'soon' },
    ]);
    expect(cells.get('A2')).toEqual({ value: '0040', text: true });
    expect(cells.get('B2')).toEqual({ value: '9007199254740993.000001', text: true });
    expect(cells.get('C2')?.value ?? '').toBe('');
    expect(cells.get('A3')).toEqual({ value: '=1+1', text: true });
    expect(cells.get('B3')).toEqual({ value: 'not known', text: true });
    expect(cells.get('C3')).toEqual({ value: 'soon', text: true });
  });

  it('is a sheet with a head alone when there are no rows', async () => {
    expect([...(await sheet([])).keys()]).toEqual(['A1', 'B1', 'C1']);
  });
});
