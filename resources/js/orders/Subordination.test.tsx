import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { Subordination } from './Subordination';

const tied = (number: string, other: object = {}) => ({
  number,
  title: 'Papers',
  state: 'planning' as const,
  effective_on: null,
  together: false,
  ...other,
});

describe('parent and subordinate orders', () => {
  it('see each other, with how they are released', async () => {
    await show(
      <Subordination
        order={order({
          parent: tied('ECO-00001', { state: 'signed', together: true, effective_on: '2027-02-01' }),
          subordinates: [tied('ECO-00003')],
        })}
        editable={false}
      />,
    );
    expect(screen.getByText(/Subordinate to/).textContent).toContain('released together with its parent');
    expect(screen.getByText(/signed, effective from/)).toBeTruthy();
    expect(screen.getByText(/^Subordinate:/).textContent).toContain('ECO-00003');
    expect(screen.queryByRole('link', { name: 'Raise a subordinate order' })).toBeNull();
  });

  it('are tied and freed again; a circle is told at its place', async () => {
    const mine = order({ number: 'ECO-00002', is_open: true, may: ['plan'] });
    server
      .on('GET /api/changes', {
        rows: [
          { number: 'ECO-00002', title: 'Itself', state: 'planning', type: 'order' },
          { number: 'ECO-00009', title: 'Tube', state: 'planning', type: 'order' },
        ],
        total: 2,
        from: 0,
      })
      .on(
        'PUT /api/orders/ECO-00002/parent',
        new Refused(422, 'No.', { parent: ['That would be a circle: ECO-00002 to ECO-00009.'] }),
      );
    const user = await show(<Subordination order={mine} editable />, {
      as: { ...mira, abilities: ['raise_order', 'plan_order'] },
    });
    expect(screen.getByRole('link', { name: 'Raise a subordinate order' }).getAttribute('href')).toBe(
      '/orders/new?parent=ECO-00002',
    );
    await user.click(screen.getByText('Make it subordinate to another order'));
    await user.type(screen.getByRole('combobox', { name: 'Subordinate to' }), 'tube');
    expect(screen.queryByRole('option', { name: /ECO-00002/ })).toBeNull();
    await user.click(await screen.findByRole('option', { name: /ECO-00009/ }));
    // Nothing is done by choosing alone.
    expect(server.asked('PUT /api/orders/ECO-00002/parent')).toHaveLength(0);
    await user.click(screen.getByRole('button', { name: 'Make subordinate' }));
    expect(await screen.findByText(/That would be a circle/)).toBeTruthy();
    expect(server.asked('PUT /api/orders/ECO-00002/parent')[0]?.body).toMatchObject({
      parent: 'ECO-00009',
      together: false,
    });
  });

  it('are freed until the order is released', async () => {
    server.on('DELETE /api/orders/ECO-00002/parent', done('ECO-00002', 4));
    const user = await show(
      <Subordination
        order={order({ number: 'ECO-00002', version: 3, is_open: true, may: ['plan'], parent: tied('ECO-00001') })}
        editable={false}
      />,
    );
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(server.asked('DELETE /api/orders/ECO-00002/parent')[0]?.body).toEqual({ version: 3 }));
  });
});
