import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { dossier, money, request } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show, vera } from '../testing/show';
import { MoneyPage } from './MoneyPage';

const demand = [{ product: '100-0012', title: 'Heron 12', units: '400', told: '400', said: null }];

async function page(state: Schemas['RequestData']['state'] = 'assessing', as?: Schemas['Me']) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', dossier('assess', { requests: [request({ state })] }))
    .on('GET /api/requests/ECR-00096/money', money({ demand }));
  await show(<MoneyPage />, { at: '/changes/ECR-00096/money', path: '/changes/:number/money', as });
  await screen.findByRole('grid', { name: 'Annual demand' });
  await screen.findByText('Pump tube wears out early in silty rivers');
}

const change = () => screen.queryByRole('button', { name: 'Change Annual demand of 100-0012' });

describe('the page of what a request costs', () => {
  it('lets who assesses say a figure otherwise while it is open', async () => {
    await page();
    expect(change()).toBeTruthy();
  });

  it.each(['rejected', 'ordered', 'gathered'] as const)('is only read once the request is %s', async (state) => {
    await page(state);
    expect(change()).toBeNull();
  });

  it('is only read by the others', async () => {
    await page('assessing', vera);
    expect(change()).toBeNull();
  });

  it('says what went wrong, and tries again on demand', async () => {
    server.on('GET /api/requests/ECR-00096/money', new Refused(503, 'The database is away.'));
    server.on('GET /api/favourites', []).on('GET /api/dossiers/ECR-00096', dossier('assess'));
    await show(<MoneyPage />, { at: '/changes/ECR-00096/money', path: '/changes/:number/money' });
    expect((await screen.findByRole('alert')).textContent).toContain('The database is away.');
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  });
});
