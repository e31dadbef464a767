import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { change } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { RegisterPage } from './RegisterPage';

async function register(at = '/register') {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [
      { login: 'helen.marsh', name: 'Helen Marsh', may_revise: false, may_sign: true, may_judge: true },
    ])
    .on('GET /api/changes', ({ query }) =>
      query.words === 'nothing'
        ? []
        : [change('ECR-00096', 'Pump tube'), change('ECO-00089', 'Strainer', { step: 'order' })],
    );
  const user = await show(<RegisterPage />, { at, path: '/register' });
  await screen.findByText(/changes?$/);
  return user;
}

describe('the Register', () => {
  it('opens as its address says', async () => {
    await register('/register?show=all&priority=high&step=order');
    expect(server.asked('GET /api/changes')[0]?.query).toEqual({
      show: 'all',
      priority: 'high',
      step: 'order',
      from: '0',
    });
    expect(screen.getByText('2 changes')).toBeTruthy();
  });

  it('puts what is looked for into the address, and takes it out again', async () => {
    const user = await register();
    await user.type(screen.getByLabelText('Words or number'), 'tube');
    await waitFor(() => expect(address()).toBe('/register?words=tube'));
    await user.click(screen.getByRole('button', { name: 'Any step' }));
    await user.click(await screen.findByRole('checkbox', { name: 'Release' }));
    await user.click(screen.getByRole('checkbox', { name: 'Order' }));
    await waitFor(() => expect(address()).toBe('/register?words=tube&step=order%2Crelease'));
    await user.click(screen.getByRole('button', { name: 'Any' }));
    await waitFor(() => expect(address()).toBe('/register?words=tube'));
  });

  it('shows mine, who something waits for, and what names an item or was raised between days', async () => {
    const user = await register();
    await choose(user, 'Whose', 'Mine, waiting for others');
    await waitFor(() => expect(address()).toBe('/register?mine=waiting'));
    await choose(user, 'Whose', 'All changes');
    await waitFor(() => expect(address()).toBe('/register'));
    await choose(user, 'Waits for', 'Helen Marsh');
    await user.type(screen.getByLabelText('Raised from'), '1 Nov 2026');
    await waitFor(() => expect(address()).toBe('/register?waits_for=helen.marsh&since=2026-11-01'));
    expect(server.asked('GET /api/changes').at(-1)?.query).toMatchObject({
      waits_for: 'helen.marsh',
      since: '2026-11-01',
    });
  });

  it('sorts by what the server is asked for, and the address keeps it', async () => {
    const user = await register();
    await user.click(screen.getByRole('button', { name: 'Priority' }));
    await waitFor(() => expect(server.asked('GET /api/changes').at(-1)?.query.sort).toBe('priority'));
    expect(address()).toBe('/register?sort=priority');
  });

  it('says what to do when nothing reads like it', async () => {
    server.on('GET /api/favourites', []).on('GET /api/people', []).on('GET /api/changes', []);
    await show(<RegisterPage />, { at: '/register?words=nothing', path: '/register' });
    expect(await screen.findByText(/No change matches/)).toBeTruthy();
  });

  it('opens a change by a click on its row', async () => {
    const user = await register();
    await user.click(screen.getByText('Strainer'));
    expect(address()).toBe('/changes/ECO-00089');
  });
});
