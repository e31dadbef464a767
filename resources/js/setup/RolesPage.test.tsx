import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { RolesPage } from './RolesPage';

const ivo = { ...mira, abilities: ['manage_people'] };
const planner = {
  code: 'planner',
  name: 'Planner',
  abilities: ['send_handover'],
  plants: [],
  categories: [],
  second_factor: false,
  retired: false,
  version: 2,
  people: ['Tomas Lind'],
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/categories', [])
    .on('GET /api/roles', [planner])
    .on('GET /api/abilities', [
      { code: 'send_handover', name: 'Send hand-overs to planning', area: 'Review and release' },
      { code: 'plan_order', name: 'Plan orders', area: 'Orders' },
    ]);
}

describe('roles', () => {
  it('say who has them and where they hold; who does not manage people changes none', async () => {
    answers();
    await show(<RolesPage />);
    expect(await screen.findByText('Tomas Lind')).toBeTruthy();
    expect(screen.getByText('everywhere')).toBeTruthy();
    expect(await screen.findByText('1 of 2')).toBeTruthy();
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('allow what is ticked, at the plants that are chosen', async () => {
    answers();
    const user = await show(<RolesPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Planner' }));
    const form = screen.getByRole('form', { name: 'Change Planner' });
    await user.click(within(form).getByRole('checkbox', { name: 'Plan orders' }));
    await user.click(within(form).getByRole('checkbox', { name: 'Send hand-overs to planning' }));
    await user.click(within(form).getByRole('button', { name: 'Any plant' }));
    await user.click(await screen.findByRole('checkbox', { name: /Weir/ }));
    await user.keyboard('{Escape}');
    server.on('PUT /api/roles/planner', done('planner', 3));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/roles/planner')[0]?.body).toEqual({
        name: 'Planner',
        abilities: ['plan_order'],
        plants: ['Weir'],
        categories: [],
        second_factor: false,
        retired: false,
        version: 2,
      }),
    );
  });

  it('say why one cannot be retired, and keep what was ticked', async () => {
    answers();
    const user = await show(<RolesPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Planner' }));
    const form = screen.getByRole('form', { name: 'Change Planner' });
    await user.click(within(form).getByRole('checkbox', { name: 'Plan orders' }));
    server.on('PUT /api/roles/planner', new Refused(422, 'No.', { retired: ['Tomas Lind still have it.'] }));
    await user.click(within(form).getByRole('button', { name: 'Retire' }));
    expect(await within(form).findByText(/Tomas Lind still have it/)).toBeTruthy();
    expect(within(form).getByRole('checkbox', { name: 'Plan orders' })).toHaveProperty('checked', true);
  });
});
