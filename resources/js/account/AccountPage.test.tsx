import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { AccountPage } from './AccountPage';

const off = { on: false, required: false, recovery_codes: 0 };
const here = {
  id: 'a'.repeat(64),
  from: '10.0.0.1',
  program: 'Firefox on Linux',
  signed_in_at: '2026-11-25T08:00:00+00:00',
  active_at: '2026-11-26T08:00:00+00:00',
  here: true,
};
const phone = { ...here, id: 'b'.repeat(64), from: '10.0.0.9', program: 'Safari on iOS', here: false };
const scanner = {
  id: 4,
  name: 'Scanner',
  all: false,
  scopes: ['report_problem'],
  ends_at: '2027-11-26T08:00:00+00:00',
  used_at: null,
  made_at: '2026-11-26T08:00:00+00:00',
};

async function account() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/session/second-factor', off)
    .on('GET /api/session/sign-ins', [here, phone])
    .on('GET /api/session/tokens', [scanner])
    .on('GET /api/abilities', [
      { code: 'report_problem', name: 'Report problems', area: 'Problems and requests' },
      { code: 'set_up', name: 'Set up', area: 'Administration' },
    ]);
  const user = await show(<AccountPage />);
  await screen.findByText('Safari on iOS');
  return user;
}

const part = (name: string) => within(screen.getByRole('region', { name }));

describe('the account', () => {
  it('ends a sign-in elsewhere, and never the one that is looked at', async () => {
    const user = await account();
    expect(screen.getByText('Firefox on Linux (this one)')).toBeTruthy();
    expect(part('Sign-ins').getAllByRole('button', { name: /End the sign-in/ })).toHaveLength(1);
    server.on(`DELETE /api/session/sign-ins/${phone.id}`, [here]).on('GET /api/session/sign-ins', [here]);
    await user.click(part('Sign-ins').getByRole('button', { name: 'End the sign-in from 10.0.0.9, Safari on iOS' }));
    await waitFor(() => expect(screen.queryByText('Safari on iOS')).toBeNull());
  });

  it('says at its place what is wrong with a password, and empties both when it is saved', async () => {
    const user = await account();
    server.on('PUT /api/session/password', new Refused(422, 'No.', { password: ['At least 12 characters.'] }));
    const current = part('Password').getByLabelText<HTMLInputElement>('Current password');
    await user.type(current, 'quillback');
    await user.type(part('Password').getByLabelText('New password'), 'short');
    await user.click(part('Password').getByRole('button', { name: 'Save password' }));
    expect(await screen.findByText(/At least 12 characters/)).toBeTruthy();
    expect(current.value).toBe('quillback');
    server.on('PUT /api/session/password', null);
    await user.type(part('Password').getByLabelText('New password'), ' is not enough');
    await user.click(part('Password').getByRole('button', { name: 'Save password' }));
    await waitFor(() => expect(current.value).toBe(''));
    expect(server.asked('PUT /api/session/password')[1]?.body).toEqual({
      current: 'quillback',
      password: 'short is not enough',
    });
  });

  it('turns an authenticator on by a code of it, and tells the recovery codes once', async () => {
    const user = await account();
    const factor = part('Second factor');
    await user.type(factor.getByLabelText('Your password'), 'quillback');
    server.on('POST /api/session/second-factor', {
      secret: 'MZXW6YTBOI',
      address: 'otpauth://totp/Orthotaxis:mira.okafor?secret=MZXW6YTBOI',
    });
    await user.click(factor.getByRole('button', { name: 'Set up an authenticator' }));
    expect(await factor.findByText('MZXW 6YTB OI')).toBeTruthy();
    await waitFor(() =>
      expect(factor.getByAltText<HTMLImageElement>(/QR code/).src).toMatch(/^data:image\/svg\+xml,.*path/),
    );
    server.on('PUT /api/session/second-factor', new Refused(422, 'No.', { code: ['This code is wrong.'] }));
    await user.type(factor.getByLabelText('Code that it shows'), '123456');
    await user.click(factor.getByRole('button', { name: 'Turn on' }));
    expect(await factor.findByText(/This code is wrong/)).toBeTruthy();
    server
      .on('PUT /api/session/second-factor', { codes: ['AAAA-BBBB', 'CCCC-DDDD'] })
      .on('GET /api/session/second-factor', { on: true, required: false, recovery_codes: 2 });
    await user.click(factor.getByRole('button', { name: 'Turn on' }));
    expect(await factor.findByText('CCCC-DDDD')).toBeTruthy();
    expect(await factor.findByText(/2 recovery codes are left/)).toBeTruthy();
  });

  it('gives a program some rights of those that one has, and shows the token once', async () => {
    const user = await account();
    const tokens = part('Tokens of programs');
    expect(await tokens.findByText('read; Report problems')).toBeTruthy();
    await user.type(tokens.getByLabelText('Program'), 'Scales');
    await user.click(tokens.getByRole('combobox', { name: 'May' }));
    await user.click(await screen.findByRole('option', { name: 'Read, and some rights' }));
    await user.click(tokens.getByRole('button', { name: 'None chosen' }));
    // Mira may not set up.
    expect(screen.queryByRole('checkbox', { name: 'Set up' })).toBeNull();
    await user.click(await screen.findByRole('checkbox', { name: 'Report problems' }));
    await user.keyboard('{Escape}');
    server.on('POST /api/session/tokens', { token: '5|secret' });
    await user.click(tokens.getByRole('button', { name: 'Create token' }));
    expect(await tokens.findByDisplayValue('5|secret')).toBeTruthy();
    expect(server.asked('POST /api/session/tokens')[0]?.body).toEqual({
      name: 'Scales',
      all: false,
      scopes: ['report_problem'],
      days: 365,
    });
  });
});
