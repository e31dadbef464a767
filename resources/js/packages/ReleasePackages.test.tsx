import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, mira, show } from '../testing/show';
import { ReleasePackages } from './ReleasePackages';

const LIST = 'GET /api/orders/ECO-00082/packages';
const MAKE = 'POST /api/orders/ECO-00082/packages';
const CANCEL = 'DELETE /api/orders/ECO-00082/packages/7';

const one = (more: Partial<Schemas['PackageRow']> = {}): Schemas['PackageRow'] => ({
  id: 7,
  name: 'ECO-00082_en_2026-11-29.zip',
  language: 'en',
  state: 'done',
  progress: 100,
  asked_by: 'Mira Okafor',
  asked_at: '2026-11-29T09:00:00+00:00',
  bytes: 2_340_000,
  sha256: '0123456789abcdef'.repeat(4),
  fault: '',
  ...more,
});

async function packages(some: Schemas['PackageRow'][]) {
  server
    .on(LIST, { packages: some, languages: ['en', 'de'] } satisfies Schemas['PackageList'])
    .on(MAKE, done('ECO-00082', 9))
    .on(CANCEL, done('ECO-00082', 9));
  const user = await show(<ReleasePackages order="ECO-00082" />, {
    as: { ...mira, abilities: ['release_order'] },
  });
  await screen.findByText('Release package');
  return user;
}

describe('packages of what an order released', () => {
  it('gives each with its size and its sum', async () => {
    await packages([one()]);
    expect(screen.getByRole('link', { name: one().name }).getAttribute('href')).toBe(
      '/api/orders/ECO-00082/packages/7/file',
    );
    expect(screen.getByText(/^English, 2.3 MB, Mira Okafor, 29 Nov 2026/)).toBeTruthy();
    expect(screen.getByTitle(`SHA-256 ${one().sha256}`).textContent).toBe('0123456789ab …');
  });

  it('has one made in the language chosen, and says what is wrong', async () => {
    const user = await packages([]);
    expect(screen.getByText(/None was made yet/)).toBeTruthy();
    await choose(user, 'Language of the package', 'German');
    server.on(MAKE, new Refused(422, 'No.', { language: ['This package is being made already.'] }));
    await user.click(screen.getByRole('button', { name: 'Create package' }));
    expect(await screen.findByText(/being made already/)).toBeTruthy();
    expect(server.asked(MAKE)[0]?.body).toEqual({ language: 'de' });
  });

  it('says how far it is, cancels, and tells why one could not be made', async () => {
    const user = await packages([
      one({ state: 'making', progress: 40 }),
      one({ id: 6, name: 'two.zip', state: 'failed', fault: 'head.pdf cannot be drawn.' }),
      one({ id: 5, name: 'three.zip', state: 'cancelled' }),
    ]);
    expect(screen.getByRole('status').textContent).toBe('ECO-00082_en_2026-11-29.zip is being made, 40 % …');
    expect(screen.getByText(/two.zip could not be made: head.pdf cannot be drawn/)).toBeTruthy();
    expect(screen.getByText(/three.zip, cancelled/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(server.asked(CANCEL)).toHaveLength(1));
  });
});
