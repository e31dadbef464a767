import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SessionGate } from '../lib/session';
import { Refused, server } from '../testing/server';
import { mira } from '../testing/show';
import { NewPasswordPage } from './NewPasswordPage';
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

describe('signing in with a second factor', () => {
  it('asks for the code when the server does, and sends it with the rest', async () => {
    const user = await door();
    server.on(
      'POST /api/session',
      new Refused(422, 'No.', { code: ['Write the code that your authenticator shows.'] }),
    );
    expect(screen.queryByLabelText(/Code of your authenticator/)).toBeNull();
    await user.type(screen.getByLabelText('Sign-in name'), 'mira.okafor');
    await user.type(screen.getByLabelText('Password'), 'quillback{Enter}');
    await user.type(await screen.findByLabelText(/Code of your authenticator/), '123 456');
    server.on('POST /api/session', mira);
    await user.keyboard('{Enter}');
    expect(await screen.findByText('Inside.')).toBeTruthy();
    expect(server.asked('POST /api/session')[1]?.body).toEqual({
      login: 'mira.okafor',
      password: 'quillback',
      code: '123 456',
    });
  });
});

describe('a forgotten password', () => {
  it('has a link mailed, and says nothing of who there is', async () => {
    const user = await door();
    await user.click(screen.getByText('Forgot your password?'));
    server.on('POST /api/password-link', null);
    await user.type(await screen.findByLabelText('Your sign-in name'), 'mira.okafor');
    await user.click(screen.getByRole('button', { name: 'Send a link by mail' }));
    expect(await screen.findByText(/If mira.okafor has an account/)).toBeTruthy();
    expect(server.asked('POST /api/password-link')[0]?.body).toEqual({ login: 'mira.okafor' });
  });

  it('is replaced at the address of the mail, which is said to be used up when it is', async () => {
    window.location.hash = '#login=mira.okafor&token=abc';
    const client = new QueryClient();
    render(
      <QueryClientProvider client={client}>
        <NewPasswordPage />
      </QueryClientProvider>,
    );
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('New password'), 'silty rivers wear tubes');
    server.on('POST /api/password', new Refused(422, 'No.', { token: ['This address was used already.'] }));
    await user.click(screen.getByRole('button', { name: 'Save password' }));
    expect(await screen.findByText(/was used already/)).toBeTruthy();
    server.on('POST /api/password', null);
    await user.click(screen.getByRole('button', { name: 'Save password' }));
    expect(await screen.findByText('Your password is saved.')).toBeTruthy();
    expect(server.asked('POST /api/password')[1]?.body).toEqual({
      login: 'mira.okafor',
      token: 'abc',
      password: 'silty rivers wear tubes',
    });
    window.location.hash = '';
  });
});
