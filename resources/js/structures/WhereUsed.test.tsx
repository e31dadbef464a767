import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { head, item } from '../testing/make';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { WhereUsed } from './WhereUsed';

const module = item('200-0001', 'Pump module', { kind: 'assembly', unit: 'pc' });
const heron = item('100-0012', 'Heron 12', { kind: 'assembly', unit: 'pc', sold: true });
const used = (
  by: Schemas['ItemRow'],
  level: number,
  more: Partial<Schemas['UsedInRow']> = {},
): Schemas['UsedInRow'] => ({
  item: by,
  revision: null,
  level,
  quantity: '0.5',
  unit: 'm',
  through: [],
  top: by.sold,
  ...more,
});
const all = [used(head, 1), used(module, 2, { through: ['200-0010'] }), used(heron, 3, { through: ['200-0001'] })];
const USED = 'GET /api/items/200-0040/where-used';

async function whereUsed(rows = all, total = rows.length) {
  server.on('GET /api/items/200-0040/planned-uses', []).on(USED, ({ query }) => ({
    total,
    tops: 1,
    from: Number(query.from ?? 0),
    rows: query.only === 'tops' ? [used(heron, 3)] : query.only === 'direct' ? [used(head, 1)] : rows,
  }));
  const user = await show(<WhereUsed number="200-0040" on="2026-11-25" picture={{ kind: 'engineering' }} />);
  await screen.findByRole('heading', { name: 'Where used' });
  return user;
}

describe('where an item is used', () => {
  it('is told level by level up to what is sold, with how much goes into one and through what', async () => {
    await whereUsed();
    const rows = within(screen.getByRole('grid')).getAllByRole('row').slice(1);
    expect(rows.map((one) => one.textContent)).toEqual([
      '1200-0010 Pump head0.5 m',
      '2200-0001 Pump modulethrough 200-00100.5 m',
      '3100-0012 Heron 12 · soldthrough 200-00010.5 m',
    ]);
    expect(server.asked(USED)[0]?.query).toEqual({ on: '2026-11-25', kind: 'engineering', only: 'all', from: '0' });
  });

  it('is told for end products alone', async () => {
    const user = await whereUsed();
    await user.click(screen.getByRole('radio', { name: 'End products, 1' }));
    await waitFor(() => expect(within(screen.getByRole('grid')).getAllByRole('row')).toHaveLength(2));
  });

  it('is read on where there is more than is told at once', async () => {
    const user = await whereUsed([all[0] ?? used(head, 1)], 3);
    server.on(USED, { total: 3, tops: 1, from: 1, rows: all.slice(1) });
    await user.click(screen.getByRole('button', { name: 'Show more, 1 of 3 are here' }));
    await waitFor(() => expect(within(screen.getByRole('grid')).getAllByRole('row')).toHaveLength(4));
    expect(server.asked(USED).at(-1)?.query.from).toBe('1');
    expect(screen.queryByRole('button', { name: /Show more/ })).toBeNull();
  });

  it('says when nothing uses it', async () => {
    await whereUsed([]);
    expect(screen.getByText('Nothing uses 200-0040 on that day.')).toBeTruthy();
    expect(screen.queryByRole('radio')).toBeNull();
  });

  it('tells what open orders would do to its uses', async () => {
    server.on('GET /api/items/200-0040/planned-uses', [
      { item: head, what: 'ends', order: 'ECO-00090', effective_on: '2027-04-14' },
      { item: module, what: 'adds', order: 'ECO-00091', effective_on: null },
    ]);
    server.on(USED, { total: 0, tops: 0, from: 0, rows: [] });
    await show(<WhereUsed number="200-0040" />);
    const planned = within(await screen.findByRole('list', { name: 'Planned by open orders' }));
    const [ends, adds] = planned.getAllByRole('listitem');
    expect(ends?.textContent).toContain('would remove it from 200-0010 Pump head, from 14 Apr 2027');
    expect(adds?.textContent).toContain('would add it to 200-0001 Pump module');
  });
});

describe('upward, branch by branch', () => {
  it('is opened and walked by keys', async () => {
    const user = await whereUsed();
    server
      .on('GET /api/items/200-0010/where-used', { total: 1, tops: 0, from: 0, rows: [used(module, 1)] })
      .on('GET /api/items/200-0001/where-used', { total: 1, tops: 1, from: 0, rows: [used(heron, 1)] });
    await user.click(screen.getByRole('radio', { name: 'Tree' }));
    const first = await screen.findByRole('row', { name: /Pump head/ });
    expect(first.getAttribute('aria-expanded')).toBe('false');
    first.focus();
    await user.keyboard('{ArrowRight}');
    expect(await screen.findByRole('row', { name: /Pump module/ })).toBeTruthy();
    await user.keyboard('{ArrowDown}');
    await waitFor(() => expect(document.activeElement?.textContent).toContain('Pump module'));
    await user.keyboard('{ArrowRight}');
    const top = await screen.findByRole('row', { name: /Heron 12/ });
    expect(top.getAttribute('aria-level')).toBe('3');
    // What is sold ends the branch.
    expect(top.getAttribute('aria-expanded')).toBeNull();
    await user.keyboard('{End}');
    await waitFor(() => expect(document.activeElement?.textContent).toContain('Heron 12'));
    await user.keyboard('{Home}');
    await waitFor(() => expect(document.activeElement?.textContent).toContain('Pump head'));
    await user.keyboard('{ArrowLeft}');
    expect(screen.queryByRole('row', { name: /Pump module/ })).toBeNull();
  });

  it('is opened by its sign', async () => {
    const user = await whereUsed();
    server.on('GET /api/items/200-0010/where-used', { total: 0, tops: 0, from: 0, rows: [] });
    await user.click(screen.getByRole('radio', { name: 'Tree' }));
    await user.click(await screen.findByRole('button', { name: 'Open 200-0010' }));
    expect(await screen.findByText('nothing uses it on that day', { exact: false })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Close 200-0010' }));
    expect(screen.queryByText('nothing uses it on that day', { exact: false })).toBeNull();
  });
});
