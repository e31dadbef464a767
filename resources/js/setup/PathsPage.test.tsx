import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { PathsPage } from './PathsPage';

const ivo = { ...mira, abilities: ['set_up'] };
const step = (more: Partial<Schemas['PathStepRule']>): Schemas['PathStepRule'] => ({
  name: 'Review',
  stage: 1,
  who: ['group:quality'],
  needed: 2,
  meaning: 'reviewed',
  with_password: true,
  due_days: 5,
  conditions: [],
  back_to: [0],
  ...more,
});
const usual: Schemas['ApprovalPathRow'] = {
  code: 'usual',
  name: 'Usual',
  judges: 'orders',
  version: 3,
  retired: false,
  tasks: [],
  sends_itself: false,
  chosen_when: null,
  rank: 0,
  steps: [
    step({}),
    step({ name: 'Cost', stage: 2, who: ['greta'], conditions: [{ fact: 'one_time_cost', values: ['5000'] }] }),
    step({ name: 'Approval', stage: 2, who: ['role:signer'], needed: 1 }),
  ],
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/approval-paths', [usual])
    .on('GET /api/groups', [
      { code: 'quality', name: 'Quality', retired: false, version: 1, members: ['nils'], names: ['Nils Aarden'] },
    ])
    .on('GET /api/people', [
      { login: 'greta', name: 'Greta Sorn', roles: [], may_revise: false, may_sign: true, may_judge: true },
    ]);
}

describe('approval paths', () => {
  it('are told stage by stage to everybody, and changed by who may', async () => {
    answers();
    await show(<PathsPage />, { as: vera });
    expect(await screen.findByText('Review → Cost + Approval')).toBeTruthy();
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('get another version, with a step more and one that may send back to a stage', async () => {
    answers();
    const user = await show(<PathsPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Usual' }));
    const form = screen.getByRole('form', { name: 'Change Usual' });
    const cost = within(form).getByRole('group', { name: 'Cost' });
    await user.click(within(cost).getByRole('checkbox', { name: 'stage 1' }));
    await user.click(within(form).getByRole('button', { name: 'Remove step Approval' }));
    await user.click(within(form).getByRole('button', { name: 'Add a step' }));
    const last = within(form).getByRole('group', { name: 'Step 3' });
    await user.type(within(last).getByRole('textbox', { name: 'Step' }), 'Board');
    server.on(
      'PUT /api/approval-paths/usual',
      new Refused(422, 'Choose who signs.', { 'steps.2.who': ['Choose who signs.'] }),
    );
    await user.click(within(form).getByRole('button', { name: 'Save as the next version' }));
    expect(await within(form).findByText(/Choose who signs/)).toBeTruthy();
    expect(server.asked('PUT /api/approval-paths/usual')[0]?.body).toMatchObject({
      version: 3,
      steps: [
        { name: 'Review', stage: 1 },
        { name: 'Cost', back_to: [0, 1], conditions: [{ fact: 'one_time_cost', values: ['5000'] }] },
        { name: 'Board', stage: 3, who: [], needed: 1 },
      ],
    });
    server.on('PUT /api/approval-paths/usual', done('usual', 4));
    await user.click(within(form).getByRole('button', { name: 'Retire' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/approval-paths/usual').at(-1)?.body).toMatchObject({ retired: true }),
    );
  });

  it('remind before a step is due, and tell others when it stays undone', async () => {
    answers();
    server.on('PUT /api/approval-paths/late', done('late', 1));
    const user = await show(<PathsPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New approval path' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'late');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Late');
    expect(within(form).queryByRole('textbox', { name: 'Remind, work days before' })).toBeNull();
    await user.type(within(form).getByRole('textbox', { name: 'Due, work days' }), '5');
    await user.type(within(form).getByRole('textbox', { name: 'Remind, work days before' }), '1');
    await user.type(within(form).getByRole('textbox', { name: 'Escalate, work days after' }), '2');
    await user.click(within(form).getByRole('button', { name: 'Whoever raised it' }));
    await user.click((await screen.findAllByRole('checkbox', { name: /group/ }))[0] as HTMLElement);
    await user.keyboard('{Escape}');
    await user.click(within(form).getByRole('button', { name: 'Add path' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/approval-paths/late')[0]?.body).toMatchObject({
        steps: [{ due_days: 5, remind_days: 1, escalate_days: 2, escalate_to: [expect.stringMatching(/^group:/)] }],
      }),
    );
  });

  it('have tasks, check lists and a rule that chooses them', async () => {
    answers();
    server.on(
      'PUT /api/approval-paths/pumps',
      new Refused(422, 'No.', { 'tasks.0.to': ['Choose a person or a group.'] }),
    );
    const user = await show(<PathsPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New approval path' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'pumps');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Pumps');
    await user.click(within(form).getByText('Check list'));
    await user.type(
      within(form).getByRole('textbox', { name: /What whoever signs ticks first/ }),
      'Limits{Enter}{Enter}Labels',
    );
    const tasks = within(form).getByRole('region', { name: 'Tasks' });
    await user.click(within(tasks).getByRole('button', { name: 'Add a task' }));
    await user.type(within(tasks).getByRole('textbox', { name: 'What is to be done' }), 'Second clamp');
    await user.click(within(tasks).getByRole('checkbox', { name: 'engineering' }));
    await user.type(within(tasks).getByRole('textbox', { name: 'Due, work days' }), '3');
    await user.click(within(tasks).getByRole('button', { name: 'Add a task' }));
    const second = within(tasks).getByRole('group', { name: 'Task 2' });
    await user.type(within(second).getByRole('textbox', { name: 'What is to be done' }), 'Show the line');
    await user.click(within(tasks).getAllByRole('combobox', { name: 'Made' })[1] as HTMLElement);
    await user.click(await screen.findByRole('option', { name: 'When released' }));
    await user.click(within(tasks).getByRole('checkbox', { name: /goes to review by itself/ }));
    const rule = within(form).getByRole('region', { name: 'Chosen' });
    await user.click(within(rule).getByRole('checkbox', { name: 'By rule, for new orders' }));
    expect(within(rule).getByText('Without conditions it is chosen for every order.')).toBeTruthy();
    await user.click(within(rule).getByRole('button', { name: 'Add a condition' }));
    await user.type(within(rule).getByRole('textbox', { name: 'from' }), '500');
    await user.click(within(form).getByRole('button', { name: 'Add path' }));
    expect(await within(tasks).findByText(/Choose a person or a group/)).toBeTruthy();
    expect(server.asked('PUT /api/approval-paths/pumps')[0]?.body).toMatchObject({
      steps: [{ checks: ['Limits', 'Labels'] }],
      tasks: [
        { stage: 0, title: 'Second clamp', to: 'role:editor', holds: true, due_days: 3, edits: ['engineering'] },
        { stage: null, title: 'Show the line', holds: false, edits: [] },
      ],
      sends_itself: true,
      chosen_when: [{ fact: 'one_time_cost', values: ['500'] }],
      rank: 0,
    });
  });

  it('judge requests too: with whom a request names, and without what only an order has', async () => {
    answers();
    const user = await show(<PathsPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New approval path' });
    await choose(user, 'Judges', 'Requests');
    expect(within(form).queryByRole('checkbox', { name: /goes to review by itself/ })).toBeNull();
    expect(within(form).getByRole('checkbox', { name: 'whoever raised it' })).toBeTruthy();
    await user.click(within(form).getByRole('button', { name: 'Add a task' }));
    expect(within(form).getByRole('combobox', { name: 'Made' }).textContent).toContain('With stage 1');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Safety');
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'safety');
    server.on('PUT /api/approval-paths/safety', done('safety'));
    await user.click(within(form).getByRole('button', { name: 'Add path' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/approval-paths/safety')[0]?.body).toMatchObject({
        judges: 'requests',
        sends_itself: false,
        tasks: [{ stage: 1, to: 'role:owner' }],
      }),
    );
  });
});
