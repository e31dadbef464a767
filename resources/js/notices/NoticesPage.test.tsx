import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { NoticesLink } from './NoticesLink';
import { NoticesPage } from './NoticesPage';
import { WatchButton } from './WatchButton';

const as = { ...mira, abilities: [] };
const row = (id: number, other: object = {}) => ({
  id,
  what: 'Sent to review',
  change: 'ECO-00085',
  title: 'Second clip',
  about: '',
  by: 'Mira Okafor',
  at: '2026-11-26T09:00:00+00:00',
  cause: 'to_do',
  path: '/changes/ECO-00085',
  read: false,
  ...other,
});
const paces = ['to_do', 'mentioned', 'informed', 'takes_part', 'watches'].map((cause) => ({ cause, pace: 'daily' }));

function page(rows: object[]) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/notices', { unread: rows.length, total: rows.length, from: 0, rows })
    .on('GET /api/notices/paces', paces)
    .on('POST /api/notices/read', { unread: 0 });
}

describe('notices', () => {
  it('are read one by one, several, or all', async () => {
    page([row(7), row(5, { what: 'Comment on a task', about: 'T-00003: Who knows?', cause: 'mentioned' })]);
    const user = await show(<NoticesPage />, { as });
    const table = await screen.findByRole('grid', { name: 'Notices' });
    expect(within(table).getByText(': T-00003: Who knows?')).toBeTruthy();
    expect(within(table).getByText('mentions you')).toBeTruthy();
    expect(server.asked('GET /api/notices')[0]?.query).toEqual({ unread: '1', from: '0' });
    await user.click(screen.getByRole('button', { name: 'Mark all as read' }));
    await waitFor(() => expect(server.asked('POST /api/notices/read')[0]?.body).toEqual({ read: true, up_to: 7 }));
    for (const second of within(table).getAllByRole('checkbox').slice(2)) await user.click(second);
    await user.click(await screen.findByRole('button', { name: 'Mark as unread' }));
    await waitFor(() => expect(server.asked('POST /api/notices/read')[1]?.body).toEqual({ read: false, ids: [5] }));
  });

  it('lead to what they tell of: a change, an item, or what has no number', async () => {
    page([
      row(7),
      row(6, { what: 'Comment', change: 'BR-1020', title: 'Bracket', path: '/items/BR-1020' }),
      row(5, { what: 'Message not delivered', change: '', title: 'Shop floor', path: '/set-up/channels/shop_floor' }),
    ]);
    await show(<NoticesPage />, { as });
    const table = await screen.findByRole('grid', { name: 'Notices' });
    const leads = within(table)
      .getAllByRole('link')
      .map((link) => link.getAttribute('href'));
    expect(leads).toEqual(['/changes/ECO-00085', '/items/BR-1020']);
  });

  it('say when mails are sent, and why a choice was not taken', async () => {
    page([]);
    const user = await show(<NoticesPage />, { as });
    expect(await screen.findByText('Nothing new.')).toBeTruthy();
    await user.click(screen.getByText('When mails are sent'));
    await choose(user, 'A change that I watch', 'No mail');
    server.on('PUT /api/notices/paces', new Refused(422, 'No.', { pace: ['Choose when a mail is sent.'] }));
    expect(server.asked('PUT /api/notices/paces')[0]?.body).toEqual({ cause: 'watches', pace: 'never' });
  });

  it('are counted at the head of every page', async () => {
    server.on('GET /api/notices/unread', { unread: 120 });
    await show(<NoticesLink />, { as });
    expect((await screen.findByText('99+')).textContent).toBe('99+ unread');
  });

  it('are told of a change that one watches, until one stops', async () => {
    let watching = false;
    server
      .on('GET /api/changes/ECO-00085/watch', () => ({ watching }))
      .on('PUT /api/changes/ECO-00085/watch', () => {
        watching = true;
        return { watching };
      })
      .on('DELETE /api/changes/ECO-00085/watch', () => {
        watching = false;
        return { watching };
      });
    const user = await show(<WatchButton number="ECO-00085" />, { as });
    await user.click(await screen.findByRole('button', { name: 'Watch' }));
    await user.click(await screen.findByRole('button', { name: 'Watching', pressed: true }));
    expect(await screen.findByRole('button', { name: 'Watch', pressed: false })).toBeTruthy();
  });
});
