import { cleanup, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { head, item, onOrder, order, redline, redlineRow, request, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { ReviewPage } from './ReviewPage';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const review: Schemas['Review'] = {
  order: order({
    state: 'in_review',
    effective_on: '2027-04-14',
    signer_name: 'Helen Marsh',
    sent_to_review_at: '2026-11-25T10:00:00+00:00',
    items: [onOrder(head, { disposition: 'rework' }), onOrder(tube, { outcome: 'keep' })],
  }),
  requests: [request({ finding: 'Feasible from April.' })],
  redlines: [
    redline({
      state: 'in_review',
      may_edit: false,
      rows: [
        redlineRow(80, item('710-0001', 'Silicone grease'), { mark: 'added', before: null, was_item: null }),
        redlineRow(60, clamp),
      ],
    }),
  ],
  reach: [{ item: '200-0010', total: 0, used_in: [] }],
  consequences: {
    lines: 1,
    items_above: [],
    products: [{ product: '100-0012', title: 'Heron 12', difference: '1.40' }],
    built: [],
    without_cost: [],
    currency: 'EUR',
    cost_day: '2027-03-01',
    affected: ['200-0010'],
    coming: [],
    collisions: [{ order: 'ECO-00086', title: 'Regulator', state: 'revising', items: ['200-0010'] }],
    checks: [],
  },
  may_sign: false,
  may_send_back: false,
};

async function page(more: Partial<Schemas['Review']> = {}) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/exposure', { items: [], strangers: [] })
    .on('GET /api/orders/ECO-00090/accountability', [
      {
        item: '200-0010',
        title: 'Pump head',
        plant: 'Weir',
        built: 'B',
        lines: 10,
        open: 3,
        additions: 0,
        edits: ['Replaced by 200-0041'],
      },
    ])
    .on('GET /api/orders/ECO-00090/review', { ...review, ...more });
  const user = await show(<ReviewPage />, { at: '/orders/ECO-00090/review', path: '/orders/:number/review' });
  await screen.findByRole('heading', { level: 1, name: 'Thicker tube' });
  return user;
}

describe('the page to judge an order on', () => {
  it('says when it takes effect, who did what, and what a product costs more', async () => {
    await page();
    expect(screen.getByText('100-0012 +1.40 EUR')).toBeTruthy();
    expect(screen.getByText('14 Apr 2027')).toBeTruthy();
    expect(screen.getByText(/Whichever is released second/).textContent).toContain('ECO-00086');
  });

  it('shows what the sheets will tell was done, to be read, where it is said', async () => {
    await page();
    expect(screen.queryByRole('region', { name: 'What sheets tell' })).toBeNull();
    const told = onOrder(head, { done: { en: 'Tube widened', de: 'Schlauch erweitert' } });
    cleanup();
    await page({ order: { ...review.order, items: [told] } });
    const texts = within(screen.getByRole('region', { name: 'What sheets tell' }));
    expect(texts.getByText('Tube widened')).toBeTruthy();
    expect(texts.getByText('Schlauch erweitert')).toBeTruthy();
    expect(texts.queryByRole('textbox')).toBeNull();
  });

  it('says which plants have not taken it over', async () => {
    await page();
    const plants = within(screen.getByRole('region', { name: 'Manufacturing' }));
    expect(await plants.findByRole('link', { name: '▲ 3 of 10 lines open' })).toBeTruthy();
    expect(plants.getByText('Replaced by 200-0041')).toBeTruthy();
  });

  it('says so when no product contains it', async () => {
    await page({ consequences: { ...review.consequences, products: [], collisions: [] } });
    expect(screen.getByText('no product contains it')).toBeTruthy();
  });

  it('says why, with the finding', async () => {
    await page();
    const why = within(screen.getByRole('region', { name: 'Why: ECR-00096' }));
    expect(why.getByText('Finding: Feasible from April.')).toBeTruthy();
  });

  it('shows first what differs, and the rest on demand', async () => {
    const user = await page();
    const lines = within(screen.getByRole('region', { name: '200-0010 before and after' }));
    expect(lines.getByRole('heading').textContent).toContain('E → F');
    expect(lines.getByText('Silicone grease')).toBeTruthy();
    expect(lines.queryByText('Tube clamp')).toBeNull();
    await user.click(lines.getByRole('button', { name: /unchanged lines/ }));
    expect(lines.getByText('Tube clamp')).toBeTruthy();
  });

  it('says what happens to what exists, also where that is not decided', async () => {
    await page();
    const stock = within(screen.getByRole('region', { name: 'Items and existing stock' })).getAllByRole('listitem');
    expect(stock[0]?.textContent).toContain('Pump head: rework');
    expect(stock[1]?.textContent).toContain('not decided');
  });

  it('is signed at its end by who may, and printed by all', async () => {
    const print = vi.spyOn(window, 'print').mockImplementation(() => undefined);
    const user = await page({ may_sign: true, may_send_back: true });
    expect(screen.getByRole('button', { name: /^Sign/ })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Print' }));
    expect(print).toHaveBeenCalledOnce();
  });

  it('is only read by the others', async () => {
    await page();
    expect(screen.queryByRole('button', { name: /^Sign/ })).toBeNull();
  });

  it('says when there is no such order', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/orders/ECO-09999/review', new Refused(404, 'There is no such order.'));
    await show(<ReviewPage />, { at: '/orders/ECO-09999/review', path: '/orders/:number/review' });
    expect((await screen.findByRole('alert')).textContent).toContain('There is no such order.');
  });
});
