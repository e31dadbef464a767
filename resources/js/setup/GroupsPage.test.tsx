import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { server } from '../testing/server';
import { mira, show } from '../testing/show';
import { GroupsPage } from './GroupsPage';

const ivo = { ...mira, abilities: ['set_up'] };
const buyers = {
  code: 'buyers',
  name: 'Buyers',
  retired: false,
  version: 3,
  members: ['petra'],
  names: ['Petra Quist'],
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/groups', [buyers])
    .on('GET /api/people', [
      { login: 'petra', name: 'Petra Quist', roles: ['Buyer'], may_revise: false, may_sign: false, may_judge: false },
      { login: 'tomas', name: 'Tomas Lind', roles: ['Planner'], may_revise: false, may_sign: false, may_judge: false },
    ]);
}

describe('groups', () => {
  it('are shown to everybody, and set up by who may', async () => {
    answers();
    await show(<GroupsPage />);
    expect(await screen.findByText('Petra Quist')).toBeTruthy();
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('have other people, with the version that was seen', async () => {
    answers();
    const user = await show(<GroupsPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Buyers' }));
    const form = screen.getByRole('form', { name: 'Change Buyers' });
    await user.click(within(form).getByRole('checkbox', { name: /Tomas Lind/ }));
    server.on('PUT /api/groups/buyers', done('buyers', 4));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/groups/buyers')[0]?.body).toEqual({
        name: 'Buyers',
        members: ['petra', 'tomas'],
        retired: false,
        version: 3,
      }),
    );
  });

  it('are added under a code', async () => {
    answers();
    const user = await show(<GroupsPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New group' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'no such');
    await user.click(within(form).getByRole('button', { name: 'Add a group' }));
    expect(await within(form).findByText(/A code is letters/)).toBeTruthy();
    expect(server.asked('PUT /api/groups/no such')).toEqual([]);
  });
});
