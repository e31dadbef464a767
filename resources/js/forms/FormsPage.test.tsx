import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, show, vera } from '../testing/show';
import { FormsPage } from './FormsPage';

const form = (number: string, more: Partial<Schemas['HandedFormRow']> = {}): Schemas['HandedFormRow'] => ({
  number,
  template: 'Field check',
  state: 'out',
  handed_by: 'Mira Okafor',
  handed_at: '2026-11-24T09:00:00+00:00',
  settled_by: null,
  settled_at: null,
  taken: [],
  file: null,
  ...more,
});
const settled = { settled_by: 'Mira Okafor', settled_at: '2026-11-25T09:00:00+00:00' };

async function forms(more: Partial<Schemas['FormsPage']> = {}, as?: Schemas['Me']) {
  server.on('GET /api/favourites', []).on('GET /api/requests/ECR-00096/forms', {
    request: 'ECR-00096',
    title: 'Pump tube wears out',
    open: true,
    version: 3,
    templates: [
      { id: 1, name: 'Field check' },
      { id: 2, name: 'Supplier enquiry' },
    ],
    forms: [],
    ...more,
  });
  const user = await show(<FormsPage />, { at: '/changes/ECR-00096/forms', path: '/changes/:number/forms', as });
  await screen.findByRole('heading', { name: 'Issued' });
  return user;
}

const HAND = 'POST /api/requests/ECR-00096/forms';
const rows = () => within(screen.getByRole('region', { name: 'Issued' })).getAllByRole('listitem');

describe('the forms of a request', () => {
  it('are handed out, filled from the record, once a template is chosen', async () => {
    const user = await forms();
    expect(screen.getByText('No form was issued for this request.')).toBeTruthy();
    const fill = screen.getByRole<HTMLButtonElement>('button', { name: 'Issue' });
    expect(fill.disabled).toBe(true);
    await choose(user, 'Template', 'Supplier enquiry');
    server.on(HAND, new Refused(422, 'No.', { template: ['This template is not offered any more.'] }));
    await user.click(fill);
    expect(await screen.findByText(/not offered any more/)).toBeTruthy();
    server.on(HAND, {}).on('GET /api/requests/ECR-00096/forms', {
      request: 'ECR-00096',
      title: 'Pump tube wears out',
      open: true,
      version: 3,
      templates: [{ id: 2, name: 'Supplier enquiry' }],
      forms: [form('F-00003', { template: 'Supplier enquiry' })],
    });
    await user.click(fill);
    expect((await screen.findByRole('link', { name: /Download/ })).getAttribute('href')).toBe(
      '/api/forms/F-00003/file',
    );
    expect(server.asked(HAND)[1]?.body).toEqual({ template: 2 });
  });

  it('tell what became of each: what it brought, who settled it, and the file as it came back', async () => {
    await forms({
      forms: [
        form('F-00001', {
          ...settled,
          state: 'taken_in',
          taken: ['Title: Tube tears', 'Seen: torn at the rollers'],
          file: '7',
        }),
        form('F-00002', { ...settled, state: 'taken_in', file: '8' }),
        form('F-00003', { ...settled, state: 'withdrawn' }),
        form('F-00004'),
      ],
    });
    const top = rows().filter((one) => one.querySelector('.font-mono'));
    expect(top[0]?.textContent).toContain('Seen: torn at the rollers');
    expect(
      within(top[0] ?? document.body)
        .getByRole('link')
        .getAttribute('href'),
    ).toBe('/api/change-files/7');
    expect(top[1]?.textContent).toContain('Nothing was imported from it.');
    expect(top[2]?.textContent).toContain('✕');
    expect(within(top[2] ?? document.body).queryByRole('link')).toBeNull();
    expect(top[3]?.textContent).toContain('Download');
  });

  it('are withdrawn while they are out, and taken back when they were taken in', async () => {
    const user = await forms({
      forms: [form('F-00001', { ...settled, state: 'taken_in', file: '7' }), form('F-00002')],
    });
    server.on('DELETE /api/forms/F-00002', done('ECR-00096'));
    await user.click(screen.getByRole('button', { name: 'Withdraw F-00002' }));
    await waitFor(() => expect(server.asked('DELETE /api/forms/F-00002')).toHaveLength(1));
    server.on('DELETE /api/forms/F-00001/taken', new Refused(422, 'Its question is answered already.'));
    await user.click(screen.getByRole('button', { name: /Undo.*F-00001/ }));
    expect((await screen.findByRole('alert')).textContent).toContain('Its question is answered already.');
  });

  it('are only shown once the request is not assessed any more', async () => {
    await forms({
      open: false,
      forms: [form('F-00001', { ...settled, state: 'taken_in', file: '7' }), form('F-00002')],
    });
    expect(screen.getByText(/ECR-00096 is not being assessed/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Withdraw|Undo|Fill it/ })).toBeNull();
  });

  it('are only shown to who does not assess', async () => {
    await forms({ forms: [form('F-00002')] }, vera);
    expect(screen.queryByRole('button', { name: /Withdraw|Fill it/ })).toBeNull();
    expect(screen.getByRole('link', { name: /Download/ })).toBeTruthy();
  });
});
