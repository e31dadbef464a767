import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { DistributionPage } from './DistributionPage';

const ivo = { ...mira, abilities: ['set_up'] };
const tarn = {
  code: 'tarn',
  name: 'Planning, Tarn',
  plants: ['Tarn'],
  products: [],
  categories: [],
  recipients: ['tomas'],
  acknowledge: true,
  days: 3,
  retired: false,
  version: 2,
};

function answers(rows: object[] = [tarn]) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/distribution-lists', rows)
    .on('GET /api/categories', [])
    .on('GET /api/groups', [
      { code: 'buyers', name: 'Buyers', retired: false, version: 1, members: ['petra'], names: ['Petra Quist'] },
    ])
    .on('GET /api/people', [
      { login: 'tomas', name: 'Tomas Lind', roles: ['Planner'], may_revise: false, may_sign: false, may_judge: false },
    ]);
}

describe('distribution lists', () => {
  it('say what they meet and to whom they go, and are set up by who may', async () => {
    answers([tarn, { ...tarn, code: 'all', name: 'All', plants: [], acknowledge: false, days: null, retired: true }]);
    await show(<DistributionPage />);
    const grid = await screen.findByRole('grid', { name: 'Distribution lists' });
    expect(within(grid).getByText('within 3 days')).toBeTruthy();
    expect(within(grid).getByText('every change')).toBeTruthy();
    expect(await within(grid).findAllByText('Tomas Lind')).toHaveLength(2);
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('are changed with the version that was seen; a fault stands at its field', async () => {
    answers();
    server.on(
      'PUT /api/distribution-lists/tarn',
      new Refused(422, 'No.', { 'recipients.1': ['There is no such person or group.'] }),
    );
    const user = await show(<DistributionPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Planning, Tarn' }));
    const form = screen.getByRole('form', { name: 'Change Planning, Tarn' });
    await user.click(within(form).getByRole('button', { name: 'Goes to: Tomas Lind' }));
    await user.click(await screen.findByRole('checkbox', { name: 'Buyers (group of 1)' }));
    await user.keyboard('{Escape}');
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await within(form).findByText('▸ There is no such person or group.')).toBeTruthy();
    expect(server.asked('PUT /api/distribution-lists/tarn')[0]?.body).toMatchObject({
      recipients: ['group:buyers', 'tomas'],
      acknowledge: true,
      days: 3,
      version: 2,
    });
    server.on('PUT /api/distribution-lists/tarn', done('tarn', 3));
    await user.click(within(form).getByRole('checkbox', { name: 'They acknowledge it' }));
    await user.click(within(form).getByRole('button', { name: 'Retire' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/distribution-lists/tarn').at(-1)?.body).toMatchObject({
        acknowledge: false,
        days: null,
        retired: true,
      }),
    );
  });

  it('are added under a code', async () => {
    answers([]);
    server.on('PUT /api/distribution-lists/weir', done('weir', 1));
    const user = await show(<DistributionPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New distribution list' });
    await user.click(within(form).getByRole('button', { name: 'Add the list' }));
    expect(await within(form).findByText(/A code is letters/)).toBeTruthy();
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'weir');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Weir');
    await user.click(within(form).getByRole('button', { name: 'Add the list' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/distribution-lists/weir')[0]?.body).toMatchObject({ name: 'Weir' }),
    );
  });
});
