import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { change, ledgerRow, report, reportPage } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show, vera } from '../testing/show';
import { ReportPage } from './ReportPage';

const settled = { settled_by: 'Mira Okafor', settled_at: '2026-11-25T10:00:00+00:00' };

async function page(of: Schemas['ReportPage']) {
  server.on('GET /api/favourites', []).on('GET /api/changes', []).on('GET /api/reports-like', []);
  server.on('GET /api/reports/PR-00003', of);
  await show(<ReportPage />, { at: '/reports/PR-00003', path: '/reports/:number', as: vera });
  await screen.findByRole('heading', { level: 1 });
}

const of = (more: Partial<Schemas['ReportRow']>) => report('PR-00003', 'Pump tube worn through', more);

describe('a problem report', () => {
  it('tells what was seen, where and on which unit', async () => {
    await page(reportPage(of({ serial: 'H12-02417' }), { description: 'The case was flooded.' }));
    expect(screen.getByText('The case was flooded.')).toBeTruthy();
    expect(screen.getByText('H12-02417')).toBeTruthy();
    expect(within(screen.getByRole('grid', { name: 'Affected items' })).getByText('200-0040')).toBeTruthy();
    expect(JSON.stringify(localStorage)).toContain('PR-00003 Pump tube worn through');
  });

  it('says so when no item is named: the serial number says which unit it is', async () => {
    await page(reportPage(of({ items: [] }), { items: [] }));
    expect(screen.getByText(/the serial number says which unit it is/)).toBeTruthy();
    expect(screen.getByText('—')).toBeTruthy();
  });

  it('leads to the requests that answer it and to reports that say the same', async () => {
    await page(
      reportPage(of({ state: 'gathered', requests: ['ECR-00096'] }), {
        requests: [change('ECR-00096', 'Pump tube wears out early')],
        duplicates: [report('PR-00001', 'Tube torn', { state: 'duplicate' })],
      }),
    );
    const links = screen.getAllByRole('link', { name: 'ECR-00096' });
    expect(links.map((one) => one.getAttribute('href'))).toEqual(['/changes/ECR-00096', '/changes/ECR-00096']);
    const same = within(screen.getByRole('grid', { name: 'Duplicates' }));
    expect(same.getByRole('link', { name: 'PR-00001' }).getAttribute('href')).toBe('/reports/PR-00001');
  });

  it('tells the answer, by whom and when', async () => {
    await page(reportPage(of({ state: 'answered' }), { ...settled, answer: 'Within what is allowed.' }));
    expect(screen.getByText(/Within what is allowed/).textContent).toContain('Answered by Mira Okafor, 25 Nov 2026');
  });

  it('tells what is asked back', async () => {
    await page(reportPage(of({ state: 'returned' }), { ...settled, answer: 'Which river?' }));
    expect(screen.getByText(/asks: Which river\?/).textContent).toBe('Mira Okafor asks: Which river?');
  });

  it('leads to the report that says the same', async () => {
    await page(reportPage(of({ state: 'duplicate' }), { same_as: 'PR-00001' }));
    expect(screen.getByText(/Duplicate of/).textContent).toContain('PR-00001');
  });

  it('keeps who did what', async () => {
    await page(reportPage(of({}), { ledger: [ledgerRow(7, 'report.raised', { actor: 'Clara Fenn' })] }));
    await userEvent.setup().click(screen.getByText('Who did what, one entry'));
    expect(within(screen.getByRole('grid', { name: /ledger|did/i })).getByText('Clara Fenn')).toBeTruthy();
  });

  it('says when there is none of that number', async () => {
    server.on('GET /api/reports/PR-09999', new Refused(404, 'There is no such report.'));
    await show(<ReportPage />, { at: '/reports/PR-09999', path: '/reports/:number' });
    expect((await screen.findByRole('alert')).textContent).toContain('There is no such report.');
  });
});
