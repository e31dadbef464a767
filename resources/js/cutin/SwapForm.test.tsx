import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { assumption, on, plan } from '../testing/cutIn';
import { lastAsked, planner, slider, swaps } from '../testing/planner';
import { Refused, server } from '../testing/server';

describe('the swaps that cut in', () => {
  it('may be several at once, each of which can be taken out again', async () => {
    const user = await planner();
    await user.click(screen.getByRole('button', { name: 'Add a swap that cuts in together' }));
    expect(screen.getAllByRole('group', { name: /Swap/ }).length).toBe(2);
    expect(screen.getByRole('combobox', { name: 'Part that goes 2' })).toBeTruthy();
    // As long as nothing is named, nothing is asked.
    const asked = server.asked('POST /api/cut-in').length;
    await new Promise((rest) => setTimeout(rest, 300));
    expect(server.asked('POST /api/cut-in').length).toBe(asked);
    fireEvent.click(screen.getAllByRole('button', { name: 'Remove this swap' })[1] ?? window.document.body);
    expect(screen.getAllByRole('group', { name: /Swap/ }).length).toBe(1);
  });

  it('may say that nothing comes, and in which parents', async () => {
    const user = await planner();
    await user.click(screen.getByRole('button', { name: 'Remove 200-0041' }));
    await waitFor(() => expect(lastAsked()).toEqual({ swaps: [{ gone: ['200-0040'], come: [] }] }));
    expect(screen.getByText('Nothing comes in its place.')).toBeTruthy();
    await user.click(screen.getByText('In all parents'));
    await user.type(await screen.findByLabelText('Parents, separated by spaces'), '200-0010, 200-0020{Enter}');
    await waitFor(() =>
      expect(lastAsked()).toEqual({ swaps: [{ gone: ['200-0040'], come: [], parents: ['200-0010', '200-0020'] }] }),
    );
    expect(screen.getByText('In 200-0010, 200-0020')).toBeTruthy();
  });
});

describe('what follows from a day', () => {
  it('is a list of what to do by when', async () => {
    await planner();
    const list = await screen.findByRole('grid', { name: 'What to do by when' });
    await waitFor(() => expect(within(list).getByText('Order the new part')).toBeTruthy());
    expect(within(list).getByText('Order the new part').closest('tr')?.textContent).toContain('26 Nov 2026');
    await waitFor(() => expect(server.asked('POST /api/cut-in/to-do').at(-1)?.body).toEqual({ swaps, on: on(5) }));
  });

  it('tells what the answer hangs on, and takes a reason for what is overridden', async () => {
    const user = await planner({
      answer: plan({
        assumptions: [
          assumption({ lever: 'lead_days', what: 'Lead time', item: '200-0041', value: '42', from: 'person' }),
        ],
      }),
    });
    const hangs = await screen.findByRole('grid', { name: 'What this answer hangs on' });
    await waitFor(() => expect(within(hangs).getByText('Stock').closest('tr')?.textContent).toContain('−4 d'));
    expect(within(hangs).getByText('Lead time').closest('tr')?.textContent).toContain('no day possible');
    const reason = screen.getByLabelText('Reason for lead time 200-0041');
    await user.type(reason, 'The maker promised.');
    await user.tab();
    await waitFor(() =>
      expect(lastAsked()).toEqual({
        swaps,
        reasons: [{ lever: 'lead_days 200-0041', reason: 'The maker promised.' }],
      }),
    );
  });

  it('tells the chances where demand and lead times are uncertain, when that is asked for', async () => {
    const user = await planner();
    server.on('POST /api/cut-in/chances', [
      { on: on(6), short: '12.4', left_median: '80.00', left_most: '140.00', short_most: '20.00' },
    ]);
    expect(server.asked('POST /api/cut-in/chances')).toEqual([]);
    await user.click(screen.getByText('If demand and lead times are uncertain'));
    const table = await screen.findByRole('grid', { name: 'Chances of shortage and leftover' });
    await waitFor(() => expect(within(table).getByText('12.4').closest('tr')?.textContent).toContain('140.00'));
    await user.click(within(table).getByText('1 Dec 2026'));
    expect(slider().getAttribute('aria-valuenow')).toBe('6');
    expect(server.asked('POST /api/cut-in/chances')[0]?.body).toEqual({ swaps, spread_demand: 20, spread_lead: 10 });
    server.on('POST /api/cut-in/chances', new Refused(422, 'No.', { spread_demand: ['Whole percent, at most 90.'] }));
    await user.clear(screen.getByLabelText('Demand may differ by, %'));
    await user.type(screen.getByLabelText('Demand may differ by, %'), '95');
    expect(await screen.findByText(/at most 90/)).toBeTruthy();
  });

  it('expects an overdue receipt on the day that somebody says', async () => {
    const user = await planner();
    const day = screen.getByLabelText('Day on which PO-31344 is expected');
    await user.clear(day);
    await user.type(day, '2026-12-01');
    await user.tab();
    await waitFor(() => expect(lastAsked()).toEqual({ swaps, expected: [{ document: 'PO-31344', on: '2026-12-01' }] }));
  });
});
