import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { TryPath } from './TryPath';

const step = {
  name: 'Review',
  stage: 1,
  who: ['group:quality'],
  needed: 1,
  meaning: 'reviewed' as const,
  with_password: true,
  due_days: null,
  conditions: [],
  back_to: [0],
};

describe('trying a path', () => {
  it('shows on a past order what is needed, by whom, and where nobody could sign', async () => {
    server
      .on('GET /api/changes', {
        rows: [{ number: 'ECO-00041', title: 'Longer clamp', state: 'closed', type: 'order' }],
        total: 1,
        from: 0,
      })
      .on('POST /api/approval-paths/trial', new Refused(422, 'No.', { change: ['There is no such order.'] }));
    const user = await show(<TryPath steps={[step]} tasks={[]} judges="orders" />);
    await user.click(screen.getByText('Try it on an order'));
    await user.type(screen.getByRole('combobox', { name: 'Order to try it on' }), 'clamp');
    await user.click(await screen.findByRole('option', { name: /ECO-00041/ }));
    expect(server.asked('GET /api/changes')[0]?.query).toMatchObject({ show: 'all', type: 'order' });
    await user.click(screen.getByRole('button', { name: 'Try' }));
    expect(await screen.findByText(/There is no such order/)).toBeTruthy();
    server.on('POST /api/approval-paths/trial', {
      change: 'ECO-00041',
      title: 'Longer clamp',
      facts: [{ fact: 'one_time_cost', values: [] }],
      steps: [
        { name: 'Review', stage: 1, needed: true, signatures: 2, people: ['Nils'], acting: ['Omar'], stuck: '' },
        { name: 'Cost', stage: 2, needed: false, signatures: 0, people: [], acting: [], stuck: '' },
        { name: 'End', stage: 3, needed: true, signatures: 1, people: [], acting: [], stuck: 'Nobody can sign “End”.' },
      ],
      tasks: [
        { stage: 0, title: 'Draw it', to: ['jonas'] },
        { stage: null, title: 'Scrap it', to: [] },
      ],
    });
    await user.click(screen.getByRole('button', { name: 'Try' }));
    const trial = await screen.findByRole('region', { name: 'How it would run on ECO-00041' });
    expect(within(trial).getByText(/One-time cost or saving: not known/)).toBeTruthy();
    expect(within(trial).getByText(/2 signatures of Nils/).textContent).toContain('today Omar can sign');
    expect(within(trial).getByText('– not needed')).toBeTruthy();
    expect(within(trial).getByText(/Nobody can sign/)).toBeTruthy();
    const tasks = within(trial).getAllByRole('listitem').slice(-2);
    expect(tasks.map((one) => one.textContent)).toEqual([
      'Before reviewDraw itfor jonas',
      'When releasedScrap itfor nobody: whoever acts then gets it',
    ]);
    expect(server.asked('POST /api/approval-paths/trial').at(-1)?.body).toEqual({
      change: 'ECO-00041',
      steps: [step],
      tasks: [],
    });
  });
});
