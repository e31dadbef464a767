import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { plusDays, today } from '../lib/format';
import { change } from '../testing/make';
import { server } from '../testing/server';
import { address, show, vera } from '../testing/show';
import { DeskPage } from './DeskPage';

const tube = change('ECR-00096', 'Pump tube wears out early', { priority: 'critical', state: 'raised' });
const filled: Schemas['DeskPage'] = {
  critical: [
    change('PR-00003', 'Pump tube worn through', { priority: 'critical', state: 'open', type: 'report' }),
    tube,
  ],
  tasks: [
    { todo: 'Assess', change: tube, since: '2026-11-25T03:00:00+00:00', due_on: null, task: null },
    {
      todo: 'Answer about 200-0040',
      change: tube,
      since: '2026-11-20T03:00:00+00:00',
      due_on: plusDays(today(), -1),
      task: null,
    },
    {
      todo: 'Sign',
      change: change('ECO-00084', 'Label'),
      since: '2026-11-20T03:00:00+00:00',
      due_on: plusDays(today(), 3),
      task: null,
    },
  ],
  requests: [tube],
  open_requests: 34,
  stages: [
    { step: 'take_in', open: 4, critical: 1 },
    { step: 'assess', open: 2, critical: 0 },
  ],
};

async function desk(page: Schemas['DeskPage'], as?: Schemas['Me']) {
  server.on('GET /api/desk', page).on('GET /api/favourites', [{ id: 3, address: '/items?words=pump', name: 'Pumps' }]);
  const user = await show(<DeskPage />, { as });
  await screen.findByRole('heading', { name: 'Needs you now' });
  return user;
}

describe('the Desk', () => {
  it('shows what is critical above all else, reports and requests alike', async () => {
    await desk(filled);
    const critical = screen.getByRole('region', { name: /Critical now/ });
    expect(within(critical).getByRole('link', { name: 'PR-00003' }).getAttribute('href')).toBe('/reports/PR-00003');
    expect(within(critical).getByRole('link', { name: 'ECR-00096' }).getAttribute('href')).toBe('/changes/ECR-00096');
  });

  it('says nothing of critical things to whom none concern', async () => {
    await desk({ ...filled, critical: [] }, vera);
    expect(screen.queryByText(/Critical now/)).toBeNull();
  });

  it('marks what is overdue by a sign and a word, and tells by when the rest is wanted', async () => {
    await desk(filled);
    const [, assess, answer, sign] = within(screen.getByRole('grid', { name: 'Needs you now' })).getAllByRole('row');
    expect(assess?.textContent).not.toContain('by');
    expect(answer?.textContent).toContain('▲ overdue since');
    expect(sign?.textContent).toMatch(/Signby \d/);
  });

  it('opens a task by Enter, and every figure its rows', async () => {
    const user = await desk(filled);
    within(screen.getByRole('grid', { name: 'Needs you now' }))
      .getAllByRole('row')[1]
      ?.focus();
    await user.keyboard('{Enter}');
    expect(address()).toBe('/changes/ECR-00096');
  });

  it('says how many open requests there are, and leads to all of them', async () => {
    await desk(filled);
    expect(screen.getByText(/1 of 34 open requests/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'All in the Register' }).getAttribute('href')).toBe(
      '/register?type=request',
    );
  });

  it('leads from a name to the work of that person, unless two share it', async () => {
    server.on('GET /api/people', [
      { login: 'clara.fenn', name: 'Clara Fenn', may_revise: false, may_sign: false, may_judge: false },
      { login: 'a', name: 'Sam Same', may_revise: false, may_sign: false, may_judge: false },
      { login: 'b', name: 'Sam Same', may_revise: false, may_sign: false, may_judge: false },
    ]);
    await desk({
      ...filled,
      requests: [change('ECR-1', 'A', { raised_by: 'Clara Fenn' }), change('ECR-2', 'B', { raised_by: 'Sam Same' })],
    });
    expect((await screen.findByRole('link', { name: 'Clara Fenn' })).getAttribute('href')).toBe(
      '/register?person=clara.fenn',
    );
    expect(screen.queryByRole('link', { name: 'Sam Same' })).toBeNull();
  });

  it('counts what is open at each step, critical ones beside it', async () => {
    await desk(filled);
    const steps = within(screen.getByRole('region', { name: 'Open changes by step' })).getAllByRole('link');
    expect(steps[0]?.textContent).toContain('4▲ 1 critical');
    expect(steps[1]?.textContent).not.toContain('critical');
    expect(steps[1]?.getAttribute('href')).toBe('/register?step=assess');
  });

  it('has the pages at hand that the person keeps', async () => {
    await desk(filled);
    expect((await screen.findByRole('link', { name: 'Pumps' })).getAttribute('href')).toBe('/items?words=pump');
  });

  it('says what to do when nothing waits, and offers nothing that the person may not do', async () => {
    await desk({ ...filled, tasks: [], requests: [] }, vera);
    expect(screen.getByText(/Nothing waits for you/)).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Report a problem' })).toBeNull();
    expect(screen.getByRole('link', { name: 'Change board meeting' })).toBeTruthy();
  });
});
