import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { category } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { NewItemPage } from './NewItemPage';

const ADD = 'POST /api/items';

async function page() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/categories', [
      category('pump', 'Pump', {
        attributes: [
          { name: 'bore', label: 'Bore, mm', required: true },
          { name: 'colour', label: 'Colour', required: false },
        ],
      }),
      category('case', 'Case'),
    ])
    .on('GET /api/item-number', ({ query }) => ({ number: query.category === 'pump' ? '200-0043' : '230-0031' }));
  const user = await show(<NewItemPage />);
  await waitFor(() => expect(server.asked('GET /api/categories')).toHaveLength(1));
  return user;
}

describe('a new item', () => {
  it('has its number by the rule of its category, not typed', async () => {
    const user = await page();
    const number = screen.getByRole('status');
    expect(number.textContent).toBe('by the category');
    await choose(user, 'Category', 'Pump');
    await waitFor(() => expect(number.textContent).toBe('200-0043'));
    await choose(user, 'Category', 'Case');
    await waitFor(() => expect(number.textContent).toBe('230-0031'));
  });

  it('is asked for what its category asks, and forgets it in another one', async () => {
    const user = await page();
    await choose(user, 'Category', 'Pump');
    await user.type(screen.getByLabelText('Bore, mm'), '8');
    expect(screen.getByLabelText('Colour, if known')).toBeTruthy();
    await choose(user, 'Category', 'Case');
    expect(screen.queryByLabelText('Bore, mm')).toBeNull();
    await choose(user, 'Category', 'Pump');
    expect(screen.getByLabelText<HTMLInputElement>('Bore, mm').value).toBe('');
  });

  it('is made at once with all that is known; what is wrong stands at its field, and nothing is lost', async () => {
    const user = await page();
    await choose(user, 'Kind', 'Part');
    await choose(user, 'Category', 'Pump');
    await user.type(screen.getByLabelText('Title'), 'Tube, wall 3 mm');
    await user.type(screen.getByLabelText('Standard cost per unit, EUR'), 'dear');
    server.on(ADD, new Refused(422, 'No.', { standard_cost: ['Write an amount.'], 'attributes.bore': ['Say it.'] }));
    await user.click(screen.getByRole('button', { name: 'Create item' }));
    expect(await screen.findByText(/Write an amount/)).toBeTruthy();
    expect(screen.getByText(/Say it/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Title').value).toBe('Tube, wall 3 mm');
    await user.clear(screen.getByLabelText('Standard cost per unit, EUR'));
    await user.type(screen.getByLabelText('Standard cost per unit, EUR'), '14.20');
    await user.type(screen.getByLabelText('Bore, mm'), '8');
    server.on(ADD, done('200-0043', 1));
    await user.click(screen.getByRole('button', { name: 'Create item' }));
    await waitFor(() => expect(address()).toBe('/items/200-0043'));
    expect(server.asked(ADD)[1]?.body).toMatchObject({
      title: 'Tube, wall 3 mm',
      kind: 'part',
      category: 'pump',
      unit: 'pc',
      supply: 'make',
      standard_cost: '14.20',
      attributes: { bore: '8' },
    });
  });

  it('survives a closed tab', async () => {
    const user = await page();
    await user.type(screen.getByLabelText('Title'), 'Half a');
    await waitFor(() => expect(localStorage.getItem('mira.okafor:draft:item')).toContain('Half a'));
  });
});
