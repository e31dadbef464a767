import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { change } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { RegisterPage } from './RegisterPage';

async function register(at = '/register') {
  server
    .on('GET /api/favourites', [])
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
    expect(server.asked('GET /api/changes')[0]?.query).toEqual({ show: 'all', words: '', priority: 'high' });
    expect(screen.getByText('1 change')).toBeTruthy();
    expect(screen.queryByText('Pump tube')).toBeNull();
  });

  it('puts what is looked for into the address, and takes it out again', async () => {
    const user = await register();
    await user.type(screen.getByLabelText('Words or number'), 'tube');
    await waitFor(() => expect(address()).toBe('/register?words=tube'));
    await choose(user, 'Step', 'Order');
    await waitFor(() => expect(address()).toBe('/register?words=tube&step=order'));
    await choose(user, 'Step', 'Every step');
    await waitFor(() => expect(address()).toBe('/register?words=tube'));
  });

  it('says what to do when nothing reads like it', async () => {
    server.on('GET /api/favourites', []).on('GET /api/changes', []);
    await show(<RegisterPage />, { at: '/register?words=nothing', path: '/register' });
    expect(await screen.findByText(/No change reads like that/)).toBeTruthy();
  });

  it('opens a change by a click on its row', async () => {
    const user = await register();
    await user.click(screen.getByText('Strainer'));
    expect(address()).toBe('/changes/ECO-00089');
  });
});
