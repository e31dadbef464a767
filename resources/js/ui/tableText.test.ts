import { expect, it } from 'vitest';
import { fromTabs, toCsv, toTabs } from './tableText';

interface Row {
  name: string;
  note: string;
}

const columns = [
  { head: 'Name', text: (row: Row) => row.name },
  { head: 'Note', text: (row: Row) => row.note },
];

it('writes CSV that a spreadsheet reads as text, not as a formula', () => {
  expect(toCsv(columns, [{ name: '=1+1', note: 'say "so", twice' }])).toBe(
    'Name,Note\r\n\'=1+1,"say ""so"", twice"\r\n',
  );
  expect(toCsv(columns, [{ name: '-12.5', note: '' }])).toBe('Name,Note\r\n-12.5,\r\n');
});

it('copies and pastes a block unchanged', () => {
  const rows = [
    { name: 'R1', note: 'twist' },
    { name: 'R2', note: '' },
  ];
  expect(fromTabs(toTabs(columns, rows))).toEqual([
    ['R1', 'twist'],
    ['R2', ''],
  ]);
});

it('reads what spreadsheets put on the clipboard', () => {
  expect(fromTabs('10\t2\r\n20\t 4 \r\n')).toEqual([
    ['10', '2'],
    ['20', '4'],
  ]);
});
