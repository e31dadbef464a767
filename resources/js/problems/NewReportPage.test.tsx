import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { report, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { NewReportPage } from './NewReportPage';

async function page(at = '/reports/new?items=200-0040') {
  server.on('GET /api/items/200-0040', { item: tube });
  server.on('GET /api/favourites', []);
  server.on('GET /api/reports-like', ({ query }) =>
    query.title?.includes('split')
      ? [report('PR-00001', 'Pump tube torn at the rollers', { likeness: 87, requests: ['ECR-00096'] })]
      : [],
  );
  return show(<NewReportPage />, { at, path: '/reports/new' });
}

describe('reporting a problem', () => {
  it('shows what is likely the same while it is typed, and where that was gathered', async () => {
    const user = await page();
    expect(await screen.findByText('No likely duplicates.')).toBeTruthy();
    await user.type(screen.getByLabelText('Title'), 'Tube split');
    const likely = await screen.findByText('Pump tube torn at the rollers');
    const row = likely.closest('li');
    expect(row?.textContent).toContain('87 % alike');
    expect(within(row ?? document.body).getByRole('link', { name: 'ECR-00096' })).toBeTruthy();
  });

  it('begins with the items of the address, each with its title', async () => {
    await page();
    expect(await screen.findByText('Pump tube, wall 1.6 mm')).toBeTruthy();
    expect(screen.getByRole('link', { name: '200-0040' }).getAttribute('href')).toBe('/items/200-0040');
  });

  it('says at each field what is wrong with it, and keeps all that was typed', async () => {
    const user = await page();
    server.on(
      'POST /api/reports',
      new Refused(422, 'It cannot be saved.', { source: ['Choose where it comes from.'], site: ['Choose the site.'] }),
    );
    await user.type(screen.getByLabelText('Title'), 'Torn');
    await user.click(screen.getByRole('button', { name: 'Create report' }));
    expect(await screen.findByText(/Choose where it comes from/)).toBeTruthy();
    expect(screen.getByRole('combobox', { name: 'Site' }).getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('Title').value).toBe('Torn');
    expect(localStorage.getItem('mira.okafor:draft:report 200-0040')).toContain('Torn');
  });

  it('goes to the report when it is saved, and forgets the draft', async () => {
    const user = await page();
    server.on('POST /api/reports', done('PR-00012', 1));
    await user.type(screen.getByLabelText('Title'), 'Torn');
    await user.type(screen.getByLabelText('What was seen'), 'At the rollers.');
    await choose(user, 'Severity', 'Critical');
    await choose(user, 'Source', 'Field');
    await user.click(screen.getByRole('button', { name: 'Create report' }));
    await waitFor(() => expect(address()).toBe('/reports/PR-00012'));
    expect(server.asked('POST /api/reports')[0]?.body).toMatchObject({
      title: 'Torn',
      description: 'At the rollers.',
      severity: 'critical',
      source: 'field',
      items: ['200-0040'],
    });
    expect(localStorage.getItem('mira.okafor:draft:report 200-0040')).toBeNull();
  });

  it('comes back with what was typed when the tab was closed', async () => {
    localStorage.setItem(
      'mira.okafor:draft:report 200-0040',
      JSON.stringify({ base: '', value: { title: 'Half written', items: ['200-0040'] } }),
    );
    await page();
    expect(screen.getByLabelText<HTMLInputElement>('Title').value).toBe('Half written');
  });
});
