import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { assumption, DAYS, on, plan, type Plan } from '../testing/cutIn';
import { request } from '../testing/make';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { CutInPage } from './CutInPage';

const swaps = [{ gone: ['200-0040'], come: [{ item: '200-0041' }] }];
const chosen: Schemas['CutInChosen'] = {
  id: 7,
  to_do: [],
  at_plants: [],
  fault: '',
  best_on: null,
  chosen_on: on(4),
  reason: 'The gauge is there by then.',
  by: 'Mira Okafor',
  at: '2026-11-24T10:00:00+00:00',
  total: '115.00',
  asked: { swaps },
};

interface Setting {
  answer?: Plan;
  state?: Schemas['RequestData']['state'];
  earlier?: Schemas['CutInChosen'][];
  as?: Schemas['Me'];
}

async function planner({ answer = plan(), state = 'assessing', earlier = [], as }: Setting = {}) {
  localStorage.setItem(
    `${(as ?? mira).login}:draft:cut-in plan ECR-00096`,
    JSON.stringify({ base: '', value: { question: { swaps } } }),
  );
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', { requests: [request({ state })], handovers: [] })
    .on('GET /api/requests/ECR-00096/cut-in', { read_off: 'order', swaps: [], more: 0 })
    .on('GET /api/requests/ECR-00096/cut-ins', earlier)
    .on('POST /api/cut-in/to-do', toDo)
    .on('POST /api/cut-in/hinges', hinges)
    .on('POST /api/cut-in', answer);
  const user = await show(<CutInPage />, { at: '/changes/ECR-00096/cut-in', path: '/changes/:number/cut-in', as });
  await screen.findByRole('slider', { name: 'Day to cut in' });
  return user;
}

const slider = () => screen.getByRole('slider', { name: 'Day to cut in' });
const lastAsked = () => server.asked('POST /api/cut-in').at(-1)?.body;

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
    expect(await screen.findByText(/exploding demand/, {}, { timeout: 3000 })).toBeTruthy();
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
    expect(screen.getByText(/No day within a year is possible: it waits for approval/)).toBeTruthy();
    expect(screen.getByText(/26 Nov 2026 cannot be kept\. It is before the earliest possible day/)).toBeTruthy();
  });
});

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

const toDo: Schemas['CutInToDo'][] = [
  { plant: 'Weir', kind: 'order', by: on(1), item: '200-0041', document: '', quantity: '20', unit: 'm', for: on(5) },
  { plant: '', kind: 'cut_in', by: on(5), item: '', document: '', quantity: '', unit: '', for: null },
];
const hinges: Schemas['CutInHinge'][] = [
  { guess: 'stock', item: '200-0040', day_less: -4, day_more: 3, cost_less: '-10.00', cost_more: '8.00' },
  { guess: 'lead_time', item: '200-0041', day_less: 0, day_more: null, cost_less: '0.00', cost_more: '0.00' },
];

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

describe('what the planner starts from', () => {
  const starts = async (start: Schemas['CutInStart']) => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/dossiers/ECR-00096', { requests: [request({ state: 'assessing' })], handovers: [] })
      .on('GET /api/requests/ECR-00096/cut-in', start)
      .on('GET /api/requests/ECR-00096/cut-ins', [])
      .on('POST /api/cut-in/to-do', toDo)
      .on('POST /api/cut-in/hinges', hinges)
      .on('POST /api/cut-in', plan());
    await show(<CutInPage />, { at: '/changes/ECR-00096/cut-in', path: '/changes/:number/cut-in' });
  };
  const swap = { gone: ['200-0040'], come: [{ item: '200-0041', ratio: '1.2' }], parents: ['200-0010'] };

  it('is what the order swaps, reckoned at once', async () => {
    await starts({ read_off: 'order', swaps: [swap], more: 0 });
    await screen.findByRole('slider', { name: 'Day to cut in' });
    expect(lastAsked()).toEqual({ swaps: [swap] });
    expect(screen.getByText(/Read off the edits of the order/)).toBeTruthy();
  });

  it('says at the right swap what is wrong, though one before it is not asked yet', async () => {
    await starts({ read_off: 'items', swaps: [{ gone: ['200-0010'], come: [], parents: [] }, swap], more: 2 });
    await screen.findByRole('slider', { name: 'Day to cut in' });
    expect(lastAsked()).toEqual({ swaps: [swap] });
    expect(screen.getByText(/2 more swaps are left out/)).toBeTruthy();
    server.on('POST /api/cut-in', new Refused(422, 'No.', { 'swaps.0.come.0.ratio': ['Write a quantity.'] }));
    fireEvent.change(screen.getByLabelText('For one'), { target: { value: '1.23' } });
    expect(await screen.findByText(/Write a quantity/)).toBeTruthy();
  });

  it('is the affected items as parts that go where nothing says what comes, and asks for nothing yet', async () => {
    await starts({ read_off: 'items', swaps: [{ gone: ['200-0040'], come: [], parents: [] }], more: 0 });
    expect(await screen.findByText(/Neither an order nor a proposal says what comes/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('combobox', { name: 'Part that goes' }).value).toBe('200-0040');
    expect(server.asked('POST /api/cut-in')).toEqual([]);
  });
});
