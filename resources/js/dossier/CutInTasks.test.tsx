import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { chosen, toDo } from '../testing/planner';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { CutInTasks } from './CutInTasks';

describe('tasks of a chosen day', () => {
  it('are made kind by kind, for those who are chosen', async () => {
    server
      .on('GET /api/people', [
        { login: 'petra', name: 'Petra Quist', roles: [], may_revise: false, may_sign: false, may_judge: false },
      ])
      .on('GET /api/groups', []);
    const twice = { ...chosen, to_do: [...toDo, ...toDo.slice(0, 1)] };
    const user = await show(<CutInTasks change="ECO-00086" chosen={twice} />);
    await user.click(screen.getByRole('button', { name: 'Make tasks of it' }));
    server.on(
      'POST /api/changes/ECO-00086/tasks/cut-in',
      new Refused(422, 'Choose who does at least one of them.', { to: ['Choose who does at least one of them.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Make tasks' }));
    expect(await screen.findByText(/Choose who does/)).toBeTruthy();
    await choose(user, 'Order the new part (2)', 'Petra Quist');
    server.on('POST /api/changes/ECO-00086/tasks/cut-in', done('ECO-00086', 2));
    await user.click(screen.getByRole('button', { name: 'Make tasks' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked('POST /api/changes/ECO-00086/tasks/cut-in').at(-1)?.body).toEqual({
      cut_in: 7,
      to: [{ kind: 'order', to: 'petra' }],
    });
  });
});
