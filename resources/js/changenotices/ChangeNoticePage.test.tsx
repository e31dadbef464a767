import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { ChangeNoticePage } from './ChangeNoticePage';
import { NoticeOfOrder } from './NoticeOfOrder';

const reader = { ...mira, abilities: [] };
const at = '2026-11-26T09:00:00+00:00';
const copy = (login: string, person: string, other: object = {}) => ({
  person,
  login,
  lists: ['Tarn'],
  acknowledge: true,
  due_on: '2026-11-20',
  overdue: true,
  sent_at: at,
  times_sent: 1,
  opened_at: null,
  acknowledged_at: null,
  ...other,
});
const content = {
  number: 'ECN-00085',
  order: 'ECO-00085',
  title: 'Second clip',
  description: '',
  priority: 'normal',
  effective_on: '2027-01-01',
  released_at: at,
  released_by: 'Mira Okafor',
  reasons: [{ request: 'ECR-00091', reason: 'Quality', description: 'It slips.', finding: 'Feasible.' }],
  items: [{ number: '200-0010', title: 'Pump head', outcome: 'revise', was: 'A', becomes: 'B', disposition: 'use_up' }],
  subjects: [
    {
      kind: 'engineering',
      item: '200-0010',
      title: 'Pump head',
      plant: '',
      was: 'A',
      becomes: 'B',
      parts: [
        {
          action: 'replace',
          called: 'line 10 200-0041',
          fields: [
            { name: 'component', before: '200-0040 Thin tube', after: '200-0041 Thick tube' },
            { name: 'notes', before: '', after: 'wall 2.4 mm' },
          ],
        },
      ],
    },
    { kind: 'manufacturing', item: '200-0010', title: 'Pump head', plant: 'Weir', was: null, becomes: '1', parts: [] },
  ],
  later: [],
  products: ['100-0012 Heron 12'],
  sheets: [
    {
      file: 'f-1',
      item: '800-1',
      title: 'Drawing',
      revision: 'B',
      name: 'a.svg',
      media_type: 'image/svg+xml',
      sha256: 's',
    },
    {
      file: 'f-2',
      item: '800-2',
      title: 'Test',
      revision: 'B',
      name: 'b.pdf',
      media_type: 'application/pdf',
      sha256: 's',
    },
  ],
  waivers: [{ check: 'components_in_force', fault: 'It uses 1.', reason: 'Comes before.', by: 'Mira Okafor', at }],
  signatures: [{ person: 'Helen Marsh', for: null, said: 'approved', at, digest: 'abcdef0123456789' }],
};

function page(copies: object[], mine: object | null) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [
      { login: 'petra', name: 'Petra Quist', roles: ['Buyer'], may_revise: false, may_sign: false, may_judge: false },
    ])
    .on('GET /api/groups', [])
    .on('POST /api/change-notices/ECN-00085/receipt', null)
    .on('GET /api/change-notices/ECN-00085', {
      number: 'ECN-00085',
      order: 'ECO-00085',
      title: 'Second clip',
      sha256: 'f'.repeat(64),
      issued_at: at,
      issued_by: 'Mira Okafor',
      content,
      copies,
      mine,
    });
}

const route = { at: '/change-notices/ECN-00085', path: '/change-notices/:number' };

describe('a change notice', () => {
  it('says what was and what is, with signs and not by colour alone', async () => {
    page([copy('tomas', 'Tomas Lind')], null);
    await show(<ChangeNoticePage />, { as: reader, ...route });
    const subject = await screen.findByRole('region', { name: /200-0010 engineering structure/ });
    expect(within(subject).getByText('replaced')).toBeTruthy();
    expect(within(subject).getByText('200-0040 Thin tube').tagName).toBe('DEL');
    expect(within(subject).getByText('200-0041 Thick tube')).toBeTruthy();
    expect(screen.getByText('No line differs.')).toBeTruthy();
    expect(screen.getByRole('img', { name: /Sheet a.svg/ }).getAttribute('src')).toBe('/api/files/f-1');
    expect(screen.getByText('b.pdf')).toBeTruthy();
    expect(screen.getByText(/It uses 1. Waived by Mira Okafor/)).toBeTruthy();
    expect(screen.getByText(/overdue since/)).toBeTruthy();
    // Who only reads sends nothing, and has nothing to acknowledge.
    expect(screen.queryByRole('form')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Acknowledge' })).toBeNull();
    expect(server.asked('POST /api/change-notices/ECN-00085/receipt')).toHaveLength(0);
  });

  it('is opened and acknowledged as it was read, and says why not', async () => {
    page([], copy('mira', 'Mira Okafor', { overdue: false }));
    server.on(
      'POST /api/change-notices/ECN-00085/acknowledgement',
      new Refused(422, 'No.', { sha256: ['Open it again.'] }),
    );
    const user = await show(<ChangeNoticePage />, { as: reader, ...route });
    await user.click(await screen.findByRole('button', { name: 'Acknowledge' }));
    expect(await screen.findByText(/Open it again/)).toBeTruthy();
    expect(server.asked('POST /api/change-notices/ECN-00085/receipt')).toHaveLength(1);
    expect(server.asked('POST /api/change-notices/ECN-00085/acknowledgement')[0]?.body).toEqual({
      sha256: 'f'.repeat(64),
    });
    page([], copy('mira', 'Mira Okafor', { opened_at: at, acknowledged_at: at }));
    server.on('POST /api/change-notices/ECN-00085/acknowledgement', null);
    await user.click(screen.getByRole('button', { name: 'Acknowledge' }));
    expect(await screen.findByText(/You acknowledged it on/)).toBeTruthy();
  });

  it('goes to others, and once more to who is late', async () => {
    page([copy('tomas', 'Tomas Lind'), copy('edda', 'Edda Roth', { acknowledge: false })], null);
    server.on('POST /api/change-notices/ECN-00085/sending', null);
    const user = await show(<ChangeNoticePage />, { as: { ...mira, abilities: ['release_order'] }, ...route });
    await user.click(await screen.findByRole('button', { name: 'Remind Tomas Lind' }));
    await user.click(screen.getByRole('button', { name: 'Nobody chosen' }));
    await user.click(await screen.findByRole('checkbox', { name: 'Petra Quist' }));
    await user.keyboard('{Escape}');
    await user.click(screen.getByRole('checkbox', { name: 'Ask them to acknowledge it' }));
    await user.click(screen.getByRole('button', { name: 'Send to these' }));
    await waitFor(() =>
      expect(server.asked('POST /api/change-notices/ECN-00085/sending').map(({ body }) => body)).toEqual([
        { to: [], acknowledge: false },
        { to: ['petra'], acknowledge: true },
      ]),
    );
  });

  it('is waited for when its order was released just now', async () => {
    const none = { number: null, coming: true, issued_at: null, sent: 0, asked: 0, acknowledged: 0 };
    server.on('GET /api/orders/ECO-00085/notice', none);
    await show(<NoticeOfOrder order="ECO-00085" />, { as: { ...mira, abilities: ['release_order'] } });
    await screen.findByText('The change notice is being written…');
    expect(screen.queryByRole('button', { name: 'Issue the change notice' })).toBeNull();
    server.on('GET /api/orders/ECO-00085/notice', { ...none, number: 'ECN-00085', coming: false, sent: 1 });
    expect(await screen.findByText(/sent to one person/, undefined, { timeout: 4000 })).toBeTruthy();
  });

  it('stands on the dossier of its order, or is issued there', async () => {
    server.on('GET /api/orders/ECO-00085/notice', {
      number: null,
      coming: false,
      issued_at: null,
      sent: 0,
      asked: 0,
      acknowledged: 0,
    });
    server.on('POST /api/orders/ECO-00085/notice', null);
    const user = await show(<NoticeOfOrder order="ECO-00085" />, { as: { ...mira, abilities: ['release_order'] } });
    const issue = await screen.findByRole('button', { name: 'Issue the change notice' });
    server.on('GET /api/orders/ECO-00085/notice', {
      coming: false,
      number: 'ECN-00085',
      issued_at: at,
      sent: 4,
      asked: 3,
      acknowledged: 1,
    });
    await user.click(issue);
    expect(await screen.findByText(/1 of 3 acknowledged/)).toBeTruthy();
    expect(screen.getByText(/2 still to acknowledge/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'ECN-00085' }).getAttribute('href')).toBe('/change-notices/ECN-00085');
  });
});
