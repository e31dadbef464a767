import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { chosen, planner } from '../testing/planner';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { OutcomesPage } from './OutcomesPage';

const part: Schemas['CutInOutcomeRow'] = {
  plant: 'Weir',
  item: '200-0040',
  unit: 'm',
  cut_in_on: '2026-07-01',
  seen_on: '2026-07-02',
  left_planned: '2',
  left: '5',
  short_planned: '0',
  short: '0',
  cost_planned: '19.60',
  cost: '49.00',
  difference: '29.40',
};
const ahead = { ...part, plant: 'Tarn', seen_on: null, left: null, short: null, cost: null, difference: null };
const page = (orders: Schemas['OrderOutcome'][]): Schemas['CutInOutcomePage'] => ({
  currency: 'EUR',
  year: 2026,
  years: [2026],
  orders,
  planned: '19.60',
  became: '49.00',
  difference: '29.40',
  ahead: 1,
});

describe('OutcomesPage', () => {
  it('shows what was planned beside what became of it, and the sum of the year', async () => {
    server.on('GET /api/favourites', []).on(
      'GET /api/cut-in-outcomes',
      page([
        {
          order: 'ECO-00050',
          title: 'Thicker tube',
          request: 'ECR-00050',
          cut_in_on: '2026-07-01',
          parts: [part, ahead],
        },
      ]),
    );
    await show(<OutcomesPage />, { at: '/cut-ins', path: '/cut-ins' });
    const rows = await screen.findAllByRole('row', { name: /ECO-00050/ });
    expect(
      rows.map((row) =>
        within(row)
          .getAllByRole('gridcell')
          .map((cell) => cell.textContent),
      ),
    ).toEqual([
      [
        'ECO-00050',
        'Thicker tube',
        '200-0040',
        'Weir',
        '1 Jul 2026',
        '2 Jul 2026',
        '2 m',
        '5 m',
        '0 m',
        '0 m',
        '19.60',
        '49.00',
        '+29.40',
      ],
      ['ECO-00050', 'Thicker tube', '200-0040', 'Tarn', '1 Jul 2026', 'not yet', '2 m', '', '0 m', '', '19.60', '', ''],
    ]);
    expect(screen.getByText(/Leftover and shortage cost/).textContent).toContain(
      '49.00 EUR; planned: 19.60, difference +29.40.',
    );
  });

  it('says what to do where there is none', async () => {
    server.on('GET /api/favourites', []).on('GET /api/cut-in-outcomes', page([]));
    await show(<OutcomesPage />, { at: '/cut-ins?year=2025', path: '/cut-ins' });
    expect(await screen.findByText(/Choose one on the cut-in page/)).toBeTruthy();
    expect(server.asked('GET /api/cut-in-outcomes').at(-1)?.query.year).toBe('2025');
  });

  it('stands with the chosen day', async () => {
    await planner({ earlier: [{ ...chosen, outcomes: [part] }] });
    expect(await screen.findByText('What became of it')).toBeTruthy();
  });
});
