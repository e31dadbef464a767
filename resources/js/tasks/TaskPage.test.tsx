import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { TaskPage } from './TaskPage';

const task = (more: Partial<Schemas['TaskRow']> = {}): Schemas['TaskRow'] => ({
  number: 'T-00003',
  change: 'ECO-00086',
  kind: 'design',
  title: 'New footprint',
  to: 'Engineering, Weir',
  holder: null,
  state: 'open',
  due_on: '2026-11-20',
  overdue: true,
  priority: 'high',
  estimate_hours: 16,
  ticked: 0,
  checks: 1,
  waits_for: [],
  mine: true,
  version: 4,
  ...more,
});
const page = (more: Partial<Schemas['TaskPage']> = {}): Schemas['TaskPage'] => ({
  task: task(),
  change_title: 'Voltage regulator',
  text: 'Keep the test points.',
  result: '',
  made_by: 'Mira Okafor',
  made_at: '2026-11-10T10:00:00+00:00',
  ended_at: null,
  checks: [{ place: 0, text: 'Controller board', ticked_by: null, ticked_at: null }],
  waits: [],
  others: [task({ number: 'T-00004', title: 'Outline drawing' })],
  edits: [],
  before_review: false,
  before_release: false,
  editable: [],
  may_wait: [],
  comments: [],
  may: ['claim', 'comment'],
  lacks: '',
  ...more,
});

async function open(first: Schemas['TaskPage']) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [
      { login: 'edda', name: 'Edda Roth', roles: [], may_revise: true, may_sign: false, may_judge: false },
    ])
    .on('GET /api/groups', [
      { code: 'buyers', name: 'Buyers', retired: false, version: 1, members: ['edda'], names: ['Edda Roth'] },
      { code: 'gone', name: 'Gone', retired: true, version: 1, members: ['edda'], names: ['Edda Roth'] },
    ])
    .on('GET /api/tasks/T-00003', first);
  const user = await show(<TaskPage />, { at: '/tasks/T-00003', path: '/tasks/:number' });
  await screen.findByRole('heading', { name: /New footprint/ });
  return user;
}

const held: Partial<Schemas['TaskPage']> = {
  task: task({ state: 'claimed', holder: 'Mira Okafor' }),
  may: ['hand_back', 'hand_on', 'finish', 'comment'],
};

describe('a task', () => {
  it('says whose it is, by when, and is claimed by one of its group', async () => {
    const user = await open(page());
    expect(screen.getByText(/overdue/).textContent).toBe('▲ overdue 20 Nov 2026');
    expect(screen.getByText('Engineering, Weir')).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: 'Controller board' })).toHaveProperty('disabled', true);
    server.on('POST /api/tasks/T-00003/claim', done('T-00003', 5)).on('GET /api/tasks/T-00003', page(held));
    await user.click(screen.getByRole('button', { name: 'Claim' }));
    expect(await screen.findByRole('button', { name: 'Hand back' })).toBeTruthy();
  });

  it('says that somebody was quicker', async () => {
    const user = await open(page());
    server.on(
      'POST /api/tasks/T-00003/claim',
      new Refused(422, 'Somebody has claimed it already.', { task: ['Somebody has claimed it already.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Claim' }));
    expect(await screen.findByText(/claimed it already/)).toBeTruthy();
  });

  it('is ticked and done by who has it, with its result', async () => {
    const user = await open(page({ ...held, lacks: 'Not ticked yet: Controller board.' }));
    expect(screen.getByText('Not ticked yet: Controller board.')).toBeTruthy();
    server.on('PUT /api/tasks/T-00003/checks/0', done('T-00003', 5));
    await user.click(screen.getByRole('checkbox', { name: 'Controller board' }));
    await waitFor(() => expect(server.asked('PUT /api/tasks/T-00003/checks/0')[0]?.body).toEqual({ ticked: true }));
    await user.click(screen.getByRole('button', { name: 'Done' }));
    const form = screen.getByRole('form', { name: 'Done' });
    await user.type(within(form).getByRole('textbox', { name: 'Result' }), 'Both boards.');
    server.on('POST /api/tasks/T-00003/done', done('T-00003', 6));
    await user.click(within(form).getByRole('button', { name: 'Mark as done' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Done' })).toBeNull());
    expect(server.asked('POST /api/tasks/T-00003/done')[0]?.body).toEqual({ text: 'Both boards.' });
  });

  it('is handed on to a group that is offered, or to a person', async () => {
    const user = await open(page(held));
    await user.click(screen.getByRole('button', { name: 'Hand on' }));
    const form = screen.getByRole('form', { name: 'Hand on' });
    await choose(user, 'To', 'Buyers (group of 1)');
    await user.type(within(form).getByRole('textbox', { name: 'Reason' }), 'It is theirs.');
    server.on('POST /api/tasks/T-00003/hand-on', done('T-00003', 5));
    await user.click(within(form).getByRole('button', { name: 'Hand on' }));
    await waitFor(() =>
      expect(server.asked('POST /api/tasks/T-00003/hand-on')[0]?.body).toEqual({
        to: 'group:buyers',
        text: 'It is theirs.',
      }),
    );
  });

  it('is planned anew with the version that was seen, and says at its field what is wrong', async () => {
    const user = await open(page({ may: ['plan', 'comment'] }));
    await user.click(screen.getByRole('button', { name: 'Edit' }));
    const form = screen.getByRole('form', { name: 'Edit task' });
    await user.type(within(form).getByRole('textbox', { name: /Check list/ }), '\n\nDisplay board');
    await user.click(within(form).getByRole('checkbox', { name: /Outline drawing/ }));
    server.on(
      'PATCH /api/tasks/T-00003',
      new Refused(422, 'At most 200.', { 'checks.1': ['At most 200 characters.'] }),
    );
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await within(form).findByText('At most 200 characters.')).toBeTruthy();
    expect(server.asked('PATCH /api/tasks/T-00003')[0]?.body).toMatchObject({
      checks: ['Controller board', 'Display board'],
      waits_for: ['T-00004'],
      due_on: '2026-11-20',
      version: 4,
    });
  });

  it('is talked about', async () => {
    const user = await open(
      page({
        comments: [{ id: 1, by: 'Edda Roth', at: '2026-11-11T10:00:00+00:00', text: 'Two days more.', files: [] }],
      }),
    );
    expect(screen.getByText('Two days more.')).toBeTruthy();
    await user.type(screen.getByRole('textbox', { name: 'Comment' }), 'Agreed.');
    server.on('POST /api/tasks/T-00003/comments', done('T-00003', 4));
    await user.click(screen.getByRole('button', { name: 'Add comment' }));
    await waitFor(() => expect(screen.getByRole('textbox', { name: 'Comment' })).toHaveProperty('value', ''));
  });
});
