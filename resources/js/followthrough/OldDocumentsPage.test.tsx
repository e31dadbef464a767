import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { OldDocumentsPage } from './OldDocumentsPage';

type Row = Schemas['OldDocumentRow'];

const DECIDE = 'POST /api/orders/ECO-00082/old-documents/decision';
const TELL = 'POST /api/orders/ECO-00082/old-documents/message';
const SEEN = 'POST /api/orders/ECO-00082/old-documents/seen';
const row = (id: number, more: Partial<Row> = {}): Row => ({
  id,
  kind: 'purchase_order',
  document: `PO-${id}`,
  item: '200-0001',
  title: 'Pump module',
  revision: 'F',
  comes: 'G',
  quantity: '4',
  unit: 'pc',
  value: '1048.00',
  due: '2026-12-20',
  place: 'Tarn',
  status: 'open',
  serial: '',
  page: `https://planning.example/documents/PO-${id}`,
  state: 'open',
  is_new: false,
  proposed: 'change_over',
  way: null,
  owner: null,
  owner_name: null,
  due_on: null,
  note: '',
  told: null,
  told_reason: '',
  seen_by: null,
  seen_at: null,
  ...more,
});

async function documents(rows: Row[], more: Partial<Schemas['OldDocumentPage']> = {}) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [])
    .on('GET /api/orders/ECO-00082/old-documents', {
      order: 'ECO-00082',
      title: 'Folded bracket',
      total: rows.length,
      from: 0,
      rows,
      open: 2,
      decided: 1,
      seen: 4,
      read_at: '2026-11-29T08:00:00+00:00',
      reading: false,
      fault: '',
      may: true,
      may_tell: true,
      ...more,
    } satisfies Schemas['OldDocumentPage'])
    .on(DECIDE, done('ECO-00082', 9))
    .on(SEEN, done('ECO-00082', 9))
    .on(TELL, done('ECO-00082', 9));
  const user = await show(<OldDocumentsPage />, {
    at: '/orders/ECO-00082/documents',
    path: '/orders/:number/documents',
  });
  await screen.findByText(/^\d+ documents?$/);
  return user;
}
const tick = async (user: Awaited<ReturnType<typeof documents>>, ...of: string[]) => {
  for (const document of of) {
    await user.click(within(screen.getByText(document).closest('tr') as HTMLElement).getByRole('checkbox'));
  }
};

describe('documents that name what an order replaced', () => {
  it('tells what each names and is to name, a proposal as a question, what is new, and who has seen to it', async () => {
    await documents([
      row(1, { is_new: true }),
      row(2, { way: 'rework', state: 'decided', owner: 'tomas', owner_name: 'Tomas Lind', due_on: '2026-12-01' }),
      row(3, { state: 'seen', seen_at: '2026-11-28T08:00:00+00:00' }),
      row(4, {
        revision: '',
        comes: '',
        state: 'seen',
        seen_by: 'Mira Okafor',
        seen_at: '2026-11-28T08:00:00+00:00',
        note: 'By telephone.',
      }),
    ]);
    const cells = (document: string) =>
      within(screen.getByText(document).closest('tr') as HTMLElement)
        .getAllByRole('gridcell')
        .map((cell) => cell.textContent);
    expect(cells('PO-1')).toEqual(expect.arrayContaining(['PO-1new', 'F → G', 'Change over?', 'Open']));
    expect(cells('PO-2')).toEqual(expect.arrayContaining(['Rework', 'Tomas Lind', '1 Dec 2026', 'Decided']));
    expect(cells('PO-3')).toContain('Seen to by planning');
    expect(screen.getByTitle(/^Seen to by planning, 28 Nov 2026/)).toBeTruthy();
    expect(cells('PO-4')).toEqual(expect.arrayContaining(['no revision → nothing']));
    expect(cells('PO-4').slice(-2)).toEqual(['Seen to by Mira Okafor', 'By telephone.']);
    expect(screen.getByText('2 open · 1 decided · 4 seen to')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'PO-1' }).getAttribute('href')).toBe(
      'https://planning.example/documents/PO-1',
    );
  });

  it('takes what is proposed for many at once', async () => {
    const user = await documents([row(1), row(2)]);
    await tick(user, 'PO-1', 'PO-2');
    await user.click(screen.getByRole('button', { name: 'As proposed 2' }));
    await waitFor(() => expect(server.asked(DECIDE)[0]?.body).toEqual({ ids: [1, 2], as_proposed: true }));
  });

  it('decides, and says at its place what is wrong', async () => {
    const user = await documents([row(1)]);
    await tick(user, 'PO-1');
    await user.click(screen.getByRole('button', { name: 'Decide 1 …' }));
    const form = screen.getByRole('form', { name: 'Decide on documents' });
    await choose(user, 'Decision', 'Accept as it is');
    server.on(DECIDE, new Refused(422, 'No.', { note: ['Say why it is accepted as it is.'] }));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Say why it is accepted as it is.')).toBeTruthy();
    server.on(DECIDE, done('ECO-00082', 9));
    await user.type(within(form).getByLabelText('Why it is accepted as it is'), 'The customer wants F.');
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked(DECIDE)[1]?.body).toEqual({ ids: [1], way: 'accept', note: 'The customer wants F.' }),
    );
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Decide on documents' })).toBeNull());
  });

  it('tells planning what is decided, and shows what planning answers', async () => {
    const user = await documents([
      row(1, { state: 'decided', way: 'cancel' }),
      row(2, { state: 'decided', way: 'cancel', told: 'refused', told_reason: 'WO-2 has begun.' }),
      row(3, { state: 'decided', way: 'cancel', told: 'waiting' }),
    ]);
    expect(screen.getByText('rejected by planning: WO-2 has begun.')).toBeTruthy();
    expect(screen.getByText('sent to planning')).toBeTruthy();
    await tick(user, 'PO-1');
    server.on(TELL, new Refused(422, 'No.', { ids: ['Nobody has decided on PO-1.'] }));
    await user.click(screen.getByRole('button', { name: 'Send to planning 1' }));
    expect(await screen.findByText(/Nobody has decided on PO-1/)).toBeTruthy();
    expect(server.asked(TELL)[0]?.body).toEqual({ ids: [1] });
  });

  it('says why nothing is left to do, and opens again', async () => {
    const user = await documents([row(1)]);
    await tick(user, 'PO-1');
    await user.click(screen.getByRole('button', { name: 'Seen to 1 …' }));
    await user.type(screen.getByLabelText('Why nothing is left to do'), 'Delivered as G.');
    await user.click(screen.getByRole('button', { name: 'Seen to' }));
    await waitFor(() =>
      expect(server.asked(SEEN)[0]?.body).toEqual({ ids: [1], seen: true, reason: 'Delivered as G.' }),
    );
    await user.click(screen.getByRole('button', { name: 'Reopen 1' }));
    await waitFor(() => expect(server.asked(SEEN)[1]?.body).toEqual({ ids: [1], seen: false }));
  });

  it('puts what is looked for into the address, and says how fresh the data are', async () => {
    const user = await documents([row(1)], { fault: 'Planning answered with an error (503).' });
    expect(screen.getByText(/^Planning answered with an error/)).toBeTruthy();
    expect(screen.getByText(/^Planning data as of 29 Nov/)).toBeTruthy();
    await choose(user, 'State', 'Seen to');
    await waitFor(() => expect(address()).toBe('/orders/ECO-00082/documents?state=seen'));
    expect(server.asked('GET /api/orders/ECO-00082/old-documents').at(-1)?.query).toEqual({ state: 'seen', from: '0' });
  });

  it('offers nothing to whoever only reads', async () => {
    await documents([row(1)], { may: false });
    expect(screen.queryByRole('button', { name: 'Refresh from planning' })).toBeNull();
    expect(screen.queryByRole('checkbox')).toBeNull();
  });
});
