import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { done } from '../testing/done';
import { request } from '../testing/make';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { DecisionForm } from './DecisionForm';

const helen = { ...vera, login: 'helen.marsh', abilities: ['decide_request'] };
const DECISION = 'POST /api/requests/ECR-00096/decision';
const FINDING = 'POST /api/requests/ECR-00096/finding';
const buttons = () => screen.queryAllByRole('button').map((button) => button.textContent);

describe('finding and decision', () => {
  it('waits for a coordinator where somebody may only decide and nothing is found yet', async () => {
    await show(<DecisionForm request={request({ state: 'raised' })} />, { as: helen });
    expect(screen.getByText('A coordinator assesses this request.')).toBeTruthy();
    expect(buttons()).toEqual([]);
  });

  it('offers a coordinator only the finding until that is recorded', async () => {
    await show(<DecisionForm request={request({ state: 'raised' })} />);
    expect(buttons()).toEqual(['Save finding']);
  });

  it('records the finding with the version that was seen', async () => {
    const user = await show(<DecisionForm request={request({ state: 'raised' })} />);
    server.on(FINDING, done('ECR-00096'));
    await user.type(screen.getByLabelText('Finding'), 'Feasible.');
    await user.click(screen.getByRole('button', { name: 'Save finding' }));
    await waitFor(() => expect(server.asked(FINDING)[0]?.body).toEqual({ finding: 'Feasible.', version: 3 }));
  });

  it('lets the board approve, send back or reject, with a reason', async () => {
    const decided = vi.fn();
    const user = await show(<DecisionForm request={request()} onDecided={decided} />, { as: helen });
    expect(buttons()).toEqual(['Approve', 'Send back', 'Reject']);
    server.on(DECISION, new Refused(422, 'No.', { reason: ['Say why.'] }));
    await user.click(screen.getByRole('button', { name: 'Reject' }));
    expect(await screen.findByText(/Say why/)).toBeTruthy();
    expect(decided).not.toHaveBeenCalled();
    server.on(DECISION, done('ECR-00096'));
    await user.type(screen.getByLabelText('Reason for the decision'), 'It pays in trust.');
    await user.click(screen.getByRole('button', { name: 'Approve' }));
    await waitFor(() => expect(decided).toHaveBeenCalledOnce());
    expect(server.asked(DECISION)[1]?.body).toEqual({
      decision: 'approved',
      reason: 'It pays in trust.',
      version: 3,
    });
  });

  it('says that whoever raised a request does not approve it, and keeps the reason that was written', async () => {
    const user = await show(<DecisionForm request={request()} />, { as: mira });
    server.on(DECISION, new Refused(422, 'No.', { person: ['You raised this request: somebody else approves it.'] }));
    await user.type(screen.getByLabelText('Reason for the decision'), 'Mine.');
    await user.click(screen.getByRole('button', { name: 'Approve' }));
    expect((await screen.findByRole('alert')).textContent).toContain('somebody else approves it');
    expect(localStorage.getItem('mira.okafor:draft:decision ECR-00096')).toContain('Mine.');
  });
});
