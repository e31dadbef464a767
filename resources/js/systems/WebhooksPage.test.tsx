import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { WebhooksPage } from './WebhooksPage';

const ivo = { ...mira, abilities: ['connect_systems'] };
const line: Schemas['WebhookRow'] = {
  code: 'line',
  name: 'Line control',
  address: 'https://line.example/told',
  events: ['order.*', 'report.raised'],
  retired: false,
  version: 4,
  former_until: null,
  state: { waiting: 3, undelivered: 2, last_arrived_at: null, fault: 'HTTP 503' },
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/webhooks', [line])
    .on('GET /api/events', [
      { kind: 'report', events: ['report.raised', 'report.answered'] },
      { kind: 'order', events: ['order.released', 'order.signed'] },
    ]);
}

describe('webhooks', () => {
  it('say of what they tell, and how it stands', async () => {
    answers();
    await show(<WebhooksPage />, { as: ivo });
    expect(await screen.findByText('all of orders, problem reported')).toBeTruthy();
    expect(screen.getByRole('link', { name: /Messages of Line control/ }).textContent).toBe(
      '3 waiting: HTTP 503; 2 not delivered',
    );
  });

  it('are added with events of a kind and single ones, and tell their secret once', async () => {
    answers();
    const user = await show(<WebhooksPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New webhook' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'portal');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Portal');
    await user.type(within(form).getByRole('textbox', { name: 'Address' }), 'https://portal.example');
    await user.click(await within(form).findByRole('checkbox', { name: 'Orders: all' }));
    await user.click(within(form).getAllByText(/one by one/)[0] ?? form);
    await user.click(within(form).getByRole('checkbox', { name: 'Problem reported' }));
    server.on('PUT /api/webhooks/portal', { number: 'portal', version: 1, secret: 'whsec_abc' });
    await user.click(within(form).getByRole('button', { name: 'Add the webhook' }));
    expect(await screen.findByRole('textbox', { name: 'Secret' })).toHaveProperty('value', 'whsec_abc');
    expect(server.asked('PUT /api/webhooks/portal')[0]?.body).toEqual({
      name: 'Portal',
      address: 'https://portal.example',
      events: ['order.*', 'report.raised'],
      retired: false,
    });
  });

  it('say beside a field what is wrong with it', async () => {
    answers();
    const user = await show(<WebhooksPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Line control' }));
    const form = screen.getByRole('form', { name: 'Change Line control' });
    server.on('PUT /api/webhooks/line', new Refused(422, 'No.', { events: ['Choose at least one event.'] }));
    await user.click(within(form).getByRole('checkbox', { name: 'Orders: all' }));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await within(form).findByText(/Choose at least one event/)).toBeTruthy();
    expect(server.asked('PUT /api/webhooks/line')[0]?.body).toMatchObject({ events: ['report.raised'], version: 4 });
  });

  it('are tried out, and get another secret', async () => {
    answers();
    const user = await show(<WebhooksPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Line control' }));
    server.on('POST /api/webhooks/line/trial', { number: 'line', version: 4 });
    await user.click(screen.getByRole('button', { name: 'Send a test event' }));
    expect(await screen.findByText(/Sent; it stands among the messages/)).toBeTruthy();
    server.on('POST /api/webhooks/line/secret', { number: 'line', version: 5, secret: 'whsec_new' });
    await user.click(screen.getByRole('button', { name: 'New secret' }));
    await waitFor(() => expect(screen.getByRole('textbox', { name: 'Secret' })).toHaveProperty('value', 'whsec_new'));
  });

  it('are only looked at by whoever may connect systems', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/webhooks', new Refused(403, 'Your role does not allow this.', {}));
    await show(<WebhooksPage />);
    expect(await screen.findByText(/Your role does not allow this/)).toBeTruthy();
    expect(screen.queryByRole('form')).toBeNull();
  });
});
