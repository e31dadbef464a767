import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { onePath, order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { SignForm } from '../orders/SignForm';
import { PathPicture } from './PathPicture';
import { SteerPath } from './SteerPath';

const [sign] = onePath().steps;
if (sign === undefined) throw new Error('A path has a step.');
const review = {
  ...sign,
  name: 'Quality review',
  meaning: 'reviewed' as const,
  needed: 2,
  people: ['Nils Aarden', 'Omar Reyes', 'Lena Voss'],
  signed: [
    {
      by: 'Helen Marsh',
      for: 'Lena Voss',
      at: '2026-11-24T09:00:00+00:00',
      reason: 'Tears were seen.',
      checks: ['Flow measured'],
    },
  ],
  acting: ['Nils Aarden', 'Omar Reyes'],
  due_on: '2026-11-20',
  overdue: true,
};
const approval = { ...sign, name: 'Approval', stage: 2, standing: 'ahead' as const, with_password: false, since: null };
const path = onePath({
  code: 'usual',
  name: 'Usual',
  version: 3,
  steps: [review, { ...approval, name: 'Cost', standing: 'not_needed' }, approval],
  stuck: ['Nobody can sign “Approval”.'],
});

const people = () =>
  server
    .on('GET /api/people', [
      { login: 'petra', name: 'Petra Quist', roles: [], may_revise: false, may_sign: true, may_judge: true },
    ])
    .on('GET /api/groups', []);

describe('the path of an order', () => {
  it('says what is done, now and ahead, who signed for whom, who can, and how late it is', async () => {
    people();
    await show(<PathPicture path={path} />);
    const text = screen.getByRole('region', { name: 'Approval path' }).textContent;
    for (const words of [
      'Usual, version 3',
      'Quality review',
      'now · means reviewed',
      '✓ Helen Marsh for Lena Voss',
      'Tears were seen.',
      '☑ Flow measured',
      '2 of Nils Aarden, Omar Reyes, Lena Voss; 1 more',
      'Can sign now: Nils Aarden, Omar Reyes',
      '▲ overdue 20 Nov 2026',
      'not needed',
      'ahead',
      'Nobody can sign “Approval”.',
    ]) {
      expect(text).toContain(words);
    }
  });

  it('is steered with a reason: a step goes to others, or is skipped', async () => {
    people();
    const user = await show(<SteerPath number="ECO-00090" path={path} />);
    await user.click(screen.getByRole('button', { name: 'Reassign or skip a step' }));
    await choose(user, 'Step', 'Approval');
    const form = screen.getByRole('form', { name: 'Reassign or skip a step' });
    await user.type(within(form).getByRole('textbox', { name: 'Reason' }), 'Agreed.');
    server.on('POST /api/orders/ECO-00090/path', new Refused(422, 'No.', { to: ['None of them may sign it.'] }));
    await user.click(within(form).getByRole('button', { name: 'Skip the step' }));
    expect(await within(form).findByText('None of them may sign it.')).toBeTruthy();
    await choose(user, 'To (nobody: it is skipped)', 'Petra Quist');
    server.on('POST /api/orders/ECO-00090/path', done('ECO-00090'));
    await user.click(within(form).getByRole('button', { name: 'Reassign the step' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked('POST /api/orders/ECO-00090/path').map(({ body }) => body)).toEqual([
      { step: 2, reason: 'Agreed.' },
      { step: 2, reason: 'Agreed.', to: ['petra'] },
    ]);
  });

  it('is signed at the step whose turn it is, without a password where none is asked for', async () => {
    const mine = { ...path, signable: [2], back_to: [1] };
    const user = await show(
      <SignForm order={order({ state: 'in_review', path: mine, digest: 'd' })} maySign maySendBack />,
      {
        at: '/orders/ECO-00090/review',
        path: '/orders/:number/review',
      },
    );
    expect(screen.getByText(/Your signature means/).textContent).toBe('Your signature means: approved (Approval).');
    expect(screen.queryByLabelText('Your password')).toBeNull();
    await choose(user, 'To', 'Quality review');
    await user.type(screen.getByRole('textbox', { name: /Reason/ }), 'Look again.');
    server.on(
      'POST /api/orders/ECO-00090/return',
      new Refused(422, 'No.', { stage: ['It cannot be sent back there.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    expect(await screen.findByText('It cannot be sent back there.')).toBeTruthy();
    expect(server.asked('POST /api/orders/ECO-00090/return')[0]?.body).toEqual({ reason: 'Look again.', stage: 1 });
    server.on('POST /api/orders/ECO-00090/signature', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Sign this page' }));
    await waitFor(() => expect(address()).toBe('/changes/ECO-00090'));
    expect(server.asked('POST /api/orders/ECO-00090/signature')[0]?.body).toEqual({
      password: '',
      digest: 'd',
      step: 2,
    });
  });
});
