import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { BuiltCost } from './BuiltCost';

describe('what an item costs as a plant builds it', () => {
  it('says the parts of it, what each level takes, and what is not known', async () => {
    server.on('GET /api/items/200-0001/built-cost', {
      item: '200-0001',
      on: '2026-11-27',
      currency: 'EUR',
      material: '13.12',
      labour: '10.00',
      set_up: '2.40',
      subcontract: '6.80',
      by_products: '-0.40',
      total: '31.92',
      run_minutes: '11',
      set_up_minutes: '3',
      lead_time_days: 17,
      chain: ['200-0001', '200-0010', '200-0040'],
      rows: [
        {
          item: '200-0010',
          title: 'Pump head',
          plant: 'Weir',
          revision: 'A',
          quantity: '2',
          unit: 'pc',
          set_up_minutes: '3',
          run_minutes: '5',
          labour: '4.00',
          set_up: '2.40',
          subcontract: '6.80',
          by_products: '-0.40',
          total: '12.80',
          lead_time_days: 6,
        },
      ],
      missing: ['600-0014: no lead time.'],
    });
    await show(<BuiltCost number="200-0001" on="2026-11-27" plant="Tarn" />, {});
    const grid = await screen.findByRole('grid', { name: 'Work in 200-0001' });
    expect(within(grid).getAllByRole('row')[1]?.textContent).toContain(
      '200-0010Pump headWeir A2354.002.406.80−0.4012.806',
    );
    expect(screen.getByText('31.92')).toBeTruthy();
    expect(screen.getByText('17 working days')).toBeTruthy();
    expect(screen.getByText('200-0001 › 200-0010 › 200-0040')).toBeTruthy();
    expect(screen.getByText('600-0014: no lead time.')).toBeTruthy();
    expect(server.asked('GET /api/items/200-0001/built-cost')[0]?.query).toMatchObject({ plant: 'Tarn' });
  });
});
