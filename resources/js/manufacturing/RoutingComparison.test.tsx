import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { operation } from '../testing/operation';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { RoutingComparison } from './RoutingComparison';

const cost = (labour: string, total: string): Schemas['UnitCostData'] => ({
  material: '5.20',
  set_up: '1.5',
  run: '2.5',
  labour,
  set_up_cost: '1.20',
  subcontract: '0.00',
  total,
  missing: [],
});
const there = operation(20, 'Fit rotor', { run: '4' });
const here = operation(10, 'Fit rotor', { run: '2.5' });
const outside = operation(30, 'Paint', { supplier: 'Lindqvist Coating', cost: '3.40' });

describe('how two plants make one item', () => {
  it('says what differs of each operation, and what one unit takes and costs more', async () => {
    server.on('GET /api/routing-comparison', {
      before: { plant: 'Tarn', built: 'A', batch: '8', cost: cost('4.00', '10.40') },
      after: { plant: 'Weir', built: 'C', batch: '10', cost: cost('2.00', '8.40') },
      operations: [
        { key: 'a', mark: 'changed', before: there, after: here, fields: ['number', 'run'] },
        { key: 'b', mark: 'added', before: null, after: outside, fields: [] },
      ],
      difference: '-2.00',
    });
    await show(<RoutingComparison asked={{ left: '200-0010', right: '200-0010' }} />, {});
    const rows = within(await screen.findByRole('grid', { name: 'Operations before and after' })).getAllByRole('row');
    expect(rows[1]?.textContent).toContain('changed2010Fit rotor');
    expect(rows[1]?.textContent).toContain('42.5');
    expect(rows[2]?.textContent).toContain('added30Paintoutside, Lindqvist Coating');
    const sums = screen.getByLabelText('Minutes and money of one unit').textContent;
    expect(sums).toContain('Tarn A, 8 at once → Weir C, 10 at once');
    expect(sums).toContain('Labour 4.00 2.00');
    expect(sums).toContain('−2.00');
  });
});
