import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { head, report, reportPage, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { NewRequestPage } from './NewRequestPage';

beforeEach(() => {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items/200-0040', { item: tube })
    .on('GET /api/items/200-0010', { item: head })
    .on('GET /api/reports/PR-00001', reportPage(report('PR-00001', 'Torn at the rollers', { serial: 'H24-01877' })))
    .on(
      'GET /api/reports/PR-00003',
      reportPage(report('PR-00003', 'Sampler flooded', { severity: 'critical', items: ['200-0010', '200-0040'] }), {
        description: 'The water ran into the case.',
      }),
    );
});

const page = (query: string) => show(<NewRequestPage />, { at: `/requests/new${query}`, path: '/requests/new' });
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;

describe('raising a request', () => {
  it('carries along all that its reports say, so that nobody types it again', async () => {
    await page('?reports=PR-00001,PR-00003');
    expect(await screen.findByDisplayValue('Torn at the rollers')).toBeTruthy();
    expect(field('Description')).toBe(
      'PR-00001, Torn at the rollers\nSerial or lot: H24-01877\n\nPR-00003, Sampler flooded\nThe water ran into the case.',
    );
    expect(screen.getAllByRole('button', { name: /^Remove 200/ }).map((one) => one.getAttribute('aria-label'))).toEqual(
      ['Remove 200-0040', 'Remove 200-0010'],
    );
    // The worst of their severities, and who will see it.
    expect(screen.getByRole('combobox', { name: 'Priority' }).textContent).toContain('Critical');
    expect(screen.getByRole('alert').textContent).toContain('Every coordinator sees it');
  });

  it('is linked to the reports when it is saved', async () => {
    const user = await page('?reports=PR-00001');
    await screen.findByDisplayValue('Torn at the rollers');
    server.on('POST /api/requests', done('ECR-00101', 1));
    await user.click(screen.getByRole('button', { name: 'Create request' }));
    await waitFor(() => expect(address()).toBe('/changes/ECR-00101'));
    expect(server.asked('POST /api/requests')[0]?.body).toMatchObject({
      title: 'Torn at the rollers',
      reason: 'defect',
      source: 'field',
      priority: 'high',
      items: ['200-0040'],
      reports: ['PR-00001'],
    });
  });

  it('says which report cannot be read', async () => {
    server.on('GET /api/reports/PR-00099', new Refused(404, 'There is no report PR-00099.'));
    await page('?reports=PR-00099');
    expect((await screen.findByRole('alert')).textContent).toContain('There is no report PR-00099.');
  });

  it('takes items off and adds others, each once', async () => {
    const user = await page('?items=200-0040');
    server.on('GET /api/items', [head]);
    await user.type(screen.getByRole('combobox', { name: 'Add an affected item' }), 'head');
    await user.click(await screen.findByRole('option'));
    await user.type(screen.getByRole('combobox', { name: 'Add an affected item' }), 'head');
    await user.click(await screen.findByRole('option'));
    await user.click(screen.getByRole('button', { name: 'Remove 200-0040' }));
    expect(screen.getAllByRole('button', { name: /^Remove 200/ }).length).toBe(1);
    expect(await screen.findByText('Pump head')).toBeTruthy();
  });

  it('names at its place an item that does not exist', async () => {
    server.on('GET /api/items/999-9999', new Refused(404, 'No.'));
    await page('?items=999-9999');
    expect(await screen.findByText(/There is no such item/)).toBeTruthy();
  });

  it('says at each field what is missing', async () => {
    const user = await page('?items=200-0040');
    server.on(
      'POST /api/requests',
      new Refused(422, 'No.', { title: ['Give it a title.'], reason: ['Choose the reason.'] }),
    );
    await choose(user, 'Priority', 'Low');
    await user.click(screen.getByRole('button', { name: 'Create request' }));
    expect(await screen.findByText(/Give it a title/)).toBeTruthy();
    expect(screen.getByRole('combobox', { name: 'Reason' }).getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
