import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { ExposureView } from './ExposureView';

const of = (item: string, more: Partial<Schemas['ExposureOfItem']> = {}): Schemas['ExposureOfItem'] => ({
  item,
  fetched_at: '2026-11-25T08:00:00+00:00',
  known: true,
  fault: null,
  value: '0.00',
  currency: 'EUR',
  totals: [],
  rows: [],
  ...more,
});
const tube = of('200-0040', {
  value: '3395.70',
  totals: [{ kind: 'stock', rows: 2, quantity: '206.5', unit: 'm', value: '2023.70' }],
  rows: [
    {
      kind: 'stock',
      document: 'LOT-20611',
      revision: 'A',
      quantity: '146.5',
      unit: 'm',
      value: '1435.70',
      due: null,
      place: 'Weir',
      status: 'free',
      serial: '',
      page: 'http://planning.example/documents/LOT-20611',
    },
    {
      kind: 'purchase_order',
      document: 'PO-31207',
      revision: 'A',
      quantity: '200',
      unit: 'm',
      value: '1960.00',
      due: '2026-12-13',
      place: 'Weir',
      status: 'confirmed',
      serial: '',
      page: 'http://planning.example/documents/PO-31207',
    },
  ],
});

async function view(items: Schemas['ExposureOfItem'][], strangers: string[] = []) {
  server.on('GET /api/exposure', { items, strangers });
  const user = await show(<ExposureView items={items.map(({ item }) => item)} />);
  await screen.findByRole('grid', { name: 'Exposure by item' });
  return user;
}

describe('what exists and what is coming', () => {
  it('is summed by item and kind, and asked about all items at once', async () => {
    await view([tube, of('200-0010')]);
    const [, first, second] = within(screen.getByRole('grid')).getAllByRole('row');
    expect(first?.textContent).toContain('206.5 m in 2');
    expect(first?.textContent).toContain('3\u2009395.70');
    expect(second?.textContent).toContain('none');
    expect(server.asked('GET /api/exposure').map(({ query }) => query.items)).toEqual(['200-0040,200-0010']);
  });

  it('is asked about some items at a time where they are more than an address takes', async () => {
    const many = Array.from({ length: 150 }, (_, at) => of(`300-${1000 + at}`));
    await view(many);
    const asked = server.asked('GET /api/exposure').map(({ query }) => (query.items ?? '').split(','));
    expect(asked.map((items) => items.length)).toEqual([100, 50]);
    expect(asked.flat()).toEqual(many.map(({ item }) => item));
  });

  it('opens into lots and documents, each of which leads to its page in planning', async () => {
    const user = await view([tube]);
    await user.click(screen.getByRole('button', { name: 'Show the 2 lots and documents' }));
    const order = screen.getByRole('link', { name: 'PO-31207' });
    expect(order.getAttribute('href')).toBe('http://planning.example/documents/PO-31207');
    expect(order.closest('tr')?.textContent).toContain('13 Dec 2026');
    await user.click(screen.getByRole('button', { name: 'Hide the documents' }));
    expect(screen.queryByRole('link', { name: 'PO-31207' })).toBeNull();
  });

  it('says which items planning does not have, and what it told of without being asked', async () => {
    await view([tube, of('200-0041', { known: false })], ['200-0040X']);
    expect(screen.getByText('200-0041 is not in planning.')).toBeTruthy();
    expect(screen.getAllByText('not known').length).toBe(8);
    expect(screen.getByText(/also returned 200-0040X/)).toBeTruthy();
  });

  it('works with what was last told while planning is silent, says how old that is, and asks again', async () => {
    const user = await view([of('200-0040', { ...tube, fault: 'Planning does not answer.' })]);
    expect(screen.getByRole('status').textContent).toContain('Shown: planning data as of 25 Nov 2026');
    server.on('GET /api/exposure', { items: [tube], strangers: [] });
    await user.click(screen.getByRole('button', { name: 'Ask again' }));
    expect(await screen.findByText(/206\.5/)).toBeTruthy();
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('says that it was never told anything', async () => {
    await view([of('200-0040', { fault: 'Planning does not answer.', fetched_at: null })]);
    expect(screen.getByRole('status').textContent).toContain('No earlier planning data for these items.');
  });
});
