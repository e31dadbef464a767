import { screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { SheetOut } from './SheetOut';

const MAKE = 'POST /api/files/f1/address';
const WITHDRAW = 'DELETE /api/files/f1/address';
const told = (more: Partial<Schemas['SheetAddressRow']> = {}): Schemas['SheetAddressRow'] => ({
  address: null,
  made_at: null,
  released: true,
  languages: ['en', 'de'],
  ...more,
});
const has = told({ address: 'https://changes.example/s/0123', made_at: '2026-11-29T09:00:00+00:00' });

async function sheet(known: Schemas['SheetAddressRow']) {
  server.on('GET /api/files/f1/address', known).on(MAKE, has).on(WITHDRAW, told());
  const user = await show(<SheetOut file={{ id: 'f1' } as Schemas['FileRow']} />, {
    as: { ...mira, abilities: ['attach_file'] },
  });
  await screen.findByText('To hand out');
  return user;
}

it('is had stamped in each language, and gets an address', async () => {
  const user = await sheet(told());
  expect(screen.getByRole('link', { name: 'Stamped PDF, German' }).getAttribute('href')).toBe(
    '/api/files/f1/stamped?language=de',
  );
  await user.click(screen.getByRole('button', { name: 'Create address' }));
  await waitFor(() => expect(server.asked(MAKE)).toHaveLength(1));
});

it('shows its address, which is withdrawn, and says what is wrong', async () => {
  const user = await sheet(has);
  expect(screen.getByRole('link', { name: 'https://changes.example/s/0123' })).toBeTruthy();
  expect(screen.getByText(/since 29 Nov 2026/)).toBeTruthy();
  server.on(WITHDRAW, new Refused(422, 'No.', { address: ['The sheet has no address.'] }));
  await user.click(screen.getByRole('button', { name: 'Withdraw address' }));
  expect(await screen.findByText(/The sheet has no address/)).toBeTruthy();
});

it('offers no address for a draft', async () => {
  await sheet(told({ released: false }));
  expect(screen.queryByRole('button')).toBeNull();
});
