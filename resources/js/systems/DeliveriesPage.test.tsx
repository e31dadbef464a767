import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { server } from '../testing/server';
import { mira, show } from '../testing/show';
import { DeliveriesPage } from './DeliveriesPage';

const ivo = { ...mira, abilities: ['connect_systems'] };
const message = (id: number, some: Partial<Schemas['DeliveryRow']>): Schemas['DeliveryRow'] => ({
  id,
  name: String(4000 + id),
  what: 'order.released',
  subject: 'ECO-00082',
  state: 'delivered',
  tries: 1,
  said: 'HTTP 204',
  written_at: '2026-11-20T08:00:00Z',
  due_at: null,
  ended_at: '2026-11-20T08:00:01Z',
  ...some,
});

function answers(some: Partial<Schemas['DeliveryPage']> = {}) {
  server.on('GET /api/favourites', []).on('GET /api/channels/line/deliveries', {
    code: 'line',
    name: 'Line control',
    purpose: 'events',
    address: 'https://line.example',
    retired: false,
    undelivered: 1,
    waiting: 1,
    total: 2,
    from: 0,
    rows: [
      message(2, { state: 'waiting', tries: 3, said: 'HTTP 503', due_at: '2026-11-20T09:00:00Z', ended_at: null }),
      message(1, { state: 'refused', said: 'HTTP 410' }),
    ],
    ...some,
  });
}

const page = { as: ivo, at: '/set-up/channels/line', path: '/set-up/channels/:code' };

describe('messages to another system', () => {
  it('say what became of each, and are sent again, all or some', async () => {
    answers();
    const user = await show(<DeliveriesPage />, page);
    const table = await screen.findByRole('grid', { name: 'Messages' });
    expect(within(table).getByText('HTTP 503')).toBeTruthy();
    expect(within(table).getByText('Rejected')).toBeTruthy();
    server.on('POST /api/channels/line/deliveries', done('line', 1));
    await user.click(screen.getByRole('button', { name: 'Send all 2 undelivered again' }));
    await waitFor(() => expect(server.asked('POST /api/channels/line/deliveries')[0]?.body).toEqual({ ids: [] }));
  });

  it('open with each try and all that they say', async () => {
    answers();
    const user = await show(<DeliveriesPage />, page);
    server.on('GET /api/deliveries/1', {
      row: message(1, { state: 'refused', said: 'HTTP 410' }),
      media_type: 'application/cloudevents+json',
      content: '{"type":"order.released"}',
      attempts: [{ at: '2026-11-20T08:00:00Z', took_ms: 12, arrived: false, said: 'HTTP 410' }],
    });
    await user.click(await screen.findByText('4001'));
    const one = await screen.findByRole('region', { name: 'Message' });
    expect(await within(one).findByText(/"type": "order.released"/)).toBeTruthy();
    expect(within(one).getByRole('grid', { name: 'Tries' })).toBeTruthy();
    await user.click(within(one).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('region', { name: 'Message' })).toBeNull();
  });

  it('are looked at by their state', async () => {
    answers();
    const user = await show(<DeliveriesPage />, page);
    await user.click(await screen.findByRole('radio', { name: 'Given up' }));
    await waitFor(() =>
      expect(server.asked('GET /api/channels/line/deliveries').at(-1)?.query).toMatchObject({ state: 'given_up' }),
    );
  });

  it('are not sent to one that is retired', async () => {
    answers({ retired: true });
    await show(<DeliveriesPage />, page);
    await screen.findByRole('grid', { name: 'Messages' });
    expect(screen.queryByRole('button', { name: /Send all/ })).toBeNull();
  });
});
