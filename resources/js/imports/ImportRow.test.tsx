import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { ImportRow } from './ImportRow';

const file = (more: Partial<Schemas['ImportData']> = {}): Schemas['ImportData'] => ({
  id: '0193-7',
  subject: 'items',
  file: 'new-parts.xlsx',
  state: 'checking',
  rows: 12_000,
  fault_count: 0,
  faults: [],
  outcome: '',
  person: 'Mira Okafor',
  asked_at: '2026-11-25T08:00:00+00:00',
  ...more,
});
const row = (more: Partial<Schemas['ImportData']>, mayCancel = true) =>
  show(<ImportRow row={file(more)} mayCancel={mayCancel} />);

describe('a file that is taken over', () => {
  it('tells how far it is, and can be cancelled until it is written', async () => {
    const user = await row({});
    expect(screen.getByRole('status').textContent).toBe('being checked, 12\u2009000 rows');
    server.on('DELETE /api/imports/0193-7', null);
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(server.asked('DELETE /api/imports/0193-7').length).toBe(1));
  });

  it('cannot be cancelled any more while it is written', async () => {
    await row({ state: 'writing' });
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('cannot be cancelled by who may not', async () => {
    await row({}, false);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('says when it could not be cancelled', async () => {
    const user = await row({});
    server.on('DELETE /api/imports/0193-7', new Refused(422, 'It is being written already.'));
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect((await screen.findByRole('alert')).textContent).toContain('It is being written already.');
  });

  it('names each bad cell, and gives the file back with them marked', async () => {
    await row({
      state: 'refused',
      fault_count: 2,
      faults: [
        { row: 3, column: 'unit', reason: '"ft" is no unit in use here.' },
        { row: 9, column: 'number', reason: 'It is there already.' },
      ],
    });
    expect(screen.getByText('2 cells are wrong.')).toBeTruthy();
    expect(screen.getAllByRole('row')[1]?.textContent).toBe('3unit"ft" is no unit in use here.');
    expect(screen.getByRole('link').getAttribute('href')).toBe('/api/imports/0193-7/marked');
    expect(screen.getByRole('status').textContent).toContain('nothing was saved');
  });

  it('shows the first fifty of many', async () => {
    await row({
      state: 'refused',
      fault_count: 700,
      faults: Array.from({ length: 80 }, (_, at) => ({ row: at + 1, column: 'unit', reason: 'No unit.' })),
    });
    expect(screen.getAllByRole('row').length).toBe(51);
    expect(screen.getByText(/The first 50 are here/)).toBeTruthy();
  });

  it('says what is wrong with the file as a whole, without a table of cells', async () => {
    await row({ state: 'refused', fault_count: 1, faults: [{ row: 0, column: '', reason: 'It has no heads.' }] });
    expect(screen.getByRole('alert').textContent).toContain('It has no heads.');
    expect(screen.queryByRole('grid')).toBeNull();
    expect(screen.queryByRole('link')).toBeNull();
  });

  it('tells what came of it', async () => {
    await row({ state: 'done', outcome: '12,000 items' });
    expect(screen.getByRole('status').textContent).toBe('■ imported: 12,000 items');
  });
});
