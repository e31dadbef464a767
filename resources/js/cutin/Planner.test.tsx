import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { DAYS, on, plan } from '../testing/cutIn';
import { request } from '../testing/make';
import { chosen, lastAsked, planner, slider, swaps } from '../testing/planner';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { CutInPage } from './CutInPage';

describe('the day to cut in', () => {
  it('begins at the day that costs least, and tells its parts, which add up', async () => {
    await planner();
    expect(slider().getAttribute('aria-valuetext')).toBe('30 Nov 2026, 15.00 EUR');
    const parts = screen.getByRole('treegrid', { name: 'What 30 Nov 2026 costs' });
    expect(within(parts).getByText('Total').closest('tr')?.textContent).toContain('15.00');
    expect(within(parts).getByText('−20.00')).toBeTruthy();
  });

  it('says what was refused where there is no such request', async () => {
    const refused = new Refused(404, 'There is nothing of this number here.');
    server
      .on('GET /api/favourites', [])
      .on('GET /api/dossiers/ECO-00090', { requests: [request()], handovers: [] })
      .on('GET /api/requests/ECO-00090/cut-in', refused)
      .on('GET /api/requests/ECO-00090/cut-ins', refused);
    await show(<CutInPage />, { at: '/changes/ECO-00090/cut-in', path: '/changes/:number/cut-in' });
    expect(await screen.findByText('There is nothing of this number here.')).toBeTruthy();
  });

  it('begins at the day that was chosen, where one was', async () => {
    await planner({ earlier: [chosen] });
    expect(slider().getAttribute('aria-valuenow')).toBe('4');
    expect(screen.getByText('The gauge is there by then.', { exact: false })).toBeTruthy();
  });

  it('is moved by keys, never out of the days that are looked at', async () => {
    const user = await planner();
    slider().focus();
    await user.keyboard('{ArrowRight}{ArrowUp}{ArrowLeft}');
    expect(slider().getAttribute('aria-valuenow')).toBe('6');
    await user.keyboard('{PageUp}');
    expect(slider().getAttribute('aria-valuenow')).toBe('9');
    await user.keyboard('{Home}{ArrowLeft}');
    expect(slider().getAttribute('aria-valuenow')).toBe('0');
  });

  it('jumps to the days that stand out', async () => {
    const user = await planner();
    await user.click(screen.getByRole('button', { name: 'Least disturbing 2 Dec 2026' }));
    expect(slider().getAttribute('aria-valuenow')).toBe('7');
    await user.click(screen.getByRole('button', { name: 'Earliest 27 Nov 2026' }));
    expect(slider().getAttribute('aria-valuenow')).toBe('2');
    expect(screen.queryByRole('button', { name: /Prescribed/ })).toBeNull();
  });

  it('asks anew for a lever that was turned, after a rest, and shows what is assumed where nobody says otherwise', async () => {
    const user = await planner();
    const field = screen.getByLabelText<HTMLInputElement>('Working days until release');
    expect(field.placeholder).toBe('10');
    await user.type(field, '21');
    await waitFor(() => expect(lastAsked()).toEqual({ swaps, approval_days: 21 }));
    await user.clear(field);
    await waitFor(() => expect(server.asked('POST /api/cut-in').length).toBeGreaterThan(1));
    expect(server.asked('POST /api/cut-in').length).toBeLessThanOrEqual(4);
  });

  it('takes levers of a part: what is kept of what goes, how much sooner what comes can be had', async () => {
    const user = await planner();
    await user.click(screen.getByText('200-0040', { selector: 'summary *' }));
    const old = await screen.findByRole('group', { name: 'Levers of 200-0040' });
    await user.type(within(old).getByLabelText('Keep for service'), '40');
    await user.click(screen.getByText('200-0041', { selector: 'summary *' }));
    const thick = await screen.findByRole('group', { name: 'Levers of 200-0041' });
    // What is assumed stands where nothing is typed; what becomes of a part that only comes is no question.
    expect(within(thick).getByLabelText<HTMLInputElement>('Lead time, working days').placeholder).toBe('42');
    expect(within(thick).queryByLabelText('Keep for service')).toBeNull();
    await user.type(within(thick).getByLabelText('Expedite by, working days'), '12');
    await user.type(within(thick).getByLabelText('Expediting fee, EUR'), '140');
    await waitFor(() =>
      expect(lastAsked()).toEqual({
        swaps,
        parts: [
          { item: '200-0040', keep: '40' },
          { item: '200-0041', sooner_days: 12, sooner_cost: '140' },
        ],
      }),
    );
  });

  it('says at the lever what is wrong with it, and keeps the last answer', async () => {
    const user = await planner();
    await user.click(screen.getByText('200-0040', { selector: 'summary *' }));
    server.on('POST /api/cut-in', new Refused(422, 'No.', { 'parts.0.keep': ['Write a quantity.'] }));
    await user.type(await screen.findByLabelText('Keep for service'), 'some');
    expect(await screen.findByText(/Write a quantity/)).toBeTruthy();
    expect(screen.getByLabelText('Keep for service').getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(slider().getAttribute('aria-valuetext')).toBe('30 Nov 2026, 15.00 EUR');
  });

  it('lets one stop waiting for a plan that takes long, and keeps the one before', async () => {
    const user = await planner();
    server.on('POST /api/cut-in', () => new Promise(() => undefined));
    fireEvent.change(screen.getByLabelText('Working days until release'), { target: { value: '40' } });
    expect(await screen.findByText(/exploding demand/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByText(/Stopped. Showing the previous plan./)).toBeTruthy();
    expect(slider().getAttribute('aria-valuetext')).toBe('30 Nov 2026, 15.00 EUR');
    server.on('POST /api/cut-in', plan({ best: { ...plan().best, least_cost: on(6) } }));
    await user.click(screen.getByRole('button', { name: 'Ask again' }));
    await waitFor(() => expect(slider().getAttribute('aria-valuetext')).toBe('1 Dec 2026, 115.00 EUR'));
    expect(screen.queryByText(/Stopped/)).toBeNull();
  });

  it('tells the documents that the day touches, and lets a receipt come in place of being cancelled', async () => {
    const user = await planner();
    const touched = screen.getByRole('grid', { name: 'Documents affected on this day' });
    const rows = () =>
      within(touched)
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent);
    expect(rows()[0]).toContain('can be cancelledPO-31207');
    expect(rows()[1]).toContain('arrives, cannot be cancelledPO-31344');
    expect(rows()[2]).toContain('in progress on that dayWO-8812');
    await user.click(screen.getByRole('checkbox', { name: 'Do not cancel PO-31207' }));
    await waitFor(() => expect(lastAsked()).toEqual({ swaps, not_cancelled: ['PO-31207'] }));
    expect(screen.queryByRole('checkbox', { name: 'Do not cancel PO-31344' })).toBeNull();
  });

  it('opens a part of the cost down to the single order', async () => {
    const user = await planner();
    server.on('POST /api/cut-in/rows', [
      row('leftover', 'stock', { quantity: '6', unit: 'm', amount: '58.80' }),
      row('shortage', 'fee', { of: '200-0041', on: on(4), amount: '140.00' }),
    ]);
    await user.click(screen.getByRole('button', { name: 'Open Leftover stock and receipts' }));
    expect((await screen.findByText(/On the shelf today/)).closest('tr')?.textContent).toContain('6 m');
    await user.click(screen.getByRole('button', { name: 'Open Shortage and expediting' }));
    expect((await screen.findByText(/Expediting fee for/)).closest('tr')?.textContent).toContain('140.00');
    await user.click(screen.getByRole('button', { name: 'Open Receipts cancelled' }));
    expect(await screen.findByText('Nothing on this day.')).toBeTruthy();
    expect(server.asked('POST /api/cut-in/rows')[0]?.body).toMatchObject({ swaps, on: on(5) });
  });

  it('holds a plan beside another', async () => {
    const user = await planner();
    await user.click(screen.getByRole('button', { name: 'Compare with another plan' }));
    server.on('POST /api/cut-in', plan({ days: plan().days.map((day) => ({ ...day, total: '999.00' })) }));
    await user.type(screen.getByLabelText('Cost of one missing, % of its cost'), '4');
    const together = () => screen.getByText('Total').closest('tr')?.textContent;
    await waitFor(() => expect(together()).toBe('Total999.0015.00'));
    await user.click(screen.getByRole('button', { name: 'Stop comparing' }));
    expect(together()).toBe('Total999.00');
  });

  it('gives all of it as a table too, from which a day is taken', async () => {
    const user = await planner();
    await user.click(screen.getByRole('button', { name: 'Table' }));
    const table = screen.getByRole('grid', { name: 'What each day costs' });
    expect(within(table).getAllByRole('row').length).toBe(DAYS + 1);
    await user.click(within(table).getByText('2 Dec 2026'));
    expect(screen.getByRole('treegrid', { name: 'What 2 Dec 2026 costs' })).toBeTruthy();
  });
});

function row(
  part: Schemas['CutInRow']['part'],
  what: Schemas['CutInRow']['what'],
  more: Partial<Schemas['CutInRow']>,
): Schemas['CutInRow'] {
  return {
    part,
    what,
    document: '',
    plant: 'Weir',
    of: '200-0040',
    item: '',
    title: '',
    on: null,
    quantity: '',
    unit: '',
    amount: '0.00',
    ...more,
  };
}
