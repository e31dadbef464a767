import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { on, plan } from '../testing/cutIn';
import { chosen, lastAsked, planner, started, swaps, toDo } from '../testing/planner';
import { Refused, server } from '../testing/server';
import { vera } from '../testing/show';

describe('what the planner starts from', () => {
  const swap = { gone: ['200-0040'], come: [{ item: '200-0041', ratio: '1.2' }], parents: ['200-0010'] };

  it('is what the order swaps, reckoned at once', async () => {
    await started({ read_off: 'order', swaps: [swap], more: 0 });
    await screen.findByRole('slider', { name: 'Day to cut in' });
    expect(lastAsked()).toEqual({ swaps: [swap] });
    expect(screen.getByText(/Read off the edits of the order/)).toBeTruthy();
  });

  it('says at the right swap what is wrong, though one before it is not asked yet', async () => {
    await started({ read_off: 'items', swaps: [{ gone: ['200-0010'], come: [], parents: [] }, swap], more: 2 });
    await screen.findByRole('slider', { name: 'Day to cut in' });
    expect(lastAsked()).toEqual({ swaps: [swap] });
    expect(screen.getByText(/2 more swaps are left out/)).toBeTruthy();
    server.on('POST /api/cut-in', new Refused(422, 'No.', { 'swaps.0.come.0.ratio': ['Write a quantity.'] }));
    fireEvent.change(screen.getByLabelText('For one'), { target: { value: '1.23' } });
    expect(await screen.findByText(/Write a quantity/)).toBeTruthy();
  });

  it('is the affected items as parts that go where nothing says what comes, and asks for nothing yet', async () => {
    await started({ read_off: 'items', swaps: [{ gone: ['200-0040'], come: [], parents: [] }], more: 0 });
    expect(await screen.findByText(/Neither an order nor a proposal says what comes/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('combobox', { name: 'Part that goes' }).value).toBe('200-0040');
    expect(server.asked('POST /api/cut-in')).toEqual([]);
  });
});

describe('what one has to know before trusting the plan', () => {
  it('says when planning is silent and how old its word is, and asks anew', async () => {
    const user = await planner({ answer: plan({ fault: 'Planning does not answer.' }) });
    expect(screen.getByText(/Planning does not answer\..*Shown: planning data as of/)).toBeTruthy();
    server.on('POST /api/cut-in', plan());
    await user.click(screen.getByRole('button', { name: 'Refresh from planning' }));
    await waitFor(() => expect(screen.queryByText(/Planning does not answer/)).toBeNull());
    expect(server.asked('POST /api/cut-in').some(({ body }) => (body as { anew?: boolean }).anew === true)).toBe(true);
  });

  it('says what planning does not know, what it told unasked, and what has no cost', async () => {
    await planner({
      answer: plan({ not_known: 12, not_known_items: ['200-0099'], strangers: ['9-9'], unknown_costs: ['200-0041'] }),
    });
    expect(screen.getByText(/200-0099 and 11 more are not in planning/)).toBeTruthy();
    expect(screen.getByText(/also returned 9-9/)).toBeTruthy();
    expect(screen.getByText(/Without a standard cost, counted as nothing: 200-0041/)).toBeTruthy();
  });

  it('says when no day is possible, and why a prescribed one cannot be kept', async () => {
    await planner({
      answer: plan({
        best: { earliest: null, least_cost: null, least_disturbing: null, as_good_from: null, as_good_to: null },
        prescribed: on(1),
        against_prescribed: 'It is before the earliest possible day.',
      }),
    });
    expect(screen.getByText(/No day of those planned is possible: it waits for approval/)).toBeTruthy();
    expect(screen.getByText(/26 Nov 2026 cannot be kept\. It is before the earliest possible day/)).toBeTruthy();
  });
});

describe('the day that is chosen', () => {
  it('is chosen with a reason, and kept with the question', async () => {
    const user = await planner();
    server.on('POST /api/requests/ECR-00096/cut-ins', new Refused(422, 'No.', { reason: ['Say why this day.'] }));
    await user.click(screen.getByRole('button', { name: 'Choose 30 Nov 2026' }));
    expect(await screen.findByText(/Say why this day/)).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/cut-ins', [chosen]).on('GET /api/requests/ECR-00096/cut-ins', [chosen]);
    await user.type(screen.getByLabelText('Reason 30 Nov 2026'), 'It costs least.');
    await user.click(screen.getByRole('button', { name: 'Choose 30 Nov 2026' }));
    expect(await screen.findByText('Chosen days')).toBeTruthy();
    expect(server.asked('POST /api/requests/ECR-00096/cut-ins')[1]?.body).toEqual({
      swaps,
      chosen_on: on(5),
      reason: 'It costs least.',
    });
  });

  it('keeps what has to be done by when, and says when the day is not good any more', async () => {
    const user = await planner({
      earlier: [
        {
          ...chosen,
          to_do: toDo,
          at_plants: [{ plant: 'Tarn', on: on(6) }],
          fault: 'It costs 80.00 more than the best day.',
          best_on: on(8),
        },
      ],
    });
    expect(screen.getByText(/It costs 80.00 more than the best day\. Best is now 3 Dec 2026\./)).toBeTruthy();
    expect(screen.getByText('Tarn 1 Dec 2026')).toBeTruthy();
    await user.click(screen.getByText('What to do by when: 2'));
    const list = await screen.findByRole('grid', { name: 'What to do by when for ECR-00096' });
    expect(within(list).getByText('Order the new part')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Download as calendar (.ics)' }).getAttribute('href')).toBe(
      '/api/requests/ECR-00096/cut-ins/7/calendar',
    );
  });

  it('takes a day for each plant, where there are several', async () => {
    const [weir] = plan().plants;
    const user = await planner({ answer: plan({ plants: weir ? [weir, { ...weir, plant: 'Tarn' }] : [] }) });
    await user.click(screen.getByText('A day for each plant'));
    const field = await screen.findByLabelText('Tarn, best alone 30 Nov 2026');
    await user.type(field, '2026-12-02');
    await user.tab();
    await user.type(screen.getByLabelText('Reason 30 Nov 2026'), 'Tarn is closed before.');
    server.on(
      'POST /api/requests/ECR-00096/cut-ins',
      new Refused(422, 'No.', { 'at_plants.0.on': ['Tarn cannot cut in on that day.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Choose 30 Nov 2026' }));
    expect(await screen.findByText(/Tarn cannot cut in on that day/)).toBeTruthy();
    expect(server.asked('POST /api/requests/ECR-00096/cut-ins')[0]?.body).toMatchObject({
      chosen_on: on(5),
      at_plants: [{ plant: 'Tarn', on: '2026-12-02' }],
    });
  });

  it('cannot be chosen once there is an order, nor by who only reads', async () => {
    await planner({ state: 'ordered' });
    expect(screen.getByText(/A day is chosen while the request is being assessed/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
  });

  it('is only looked at by who only reads', async () => {
    await planner({ as: vera });
    expect(screen.queryByRole('button', { name: /^Choose/ })).toBeNull();
    expect(screen.queryByText(/A day is chosen while/)).toBeNull();
  });
});
