import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { file } from '../../testing/make';
import { server } from '../../testing/server';
import { show } from '../../testing/show';
import { OrderSheets } from './OrderSheets';

const row = (before: Schemas['FileRow'] | null): Schemas['OrderSheetRow'] => ({
  item: '800-0010',
  title: 'Drawing, pump module',
  before,
  after: file('b', 'b.svg', { revision: null, status: 'in_work' }),
});

describe('the sheets that an order brings', () => {
  it('lead to their comparison, with how many places differ and the first of them', async () => {
    server.on('GET /api/orders/ECO-1/sheets', [row(file('a', 'a.svg'))]).on('GET /api/files/a/against/b', {
      before: file('a', 'a.svg'),
      after: file('b', 'b.svg'),
      page: 1,
      pages_before: 1,
      pages_after: 3,
      width_before: 420,
      height_before: 297,
      width_after: 420,
      height_after: 297,
      by: 'drawn',
      places: [
        { number: 1, kind: 'changed', zone: 'A6', left: 0, top: 0, width: 1, height: 1, went: ['4'], came: ['6'] },
      ],
    });
    await show(<OrderSheets order="ECO-1" />);
    expect(await screen.findByText(/1 place differs on page 1 of 3/)).toBeTruthy();
    expect(screen.getByText(/4 → 6/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Compare the sheets' }).getAttribute('href')).toBe(
      '/items/800-0010/sheet/against?before=a&after=b',
    );
    expect(screen.getByRole('link', { name: 'A6' }).getAttribute('href')).toContain('place=1');
  });

  it('show a first sheet alone', async () => {
    server.on('GET /api/orders/ECO-1/sheets', [row(null)]);
    await show(<OrderSheets order="ECO-1" />);
    expect((await screen.findByRole('link', { name: /the first of it/ })).getAttribute('href')).toBe(
      '/items/800-0010/sheet?file=b',
    );
  });
});
