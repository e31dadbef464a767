import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { MoneyView } from './MoneyView';

const said = { id: 4, by: 'Mira Okafor', at: '2026-11-24T10:00:00+00:00', reason: 'Offer of Kestrel Measuring.' };
const money: Schemas['MoneyPage'] = {
  currency: 'EUR',
  told_at: '2026-11-25T08:00:00+00:00',
  demand_told_at: '2026-11-25T08:05:00+00:00',
  fault: null,
  dispositions: [
    {
      item: '200-0040',
      kind: 'purchase_order',
      quantity: '400',
      unit: 'm',
      value: '3920.00',
      disposition: 'use_up',
      per_unit: '0.00',
      cost: '0.00',
      from: 'usual',
      said: null,
    },
  ],
  one_time: [
    {
      item: '200-0010',
      what: 'Quality: one test run',
      amount: '5400.00',
      per_unit: null,
      units: null,
      said: null,
      answered_by: 'Nils Aarden',
      figure: 'answered',
      subject: '12',
    },
    {
      item: '',
      what: 'Gauge',
      amount: '186.00',
      per_unit: null,
      units: null,
      said,
      answered_by: null,
      figure: 'one_time',
      subject: 'Gauge',
    },
  ],
  recurring: [
    {
      item: '200-0040',
      what: 'Design: Pump tube',
      amount: '5499.20',
      per_unit: '2.80',
      units: '1964',
      said: null,
      answered_by: null,
      figure: 'recurring',
      subject: '200-0040',
    },
  ],
  demand: [{ product: '100-0012', title: 'Heron 12', units: '400', told: '380', said }],
  by_item: [
    { item: '200-0010', title: 'Pump head', one_time: '5400.00', yearly: '0.00' },
    { item: '200-0040', title: 'Pump tube', one_time: '0.00', yearly: '5499.20' },
    { item: '', title: '', one_time: '186.00', yearly: '0.00' },
  ],
  one_time_total: '5586.00',
  yearly_total: '5499.20',
  payback_months: null,
  assumed: ['Demand of a year: sales orders of the next 365 days.'],
};
const FIGURES = 'POST /api/requests/ECR-00096/figures';

const open = (page = money, maySay = true) => show(<MoneyView number="ECR-00096" page={page} maySay={maySay} />);
const table = (name: string) => screen.getByRole('grid', { name });

describe('what a change costs', () => {
  it('is told in all, and when it pays back', async () => {
    await open();
    expect(screen.getByText('5 586.00 EUR')).toBeTruthy();
    expect(screen.getByText('+5 499.20 EUR')).toBeTruthy();
    expect(screen.getByText('never')).toBeTruthy();
  });

  it('pays back at once, or in so many months', async () => {
    await open({ ...money, payback_months: 0 });
    expect(screen.getByText('immediately')).toBeTruthy();
  });

  it('is told by item, the last row for what belongs to none', async () => {
    await open();
    const rows = within(table('By item')).getAllByRole('row').slice(1);
    expect(rows.map((one) => one.textContent)).toEqual([
      '200-0010Pump head5\u2009400.00±0.00',
      '200-0040Pump tube0.00+5\u2009499.20',
      'not by item186.00±0.00',
    ]);
  });

  it('says where each figure comes from: a person with a reason, an answer, a rule', async () => {
    await open();
    const [, answered, gauge] = within(table('One-time')).getAllByRole('row');
    expect(answered?.textContent).toContain('answered by Nils Aarden');
    expect(gauge?.textContent).toContain('Offer of Kestrel Measuring. Mira Okafor');
    expect(table('Disposition of stock and open orders').textContent).toContain('not decided: used up');
    expect(screen.getByText(/Demand of a year/)).toBeTruthy();
  });

  it('tells how old the demand of a year is, and asks planning anew', async () => {
    const user = await open();
    expect(screen.getByText(/Planning data as of 25 Nov 2026/)).toBeTruthy();
    server.on('GET /api/requests/ECR-00096/money', new Refused(503, 'Planning is being asked too often.'));
    await user.click(screen.getByRole('button', { name: 'Refresh from planning' }));
    expect(await screen.findByText('Planning is being asked too often.')).toBeTruthy();
    server.on('GET /api/requests/ECR-00096/money', money);
    await user.click(screen.getByRole('button', { name: 'Refresh from planning' }));
    await waitFor(() => expect(screen.queryByText('Planning is being asked too often.')).toBeNull());
    expect(server.asked('GET /api/requests/ECR-00096/money').map(({ query }) => query)).toEqual([
      { anew: '1' },
      { anew: '1' },
    ]);
  });

  it('says so when planning never told', async () => {
    await open({ ...money, demand_told_at: null });
    expect(screen.getByText(/No planning data for these products yet/)).toBeTruthy();
  });

  it('cannot be said otherwise by who only reads', async () => {
    await open(money, false);
    expect(screen.queryByRole('button', { name: /^Change/ })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Add a cost' })).toBeNull();
  });

  it('is said otherwise with a reason; what is wrong stands at its field', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Change Purchase orders of 200-0040' }));
    const form = screen.getByRole('form', { name: 'Purchase orders of 200-0040' });
    await choose(user, 'Disposition', 'Return to supplier');
    await user.type(within(form).getByLabelText('Cost per unit, EUR'), '0.5');
    server.on(FIGURES, new Refused(422, 'No.', { reason: ['Say why.'] }));
    await user.click(within(form).getByRole('button', { name: 'Save override' }));
    expect(await within(form).findByText(/Say why/)).toBeTruthy();
    server.on(FIGURES, done('ECR-00096'));
    await user.type(within(form).getByLabelText('Reason'), 'They take it back.');
    await user.click(within(form).getByRole('button', { name: 'Save override' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked(FIGURES)[1]?.body).toEqual({
      kind: 'disposition',
      subject: '200-0040 purchase_order',
      choice: 'return',
      amount: '0.5',
      reason: 'They take it back.',
      seen: null,
    });
  });

  it('lets what a specialist answered be said otherwise', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Change Quality: one test run' }));
    server.on(FIGURES, done('ECR-00096'));
    await user.clear(screen.getByLabelText('Amount, EUR'));
    await user.type(screen.getByLabelText('Amount, EUR'), '2700');
    await user.type(screen.getByLabelText('Reason'), 'Half of it is ours.');
    await user.click(screen.getByRole('button', { name: 'Save override' }));
    await waitFor(() =>
      expect(server.asked(FIGURES)[0]?.body).toMatchObject({ kind: 'answered', subject: '12', amount: '2700' }),
    );
  });

  it('takes back what was said, so that what is computed counts again', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Change Gauge' }));
    expect(screen.getByLabelText<HTMLInputElement>('Purpose').readOnly).toBe(true);
    server.on('DELETE /api/requests/ECR-00096/figures/4', done('ECR-00096'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked('DELETE /api/requests/ECR-00096/figures/4').length).toBe(1));
  });

  it('lets something more be paid, and asks what one unit costs more of items nobody told of', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Add a cost' }));
    expect(screen.getByLabelText<HTMLInputElement>('Purpose').readOnly).toBe(false);
    await user.click(screen.getByRole('button', { name: '200-0010' }));
    expect(screen.getByRole('form', { name: 'Recurring cost change per unit of 200-0010' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: '200-0040' })).toBeNull();
  });

  it('says that planning is silent, and since when', async () => {
    await open({ ...money, fault: 'Planning does not answer.' });
    expect(screen.getByRole('status').textContent).toContain(
      'Planning does not answer. Planning data as of 25 Nov 2026',
    );
  });

  it('says that nothing is known when planning never told anything', async () => {
    await open({ ...money, fault: 'Planning does not answer.', told_at: null });
    expect(screen.getByRole('status').textContent).toContain('Stock and open orders are not known.');
  });
});
