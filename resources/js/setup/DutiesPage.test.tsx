import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { server } from '../testing/server';
import { mira, show } from '../testing/show';
import { DutiesPage } from './DutiesPage';

const page = {
  duties: [
    { code: 'edit', name: 'Edit the order' },
    { code: 'sign', name: 'Sign' },
    { code: 'release', name: 'Release the order' },
  ],
  always: [{ one: 'edit', other: 'sign' }],
  pairs: [{ one: 'release', other: 'sign' }],
  version: 3,
};

describe('duties that are kept apart', () => {
  it('are pairs, of which some are fixed', async () => {
    server.on('GET /api/favourites', []).on('GET /api/separation', page);
    const user = await show(<DutiesPage />, { as: { ...mira, abilities: ['manage_people'] } });
    const box = (name: string) => screen.getByRole<HTMLInputElement>('checkbox', { name });
    await screen.findByRole('form');
    expect(screen.getAllByRole('checkbox')).toHaveLength(3);
    expect(box('Edit the order and sign, always apart').disabled).toBe(true);
    // Whichever of the two it was said of first.
    expect(box('Sign and release the order').checked).toBe(true);
    await user.click(box('Sign and release the order'));
    await user.click(box('Edit the order and release the order'));
    server.on('PUT /api/separation', { ...page, version: 4 });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/separation')[0]?.body).toEqual({
        pairs: [{ one: 'edit', other: 'release' }],
        version: 3,
      }),
    );
  });

  it('are read by everybody, and set by who manages people', async () => {
    server.on('GET /api/favourites', []).on('GET /api/separation', page);
    await show(<DutiesPage />);
    await screen.findByRole('form');
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
    expect(screen.getAllByRole<HTMLInputElement>('checkbox').every((box) => box.disabled)).toBe(true);
  });
});
