import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { ConsequenceStrip } from './ConsequenceStrip';

const meaning: Schemas['Consequences'] = {
  lines: 3,
  items_above: ['200-0001', '210-0100'],
  products: [
    { product: '100-0012', title: 'Heron 12', difference: '0.00' },
    { product: '100-0024', title: 'Heron 24', difference: '1.40' },
  ],
  built: [],
  without_cost: [],
  currency: 'EUR',
  cost_day: '2027-03-01',
  affected: ['200-0010'],
  coming: [],
  collisions: [{ order: 'ECO-00086', title: 'Regulator', state: 'revising', items: ['200-0010'] }],
  checks: [
    { name: 'signer', met: false, reason: 'Name who signs.', place: 'order', waived: false, waivable: '' },
    { name: 'date', met: true, reason: '', place: 'order', waived: false, waivable: '' },
  ],
};
const document = (kind: Schemas['SupplyRow']['kind'], name: string): Schemas['SupplyRow'] => ({
  kind,
  document: name,
  revision: 'E',
  quantity: '30',
  unit: 'pc',
  value: '7860.00',
  due: '2026-12-02',
  place: 'Weir',
  status: 'started',
  serial: '',
  page: '',
});

const plants: Schemas['PlantAccount'][] = [
  {
    item: '200-0010',
    title: 'Pump head',
    plant: 'Tarn',
    built: 'A',
    lines: 10,
    open: 2,
    additions: 1,
    edits: [],
    becomes: null,
    later: null,
  },
  {
    item: '200-0010',
    title: 'Pump head',
    plant: 'Weir',
    built: 'B',
    lines: 10,
    open: 0,
    additions: 0,
    edits: [],
    becomes: null,
    later: null,
  },
];

async function strip(
  more: Partial<Schemas['Consequences']> = {},
  others: Schemas['ExposureOfItem'][] = [],
  as: Schemas['Me'] = mira,
) {
  server.on('GET /api/orders/ECO-00090/consequences', { ...meaning, ...more }).on('GET /api/exposure', {
    items: [
      ...others,
      {
        item: '200-0010',
        fetched_at: null,
        known: true,
        fault: null,
        value: '0.00',
        currency: 'EUR',
        totals: [],
        rows: [document('stock', 'LOT-1'), document('work_order', 'WO-18572')],
      },
    ],
    strangers: [],
  });
  server.on('GET /api/orders/ECO-00090/accountability', plants);
  const user = await show(<ConsequenceStrip order="ECO-00090" />, { as });
  await waitFor(() => expect(figure('open documents')).toBe('1open documents'));
  return user;
}

const figure = (label: string) => screen.getByText(label).closest('button')?.textContent;

describe('what the edits of an order mean', () => {
  it('is always in sight: lines, items above, products, cost, documents, collisions, what is missing', async () => {
    await strip();
    expect(figure('lines differ')).toBe('3lines differ');
    expect(figure('parent items')).toBe('2parent items');
    expect(figure('EUR a product')).toBe('+1.40EUR a product');
    expect(figure('other order collides')).toBe('1other order collides');
    expect(figure('missing for the next step')).toBe('1missing for the next step');
  });

  it('counts open documents, and not what lies on the shelf', async () => {
    const user = await strip();
    expect(figure('open documents')).toBe('1open documents');
    await user.click(screen.getByText('open documents'));
    const strip_ = screen.getByRole('complementary', { name: 'Consequences' });
    expect(within(strip_).getByText(/WO-18572: 30 pc of 200-0010, revision E, 7 860\.00/)).toBeTruthy();
    expect(within(strip_).queryByText(/LOT-1/)).toBeNull();
  });

  it('names what comes in and planning lacks; whoever may introduces it', async () => {
    const lacking: Schemas['ExposureOfItem'] = {
      item: '200-0041',
      fetched_at: null,
      known: false,
      fault: null,
      value: '0.00',
      currency: 'EUR',
      totals: [],
      rows: [document('purchase_order', 'PO-1')],
    };
    const user = await strip({ coming: ['200-0041'] }, [lacking], { ...mira, abilities: ['send_handover'] });
    // Nothing of what comes in is at stake.
    expect(figure('open documents')).toBe('1open documents');
    expect(figure('not in planning')).toBe('1not in planning');
    await user.click(screen.getByText('not in planning'));
    server.on('POST /api/planning/items', null);
    await user.click(screen.getByRole('button', { name: 'Introduce 200-0041 to planning' }));
    await waitFor(() => expect(server.asked('POST /api/planning/items')[0]?.body).toEqual({ items: ['200-0041'] }));
  });

  it('lets nobody introduce who may not', async () => {
    await strip({}, [], vera);
    expect(screen.queryByText('not in planning')).toBeNull();
  });

  it('names the plants that build it, and what each has still to take over', async () => {
    const user = await strip();
    expect(figure('lines to take over at plants')).toBe('2lines to take over at plants');
    await user.click(screen.getByText('lines to take over at plants'));
    expect(screen.getByRole('link', { name: '■ complete, 10 lines' })).toBeTruthy();
    expect(screen.getByRole('link', { name: '▲ 2 of 10 lines open' }).getAttribute('href')).toBe(
      '/items/200-0010?kind=manufacturing&plant=Tarn&view=accounted&order=ECO-00090',
    );
  });

  it('says minutes and money of products as plants build them, where the work changes', async () => {
    const user = await strip({
      built: [
        { product: '100-0024', title: 'Heron 24', plant: 'Tarn', minutes: '0.5', difference: '0.40' },
        { product: '100-0024', title: 'Heron 24', plant: 'Weir', minutes: '-8', difference: '-8.20' },
      ],
    });
    expect(figure('work in a product')).toBe('−8 minwork in a product');
    await user.click(screen.getByText('work in a product'));
    const rows = within(screen.getByRole('grid', { name: 'Minutes and money by product and plant' })).getAllByRole(
      'row',
    );
    expect(rows.slice(1).map((row) => row.textContent)).toEqual([
      '100-0024Heron 24Tarn+0.5+0.40',
      '100-0024Heron 24Weir−8−8.20',
    ]);
  });

  it('opens each figure into its rows, one at a time', async () => {
    const user = await strip();
    await user.click(screen.getByText('missing for the next step'));
    expect(screen.getByText('Name who signs.')).toBeTruthy();
    await user.click(screen.getByText('other order collides'));
    expect(screen.queryByText('Name who signs.')).toBeNull();
    expect(screen.getByRole('link', { name: 'ECO-00086' })).toBeTruthy();
    await user.click(screen.getByText('other order collides', { selector: 'button *' }));
    expect(screen.queryByRole('link', { name: 'ECO-00086' })).toBeNull();
  });

  it('says that a cost is known in part only', async () => {
    await strip({ without_cost: ['200-0099'] });
    expect(screen.getByText('EUR a product, in part')).toBeTruthy();
  });

  it('says that nothing is edited, and that nothing is missing', async () => {
    const user = await strip({ lines: 0, checks: [], collisions: [], products: [] });
    await user.click(screen.getByText('lines differ'));
    expect(screen.getByText('No edits yet.')).toBeTruthy();
    await user.click(screen.getByText('missing for the next step'));
    expect(screen.getByText('Nothing missing.')).toBeTruthy();
  });
});
