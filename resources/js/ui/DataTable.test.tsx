import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import * as files from '../lib/download';
import { tableLayouts } from '../lib/tableLayouts';
import { server } from '../testing/server';
import { mira, show } from '../testing/show';
import { DataTable, type Column } from './DataTable';
import * as sheets from './tableSheet';
import { layoutName } from './tableText';

interface Part {
  number: string;
  quantity: string;
}

const columns: Column<Part>[] = [
  { id: 'number', head: 'Number', text: (part) => part.number, cell: (part) => <b>{part.number}</b> },
  { id: 'quantity', head: 'Quantity', numeric: true, text: (part) => part.quantity, cell: (part) => part.quantity },
];
const parts: Part[] = [
  { number: '200-0040', quantity: '12' },
  { number: '200-0010', quantity: '9' },
  { number: '200-0030', quantity: '100' },
];

async function table(more: Partial<Parameters<typeof DataTable<Part>>[0]> = {}) {
  return show(
    <DataTable
      label="Parts"
      rows={parts}
      columns={columns}
      keyOf={(part) => part.number}
      empty="No parts."
      {...more}
    />,
  );
}

const numbers = () =>
  within(screen.getByRole('grid', { name: 'Parts' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('gridcell')[0]?.textContent);

describe('a table', () => {
  it('keeps the order it is given until a head is pressed', async () => {
    const user = await table();
    expect(numbers()).toEqual(['200-0040', '200-0010', '200-0030']);
    await user.click(screen.getByRole('button', { name: 'Number' }));
    expect(numbers()).toEqual(['200-0010', '200-0030', '200-0040']);
    await user.click(screen.getByRole('button', { name: /^Number/ }));
    expect(numbers()).toEqual(['200-0040', '200-0030', '200-0010']);
  });

  it('sorts numbers as numbers and says so to a screen reader', async () => {
    const user = await table();
    await user.click(screen.getByRole('button', { name: 'Quantity' }));
    expect(numbers()).toEqual(['200-0010', '200-0040', '200-0030']);
    const head = screen.getByRole('columnheader', { name: /Quantity/ });
    expect(head.getAttribute('aria-sort')).toBe('ascending');
    await user.click(within(head).getByRole('button'));
    expect(head.getAttribute('aria-sort')).toBe('descending');
  });

  it('is walked by keys: one row takes the tab, arrows, Home and End move, Enter opens', async () => {
    const open = vi.fn();
    const user = await table({ onOpen: open });
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map((row) => row.tabIndex)).toEqual([0, -1, -1]);
    rows[0]?.focus();
    await user.keyboard('{ArrowDown}{ArrowDown}{ArrowDown}');
    expect(document.activeElement).toBe(rows[2]);
    await user.keyboard('{Home}{ArrowUp}{Enter}');
    expect(open).toHaveBeenLastCalledWith(parts[0]);
    await user.keyboard('{End}{Enter}');
    expect(open).toHaveBeenLastCalledWith(parts[2]);
    expect(rows.map((row) => row.tabIndex)).toEqual([-1, -1, 0]);
  });

  it('opens a row by a click, but not when a link or a box in it was meant', async () => {
    const open = vi.fn();
    const user = await table({
      onOpen: open,
      columns: [...columns, { id: 'box', head: 'Box', text: () => '', cell: () => <input type="checkbox" /> }],
    });
    await user.click(screen.getAllByRole('checkbox')[1] ?? document.body);
    expect(open).not.toHaveBeenCalled();
    await user.click(screen.getByText('200-0010'));
    expect(open).toHaveBeenCalledExactlyOnceWith(parts[1]);
  });

  it('copies a row for a spreadsheet, and with Shift all of them in the order on screen', async () => {
    const user = await table();
    const written: string[] = [];
    vi.spyOn(navigator.clipboard, 'writeText').mockImplementation((text) => {
      written.push(text);
      return Promise.resolve();
    });
    await user.click(screen.getByRole('button', { name: 'Number' }));
    screen.getAllByRole('row')[1]?.focus();
    await user.keyboard('{Control>}c{/Control}');
    await user.keyboard('{Control>}{Shift>}c{/Shift}{/Control}');
    expect(written[0]).toBe('200-0010\t9');
    expect(written[1]).toBe('200-0010\t9\n200-0030\t100\n200-0040\t12');
  });

  it('is taken along as CSV or as a workbook, in the order on screen, named after itself', async () => {
    const given: { name: string; file: Blob }[] = [];
    vi.spyOn(files, 'download').mockImplementation((name, file) => void given.push({ name, file }));
    const user = await table({ label: 'Parts, bought here' });
    await user.click(screen.getByRole('button', { name: 'Number' }));
    await user.click(screen.getByRole('button', { name: 'Export CSV' }));
    await user.click(screen.getByRole('button', { name: 'XLSX' }));
    await waitFor(() =>
      expect(given.map(({ name }) => name)).toEqual(['parts-bought-here.csv', 'parts-bought-here.xlsx']),
    );
    const text = await new Promise((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result);
      reader.readAsText(given[0]?.file ?? new Blob());
    });
    expect(text).toBe('Number,Quantity\r\n200-0010,9\r\n200-0030,100\r\n200-0040,12\r\n');
    expect(given[1]?.file.size).toBeGreaterThan(1000);
  });

  it('says so when the workbook cannot be written', async () => {
    vi.spyOn(sheets, 'toXlsx').mockRejectedValue(new Error('no memory'));
    const user = await table();
    await user.click(screen.getByRole('button', { name: 'XLSX' }));
    expect((await screen.findByRole('alert')).textContent).toBe('The file could not be written.');
  });

  it('says what to do when there is nothing, and has no head then', async () => {
    await table({ rows: [], exportName: 'parts' });
    expect(screen.getByText('No parts.')).toBeTruthy();
    expect(screen.queryByRole('grid')).toBeNull();
    expect(screen.queryByText('Export CSV')).toBeNull();
  });
});

describe('the columns of a table', () => {
  const heads = () => screen.getAllByRole('columnheader').map((head) => head.textContent.replace(/[↑↓ ]/g, ''));

  it('are chosen, moved and sized, kept with the person, and put back', async () => {
    server.on('PUT /api/table-layouts/parts', null);
    const user = await table();
    await user.click(screen.getByRole('button', { name: 'Columns' }));
    await user.click(await screen.findByRole('button', { name: 'Move Quantity to the left' }));
    expect(heads()).toEqual(['Quantity', 'Number']);
    await user.click(screen.getByRole('checkbox', { name: 'Number' }));
    expect(heads()).toEqual(['Quantity']);
    // The last one stays: a table without columns is none.
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Quantity' }).disabled).toBe(true);
    await waitFor(() =>
      expect(server.asked('PUT /api/table-layouts/parts').at(-1)?.body).toEqual({
        order: ['quantity', 'number'],
        visibility: { number: false },
        sizing: {},
      }),
    );
    await user.click(screen.getByRole('button', { name: 'Reset columns' }));
    expect(heads()).toEqual(['Number', 'Quantity']);
  });

  it('are moved and sized by keys on their heads', async () => {
    server.on('PUT /api/table-layouts/parts', null);
    const user = await table();
    screen.getByRole('button', { name: 'Number' }).focus();
    await user.keyboard('{Alt>}{ArrowRight}{/Alt}');
    expect(screen.getAllByRole('columnheader')[0]?.style.width).not.toBe('');
    await user.keyboard('{Alt>}{Shift>}{ArrowRight}{/Shift}{/Alt}');
    expect(heads()).toEqual(['Quantity', 'Number']);
  });

  it('are as the person left them elsewhere', async () => {
    tableLayouts.take({ parts: { order: ['quantity', 'number'], visibility: {}, sizing: {} } });
    await show(
      <DataTable label="Parts" rows={parts} columns={columns} keyOf={(part) => part.number} empty="No parts." />,
      { as: { ...mira, table_layouts: { parts: { order: ['quantity', 'number'], visibility: {}, sizing: {} } } } },
    );
    expect(heads()).toEqual(['Quantity', 'Number']);
  });

  it('are remembered for all tables of a kind, whatever record they are of', () => {
    expect(layoutName('where-200-0001-is-used')).toBe('where-is-used');
    expect(layoutName('items-of-ECO-00086')).toBe('items-of');
    expect(layoutName('86')).toBe('table');
  });
});

describe('rows that can be chosen', () => {
  it('are chosen one by one, by Space or all at once, and let go', async () => {
    const acts = vi.fn((rows: Part[], clear: () => void) => (
      <button type="button" onClick={clear}>
        Take {rows.map(({ number }) => number).join(' ')}
      </button>
    ));
    const user = await table({ acts });
    await user.click(screen.getByRole('checkbox', { name: 'Select 200-0010' }));
    expect(screen.getByText('1 selected')).toBeTruthy();
    screen.getAllByRole('row')[1]?.focus();
    await user.keyboard(' ');
    await user.click(screen.getByRole('button', { name: 'Take 200-0040 200-0010' }));
    expect(screen.queryByText(/selected/)).toBeNull();
    await user.click(screen.getByRole('checkbox', { name: 'Select all 3' }));
    expect(screen.getByRole('button', { name: 'Take 200-0040 200-0010 200-0030' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Clear selection' }));
    expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
  });
});

describe('a list that comes in pages', () => {
  it('asks for more, keeps the order of the server, and copies and exports all there is', async () => {
    const rest: Part[] = [...parts, { number: '200-0050', quantity: '1' }];
    const more = vi.fn();
    const write = vi.spyOn(navigator.clipboard, 'writeText').mockResolvedValue();
    const user = await table({ paged: { more, all: () => Promise.resolve(rest) } });
    expect(more).toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Number' }));
    expect(numbers()).toEqual(['200-0040', '200-0010', '200-0030']);
    expect(screen.getByRole('columnheader', { name: /Number/ }).getAttribute('aria-sort')).toBe('ascending');
    screen.getAllByRole('row')[1]?.focus();
    await user.keyboard('{Control>}{Shift>}c{/Shift}{/Control}');
    await waitFor(() => expect(write).toHaveBeenCalledWith(expect.stringContaining('200-0050\t1')));
  });

  it('reads ahead while nobody scrolls, as far as a few screens below', async () => {
    const rows = (count: number): Part[] =>
      Array.from({ length: count }, (_, at) => ({ number: `200-${String(at).padStart(4, '0')}`, quantity: '1' }));
    const more = vi.fn();
    const enough = vi.fn();
    const all = () => Promise.resolve([]);
    await table({ label: 'Some', rows: rows(100), paged: { more, all } });
    await table({ label: 'Many', rows: rows(600), paged: { more: enough, all } });
    await waitFor(() => expect(more).toHaveBeenCalledTimes(1));
    expect(enough).not.toHaveBeenCalled();
  });

  it('is sorted as decimals are, negative ones first, where the table does it itself', async () => {
    const user = await table({
      rows: ['0.5', '-3', '0.25', '-12', ''].map((quantity, at) => ({ number: String(at), quantity })),
    });
    await user.click(screen.getByRole('button', { name: 'Quantity' }));
    expect(numbers()).toEqual(['3', '1', '2', '0', '4']);
    await user.click(screen.getByRole('button', { name: /^Quantity/ }));
    expect(numbers()).toEqual(['0', '2', '1', '3', '4']);
  });
});

describe('a tree', () => {
  const treeOf = async (count: number) => {
    const rows = Array.from({ length: count }, (_, at) => ({ number: String(at), quantity: '1' }));
    await table({
      rows,
      tree: { level: () => 1, open: () => undefined, turn: vi.fn(), name: ({ number }) => number },
    });
    return within(screen.getByRole('treegrid', { name: 'Parts' })).getAllByRole('row').length - 1;
  };

  it('is drawn whole when it is short, so that scrolling it lays out nothing, and in part when it is long', async () => {
    expect(await treeOf(100)).toBe(100);
    cleanup();
    expect(await treeOf(300)).toBeLessThan(100);
  });
});
