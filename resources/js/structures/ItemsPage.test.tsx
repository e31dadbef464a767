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
    await waitFor(() => expect(lastAsked()).toEqual({ words: 'tube', status: 'being_revised', from: '0' }));
    expect(address()).toBe('/?words=tube&status=being_revised');
    await user.click(screen.getByRole('button', { name: 'Show all' }));
    await waitFor(() => expect(lastAsked()).toEqual({ from: '0' }));
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
    await user.type(screen.getByLabelText('Value contains'), '8');
    await waitFor(() => expect(lastAsked()).toEqual({ category: 'pump', attribute: 'bore', value: '8', from: '0' }));
    await user.click(tree().getByRole('button', { name: /^Case/ }));
    await waitFor(() => expect(lastAsked()).toEqual({ category: 'case', from: '0' }));
    expect(screen.queryByLabelText('Value contains')).toBeNull();
  });

  it('say what to do when there is none, and when there are too many', async () => {
    await items('/?words=zebra', mira, []);
    expect(await screen.findByText('No item matches “zebra”.')).toBeTruthy();
  });

  it('say how many there are in all, read some pages ahead, and more of them from the end', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/categories', categories)
      .on('GET /api/items', ({ query }) => ({
        total: 1250,
        from: Number(query.from),
        rows: Array.from({ length: 200 }, (_, at) => ({ ...tube, number: `G-${Number(query.from) + at}` })),
        nearly: false,
        hint: null,
      }));
    const user = await show(<ItemsPage />);
    expect(await screen.findByText(/^1.250 items$/)).toBeTruthy();
    const asked = () => server.asked('GET /api/items').map(({ query }) => query.from);
    await waitFor(() => expect(asked()).toEqual(['0', '200', '400']));
    screen.getAllByRole('row')[1]?.focus();
    await user.keyboard('{End}');
    await waitFor(() => expect(asked()).toContain('600'));
  });

  it('say what is wrong with a number by its check digit', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/categories', categories)
      .on('GET /api/items', { total: 0, from: 0, rows: [], nearly: false, hint: 'Its check digit does not fit.' });
    await show(<ItemsPage />, { at: '/?words=310-0075-9' });
    expect(await screen.findByText('Its check digit does not fit.')).toBeTruthy();
  });

  it('are raised or compared, several at once', async () => {
    const user = await items('/', { ...mira, abilities: ['raise_request'] });
    await user.click(await screen.findByRole('checkbox', { name: 'Select 200-0040' }));
    expect(screen.queryByRole('link', { name: 'Compare' })).toBeNull();
    await user.click(screen.getByRole('checkbox', { name: 'Select 200-0041' }));
    expect(screen.getByRole('link', { name: 'Compare' }).getAttribute('href')).toBe(
      '/compare?left=200-0040&right=200-0041',
    );
    await user.click(screen.getByRole('link', { name: 'Raise a change request' }));
    expect(address()).toBe('/requests/new?items=200-0040,200-0041');
  });

  it('are made and taken over by who may', async () => {
    await items('/', { ...mira, abilities: ['add_item', 'import_data'] });
    expect(screen.getByRole('link', { name: 'New item' }).getAttribute('href')).toBe('/items/new');
    expect(screen.getByRole('link', { name: 'Import from a file' }).getAttribute('href')).toBe('/import');
  });

  it('are only read by the others', async () => {
    await items('/', vera);
    expect(screen.queryByRole('link', { name: 'New item' })).toBeNull();
    expect(screen.queryByRole('link', { name: 'Import from a file' })).toBeNull();
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
