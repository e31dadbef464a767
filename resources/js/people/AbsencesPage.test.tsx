import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { plusDays, today } from '../lib/format';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { AbsencesPage } from './AbsencesPage';

const as = { ...mira, abilities: ['be_away'] };
const row = {
  id: 4,
  person: 'mira.okafor',
  name: 'Mira Okafor',
  deputy: null,
  deputy_name: null,
  first_day: '2026-12-01',
  last_day: '2026-12-05',
  mine: true,
};

describe('absences', () => {
  it('are added for oneself, and removed again', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/people', [
        { login: 'greta', name: 'Greta Sorn', roles: [], may_revise: false, may_sign: true, may_judge: true },
      ])
      .on('GET /api/absences', [row]);
    const user = await show(<AbsencesPage />, { as });
    const form = await screen.findByRole('form', { name: 'New absence' });
    await user.type(within(form).getByRole('textbox', { name: 'First day' }), '+3');
    await user.type(within(form).getByRole('textbox', { name: 'Last day' }), '+5');
    await choose(user, 'Deputy', 'Greta Sorn');
    server.on(
      'POST /api/absences',
      new Refused(422, 'No.', { first_day: ['They are away on some of these days already.'] }),
    );
    await user.click(within(form).getByRole('button', { name: 'Add absence' }));
    expect(await within(form).findByText(/away on some of these days/)).toBeTruthy();
    expect(server.asked('POST /api/absences')[0]?.body).toEqual({
      person: 'mira.okafor',
      deputy: 'greta',
      first_day: plusDays(today(), 3),
      last_day: plusDays(today(), 5),
    });
    server.on('DELETE /api/absences/4', []);
    await user.click(screen.getByRole('button', { name: /Remove the absence of Mira Okafor/ }));
    await waitFor(() => expect(server.asked('DELETE /api/absences/4')).toHaveLength(1));
  });
});
