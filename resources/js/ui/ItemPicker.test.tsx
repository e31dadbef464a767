import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { head, thicker, tube } from '../testing/make';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { ItemPicker } from './ItemPicker';

describe('finding an item while typing', () => {
  it('asks for what is typed and takes the one that is pointed at', async () => {
    const pick = vi.fn();
    const user = await show(<ItemPicker label="Old part" onPick={pick} />);
    server.on('GET /api/items', ({ query }) => (query.words === 'tube' ? [tube, thicker] : [head]));
    await user.type(screen.getByRole('combobox', { name: 'Old part' }), 'tube');
    await user.click(await screen.findByText('Pump tube, wall 2.4 mm'));
    expect(pick).toHaveBeenCalledExactlyOnceWith(thicker);
    expect(screen.queryByRole('option')).toBeNull();
  });

  it('is used by keys alone: arrows choose, Enter takes, Escape closes', async () => {
    const pick = vi.fn();
    const cancel = vi.fn();
    const user = await show(<ItemPicker label="Old part" onPick={pick} onCancel={cancel} />);
    server.on('GET /api/items', [tube, thicker]);
    const field = screen.getByRole('combobox', { name: 'Old part' });
    await user.type(field, '200');
    await screen.findAllByRole('option');
    await user.keyboard('{ArrowDown}');
    const second = screen.getByRole('option', { name: /200-0041/ });
    expect(second.getAttribute('aria-selected')).toBe('true');
    expect(field.getAttribute('aria-activedescendant')).toBe(second.id);
    await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
    expect(pick).toHaveBeenCalledExactlyOnceWith(thicker);
    await user.type(field, '200{Escape}');
    expect(cancel).toHaveBeenCalledOnce();
    expect(field.getAttribute('aria-expanded')).toBe('false');
  });

  it('says when nothing reads like it, and asks nothing for an empty field', async () => {
    const user = await show(<ItemPicker label="Old part" onPick={() => undefined} />);
    server.on('GET /api/items', []);
    await user.type(screen.getByRole('combobox', { name: 'Old part' }), 'xyz');
    expect(await screen.findByText('Nothing reads like “xyz”.')).toBeTruthy();
    const asked = server.asked('GET /api/items').length;
    await user.clear(screen.getByRole('combobox', { name: 'Old part' }));
    await waitFor(() => expect(screen.queryByText(/Nothing reads like/)).toBeNull());
    expect(server.asked('GET /api/items').length).toBe(asked);
  });
});
