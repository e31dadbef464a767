import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { operation } from '../testing/operation';
import { show } from '../testing/show';
import { Routing } from './Routing';

const page: Schemas['RoutingPage'] = {
  item: '200-0010',
  plant: 'Weir',
  plants: ['Weir'],
  built: 'B',
  batch: '20',
  operations: [
    operation(10, 'Fit rotor', { set_up: '12', run: '30', per: 'batch', tools: ['900-0001'], instruction: '820-0001' }),
    operation(20, 'Coat', { supplier: 'Fjellheim Coating', cost: '2.35', lead_time: '6' }),
  ],
  cost: {
    material: '40.10',
    set_up: '0.6',
    run: '1.5',
    labour: '1.20',
    set_up_cost: '0.48',
    subcontract: '2.35',
    total: '44.13',
    missing: ['710-0001: no standard cost.'],
  },
};
const open = (more: Partial<Schemas['RoutingPage']> = {}) => {
  server.on('GET /api/favourites', []).on('GET /api/items/200-0010/routing', { ...page, ...more });
  return show(<Routing number="200-0010" on="2026-11-27" plant="Weir" />);
};

describe('how a plant makes an item', () => {
  it('lists operations inside and outside, and what they refer to', async () => {
    await open();
    const table = await screen.findByRole('grid', { name: 'Routing of 200-0010 at Weir' });
    const [, first, second] = within(table)
      .getAllByRole('row')
      .map((row) =>
        within(row)
          .queryAllByRole('gridcell')
          .map(({ textContent }) => textContent),
      );
    expect(first?.slice(0, 5)).toEqual(['10', 'Fit rotor', 'PUMP', '12', '30 a batch']);
    expect(second?.slice(2, 7)).toEqual(['outside, Fjellheim Coating', '', '', '2.35', '6']);
    expect(within(table).getByText('900-0001')).toBeTruthy();
    expect(server.asked('GET /api/items/200-0010/routing')[0]?.query).toEqual({ on: '2026-11-27', plant: 'Weir' });
  });

  it('says what one unit takes and costs, and what is not known', async () => {
    await open();
    expect((await screen.findByText(/builds it by its revision B, 20 at once/)).textContent).toContain(
      '1.5 min and 0.6 min',
    );
    const cost = screen.getByLabelText('Cost of one unit');
    expect(cost.textContent).toContain('Together 44.13');
    expect(cost.textContent).toContain('710-0001: no standard cost.');
  });

  it('says where no plant builds it', async () => {
    await open({ plant: null });
    expect(await screen.findByText('No plant builds it on that day.')).toBeTruthy();
  });
});
