import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { ResponsiblePage } from './ResponsiblePage';

const PUT = 'PUT /api/responsible/plant/Weir';

const answers = () =>
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [
      { login: 'tomas', name: 'Tomas Lind', roles: [], may_revise: true, may_sign: true, may_judge: true },
    ])
    .on('GET /api/groups', [])
    .on('GET /api/responsible', [
      { field: 'plant', code: 'Weir', name: 'Weir', who: '' },
      { field: 'category', code: 'pump', name: 'Pump', who: 'tomas' },
    ]);

describe('who is responsible', () => {
  it('is chosen at its row, for each plant and category', async () => {
    answers().on(PUT, done('Weir', 1));
    const user = await show(<ResponsiblePage />, { as: { ...mira, abilities: ['set_up'] } });
    await screen.findByRole('combobox', { name: 'Owner of items, Pump' });
    await choose(user, 'Planner of the plant, Weir', 'Tomas Lind');
    await waitFor(() => expect(server.asked(PUT)[0]?.body).toEqual({ who: 'tomas' }));
  });

  it('says at the row what was refused', async () => {
    answers().on(PUT, new Refused(422, 'Choose a person or a group.', { who: ['Choose a person or a group.'] }));
    const user = await show(<ResponsiblePage />, { as: { ...mira, abilities: ['set_up'] } });
    await screen.findByRole('combobox', { name: 'Owner of items, Pump' });
    await choose(user, 'Planner of the plant, Weir', 'Tomas Lind');
    expect(await screen.findByText(/Choose a person or a group/)).toBeTruthy();
  });

  it('is read by others', async () => {
    answers();
    await show(<ResponsiblePage />);
    expect(await screen.findByText('Tomas Lind')).toBeTruthy();
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
