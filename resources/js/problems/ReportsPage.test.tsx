import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { report } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, mira, show, vera } from '../testing/show';
import { ReportsPage } from './ReportsPage';

const rows = [
  report('PR-00003', 'Pump tube worn through', { severity: 'critical', serial: 'H12-02417' }),
  report('PR-00002', 'Tube leaks', { requests: ['ECR-00096'] }),
];

async function reports(as: Schemas['Me'] = mira, answer = rows, at = '/') {
  server.on('GET /api/favourites', []).on('GET /api/reports', answer);
  const user = await show(<ReportsPage />, { as, at });
  await waitFor(() => expect(server.asked('GET /api/reports')).toHaveLength(1));
  return user;
}

const lastAsked = () => server.asked('GET /api/reports').at(-1)?.query;

describe('problem reports', () => {
  it('are told with severity, items and the requests that answer them', async () => {
    await reports();
    const [, first, second] = await screen.findAllByRole('row');
    expect(first?.textContent).toMatch(/Critical.*PR-00003.*H12-02417/);
    expect(
      within(second ?? document.body)
        .getByRole('link', { name: 'ECR-00096' })
        .getAttribute('href'),
    ).toBe('/changes/ECR-00096');
    expect(screen.getByText('2 reports')).toBeTruthy();
  });

  it('are filtered, and the address keeps it', async () => {
    const user = await reports();
    await choose(user, 'Open or settled', 'Open and settled');
    await choose(user, 'Every severity', 'Critical');
    await user.type(screen.getByLabelText('Words, number or serial number'), 'silt');
    await waitFor(() => expect(lastAsked()).toMatchObject({ show: 'all', severity: 'critical', words: 'silt' }));
    await choose(user, 'Every severity', 'Every severity');
    await waitFor(() => expect(lastAsked()).toMatchObject({ show: 'all', words: 'silt' }));
    expect(address()).toBe('/?show=all&words=silt');
  });

  it('are chosen and raised as one request', async () => {
    const user = await reports();
    await user.click(await screen.findByRole('checkbox', { name: 'Select PR-00003' }));
    expect(screen.getByRole('link', { name: 'Raise one request for it' })).toBeTruthy();
    await user.click(screen.getByRole('checkbox', { name: 'Select PR-00002' }));
    await user.click(screen.getByRole('link', { name: 'Raise one request for these 2' }));
    expect(address()).toBe('/requests/new?reports=PR-00003,PR-00002');
  });

  it('are let go again, and choosing one does not open it', async () => {
    const user = await reports();
    await user.click(await screen.findByRole('checkbox', { name: 'Select PR-00003' }));
    await user.click(screen.getByRole('button', { name: 'Clear selection' }));
    expect(screen.queryByRole('link', { name: /Raise one request/ })).toBeNull();
    expect(address()).toBe('/');
    await user.click(screen.getByText('Tube leaks'));
    expect(address()).toBe('/reports/PR-00002');
  });

  it('are read by who neither reports nor assesses', async () => {
    await reports(vera);
    await screen.findAllByRole('row');
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(screen.queryByRole('link', { name: 'Report a problem' })).toBeNull();
  });

  it('say what to do when there is none', async () => {
    await reports(mira, []);
    expect(await screen.findByText(/No report matches/)).toBeTruthy();
  });
});
