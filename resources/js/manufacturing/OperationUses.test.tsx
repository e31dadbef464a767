import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { address, show } from '../testing/show';
import { WorkCentrePage } from './WorkCentrePage';

const use: Schemas['OperationUse'] = {
  item: '200-0010',
  title: 'Pump head',
  plant: 'Weir',
  revision: 'B',
  operation: 20,
  what: 'Test',
  work_centre: 'TEST',
  role: 'work_centre',
  set_up: '15',
  run: '30',
  per: 'batch',
};

describe('a work centre', () => {
  it('says what is made there, at which operations, and takes another day', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/plants/Weir/work-centres/TEST/operations', { on: '2026-11-27', total: 1200, rows: [use] });
    const user = await show(<WorkCentrePage />, { at: '/work-centres/Weir/TEST', path: '/work-centres/:plant/:code' });
    const grid = await screen.findByRole('grid', { name: 'Operations that use TEST' });
    expect(within(grid).getAllByRole('row')[1]?.textContent).toContain(
      '200-0010Pump headWeir B20 TestWork centreTEST1530 a batch',
    );
    expect(screen.getByText(/The first/).textContent).toMatch(/The first 1 of 1.200 operations/);
    const day = screen.getByRole('textbox', { name: 'As of' });
    await user.clear(day);
    await user.type(day, '2031-03-01{Enter}');
    await waitFor(() => expect(address()).toContain('on=2031-03-01'));
  });
});
