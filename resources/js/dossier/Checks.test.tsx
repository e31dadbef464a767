import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { Checks } from './Checks';

const check = {
  name: 'Every component is in force',
  met: false,
  reason: 'It uses 200-0041.',
  place: 'edits',
  waived: false,
  waivable: 'components_in_force',
};
const waiver = {
  check: 'components_in_force',
  fault: 'It uses 200-0041.',
  reason: 'Released before.',
  by: 'Helen Marsh',
  at: '2026-11-26T09:00:00+00:00',
};

describe('checks of an order', () => {
  it('are waived as they read, with a reason, by who may', async () => {
    const of = order({ number: 'ECO-00002', version: 3, checks: [check], may_waive: true });
    server.on('POST /api/orders/ECO-00002/waivers', new Refused(422, 'No.', { reason: ['Give the reason.'] }));
    const user = await show(<Checks order={of} />);
    await user.click(screen.getByRole('button', { name: 'Waive: Every component is in force' }));
    const form = screen.getByRole('form', { name: 'Waive: Every component is in force' });
    await user.click(within(form).getByRole('button', { name: 'Waive this check' }));
    expect(await within(form).findByText(/Give the reason/)).toBeTruthy();
    server.on('POST /api/orders/ECO-00002/waivers', done('ECO-00002', 4));
    await user.type(within(form).getByRole('textbox', { name: 'Reason, shown in review' }), 'Released before.');
    await user.click(within(form).getByRole('button', { name: 'Waive this check' }));
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00002/waivers').at(-1)?.body).toEqual({
        check: 'components_in_force',
        fault: 'It uses 200-0041.',
        reason: 'Released before.',
        version: 3,
      }),
    );
  });

  it('say who let them go, and count again when that is withdrawn', async () => {
    const of = order({
      number: 'ECO-00002',
      version: 4,
      checks: [{ ...check, waived: true }],
      waivers: [waiver],
      may_waive: true,
    });
    server.on('DELETE /api/orders/ECO-00002/waivers/components_in_force', done('ECO-00002', 5));
    const user = await show(<Checks order={of} />);
    expect(screen.getByText('waived:', { exact: false }).parentElement?.textContent).toContain(
      'Waived by Helen Marsh: Released before.',
    );
    await user.click(screen.getByRole('button', { name: 'Withdraw waiver' }));
    await waitFor(() =>
      expect(server.asked('DELETE /api/orders/ECO-00002/waivers/components_in_force')[0]?.body).toEqual({ version: 4 }),
    );
  });

  it('are only told to others, and those that have to hold are not let go', async () => {
    await show(<Checks order={order({ checks: [check], may_waive: false })} />);
    await show(<Checks order={order({ checks: [{ ...check, waivable: '' }], may_waive: true })} />);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('become tasks of somebody where they do not hold, but not the check of tasks itself', async () => {
    const tasks = { ...check, name: 'All tasks before review are done', place: 'tasks', waivable: '' };
    server
      .on('GET /api/people', [
        { login: 'petra', name: 'Petra Quist', roles: [], may_revise: false, may_sign: false, may_judge: true },
      ])
      .on('GET /api/groups', []);
    const of = order({ number: 'ECO-00002', checks: [check, tasks, { ...check, name: 'Signed', met: true }] });
    const user = await show(<Checks order={of} />, { as: { ...mira, abilities: ['manage_tasks'] } });
    expect(screen.getAllByRole('button').map((one) => one.textContent)).toEqual(['Create a task']);
    await user.click(screen.getByRole('button', { name: 'Create a task: Every component is in force' }));
    const form = screen.getByRole('form', { name: 'New task: Every component is in force' });
    await choose(user, 'For', 'Petra Quist');
    server.on('POST /api/changes/ECO-00002/tasks', done('T-00020', 1));
    await user.click(within(form).getByRole('button', { name: 'Create task' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked('POST /api/changes/ECO-00002/tasks')[0]?.body).toMatchObject({
      to: 'petra',
      title: 'Every component is in force',
      text: 'It uses 200-0041.',
    });
  });
});
