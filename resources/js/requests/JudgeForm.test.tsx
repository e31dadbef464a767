import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { onePath, request } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { DecisionForm } from './DecisionForm';
import { RequestPath } from './RequestPath';

const [sign] = onePath().steps;
if (sign === undefined) throw new Error('A path has a step.');
const path = onePath({
  code: 'safety',
  name: 'Safety',
  version: 2,
  stage: 2,
  steps: [
    {
      ...sign,
      name: 'Quality',
      standing: 'done',
      meaning: 'reviewed',
      signed: [
        { by: 'Nils Aarden', for: null, at: '2026-11-24T09:00:00+00:00', reason: 'Seen twice.', checks: ['Lot known'] },
      ],
    },
    { ...sign, name: 'Board', stage: 2, checks: ['Users warned'] },
  ],
});
const judged = (more: Partial<Schemas['JudgedRequest']> = {}): Schemas['JudgedRequest'] => ({
  request: 'ECR-00096',
  digest: '1:abc',
  path,
  signatures: [],
  may_send_back: false,
  ...more,
});
const asked = judged({ path: { ...path, signable: [1], back_to: [1] }, may_send_back: true });
const helen = { ...vera, login: 'helen.marsh', abilities: ['judge_request'] };
const SIGN = 'POST /api/requests/ECR-00096/path/signature';
const BACK = 'POST /api/requests/ECR-00096/path/sent-back';
const REJECT = 'POST /api/requests/ECR-00096/path/rejection';
const PATHS = 'GET /api/approval-paths';
const offered: Partial<Schemas['ApprovalPathRow']>[] = [
  { code: 'safety', name: 'Safety', judges: 'requests', retired: false, chosen_when: [] },
  { code: 'usual', name: 'Usual', judges: 'orders', retired: false, chosen_when: null },
];

describe('a request on its path', () => {
  it('is signed with what was on screen: check list, password, a reason as one likes', async () => {
    const decided = vi.fn();
    const user = await show(<DecisionForm request={request()} judged={asked} onDecided={decided} />, { as: helen });
    const form = screen.getByRole('form', { name: 'Judge the request' });
    expect(within(form).getByText(/Your signature means/).textContent).toContain('approved (Board)');
    server.on(SIGN, new Refused(422, 'No.', { checks: ['Not ticked yet: Users warned.'] }));
    await user.type(within(form).getByLabelText('Your password'), 'quillback{Enter}');
    expect(await within(form).findByText(/Not ticked yet/)).toBeTruthy();
    expect(decided).not.toHaveBeenCalled();
    server.on(SIGN, done('ECR-00096'));
    await user.click(within(form).getByRole('checkbox', { name: 'Users warned' }));
    await user.type(within(form).getByLabelText('Reason'), 'At once.');
    await user.click(within(form).getByRole('button', { name: 'Sign' }));
    await waitFor(() => expect(decided).toHaveBeenCalledOnce());
    expect(server.asked(SIGN)[1]?.body).toEqual({
      password: 'quillback',
      checks: ['Users warned'],
      step: 1,
      digest: '1:abc',
      reason: 'At once.',
    });
  });

  it('is sent back to a stage or rejected, each with its reason, and says what was wrong with which', async () => {
    const user = await show(<DecisionForm request={request()} judged={asked} />, { as: helen });
    server.on(REJECT, new Refused(422, 'No.', { reason: ['Give the reason.'] }));
    await user.click(screen.getByRole('button', { name: 'Reject' }));
    expect(await screen.findByText(/Give the reason/)).toBeTruthy();
    server.on(BACK, done('ECR-00096'));
    await user.type(screen.getByLabelText('Reason'), 'Which lot?');
    await choose(user, 'Sent back to', 'Quality');
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    await waitFor(() => expect(server.asked(BACK)[0]?.body).toEqual({ reason: 'Which lot?', stage: 1 }));
    expect(screen.queryByText(/Give the reason/)).toBeNull();
  });

  it('is not decided by whoever the path does not ask, whatever they may decide elsewhere', async () => {
    await show(<DecisionForm request={request()} judged={judged()} />, {
      as: { ...vera, abilities: ['decide_request'] },
    });
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByText(/A coordinator assesses/)).toBeNull();
  });

  it('tells who signed and why, and warns whoever changes the finding that it makes that void', async () => {
    server.on(PATHS, offered);
    await show(
      <>
        <RequestPath
          judged={judged({
            signatures: [
              {
                person: 'Nils Aarden',
                meaning: 'signed',
                said: 'reviewed',
                for: null,
                reason: '',
                signed_at: '2026-11-23T09:00:00+00:00',
                void: true,
                digest: '1:0',
              },
            ],
          })}
          open
        />
        <DecisionForm request={request()} judged={judged()} />
      </>,
      { as: mira },
    );
    const picture = screen.getByRole('region', { name: 'Approval path' }).textContent;
    expect(picture).toContain('Seen twice.');
    expect(picture).toContain('☑ Lot known');
    expect(screen.getByText('signed, void since the request was changed or sent back')).toBeTruthy();
    expect(screen.getByText(/another one makes it void/)).toBeTruthy();
    // Somebody has signed: it stays on its path.
    expect(screen.queryByRole('combobox', { name: 'Approval path' })).toBeNull();
  });

  it('is put on a path for requests by hand, or left to the rules', async () => {
    server.on(PATHS, offered);
    const user = await show(<DecisionForm request={request({ path_by_rule: true })} />, { as: mira });
    const field = await screen.findByRole('combobox', { name: 'Approval path' });
    expect(field.textContent).toContain('By rule: One decision');
    server.on('PUT /api/requests/ECR-00096/path', done('ECR-00096'));
    await choose(user, 'Approval path', 'Safety');
    await waitFor(() =>
      expect(server.asked('PUT /api/requests/ECR-00096/path')[0]?.body).toEqual({ path: 'safety', version: 3 }),
    );
  });
});
