import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { FieldRow } from '../../structures/itemFields';
import { done } from '../../testing/done';
import { item, tube } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { address, show } from '../../testing/show';
import { DataPage } from './DataPage';
import type { DataRedline } from './useItemData';

const field = (key: string, label: string, before: string, after = before): FieldRow => ({
  key,
  field: key.split('@')[0] as FieldRow['field'],
  label,
  before,
  after,
  mark: before === after ? 'unchanged' : before === '' ? 'added' : 'changed',
});
const page: DataRedline = {
  order: 'ECO-00086',
  order_title: 'Thicker tube',
  state: 'revising',
  item: tube,
  currency: 'EUR',
  effective_on: '2027-03-13',
  base: 'A',
  becomes: 'B',
  is_open: true,
  moved_on: false,
  working: 'B.1',
  iterations: [],
  may_edit: true,
  seen: 2,
  can_undo: true,
  can_redo: false,
  rows: [
    field('standard_cost', 'Standard cost', '9.80', '12.60'),
    field('lead_time_days', 'Lead time', '15'),
    field('supply', 'Supply', 'buy'),
    field('safety_stock@Weir', 'Safety stock at Weir', '', '40'),
    field('retired', 'Retired', ''),
    field('replaced_by', 'Replaced by', ''),
  ],
  faults: [],
};
const AT = '/api/orders/ECO-00086/items/200-0040/data';
const UNDO = '/api/orders/ECO-00086/items/200-0040/works/item_data/undo';

async function open(more: Partial<DataRedline> = {}) {
  server
    .on('GET /api/favourites', [])
    .on(`GET ${AT}`, { ...page, ...more })
    .on(`POST ${AT}`, done('ECO-00086'));
  const user = await show(<DataPage />, {
    at: '/orders/ECO-00086/data/200-0040',
    path: '/orders/:number/data/:item',
  });
  await screen.findByRole('heading', { level: 1, name: tube.title });
  return user;
}
const sent = (act = '') => server.asked(`POST ${AT}${act}`).map(({ body }) => body);
const rows = () =>
  within(screen.getByRole('grid', { name: /before and after/ }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => row.textContent);

describe('what is known of an item, under an order', () => {
  it('says before and after of each field, in its unit, and which revision of it comes when', async () => {
    await open({ may_edit: false });
    expect(rows()[0]).toContain('changedStandard cost9.809.8012.60EUR a m');
    expect(rows()[2]).toContain('Bought');
    expect(rows()[3]).toContain('Safety stock at Weirnot known40m');
    expect(screen.getByText(/13 Mar 2027/).textContent).toContain('Data A → B from 13 Mar 2027');
    expect(screen.queryByRole('textbox', { name: 'Lead time after' })).toBeNull();
    expect(screen.getByText('Only the editor of the order edits, and who has a task for it.')).toBeTruthy();
  });

  it('saves a field on Enter and on leaving it, and nothing that reads as before', async () => {
    const user = await open();
    const lead = screen.getByRole('textbox', { name: 'Lead time after' });
    await user.clear(lead);
    await user.type(lead, '20{Enter}');
    await waitFor(() => expect(sent()).toEqual([{ fields: { lead_time_days: '20' }, seen: 2 }]));
    expect(document.activeElement).toBe(screen.getByRole('combobox', { name: 'Supply after' }));
    const stock = screen.getByRole('textbox', { name: 'Safety stock at Weir after' });
    await user.type(stock, '0');
    await user.keyboard('{Escape}');
    await user.tab();
    expect(sent()).toHaveLength(1);
    await user.type(stock, '5');
    await user.tab();
    await waitFor(() => expect(sent()[1]).toEqual({ fields: { 'safety_stock@Weir': '405' }, seen: 2 }));
  });

  it('chooses what has few values, and picks what it is replaced by', async () => {
    server.on('GET /api/items', { rows: [item('200-0041', 'Pump tube, 2.4')], total: 1 });
    const user = await open();
    await user.click(screen.getByRole('combobox', { name: 'Retired after' }));
    await user.click(screen.getByRole('option', { name: 'Retired' }));
    await user.type(screen.getByRole('combobox', { name: 'Replaced by after' }), '200-0041{Enter}');
    await waitFor(() =>
      expect(sent()).toEqual([
        { fields: { retired: 'yes' }, seen: 2 },
        { fields: { replaced_by: '200-0041' }, seen: 2 },
      ]),
    );
  });

  it('takes a block that is pasted as one act, and refuses one that does not fit whole', async () => {
    await open();
    const paste = (text: string) =>
      fireEvent.paste(screen.getByRole('textbox', { name: 'Standard cost after' }), {
        clipboardData: { getData: () => text },
      });
    paste('13.00\n20\nbuy\n');
    await waitFor(() =>
      expect(sent()).toEqual([{ fields: { standard_cost: '13.00', lead_time_days: '20' }, seen: 2 }]),
    );
    paste('1\n2\n3\n4\n5\n6\n7');
    expect((await screen.findByRole('alert')).textContent).toContain('7 values were pasted and 6 fields are left');
    expect(sent()).toHaveLength(1);
  });

  it('says at the field what it cannot be', async () => {
    const user = await open();
    server.on(
      `POST ${AT}`,
      new Refused(422, 'Refused', { lead_time_days: ['Write whole working days, at most 3650.'] }),
    );
    const lead = screen.getByRole('textbox', { name: 'Lead time after' });
    await user.type(lead, ' soon{Enter}');
    await screen.findByText(/Write whole working days/);
    expect(lead.getAttribute('aria-invalid')).toBe('true');
  });

  it('takes back the last edit, and shows only what differs', async () => {
    server.on(`POST ${UNDO}`, done('ECO-00086'));
    const user = await open();
    expect(screen.getByRole('button', { name: 'Redo' })).toHaveProperty('disabled', true);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked(`POST ${UNDO}`)).toHaveLength(1));
    await user.click(screen.getByRole('button', { name: /Show differences only/ }));
    expect(rows()).toHaveLength(2);
    expect(address()).toContain('show=differences');
  });
});
