import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { change, report, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { ReportActs } from './ReportActs';

type Page = Schemas['ReportPage'];

function page(state: Page['report']['state'], requests: string[] = []): Page {
  return {
    report: report('PR-00003', 'Pump tube worn through', { state, requests }),
    description: 'The case was flooded.',
    answer: '',
    same_as: null,
    raised_by_login: 'clara.fenn',
    settled_by: null,
    settled_at: null,
    version: 2,
    items: [tube],
    requests: [],
    duplicates: [],
    files: [],
    ledger: [],
  };
}

const clara = { ...vera, login: 'clara.fenn', abilities: ['report_problem'] };
const acts = () => screen.queryAllByRole('button').map((button) => button.textContent);

beforeEach(() => {
  server.on('GET /api/changes', [change('ECR-00096', 'Pump tube wears out early'), change('ECO-00089', 'Strainer')]);
  server.on('GET /api/reports-like', [report('PR-00001', 'Pump tube torn', { likeness: 80 })]);
});

describe('what can be done about a report', () => {
  it('is nothing for who only reads', async () => {
    await show(<ReportActs page={page('open')} />, { as: vera });
    expect(acts()).toEqual([]);
  });

  it('is nothing for who raised it while somebody else has to look at it', async () => {
    await show(<ReportActs page={page('open')} />, { as: clara });
    expect(acts()).toEqual([]);
  });

  it('is answering for who raised it once it was sent back', async () => {
    await show(<ReportActs page={page('returned')} />, { as: clara });
    expect(acts()).toEqual(['Send answer']);
  });

  it('is taking it up again once it is settled', async () => {
    await show(<ReportActs page={page('answered')} />);
    expect(acts()).toEqual(['Reopen']);
  });

  it('gathers it into an open request, among which there are no orders', async () => {
    const user = await show(<ReportActs page={page('open')} />);
    server.on('PUT /api/reports/PR-00003/requests/ECR-00096', done('PR-00003'));
    expect(server.asked('GET /api/changes').length).toBe(0);
    await user.type(screen.getByRole('combobox', { name: 'An open request' }), 'ECR-00096{Enter}');
    expect(await screen.findByRole('button', { name: 'Remove ECR-00096' })).toBeTruthy();
    expect(server.asked('GET /api/changes').at(-1)?.query).toMatchObject({ show: 'open', type: 'request' });
    await user.click(screen.getByRole('button', { name: 'Link' }));
    await waitFor(() => expect(server.asked('PUT /api/reports/PR-00003/requests/ECR-00096').length).toBe(1));
  });

  it('takes it off a request again', async () => {
    const user = await show(<ReportActs page={page('gathered', ['ECR-00096'])} />);
    server.on('DELETE /api/reports/PR-00003/requests/ECR-00096', done('PR-00003'));
    await user.click(screen.getByRole('button', { name: 'Remove from ECR-00096' }));
    await waitFor(() => expect(server.asked('DELETE /api/reports/PR-00003/requests/ECR-00096').length).toBe(1));
  });

  it('sends it back with a question, with the version that was seen; a refusal stands at the field', async () => {
    const user = await show(<ReportActs page={page('open')} />);
    server.on('POST /api/reports/PR-00003/return', new Refused(422, 'No.', { text: ['Say what you want to know.'] }));
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    expect(await screen.findByText(/Say what you want to know/)).toBeTruthy();
    server.on('POST /api/reports/PR-00003/return', done('PR-00003'));
    await user.type(screen.getByLabelText('Answer, or question to whoever raised it'), 'How old was it?');
    await user.click(screen.getByRole('button', { name: 'Send back' }));
    await waitFor(() =>
      expect(server.asked('POST /api/reports/PR-00003/return')[1]?.body).toEqual({
        text: 'How old was it?',
        version: 2,
      }),
    );
    await waitFor(() => expect(localStorage.getItem('mira.okafor:draft:report answer PR-00003')).toBeNull());
  });

  it('tells that somebody else was quicker', async () => {
    const user = await show(<ReportActs page={page('open')} />, { as: mira });
    server.on('POST /api/reports/PR-00003/duplicate', new Refused(409, 'Nils Aarden has changed it since.'));
    await user.click(await screen.findByRole('button', { name: 'It is the same as PR-00001' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Nils Aarden has changed it since.');
    expect(server.asked('POST /api/reports/PR-00003/duplicate')[0]?.body).toEqual({ of: 'PR-00001', version: 2 });
  });
});
