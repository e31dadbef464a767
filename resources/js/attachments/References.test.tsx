import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { References } from './References';

const AT = '/api/changes/ECR-00096/references';
const row = {
  id: 7,
  kind: 'complaint',
  number: 'C-2031',
  address: 'https://complaints.example/C-2031',
  by: 'Clara Fenn',
  at: '2026-11-24T09:00:00+00:00',
};

const as = { ...mira, abilities: [...mira.abilities, 'attach_file' as const] };

describe('records elsewhere', () => {
  it('lead to their pages, and are removed', async () => {
    server.on(`GET ${AT}`, [row]).on(`DELETE ${AT}/7`, []);
    const user = await show(<References of="ECR-00096" />, { as });
    expect((await screen.findByRole('link', { name: 'C-2031' })).getAttribute('href')).toBe(row.address);
    server.on(`GET ${AT}`, []);
    await user.click(screen.getByRole('button', { name: 'Remove C-2031' }));
    await waitFor(() => expect(screen.queryByText('C-2031')).toBeNull());
  });

  it('are added with kind, number and address; what is wrong stands at its field', async () => {
    server
      .on(`GET ${AT}`, [])
      .on(`POST ${AT}`, new Refused(422, 'No.', { address: ['An address begins with http://.'] }));
    const user = await show(<References of="ECR-00096" />, { as });
    await user.click(await screen.findByRole('button', { name: 'Refer to a record elsewhere' }));
    await choose(user, 'Kind of record', 'Complaint');
    await user.type(screen.getByLabelText('Its number'), 'C-2031');
    await user.type(screen.getByLabelText('Address of its page'), 'complaints');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/An address begins/)).toBeTruthy();
    expect(server.asked(`POST ${AT}`)[0]?.body).toEqual({ kind: 'complaint', number: 'C-2031', address: 'complaints' });
    server.on(`POST ${AT}`, [row]).on(`GET ${AT}`, [row]);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('C-2031')).toBeTruthy();
    expect(screen.queryByLabelText('Its number')).toBeNull();
  });
});
