import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { OnHold } from './OnHold';

describe('an order on hold', () => {
  it('is put on hold with a reason', async () => {
    const user = await show(<OnHold order={order()} may />);
    await user.click(screen.getByRole('button', { name: 'Put on hold' }));
    const form = screen.getByRole('form', { name: 'Put on hold' });
    server.on('POST /api/orders/ECO-00090/hold', new Refused(422, 'No.', { reason: ['Give the reason.'] }));
    await user.click(within(form).getByRole('button', { name: 'Put on hold' }));
    expect(await within(form).findByText('Give the reason.')).toBeTruthy();
    await user.type(within(form).getByRole('textbox', { name: 'Reason' }), 'The supplier is on strike.');
    server.on('POST /api/orders/ECO-00090/hold', done('ECO-00090'));
    await user.click(within(form).getByRole('button', { name: 'Put on hold' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked('POST /api/orders/ECO-00090/hold').at(-1)?.body).toEqual({
      reason: 'The supplier is on strike.',
      version: 4,
    });
  });

  it('says so to everybody, and is let go on with due dates moved or not', async () => {
    const on_hold = { since: '2026-11-20T09:00:00+00:00', by: 'Mira Okafor', reason: 'The supplier is on strike.' };
    const user = await show(<OnHold order={order({ on_hold })} may />);
    expect(screen.getByText(/On hold since/).textContent).toContain('Mira Okafor: The supplier is on strike.');
    await user.click(screen.getByRole('button', { name: 'Let it go on' }));
    await user.type(screen.getByRole('textbox', { name: 'Reason' }), 'It is over.');
    await user.click(screen.getByRole('checkbox', { name: /Due dates move/ }));
    server.on('DELETE /api/orders/ECO-00090/hold', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Let it go on' }));
    await waitFor(() =>
      expect(server.asked('DELETE /api/orders/ECO-00090/hold')[0]?.body).toEqual({
        reason: 'It is over.',
        moves: false,
        version: 4,
      }),
    );
  });

  it('offers nothing to who may not, and nothing once it is released', async () => {
    await show(<OnHold order={order()} may={false} />);
    expect(screen.queryByRole('button', { name: 'Put on hold' })).toBeNull();
  });
});
