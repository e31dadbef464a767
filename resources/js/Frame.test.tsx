import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { Frame } from './Frame';
import { api, told } from './lib/api';
import { PageError } from './PageError';
import { Refused, server } from './testing/server';
import { mira } from './testing/show';

/** A page with something typed, and something to press. */
function Note() {
  const [said, setSaid] = useState('');
  return (
    <main>
      <h1>Note</h1>
      <input aria-label="Words" />
      <button
        type="button"
        onClick={() =>
          void told(api.POST('/api/favourites', { body: { address: '/', name: 'x' } })).then(
            () => setSaid('Saved'),
            (problem: unknown) => setSaid(problem instanceof Error ? problem.message : ''),
          )
        }
      >
        Save
      </button>
      <p>{said}</p>
    </main>
  );
}

function Broken(): never {
  throw new Error('No such thing.');
}

function Outdated(): never {
  throw new TypeError('Failed to fetch dynamically imported module: /build/a.js');
}

function open(at: string) {
  server
    .on('GET /api/session', mira)
    .orElse('GET /api/people', [])
    .on('GET /api/desk', { tasks: [] })
    .orElse('GET /api/favourites', []);
  const router = createMemoryRouter(
    [
      {
        path: '/',
        element: <Frame />,
        children: [
          { path: 'note', element: <Note />, errorElement: <PageError /> },
          { path: 'broken', element: <Broken />, errorElement: <PageError /> },
          { path: 'outdated', element: <Outdated />, errorElement: <PageError /> },
        ],
      },
    ],
    { initialEntries: [at] },
  );
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

describe('a session that has ended', () => {
  const ended = () => {
    let signedIn = false;
    server
      .on('POST /api/favourites', () => (signedIn ? null : new Refused(401, 'Sign in first.')))
      .on('POST /api/session', ({ body }) => {
        if ((body as { password: string }).password !== 'right')
          return new Refused(422, 'No.', { password: ['Sign-in name or password is wrong.'] });
        signedIn = true;
        return mira;
      });
  };

  it('is begun again over the page: what was typed stays, and what was pressed is carried out', async () => {
    const user = open('/note');
    await screen.findByRole('heading', { name: 'Note' });
    ended();
    await user.type(screen.getByLabelText('Words'), 'half a sentence');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    const dialog = await screen.findByRole('dialog', { name: 'Sign in again' });
    expect(screen.getByLabelText<HTMLInputElement>('Sign-in name').value).toBe('mira.okafor');
    await user.type(screen.getByLabelText('Password'), 'wrong');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText(/password is wrong/)).toBeTruthy();
    await user.clear(screen.getByLabelText('Password'));
    await user.type(screen.getByLabelText('Password'), 'right');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('Saved')).toBeTruthy();
    expect(dialog.isConnected).toBe(false);
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('half a sentence');
    expect(server.asked('POST /api/favourites')).toHaveLength(2);
  });

  it('stays ended when the person does not sign in, and the page says so', async () => {
    const user = open('/note');
    await screen.findByRole('heading', { name: 'Note' });
    ended();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByRole('dialog', { name: 'Sign in again' });
    await user.keyboard('{Escape}');
    expect(await screen.findByText('Sign in first.')).toBeTruthy();
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});

describe('a page that breaks', () => {
  it('says so in its place and leads on; the head of the page stays', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    open('/broken');
    expect(await screen.findByRole('heading', { name: 'This page could not be opened' })).toBeTruthy();
    expect(screen.getByText(/What was saved is safe/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Go to the Desk' }).getAttribute('href')).toBe('/');
    expect(screen.getByText('No such thing.')).toBeTruthy();
    expect(screen.getByRole('navigation', { name: 'Main' })).toBeTruthy();
  });

  it('is told apart from one of an older version', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    open('/outdated');
    expect(await screen.findByText(/A newer version of Orthotaxis is there, or a part/)).toBeTruthy();
  });
});

describe('a newer version on the server', () => {
  it('is told once an answer is of another build, and taken when the person says so', async () => {
    const build = document.head.appendChild(document.createElement('meta'));
    build.name = 'build';
    build.content = 'one';
    const answer = vi.spyOn(server, 'answer');
    const served = answer.getMockImplementation() ?? server.answer.bind(server);
    answer.mockRestore();
    const as = (version: string) =>
      vi.spyOn(server, 'answer').mockImplementation(async (request) => {
        const response = await served(request);
        response.headers.set('X-Orthotaxis-Build', version);
        return response;
      });
    as('one');
    const user = open('/note');
    await screen.findByRole('heading', { name: 'Note' });
    expect(screen.queryByText('A newer version of Orthotaxis is there.')).toBeNull();
    vi.restoreAllMocks();
    as('two');
    server.on('POST /api/favourites', null);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(screen.getByRole('status').textContent).toContain('A newer version of Orthotaxis is there.'),
    );
    expect(screen.getByRole('button', { name: 'Reload' })).toBeTruthy();
    vi.restoreAllMocks();
    build.remove();
  });
});
