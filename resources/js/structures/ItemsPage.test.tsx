import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { category, head, thicker, tube } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, mira, show, vera } from '../testing/show';
import { ItemsPage } from './ItemsPage';

const categories = [
  category('parts', 'Parts', { items: 2 }),
  category('pump', 'Pump', {
    under: 'parts',
    items: 1200,
    attributes: [{ name: 'bore', label: 'Bore, mm', required: false }],
  }),
  category('case', 'Case', { under: 'parts', items: 5 }),
];

async function items(at = '/', as: Schemas['Me'] = mira, rows = [tube, thicker, head]) {
  server.on('GET /api/favourites', []).on('GET /api/categories', categories).on('GET /api/items', rows);
  const user = await show(<ItemsPage />, { at, as });
  await screen.findByRole('navigation', { name: 'Categories' });
  return user;
}

const lastAsked = () => server.asked('GET /api/items').at(-1)?.query;
const tree = () => within(screen.getByRole('navigation', { name: 'Categories' }));

describe('all items', () => {
  it('are found by words and properties, and the address keeps what was asked', async () => {
    const user = await items();
    await user.type(screen.getByLabelText('Number or words of the title'), 'tube');
    await choose(user, 'Any status', 'Being revised now');
    await waitFor(() => expect(lastAsked()).toEqual({ words: 'tube', status: 'being_revised' }));
    expect(address()).toBe('/?words=tube&status=being_revised');
    await user.click(screen.getByRole('button', { name: 'Show all' }));
    await waitFor(() => expect(lastAsked()).toEqual({ words: '' }));
    expect(address()).toBe('/');
  });

  it('are opened by a row', async () => {
    const user = await items();
    await user.click(await screen.findByText('Pump head'));
    expect(address()).toBe('/items/200-0010');
  });

  it('are asked for by what their category asks, and no more by it in another one', async () => {
    const user = await items('/?category=pump');
    await choose(user, 'Any attribute', 'Bore, mm');
    await user.type(screen.getByLabelText('What it has to say'), '8');
    await waitFor(() => expect(lastAsked()).toEqual({ words: '', category: 'pump', attribute: 'bore', value: '8' }));
    await user.click(tree().getByRole('button', { name: /^Case/ }));
    await waitFor(() => expect(lastAsked()).toEqual({ words: '', category: 'case' }));
    expect(screen.queryByLabelText('What it has to say')).toBeNull();
  });

  it('say what to do when there is none, and when there are too many', async () => {
    await items('/?words=zebra', mira, []);
    expect(await screen.findByText('No item reads like “zebra”.')).toBeTruthy();
  });

  it('say when these are not all', async () => {
    await items(
      '/',
      mira,
      Array.from({ length: 200 }, (_, at) => ({ ...tube, number: `G-${at}` })),
    );
    expect(await screen.findByText('The first 200; write more to narrow it down')).toBeTruthy();
  });

  it('are made and taken over by who may', async () => {
    await items('/', { ...mira, abilities: ['add_item', 'import_data'] });
    expect(screen.getByRole('link', { name: 'New item' }).getAttribute('href')).toBe('/items/new');
    expect(screen.getByRole('link', { name: 'Take over from a file' }).getAttribute('href')).toBe('/import');
  });

  it('are only read by the others', async () => {
    await items('/', vera);
    expect(screen.queryByRole('link', { name: 'New item' })).toBeNull();
    expect(screen.queryByRole('link', { name: 'Take over from a file' })).toBeNull();
  });
});

describe('the tree of categories', () => {
  it('counts what is in each and below it', async () => {
    await items();
    await waitFor(() => expect(tree().getByRole('button', { name: /^All items/ }).textContent).toContain('1\u2009207'));
    expect(tree().getByRole('button', { name: /^Parts/ }).textContent).toContain('1\u2009207');
    expect(tree().getByRole('button', { name: /^Case/ }).textContent).toBe('Case5');
  });

  it('is closed and opened, and says which one is looked at', async () => {
    const user = await items('/?category=case');
    expect((await tree().findByRole('button', { name: /^Case/ })).getAttribute('aria-current')).toBe('true');
    const turn = tree().getByRole('button', { name: 'What is under Parts' });
    await user.click(turn);
    expect(turn.getAttribute('aria-expanded')).toBe('false');
    expect(tree().queryByRole('button', { name: /^Case/ })).toBeNull();
    await user.click(turn);
    expect(tree().getByRole('button', { name: /^Case/ })).toBeTruthy();
    await user.click(tree().getByRole('button', { name: /^All items/ }));
    await waitFor(() => expect(address()).toBe('/'));
  });
});
