import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Masthead } from './Masthead';
import { server } from './testing/server';
import { address, mira, show, vera } from './testing/show';

beforeEach(() => {
  server.on('GET /api/favourites', []).on('GET /api/items', []).on('GET /api/changes', []);
});

describe('the head of every page', () => {
  it('leads to each place, and says at which one is', async () => {
    const user = await show(<Masthead />, { at: '/items/200-0010' });
    const main = within(screen.getByRole('navigation', { name: 'Main' }));
    expect(main.getAllByRole('link').map((one) => one.getAttribute('href'))).toEqual([
      '/',
      '/reports',
      '/register',
      '/items',
      '/compare',
      '/hand-overs',
    ]);
    expect(main.getByRole('link', { name: 'Items' }).getAttribute('aria-current')).toBe('page');
    expect(main.getByRole('link', { name: 'Desk' }).getAttribute('aria-current')).toBeNull();
    await user.click(main.getByRole('link', { name: 'Register' }));
    expect(address()).toBe('/register');
  });

  it('is gone through by keys: finding, the Desk, a new request, what keys there are', async () => {
    const user = await show(<Masthead />, { at: '/items' });
    await user.keyboard('{Control>}k{/Control}');
    expect(await screen.findByPlaceholderText('Number or words')).toBeTruthy();
    await user.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByPlaceholderText('Number or words')).toBeNull());
    await user.keyboard('gd');
    expect(address()).toBe('/');
    await user.keyboard('nr');
    expect(address()).toBe('/requests/new');
    await user.keyboard('?');
    expect(await screen.findByRole('dialog')).toBeTruthy();
  });

  it('raises nothing by a key for who may not', async () => {
    const user = await show(<Masthead />, { at: '/items', as: vera });
    await user.keyboard('nr');
    expect(address()).toBe('/items');
  });

  it('turns dark and light, and keeps it', async () => {
    const user = await show(<Masthead />);
    await user.click(screen.getByRole('button', { name: 'Dark' }));
    expect(document.documentElement.dataset.theme).toBe('dark');
    expect(JSON.stringify(localStorage)).toContain('dark');
    await user.click(screen.getByRole('button', { name: 'Light' }));
    expect(document.documentElement.dataset.theme).toBe('light');
  });

  it('says who is signed in, and signs out', async () => {
    const assign = vi.fn();
    vi.stubGlobal('location', { origin: window.location.origin, assign });
    const user = await show(<Masthead />, { as: mira });
    server.on('DELETE /api/session', {});
    await user.click(screen.getByRole('button', { name: /Mira Okafor/ }));
    await user.click(await screen.findByRole('menuitem', { name: 'Sign out' }));
    await waitFor(() => expect(assign).toHaveBeenCalledWith('/'));
    expect(server.asked('DELETE /api/session')).toHaveLength(1);
    vi.unstubAllGlobals();
  });
});
