import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done as changed } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { ImportPage } from './ImportPage';

const may: Schemas['Me'] = { ...mira, abilities: ['import_data'] };
const done: Schemas['ImportData'] = {
  id: '0193-7',
  subject: 'items',
  file: 'new-parts.xlsx',
  state: 'done',
  rows: 12,
  fault_count: 0,
  faults: [],
  outcome: '12 items were made.',
  person: 'Mira Okafor',
  asked_at: '2026-11-25T08:00:00+00:00',
};
const START = 'POST /api/imports';

async function page(rows: Schemas['ImportData'][] = [], as = may) {
  server.on('GET /api/favourites', []).on('GET /api/imports', rows);
  const user = await show(<ImportPage />, { as });
  await waitFor(() => expect(screen.queryByText('Loading …')).toBeNull());
  return user;
}

describe('taking over from files', () => {
  it('says which columns are wanted for what the file brings', async () => {
    const user = await page();
    expect(screen.getByText('Columns: number, title, kind, category, unit, and more')).toBeTruthy();
    await choose(user, 'Content', 'Structures of items that have none');
    expect(screen.getByText('Columns: parent, find, component, quantity, unit, and more')).toBeTruthy();
  });

  it('sends subject, day and file; what is wrong stands at its field', async () => {
    const user = await page();
    const file = screen.getByLabelText<HTMLInputElement>('File: XLSX, CSV, JSON or STEP');
    server.on(START, new Refused(422, 'No.', { file: ['Choose a file.'] }));
    await user.click(screen.getByRole('button', { name: 'Check and import' }));
    expect(await screen.findByText(/Choose a file/)).toBeTruthy();
    await user.upload(file, new File(['number,title'], 'new-parts.csv'));
    server.on(START, changed('0193-7', 1)).on('GET /api/imports', [done]);
    await user.click(screen.getByRole('button', { name: 'Check and import' }));
    expect(await screen.findByText(/12 items were made/)).toBeTruthy();
    const sent = String(server.asked(START)[1]?.body);
    expect(sent).toContain('items');
    expect(sent).toContain('number,title');
    expect(file.value).toBe('');
  });

  it('is only looked at by who may not', async () => {
    await page([done], vera);
    expect(screen.getByText(/12 items were made/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Check and import' })).toBeNull();
  });

  it('says where to see the columns when nothing was taken over yet', async () => {
    await page();
    expect(screen.getByText(/shows which columns there are/)).toBeTruthy();
  });
});
