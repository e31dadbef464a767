import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { done } from '../../testing/done';
import { dossier, item, line, order } from '../../testing/make';
import { noConsequences } from '../../testing/noConsequences';
import { Refused, server } from '../../testing/server';
import { address, show } from '../../testing/show';
import { ReplacePage } from './ReplacePage';

const clamp = item('200-0042', 'Tube clamp', { unit: 'pc' });
const clip = item('200-0043', 'Tube clip', { unit: 'pc' });
const BASE = '/api/orders/ECO-00090';

function row(number: string, more: Partial<Schemas['ReplacementRow']> = {}): Schemas['ReplacementRow'] {
  return {
    item: item(number, `Assembly ${number}`),
    work: 'engineering',
    before: line(60, clamp.number, { quantity: '2', unit: 'pc', key: `line of ${number}` }),
    after: [line(60, clip.number, { quantity: '4', unit: 'pc' })],
    fault: null,
    beside: [],
    named: true,
    elsewhere: [],
    cost: '1.20',
    without_cost: [],
    ...more,
  };
}

const page = (more: Partial<Schemas['ReplacementPage']> = {}): Schemas['ReplacementPage'] => ({
  order: 'ECO-00090',
  order_title: 'Thicker tube',
  state: 'revising',
  effective_on: null,
  old: { item: clamp, ratio: null, lead_time: 10 },
  new: [{ item: clip, ratio: '2', lead_time: null }],
  from: null,
  works: ['engineering', 'manufacturing:Weir'],
  may_replace: null,
  may_name: true,
  currency: 'EUR',
  rows: [row('200-0010'), row('200-0010', { work: 'manufacturing:Weir' }), row('200-0020', { named: false })],
  ...more,
});

const short: Schemas['ShortageRow'] = {
  item: clip.number,
  unit: 'pc',
  needed: '90',
  short: '60',
  short_from: '2026-12-12',
  until: '2026-12-24',
  lead_time_known: true,
  in_planning: true,
};

async function replace(
  shown: Schemas['ReplacementPage'] | Refused,
  query = 'old=200-0042&new=200-0043:2',
  lacking = short,
) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/categories', [])
    .on('GET /api/exposure', { items: [], strangers: [] })
    .on('POST /api/shortages', { rows: [lacking], fetched_at: null, fault: null })
    .on('GET /api/dossiers/ECO-00090', dossier('revise', { order: order({ state: 'revising' }) }))
    .on(`GET ${BASE}/consequences`, noConsequences)
    .on(`GET ${BASE}/replacement`, shown);
  return show(<ReplacePage />, { at: `/orders/ECO-00090/replace?${query}`, path: '/orders/:number/replace' });
}

describe('replacing a component', () => {
  it('shows each line now and then, with what else is to be known', async () => {
    await replace(
      page({
        rows: [row('200-0020', { named: false, beside: [line(70, clip.number, { quantity: '1', unit: 'pc' })] })],
      }),
    );
    const shown = await screen.findByRole('row', { name: /200-0020/ });
    expect(within(shown).getByText('2 pc')).toBeTruthy();
    expect(within(shown).getByText('4 pc 200-0043')).toBeTruthy();
    expect(shown.textContent).toContain('200-0043 stands there already: find 70, 1 pc');
    expect(shown.textContent).toContain('Will be named on ECO-00090');
    expect(screen.getByText('△ Lead time not known')).toBeTruthy();
  });

  it('says what will be short where it is replaced, and asks anew when lines are left out', async () => {
    const user = await replace(page({ from: '2026-12-06' }));
    expect(await screen.findByText(/60 pc short from 12 Dec 2026: 90 pc needed until 24 Dec 2026/)).toBeTruthy();
    await user.click(screen.getByRole('checkbox', { name: /Replace in 200-0020/ }));
    await waitFor(() =>
      expect(server.asked('POST /api/shortages').map(({ body }) => body)).toEqual([
        {
          old: '200-0042',
          new: [{ item: '200-0043', ratio: '2' }],
          parents: ['200-0010', '200-0020'],
          first_day: '2026-12-06',
        },
        { old: '200-0042', new: [{ item: '200-0043', ratio: '2' }], parents: ['200-0010'], first_day: '2026-12-06' },
      ]),
    );
  });

  it.each([
    [{ short: '0', short_from: null }, /enough: 90 pc needed until 24 Dec 2026, when/],
    [{ needed: '0', short: '0', short_from: null }, /none needed until 24 Dec 2026/],
    [{ lead_time_known: false }, /90 pc needed until 24 Dec 2026; lead time not known/],
  ])('says it as it is: %j', async (more, words) => {
    await replace(page(), undefined, { ...short, ...more });
    expect(await screen.findByText(words)).toBeTruthy();
  });

  it('says that what is ordered today comes before the first is needed', async () => {
    await replace(page({ from: '2027-06-01' }), undefined, { ...short, needed: '0', short: '0', short_from: null });
    expect(await screen.findByText(/what is ordered today can be there on 24 Dec 2026, before/)).toBeTruthy();
  });

  it('replaces all that fits but what was left out, and is undone', async () => {
    const user = await replace(
      page({ rows: [row('200-0010'), row('200-0020'), row('200-0030', { fault: '1.5 pc: used whole.', after: [] })] }),
    );
    await user.click(await screen.findByRole('checkbox', { name: /Replace in 200-0020/ }));
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: /200-0030/ }).disabled).toBe(true);
    expect(screen.getByText(', 1 cannot be replaced so')).toBeTruthy();
    server.on(`POST ${BASE}/replacement`, { ...done('ECO-00090'), stroke: 'stroke-1' });
    await user.click(screen.getByRole('button', { name: 'Replace in 1 line' }));
    await screen.findByText(/Replaced in 1 line of 1 item/);
    expect(server.asked(`POST ${BASE}/replacement`).map((call) => call.body)).toEqual([
      {
        old: '200-0042',
        new: '200-0043:2',
        from: '',
        lines: [{ item: '200-0010', work: 'engineering', line: 'line of 200-0010' }],
      },
    ]);
    server.on(`POST ${BASE}/strokes/stroke-1/undo`, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(screen.queryByText(/Replaced in/)).toBeNull());
  });

  it('keeps what is asked in the address', async () => {
    const user = await replace(page());
    await user.click(await screen.findByRole('button', { name: 'Remove 200-0043' }));
    await waitFor(() => expect(address()).not.toContain('new='));
    expect(await screen.findByRole('button', { name: 'Remove in 3 lines' })).toBeTruthy();
  });

  it('says at its field what is wrong, and offers nothing', async () => {
    await replace(new Refused(422, 'No.', { new: ['There is no item 200-0043.'] }));
    expect(await screen.findByText(/There is no item 200-0043/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Replace in/ })).toBeNull();
  });

  it('lets who may not name items choose only what is on the order', async () => {
    await replace(page({ may_name: false }));
    expect(await screen.findByRole('button', { name: 'Replace in 2 lines' })).toBeTruthy();
    expect(screen.getByText(/1 in items not on ECO-00090/)).toBeTruthy();
  });

  it('tells who cannot do it why', async () => {
    await replace(page({ may_replace: 'ECO-00090 names another person to edit.' }));
    expect(await screen.findByText('ECO-00090 names another person to edit.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Replace in/ })).toBeNull();
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('is under an order, whatever else its Dossier is found by', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/dossiers/ECR-00096', dossier('revise', { order: order({ state: 'revising' }) }));
    await show(<ReplacePage />, { at: '/orders/ECR-00096/replace', path: '/orders/:number/replace' });
    expect(await screen.findByText('There is no order ECR-00096.')).toBeTruthy();
    expect(screen.queryByLabelText('Component to replace')).toBeNull();
  });
});
