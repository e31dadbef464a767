import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { dossier, request } from '../testing/make';
import { server } from '../testing/server';
import { address, show } from '../testing/show';
import { ReachPage } from './ReachPage';

const row: Schemas['ReachRow'] = {
  subject: 'item 200-0001',
  reason: 'parent',
  number: '200-0001',
  title: 'Pump module',
  why: 'Uses it',
  level: 2,
  path: ['200-0040', '200-0010', '200-0001'],
  item: null,
  decision: null,
};

async function reach(at = '', state: Schemas['RequestData']['state'] = 'assessing') {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', dossier('assess', { requests: [request({ state })] }))
    .on('GET /api/requests/ECR-00096/reach', {
      on: '2026-11-25',
      counts: [{ reason: 'parent', rows: 1 }],
      total: 1,
      decided: 0,
      from: 0,
      rows: [row],
    })
    .on('GET /api/requests/ECR-00096/reach-picture', { total: 0, nodes: [], edges: [] });
  const user = await show(<ReachPage />, { at: `/changes/ECR-00096/reach${at}`, path: '/changes/:number/reach' });
  await screen.findByText('Pump tube wears out early in silty rivers');
  return user;
}

const acts = () => screen.queryAllByRole('checkbox');

describe('all that a request reaches', () => {
  it('is a table at first, to be decided on while the request is open', async () => {
    await reach();
    expect((await screen.findByText('Pump module')).closest('tr')?.textContent).toContain('200-0001');
    expect(screen.getByRole('link', { name: 'Table' }).getAttribute('aria-current')).toBe('page');
    expect(acts().length).toBeGreaterThan(0);
  });

  it('is only read once it is on an order', async () => {
    await reach('', 'ordered');
    await screen.findByText('Pump module');
    expect(acts()).toEqual([]);
  });

  it('is a picture on demand, and the address keeps it', async () => {
    const user = await reach();
    await user.click(screen.getByRole('link', { name: 'Graph' }));
    await waitFor(() => expect(address()).toBe('/changes/ECR-00096/reach?as=picture'));
    await waitFor(() => expect(server.asked('GET /api/requests/ECR-00096/reach-picture')).toHaveLength(1));
    await user.click(screen.getByRole('link', { name: 'Table' }));
    expect(await screen.findByText('Pump module')).toBeTruthy();
  });
});
