import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { Keep } from './Keep';

const AT = '/items?category=pump';

async function keep(rows: { id: number; address: string; name: string; shared_by?: string }[] = []) {
  server.on('GET /api/favourites', rows).orElse('GET /api/groups', []);
  const user = await show(<Keep title="Items" />, { at: AT });
  await waitFor(() => expect(server.asked('GET /api/favourites')).toHaveLength(1));
  return user;
}

describe('keeping a page', () => {
  it('keeps it with all that its address says, under a name that is offered', async () => {
    const user = await keep();
    await user.click(screen.getByRole('button', { name: 'Save this view' }));
    const name = await screen.findByLabelText<HTMLInputElement>('Save view as');
    expect(name.value).toBe('Items');
    await user.clear(name);
    server.on('POST /api/favourites', new Refused(422, 'No.', { name: ['Give it a name.'] }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Give it a name/)).toBeTruthy();
    await user.type(name, 'Pumps');
    const kept = [{ id: 3, address: AT, name: 'Pumps' }];
    server.on('POST /api/favourites', null).on('GET /api/favourites', kept);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('button', { name: 'Saved as Pumps' })).toBeTruthy();
    expect(server.asked('POST /api/favourites')[1]?.body).toEqual({ address: AT, name: 'Pumps' });
  });

  it('knows a kept page by its whole address, renames it and lets it go', async () => {
    const user = await keep([
      { id: 2, address: '/items', name: 'All' },
      { id: 3, address: AT, name: 'Pumps' },
    ]);
    await user.click(await screen.findByRole('button', { name: 'Saved as Pumps' }));
    expect((await screen.findByLabelText<HTMLInputElement>('Save view as')).value).toBe('Pumps');
    expect(screen.getByRole('button', { name: 'Save changes' })).toBeTruthy();
    server.on('DELETE /api/favourites/3', null).on('GET /api/favourites', []);
    await user.click(screen.getByRole('button', { name: 'Remove from saved views' }));
    expect(await screen.findByRole('button', { name: 'Save this view' })).toBeTruthy();
  });

  it('shares it with a group that one is in', async () => {
    const group = { retired: false, version: 1, names: [] };
    server.on('GET /api/groups', [
      { ...group, code: 'board', name: 'Change board', members: ['mira.okafor'] },
      { ...group, code: 'buyers', name: 'Buyers', members: ['petra.quist'] },
    ]);
    const user = await keep([{ id: 9, address: AT, name: 'Pumps', shared_by: 'Jonas Weir' }]);
    // What another shares is not one's own to rename.
    await user.click(screen.getByRole('button', { name: 'Save this view' }));
    await user.click(await screen.findByRole('combobox', { name: 'Share with' }));
    expect(screen.queryByRole('option', { name: 'Buyers' })).toBeNull();
    await user.click(await screen.findByRole('option', { name: 'Change board' }));
    server.on('POST /api/favourites', null);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('POST /api/favourites')[0]?.body).toEqual({ address: AT, name: 'Items', group: 'board' }),
    );
  });
});
