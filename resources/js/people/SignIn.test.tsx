import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SessionGate } from '../lib/session';
import { Refused, server } from '../testing/server';
import { mira } from '../testing/show';
import { SignIn } from './SignIn';

async function door() {
  server.on('GET /api/session', new Refused(401, 'Sign in.'));
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <SessionGate otherwise={<SignIn />}>
        <p>Inside.</p>
      </SessionGate>
    </QueryClientProvider>,
  );
  await screen.findByLabelText('Sign-in name');
  return userEvent.setup();
}

describe('signing in', () => {
  it('stands in place of any page, and opens it', async () => {
    const user = await door();
    expect(screen.queryByText('Inside.')).toBeNull();
    server.on('POST /api/session', mira);
    await user.type(screen.getByLabelText('Sign-in name'), 'mira.okafor');
    await user.type(screen.getByLabelText('Password'), 'quillback{Enter}');
    expect(await screen.findByText('Inside.')).toBeTruthy();
    expect(server.asked('POST /api/session')[0]?.body).toEqual({ login: 'mira.okafor', password: 'quillback' });
  });

  it('says at the password that the two do not go together, and not which is wrong', async () => {
    const user = await door();
    server.on('POST /api/session', new Refused(422, 'No.', { password: ['Name and password do not go together.'] }));
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText(/do not go together/)).toBeTruthy();
    expect(screen.getByLabelText('Sign-in name').getAttribute('aria-invalid')).toBe('false');
  });

  it('says when it was tried too often', async () => {
    const user = await door();
    server.on('POST /api/session', new Refused(429, 'Too many tries. Wait a minute.'));
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Wait a minute.'));
  });
});
