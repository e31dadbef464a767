import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { keepFor } from '../lib/storage';
import { taskWalk } from '../lib/taskWalk';
import { change } from '../testing/make';
import { server } from '../testing/server';
import { address, mira, show } from '../testing/show';
import { TaskWalk } from './TaskWalk';

const todo = (number: string, what: string) => ({
  todo: what,
  change: change(number, 'Tube'),
  since: '2026-11-20T03:00:00+00:00',
  due_on: null,
});

async function walk(at: string, left = ['PR-00003', 'ECR-00096', 'ECO-00084']) {
  keepFor(mira.login);
  taskWalk.begin([
    { number: 'PR-00003', todo: 'Take in' },
    { number: 'ECR-00096', todo: 'Assess' },
    { number: 'ECR-00096', todo: 'Answer about 200-0040' },
    { number: 'ECO-00084', todo: 'Release' },
  ]);
  server.on('GET /api/desk', { tasks: left.map((number) => todo(number, 'x')) });
  return show(<TaskWalk />, { at });
}

describe('what is to be done, one after the other', () => {
  it('says which of how many this is, and leads to the one before and after, also by keys', async () => {
    const user = await walk('/changes/ECR-00096/money');
    expect(screen.getByRole('navigation', { name: 'To do' }).textContent).toContain('To do 2 of 3');
    expect(screen.getByText('Assess; Answer about 200-0040')).toBeTruthy();
    expect(screen.getByRole('link', { name: /Previous/ }).getAttribute('href')).toBe('/reports/PR-00003');
    expect(screen.getByRole('link', { name: /Next/ }).getAttribute('href')).toBe('/changes/ECO-00084');
    await user.keyboard('tn');
    expect(address()).toBe('/changes/ECO-00084');
    await waitFor(() => expect(screen.queryByRole('link', { name: /Next/ })).toBeNull());
    await user.keyboard('tp');
    expect(address()).toBe('/changes/ECR-00096');
  });

  it('says what is done meanwhile, and ends when all is', async () => {
    await walk('/reports/PR-00003', ['ECO-00084']);
    expect(await screen.findByText('✓ done: Take in')).toBeTruthy();
  });

  it('is not there when nothing of it is left, nor on other pages', async () => {
    await walk('/reports/PR-00003', []);
    await waitFor(() => expect(screen.queryByRole('navigation', { name: 'To do' })).toBeNull());
    await walk('/items/200-0001');
    expect(screen.queryByRole('navigation', { name: 'To do' })).toBeNull();
  });
});
