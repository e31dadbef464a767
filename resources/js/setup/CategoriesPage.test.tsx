import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { category } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { CategoriesPage } from './CategoriesPage';

const ivo: Schemas['Me'] = { ...mira, login: 'ivo.tanner', name: 'Ivo Tanner', abilities: ['set_up'] };
const rows = [
  category('pump', 'Pump', { items: 1200, number_check: true }),
  category('tubes', 'Tubes', {
    under: 'pump',
    sequence: 'numbers',
    attributes: [{ name: 'bore', label: 'Bore, mm', required: true }],
  }),
];
const kinds: Schemas['KindRow'][] = [
  { kind: 'part', label: 'Part', sequence: 'letters' },
  { kind: 'document', label: 'Document', sequence: 'numbers' },
];

async function categories(as = ivo) {
  server.on('GET /api/favourites', []).on('GET /api/categories', rows).on('GET /api/kinds', kinds);
  const user = await show(<CategoriesPage />, { as });
  await screen.findByRole('grid', { name: 'Categories' });
  return user;
}

describe('categories and numbers', () => {
  it('say how items of each are numbered and revised, and what they are asked for', async () => {
    await categories();
    const [, pump, tubes] = within(screen.getByRole('grid', { name: 'Categories' })).getAllByRole('row');
    expect(pump?.textContent).toMatch(/^Pump200-4yesLetters.*1\s200/);
    expect(tubes?.textContent).toMatch(/^TubesPump200-4noNumbers.*Bore, mm/);
  });

  it('are changed in place by an administrator', async () => {
    const user = await categories();
    await user.click(screen.getByRole('button', { name: 'Change Tubes' }));
    expect(screen.queryByRole('button', { name: 'Change Tubes' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Change Pump' })).toBeTruthy();
  });

  it('are added by name; what is wrong stands at the field', async () => {
    const user = await categories();
    server.on('POST /api/categories', new Refused(422, 'No.', { name: ['There is one of this name.'] }));
    await user.type(screen.getByLabelText('Name of a new category'), 'Pump');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    expect(await screen.findByText(/There is one of this name/)).toBeTruthy();
    const more = [...rows, category('seals', 'Seals')];
    server.on('POST /api/categories', done('seals', 1)).on('GET /api/categories', more);
    await user.clear(screen.getByLabelText('Name of a new category'));
    await user.type(screen.getByLabelText('Name of a new category'), 'Seals');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    expect(await screen.findByRole('button', { name: 'Change Seals' })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name of a new category').value).toBe('');
  });

  it('leave the sequence of revisions to the kind where they say nothing', async () => {
    const user = await categories();
    server.on('PATCH /api/kinds/part', null);
    server.on('GET /api/kinds', [{ kind: 'part', label: 'Part', sequence: 'numbers' }, ...kinds.slice(1)]);
    await choose(user, 'Revisions of Part', 'Numbers: 1, 2, 3');
    await waitFor(() => expect(server.asked('PATCH /api/kinds/part')[0]?.body).toEqual({ sequence: 'numbers' }));
    await waitFor(() =>
      expect(screen.getByRole('combobox', { name: 'Revisions of Part' }).textContent).toContain('Numbers: 1, 2, 3'),
    );
  });

  it('are read by everybody else', async () => {
    await categories(vera);
    await screen.findByText('Document');
    expect(screen.queryByRole('button', { name: /^Change/ })).toBeNull();
    expect(screen.queryByRole('form', { name: 'New category' })).toBeNull();
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
