import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { file, item, revision } from '../../testing/make';
import { server } from '../../testing/server';
import { show } from '../../testing/show';
import { SheetComparisonPage } from './SheetComparisonPage';

const before = file('a', 'pump A.svg', { revision: 'A', status: 'in_force' });
const after = file('b', 'pump B.svg', { revision: 'B', status: 'coming' });

const place = (number: number, more: Partial<Schemas['SheetPlaceRow']> = {}): Schemas['SheetPlaceRow'] => ({
  number,
  kind: 'changed',
  zone: `A${number}`,
  left: 0.1 * number,
  top: 0.2,
  width: 0.05,
  height: 0.02,
  went: [],
  came: [],
  ...more,
});

const places = [
  place(1, { went: ['200-0051'], came: ['200-0052'] }),
  place(2, { kind: 'added', came: ['Deburr'] }),
  place(3, { kind: 'removed', went: ['2024-06-12'] }),
];

const compared = (more: Partial<Schemas['ComparedSheets']> = {}): Schemas['ComparedSheets'] => ({
  before,
  after,
  page: 1,
  pages_before: 1,
  pages_after: 1,
  width_before: 420,
  height_before: 297,
  width_after: 420,
  height_after: 297,
  by: 'drawn',
  places,
  ...more,
});

async function page(told: Schemas['ComparedSheets'], query = '') {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items/800-0010', {
      item: item('800-0010', 'Drawing, pump module', { kind: 'Drawing' }),
      supply: 'make',
      lead_time_days: null,
      supplier: null,
      material: null,
      revisions: [revision('A')],
      changes: [],
      attributes: [],
      mass: null,
    })
    .on('GET /api/files/a/against/b', told);
  const user = await show(<SheetComparisonPage />, {
    at: `/items/800-0010/sheet/against?before=a&after=b${query}`,
    path: '/items/:number/sheet/against',
  });
  await screen.findByText('Before');
  return user;
}

const list = () => within(screen.getByRole('list', { name: 'Places' })).getAllByRole('button');
const shown = () => list().findIndex((one) => one.getAttribute('aria-current') === 'true') + 1;

describe('two sheets compared', () => {
  it('tells each place with its zone, its sign and what went and came', async () => {
    await page(compared());
    expect(screen.getByRole('heading', { name: '3 places differ' })).toBeTruthy();
    expect(list().map(({ textContent }) => textContent)).toEqual([
      '1A1≠changedgone: 200-0051 come: 200-0052',
      '2A2+added come: Deburr',
      '3A3−removedgone: 2024-06-12 ',
    ]);
    // Nothing is drawn here: what cannot be drawn is said, and the list stays.
    expect(await screen.findByText(/A page cannot be drawn/)).toBeTruthy();
  });

  it('is walked by arrows in the list, and by Page Down and Page Up in the sheet', async () => {
    const user = await page(compared());
    list()[0]?.focus();
    await user.keyboard('{ArrowDown}');
    expect([shown(), document.activeElement]).toEqual([2, list()[1]]);
    await user.keyboard('{End}{ArrowDown}');
    expect(shown()).toBe(3);
    const frame = screen.getByRole('group', { name: /revision A and revision B in one/ });
    fireEvent.keyDown(frame, { key: 'PageUp' });
    expect(shown()).toBe(2);
    fireEvent.keyDown(frame, { key: 'PageDown' });
    fireEvent.keyDown(frame, { key: 'PageDown' });
    expect(shown()).toBe(3);
  });

  it('shows both side by side, moved together', async () => {
    const user = await page(compared(), '&place=2');
    expect(shown()).toBe(2);
    await user.click(screen.getByRole('radio', { name: 'Side by side' }));
    const frames = screen.getAllByRole('group', { name: /pump . *\.svg|pump [AB]\.svg/ });
    expect(frames).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Larger' }));
    const moved = frames.map((one) => one.querySelector<HTMLElement>('div')?.style.transform);
    expect(moved[0]).toContain('scale(');
    expect(moved[0]).toBe(moved[1]);
  });

  it('says what only one of them has, and that they are not of one size', async () => {
    await page(compared({ width_after: 594, height_after: 420 }));
    expect(screen.getByText(/420 × 297 mm and 594 × 420 mm/)).toBeTruthy();
  });

  it('turns pages, and says which of them only one has', async () => {
    const user = await page(compared({ pages_after: 2 }));
    server.on(
      'GET /api/files/a/against/b',
      compared({ pages_after: 2, page: 2, width_before: null, height_before: null, places: [] }),
    );
    await user.click(screen.getByRole('button', { name: 'Next page' }));
    expect(await screen.findByRole('heading', { name: 'Only the new sheet has page 2' })).toBeTruthy();
    expect(server.asked('GET /api/files/a/against/b').map(({ query }) => query.page)).toEqual(['1', '2']);
  });
});
