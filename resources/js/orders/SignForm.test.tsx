import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { onePath } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, show } from '../testing/show';
import { SignForm } from './SignForm';

const order: Schemas['OrderData'] = {
  number: 'ECO-00084',
  title: 'New wording on the transport label',
  description: '',
  priority: 'normal',
  state: 'in_review',
  is_open: true,
  effective_on: '2027-01-10',
  author: 'Mira Okafor',
  editor: 'jonas.weir',
  editor_name: 'Jonas Weir',
  signer: 'helen.marsh',
  signer_name: 'Helen Marsh',
  raised_at: '2026-11-02T08:00:00+00:00',
  sent_to_review_at: '2026-11-20T08:00:00+00:00',
  released_at: null,
  closed_at: null,
  version: 5,
  digest: 'a1b2c3',
  items: [],
  checks: [],
  signatures: [],
  requests: [],
  may: [],
  path: onePath({ signable: [0] }),
  on_hold: null,
  parent: null,
  subordinates: [],
  waivers: [],
  may_waive: false,
};
const SIGN = 'POST /api/orders/ECO-00084/signature';
const BACK = 'POST /api/orders/ECO-00084/return';
const at = { at: '/orders/ECO-00084/review', path: '/orders/:number/review' };

describe('signing', () => {
  it('covers what is on screen: the digest of it goes with the password', async () => {
    const user = await show(<SignForm order={order} maySign maySendBack={false} />, at);
    server.on(SIGN, done('ECO-00090'));
    await user.type(screen.getByLabelText('Your password'), 'quillback');
    await user.click(screen.getByRole('button', { name: 'Sign this page' }));
    await waitFor(() => expect(address()).toBe('/changes/ECO-00084'));
    expect(server.asked(SIGN)[0]?.body).toEqual({ password: 'quillback', digest: 'a1b2c3' });
  });

  it('says that the password is wrong, at its field', async () => {
    const user = await show(<SignForm order={order} maySign maySendBack={false} />, at);
    server.on(SIGN, new Refused(422, 'No.', { password: ['That is not your password.'] }));
    await user.click(screen.getByRole('button', { name: 'Sign this page' }));
    expect(await screen.findByText(/That is not your password/)).toBeTruthy();
    expect(address()).toBe('/orders/ECO-00084/review');
  });

  it('says that what is signed has changed meanwhile', async () => {
    const user = await show(<SignForm order={order} maySign maySendBack={false} />, at);
    server.on(SIGN, new Refused(409, 'The order has changed since you opened it.'));
    await user.click(screen.getByRole('button', { name: 'Sign this page' }));
    expect((await screen.findByRole('alert')).textContent).toContain('has changed since you opened it');
  });
});

describe('sending back', () => {
  it('wants a reason, which is kept until it is sent', async () => {
    const user = await show(<SignForm order={order} maySign={false} maySendBack />, at);
    expect(screen.queryByLabelText('Your password')).toBeNull();
    server.on(BACK, new Refused(422, 'No.', { reason: ['Say what is to be done.'] }));
    await user.type(screen.getByLabelText('Reason and required corrections'), 'The label');
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    expect(await screen.findByText(/Say what is to be done/)).toBeTruthy();
    expect(localStorage.getItem('mira.okafor:draft:send back ECO-00084')).toContain('The label');
    server.on(BACK, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    await waitFor(() => expect(address()).toBe('/changes/ECO-00084'));
    expect(localStorage.getItem('mira.okafor:draft:send back ECO-00084')).toBeNull();
  });
});
