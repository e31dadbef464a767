import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { change, item } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, show, vera } from '../testing/show';
import { OlderUses } from './OlderUses';

const kit = item('110-0001', 'Spares kit, pump');
const drawing = item('800-0011', 'Drawing, pump head', { kind: 'drawing' });
const ended: Schemas['OlderUse'] = {
  item: kit,
  what: 'line',
  line: 'a1',
  find: 10,
  revision: 'A',
  last_day: '2026-06-27',
  ended: true,
  adopted_by: null,
};
const uses: Schemas['OlderUse'][] = [
  ended,
  {
    item: drawing,
    what: 'document',
    line: 'd1',
    find: null,
    revision: 'D',
    last_day: '2026-12-07',
    ended: false,
    adopted_by: null,
  },
];
const orders = [change('ECO-00086', 'Regulator')];
const ADOPT = 'POST /api/orders/ECO-00086/adoptions';

async function older(more: Partial<Schemas['OlderUses']> = {}, as?: Schemas['Me']) {
  server.on('GET /api/items/200-0010/older-uses', { newest: 'E', uses, orders, ...more });
  const user = await show(<OlderUses number="200-0010" />, { as });
  await waitFor(() => expect(server.asked('GET /api/items/200-0010/older-uses')).toHaveLength(1));
  return user;
}

describe('what still points to an older revision', () => {
  it('is told line by line and document by document', async () => {
    await older({
      uses: [
        ...uses,
        {
          ...ended,
          line: 'a2',
          find: 20,
          adopted_by: 'ECO-00086',
        },
      ],
    });
    expect((await screen.findAllByRole('row')).slice(1).map((one) => one.textContent)).toEqual([
      '110-0001 Spares kit, pumpline 10 names revision A ▲ ended',
      '800-0011 Drawing, pump headshows revision D, in force until 7 Dec 2026',
      '110-0001 Spares kit, pumpline 20 names revision A ▲ ended, adopted under ECO-00086',
    ]);
    // What is seen to is not chosen once more.
    expect(screen.getAllByRole('checkbox')).toHaveLength(2);
  });

  it('adopts the newest where one wants it, under an order that is open', async () => {
    const user = await older();
    await user.click(await screen.findByRole('checkbox', { name: '800-0011 adopts E' }));
    const adopt = screen.getByRole<HTMLButtonElement>('button', { name: 'Adopt E in 1' });
    expect(adopt.disabled).toBe(true);
    await choose(user, 'Under the order', 'ECO-00086 Regulator');
    server.on(ADOPT, new Refused(422, 'ECO-00086 is in review.'));
    await user.click(adopt);
    expect((await screen.findByRole('alert')).textContent).toContain('ECO-00086 is in review.');
    server.on(ADOPT, done('ECO-00090'));
    await user.click(adopt);
    await waitFor(() => expect(server.asked(ADOPT)).toHaveLength(2));
    expect(server.asked(ADOPT)[1]?.body).toEqual({ item: '200-0010', uses: [{ item: '110-0001', line: 'a1' }] });
  });

  it('says when no order is open for it', async () => {
    await older({ orders: [] });
    expect(await screen.findByText(/No order is open for revision/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Adopt/ })).toBeNull();
  });

  it('is only read by who does not plan', async () => {
    await older({}, vera);
    expect(await screen.findAllByRole('row')).toHaveLength(3);
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('is nothing where all point to the newest', async () => {
    await older({ uses: [] });
    expect(screen.queryByRole('grid')).toBeNull();
  });
});
