import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { change, dossier } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, show } from '../testing/show';
import { NewOrderPage } from './NewOrderPage';

async function raise(query = '') {
  server.on('GET /api/favourites', []).on('GET /api/dossiers/ECR-00096', dossier('order'));
  return show(<NewOrderPage />, { at: `/orders/new${query}`, path: '/orders/new' });
}

describe('raising an order', () => {
  it('is done directly, and goes on at its dossier', async () => {
    const user = await raise();
    await user.type(await screen.findByLabelText('Title'), 'Longer clamp');
    await user.type(screen.getByLabelText('What changes, and why'), 'Fitters ask for it.');
    server.on('POST /api/orders', done('ECO-00095'));
    await user.click(screen.getByRole('button', { name: 'Create order' }));
    expect(server.asked('POST /api/orders').map((call) => call.body)).toEqual([
      {
        parent: null,
        title: 'Longer clamp',
        description: 'Fitters ask for it.',
        priority: 'normal',
        items: [],
        requests: [],
      },
    ]);
    await waitFor(() => expect(address()).toBe('/changes/ECO-00095'));
  });

  it('takes title and priority from the request it begins with, and further approved ones', async () => {
    const user = await raise('?requests=ECR-00096');
    expect((await screen.findByLabelText<HTMLInputElement>('Title')).value).toBe(
      'Pump tube wears out early in silty rivers',
    );
    server.on('GET /api/changes', [
      change('ECR-00098', 'Screws rust', { state: 'approved' }),
      change('ECR-00099', 'Not decided', { state: 'assessing' }),
    ]);
    await user.type(screen.getByLabelText('Add an approved request'), 'screws');
    expect(screen.queryByText('Not decided')).toBeNull();
    await user.click(await screen.findByText('Screws rust'));
    server.on('POST /api/orders', new Refused(422, 'No.', { items: ['There is no item 200-9999.'] }));
    await user.click(screen.getByRole('button', { name: 'Create order' }));
    expect(server.asked('POST /api/orders').map((call) => call.body)).toMatchObject([
      { priority: 'critical', requests: ['ECR-00096', 'ECR-00098'] },
    ]);
    expect(await screen.findByText(/There is no item 200-9999/)).toBeTruthy();
  });

  const SHEET = 'POST /api/order-sheet';
  const would: Schemas['RaisedFromSheet'] = {
    number: null,
    title: 'Longer screws',
    items: ['200-0010', '230-0001'],
    changes: [
      {
        item: '200-0010',
        work: 'engineering',
        mark: 'changed',
        find: 30,
        component: '600-0014',
        fields: ['quantity 6 → 8'],
      },
    ],
    faults: [],
    marked: null,
  };

  it('begins with a sheet that somebody filled in: looked at, then created as a whole', async () => {
    const user = await raise();
    server.on(SHEET, would);
    await user.upload(await screen.findByLabelText('Import filled-in sheet'), new File(['title,x'], 'order.csv'));
    expect(await screen.findByText('quantity 6 → 8')).toBeTruthy();
    expect(screen.getByText('2 items, 1 line changes')).toBeTruthy();
    server.on(SHEET, { ...would, number: 'ECO-00096' });
    await user.click(screen.getByRole('button', { name: 'Create order' }));
    await waitFor(() => expect(address()).toBe('/changes/ECO-00096'));
    expect(server.asked(SHEET).map(({ body }) => /name="keep"\s+(\w+)/.exec(String(body))?.[1])).toEqual(['no', 'yes']);
  });

  it('says which cells of a sheet cannot be so, and creates nothing of it', async () => {
    const user = await raise();
    server.on(SHEET, {
      ...would,
      changes: [],
      faults: [{ row: 9, column: 'parent', reason: 'There is no item 300-9999.' }],
      marked: 'sheet-1',
    });
    await user.upload(await screen.findByLabelText('Import filled-in sheet'), new File(['title,x'], 'order.csv'));
    expect(await screen.findByText('There is no item 300-9999.')).toBeTruthy();
    expect(screen.getByRole('link', { name: /each of them marked/ }).getAttribute('href')).toBe(
      '/api/order-sheet/marked/sheet-1',
    );
    expect(screen.queryByRole('button', { name: 'Create order' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.getByLabelText('Title')).toBeTruthy();
  });
});
