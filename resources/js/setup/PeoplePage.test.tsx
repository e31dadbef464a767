import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { PeoplePage } from './PeoplePage';

const ivo = { ...mira, abilities: ['manage_people'] };
const role = {
  abilities: [],
  plants: [],
  categories: [],
  second_factor: false,
  retired: false,
  version: 1,
  people: [],
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/roles', [
      { ...role, code: 'planner', name: 'Planner' },
      { ...role, code: 'buyer', name: 'Buyer' },
      { ...role, code: 'clerk', name: 'Clerk', retired: true },
    ])
    .on('GET /api/accounts', [
      {
        login: 'tomas.lind',
        name: 'Tomas Lind',
        email: 'tomas.lind@quillback.example',
        roles: ['planner'],
        role_names: ['Planner'],
        active: true,
        version: 4,
      },
    ]);
}

describe('people', () => {
  it('get other roles, of those that are offered, with the version that was seen', async () => {
    answers();
    const user = await show(<PeoplePage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Tomas Lind' }));
    const form = screen.getByRole('form', { name: 'Change Tomas Lind' });
    expect(within(form).queryByRole('checkbox', { name: 'Clerk' })).toBeNull();
    await user.click(await within(form).findByRole('checkbox', { name: 'Buyer' }));
    server.on('PUT /api/accounts/tomas.lind', done('tomas.lind', 5));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/accounts/tomas.lind')[0]?.body).toEqual({
        name: 'Tomas Lind',
        email: 'tomas.lind@quillback.example',
        roles: ['planner', 'buyer'],
        active: true,
        version: 4,
      }),
    );
  });

  it('are deactivated', async () => {
    answers();
    const user = await show(<PeoplePage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Tomas Lind' }));
    server.on('PUT /api/accounts/tomas.lind', done('tomas.lind', 5));
    await user.click(screen.getByRole('button', { name: 'Deactivate' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/accounts/tomas.lind')[0]?.body).toMatchObject({ active: false, version: 4 }),
    );
  });

  it('are added under a sign-in name that is one', async () => {
    answers();
    const user = await show(<PeoplePage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New person' });
    await user.type(within(form).getByRole('textbox', { name: /Sign-in name/ }), 'Ruth Amery');
    await user.click(within(form).getByRole('button', { name: 'Add the person' }));
    expect(await within(form).findByText(/such as ruth.amery/)).toBeTruthy();
    expect(server.asked('PUT /api/accounts/Ruth Amery')).toEqual([]);
    await user.clear(within(form).getByRole('textbox', { name: /Sign-in name/ }));
    await user.type(within(form).getByRole('textbox', { name: /Sign-in name/ }), 'ruth.amery');
    server.on(
      'PUT /api/accounts/ruth.amery',
      new Refused(422, 'No.', {
        email: ['Not a mail address.'],
        roles: ['Choose a role at least.'],
      }),
    );
    await user.click(within(form).getByRole('button', { name: 'Add the person' }));
    expect(await within(form).findByText(/Not a mail address/)).toBeTruthy();
    expect(await within(form).findByText(/Choose a role at least/)).toBeTruthy();
  });
});
