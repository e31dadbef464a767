import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { actKinds, acts } from '../register/acts';
import { ledgerRow } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, show, vera } from '../testing/show';
import { LedgerPage } from './LedgerPage';

const auditor = { ...vera, abilities: ['read_ledger'] };

async function ledger(at = '/ledger', as = auditor) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [])
    .on('GET /api/ledger', ({ query }) => {
      const all = { total: 3, from: 0, next: query.from === '0' ? 11 : null };
      const row =
        query.from === '0'
          ? ledgerRow(12, 'order.released', {})
          : ledgerRow(10, 'order.signed', { subject: '200-0040' });
      return { ...all, rows: query.words === 'nothing' ? [] : [row] };
    });
  return show(<LedgerPage />, { at, path: '/ledger', as });
}

describe('the ledger as a whole', () => {
  it('asks for what its address says, page after page before the last record that is here', async () => {
    await ledger('/ledger?about=200-0040&act=order.');
    expect(await screen.findByText('Order released')).toBeTruthy();
    expect(server.asked('GET /api/ledger')[0]?.query).toEqual({ about: '200-0040', act: 'order.', from: '0' });
    await waitFor(() => expect(server.asked('GET /api/ledger')[1]?.query.from).toBe('11'));
    expect(await screen.findByText('Signed')).toBeTruthy();
    expect(screen.getByText('3 records')).toBeTruthy();
  });

  it('narrows by kind of act, then by the act itself, and shows all again with empty fields', async () => {
    const user = await ledger();
    await choose(user, 'Kind of act', 'Orders');
    await waitFor(() => expect(address()).toBe('/ledger?act=order.'));
    await choose(user, 'Action', 'Order closed');
    await waitFor(() => expect(address()).toBe('/ledger?act=order.closed'));
    await user.type(screen.getByLabelText('Words'), 'nothing');
    expect(await screen.findByText('No record matches. Remove a filter.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show all' }));
    await waitFor(() => expect(address()).toBe('/ledger'));
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('');
  });

  it('gives the records of the days that are chosen, the script and the key', async () => {
    const user = await ledger('/ledger?since=2026-11-01&words=pump');
    await user.click(await screen.findByText('Export with proof'));
    const links = screen.getAllByRole('link', { name: /^Download/ }).map((one) => one.getAttribute('href'));
    expect(links).toEqual(['/api/ledger/export?since=2026-11-01', '/api/ledger/checker', '/house-key.pem']);
  });

  it('says where else to look to whom it is not open', async () => {
    await ledger('/ledger', { ...vera, abilities: [] });
    expect(screen.getByText(/Your role does not search the ledger/)).toBeTruthy();
    expect(server.asked('GET /api/ledger')).toEqual([]);
  });

  it('has a word for every kind of act', () => {
    expect(Object.keys(acts).filter((act) => actKinds[act.split('.')[0] ?? ''] === undefined)).toEqual([]);
  });
});
